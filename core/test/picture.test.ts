import fc from 'fast-check';
import { deltaE, labOf, labOfLinear, linearOfLab, readColour, xyzOfHex } from '#core/colour';
import {
  LINEAR,
  MOST_PIXELS,
  NO_CAST,
  averageAt,
  gainTable,
  neutralGains,
  paletteOf,
  pictureSize,
  recast,
  type Linear,
  type Pixels,
} from '#core/picture';

const channel = fc.integer({ min: 0, max: 255 });
const rgb = fc.tuple(channel, channel, channel);
/** A picture of blocks: colours with so many pixels each, in a row that is wrapped. */
function picture(
  blocks: readonly (readonly [readonly [number, number, number], number])[],
  width = 40,
  alpha = 255,
): Pixels {
  const all = blocks.flatMap(([colour, count]) => Array.from({ length: count }, () => [...colour, alpha]));
  while (all.length % width !== 0) all.push(all.at(-1) as number[]);
  return { data: Uint8ClampedArray.from(all.flat()), width, height: all.length / width };
}
const hexOfRgb = (c: readonly number[]): string => c.map((v) => v.toString(16).padStart(2, '0')).join('');
const labOfRgb = (c: readonly number[]) => labOf(xyzOfHex(hexOfRgb(c)));

describe('a patch', () => {
  test('is the mean of its pixels in linear light, cut off at the edge', () => {
    const p = picture(
      [
        [[255, 0, 0], 1],
        [[0, 0, 255], 1],
      ],
      2,
    );
    expect(averageAt(p, 0, 0, 3)).toEqual([0.5, 0, 0.5]);
    expect(averageAt(p, 0, 0, 1)).toEqual([1, 0, 0]);
    expect(averageAt({ ...p, data: p.data.map((v, i) => (i % 4 === 3 ? 0 : v)) }, 0, 0, 9)).toBeNull();
  });

  test('of one pixel is that pixel', () => {
    fc.assert(
      fc.property(rgb, (c) => {
        const lab = labOfLinear(averageAt(picture([[c, 1]], 1), 0, 0, 51) as Linear);
        expect(deltaE(lab, labOfRgb(c))).toBeLessThan(1e-6);
        const back = linearOfLab(lab);
        back.forEach((v, i) => {
          expect(v).toBeCloseTo(LINEAR[c[i] ?? 0] ?? NaN, 9);
        });
      }),
    );
  });
});

