import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { labOf, mixThree, mixerOf, pigmentOf } from '#core/colour';

const root = join(import.meta.dirname, '..', '..');
interface Kernel {
  readonly source: string;
  readonly module: string;
  readonly name: string;
}

describe('vector instructions', () => {
  test('what is written down is what the sources build', async () => {
    const { KERNELS, kernelModule } = (await import(join(root, 'scripts', 'kernel.mjs'))) as {
      KERNELS: readonly Kernel[];
      kernelModule: (kernel: Kernel) => Promise<string>;
    };
    expect(KERNELS).toHaveLength(2);
    for (const kernel of KERNELS)
      expect(await kernelModule(kernel)).toBe(readFileSync(join(root, kernel.module), 'utf8'));
  });

  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0'));
  const pigment = fc.tuple(hex, fc.constantFrom(1, 0.06, 2.5)).map(([h, strength]) => pigmentOf(h, strength));
  const volume = fc.double({ min: 0, max: 20, noNaN: true });
  const mix = fc.tuple(
    fc.nat(5),
    fc.nat(5),
    fc.nat(5),
    volume,
    volume,
    volume.map((v) => v + 0.01),
  );

  test('predict the same as plain numbers, to the tenth digit', () => {
    fc.assert(
      fc.property(
        fc.array(pigment, { minLength: 6, maxLength: 6 }),
        fc.array(mix, { minLength: 1, maxLength: 40 }),
        fc.boolean(),
        (pigments, mixes, plainly) => {
          const mixer = mixerOf(pigments, 40, plainly);
          mixes.forEach(([i, j, k, u, v, w], at) => {
            mixer.pigments.set([i, j, k], 3 * at);
            mixer.volumes.set([u, v, w], 3 * at);
          });
          mixer.run(mixes.length);
          mixes.forEach(([i, j, k, u, v, w], at) => {
            const [p, q, r] = [i, j, k].map((place) => pigments[place]) as [
              (typeof pigments)[0],
              (typeof pigments)[0],
              (typeof pigments)[0],
            ];
            const xyz = mixThree(p, u, q, v, r, w);
            const lab = labOf(xyz);
            const own = [...mixer.colours.subarray(6 * at, 6 * at + 6)];
            [xyz.x, xyz.y, xyz.z, lab.l, lab.a, lab.b].forEach((value, n) => {
              expect(own[n]).toBeCloseTo(value, 10);
            });
          });
        },
      ),
      { numRuns: 100 },
    );
  });
});