describe('the neutral point', () => {
  test('becomes grey and keeps its luminance, and what was taken before follows', () => {
    const light = fc.double({ min: 0.15, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(fc.tuple(light, light, light), rgb, (patch, other) => {
        const gains = neutralGains(patch);
        const { a, b, l } = recast(labOfLinear(patch), NO_CAST, gains);
        expect(Math.hypot(a, b)).toBeLessThan(1e-6);
        expect(l).toBeCloseTo(labOfLinear(patch).l, 6);
        const lab = labOfRgb(other);
        expect(deltaE(recast(recast(lab, NO_CAST, gains), gains, NO_CAST), lab)).toBeLessThan(1e-5);
      }),
    );
  });

  test.each<[Linear, string]>([
    [[0.001, 0.002, 0.001], 'too dark'],
    [[1, 1, 0.99], 'as bright as'],
    [[0.8, 0.1, 0.1], 'coloured under any lamp'],
  ])('%p is no neutral point', (patch, sentence) => {
    expect(() => neutralGains(patch)).toThrow(sentence);
  });

  test('no cast changes no pixel', () => {
    const table = gainTable(NO_CAST, LINEAR);
    for (let v = 0; v < 256; v++) expect([table[v], table[256 + v], table[512 + v]]).toEqual([v, v, v]);
    expect(gainTable([2, 1, 1], LINEAR)[200]).toBe(255);
  });
});

describe('the palette of a picture', () => {
  const BEET = [0x7b, 0x1e, 0x4b] as const;
  const CHALK = [0xf1, 0xee, 0xe4] as const;
  const LEEK = [0x4f, 0x7f, 0x45] as const;

  test('finds flat colours again, with their shares, a small one too', () => {
    const found = paletteOf(
      picture([
        [CHALK, 1560],
        [BEET, 400],
        [LEEK, 40],
      ]),
      3,
    );
    expect(found).toHaveLength(3);
    for (const [i, [colour, share]] of (
      [
        [CHALK, 0.78],
        [BEET, 0.2],
        [LEEK, 0.02],
      ] as const
    ).entries()) {
      expect(found[i]?.share).toBeCloseTo(share, 6);
      expect(deltaE(found[i]?.lab ?? readColour('000000'), labOfRgb(colour))).toBeLessThan(0.5);
    }
  });

  test('shares sum to 1, the largest first, no more than wished, none twice, the same every time', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(rgb, fc.integer({ min: 1, max: 300 })), { minLength: 1, maxLength: 30 }),
        fc.integer({ min: 1, max: 16 }),
        (blocks, count) => {
          const p = picture(blocks);
          const found = paletteOf(p, count);
          expect(found.length).toBeGreaterThan(0);
          expect(found.length).toBeLessThanOrEqual(count);
          expect(found.reduce((sum, c) => sum + c.share, 0)).toBeCloseTo(1, 9);
          found.forEach((c, i) => {
            if (i > 0) expect(c.share).toBeLessThanOrEqual(found[i - 1]?.share ?? 0);
            for (const other of found.slice(i + 1)) expect(deltaE(c.lab, other.lab)).toBeGreaterThanOrEqual(3);
          });
          expect(paletteOf(p, count)).toEqual(found);
        },
      ),
      { numRuns: 40 },
    );
  });

  test('follows the neutral point', () => {
    // a grey card under a warm lamp
    const card = [200, 170, 120] as const;
    const gains = neutralGains(card.map((v) => LINEAR[v] ?? 0) as unknown as Linear);
    const [found] = paletteOf(picture([[card, 400]]), 1, gains);
    expect(Math.hypot(found?.lab.a ?? 9, found?.lab.b ?? 9)).toBeLessThan(1.5);
  });

  test('one pixel is one colour; a transparent picture has none; a count is from 1 to 16', () => {
    expect(paletteOf(picture([[BEET, 1]], 1), 6)).toMatchObject([{ share: 1 }]);
    expect(() => paletteOf(picture([[BEET, 40]], 40, 0), 3)).toThrow('transparent all over');
    for (const count of [0, 17, 2.5, NaN]) expect(() => paletteOf(picture([[BEET, 4]]), count)).toThrow('from 1 to 16');
  });
});

describe('how large a picture says it is, before it is unpacked', () => {
  const png = (width: number, height: number): Uint8Array => {
    const bytes = new Uint8Array(32);
    bytes.set([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
    new DataView(bytes.buffer).setUint32(16, width);
    new DataView(bytes.buffer).setUint32(20, height);
    return bytes;
  };
  test('PNG and JPEG say it; others, and what ends before, do not', () => {
    expect(pictureSize(png(60_000, 50_000))).toEqual({ width: 60_000, height: 50_000 });
    const jpeg = Uint8Array.from([
      0xff, 0xd8, 0xff, 0xe1, 0, 6, 1, 2, 3, 4, 0xff, 0xc4, 0, 4, 9, 9, 0xff, 0xc2, 0, 17, 8, 0x0f, 0xa0, 0x17, 0x70, 3,
      0, 0,
    ]);
    expect(pictureSize(jpeg)).toEqual({ width: 6000, height: 4000 });
    for (const bytes of [
      png(1, 1).subarray(0, 20),
      jpeg.subarray(0, 14),
      Uint8Array.from([71, 73, 70]),
      new Uint8Array(0),
    ])
      expect(pictureSize(bytes)).toBeNull();
    expect(60_000 * 50_000).toBeGreaterThan(MOST_PIXELS);
  });
});
