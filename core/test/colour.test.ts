import fc from 'fast-check';
import { differenceCiede2000 } from 'culori';
import { BANDS, deltaE, hexOf, kOverS, labOf, mixPigments, pigmentOf, readHex, reflectance, reflectanceOf, xyzOfHex } from '#core/colour';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0').toUpperCase());
/** Neither channel at its very end: no surface is that pure. */
const surface = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 12, max: 248 }))).map((c) => c.map((v) => v.toString(16).padStart(2, '0')).join('').toUpperCase());

describe('colour', () => {
  test('hex to XYZ and back is exact', () => {
    fc.assert(fc.property(hex, (h) => { expect(hexOf(xyzOfHex(h))).toBe(h); }));
  });

  test('Lab and ΔE00 agree with the package culori', () => {
    const reference = differenceCiede2000();
    fc.assert(fc.property(hex, hex, (a, b) => {
      expect(deltaE(labOf(xyzOfHex(a)), labOf(xyzOfHex(b)))).toBeCloseTo(reference(`#${a}`, `#${b}`), 2);
    }));
  });

  test('upsampled curves lie in (0, 1) and have the colour they came from', () => {
    fc.assert(fc.property(surface, (h) => {
      const curve = reflectanceOf(h);
      expect(curve).toHaveLength(BANDS);
      for (const r of curve) { expect(r).toBeGreaterThan(0); expect(r).toBeLessThan(1); }
      expect(deltaE(labOf(mixPigments([pigmentOf(h, 1)], [1])), labOf(xyzOfHex(h)))).toBeLessThan(0.05);
    }), { numRuns: 200 });
  });

  test('the ends of the cube stay near where a surface can be', () => {
    for (const h of ['000000', 'FFFFFF', 'FF0000', '00FF00', '0000FF', 'FFFF00', '00FFFF', 'FF00FF']) {
      expect(deltaE(labOf(mixPigments([pigmentOf(h, 1)], [1])), labOf(xyzOfHex(h)))).toBeLessThan(1);
    }
  });

  test('K/S and reflectance are inverses', () => {
    fc.assert(fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (r) => { expect(reflectance(kOverS(r))).toBeCloseTo(r, 9); }));
  });

  test('a mix does not depend on the order or on the total, and lies between in lightness for greys', () => {
    fc.assert(fc.property(surface, surface, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (a, b, v) => {
      const [p, q] = [pigmentOf(a, 1), pigmentOf(b, 0.5)];
      const one = mixPigments([p, q], [v, 1 - v]);
      const other = mixPigments([q, p], [7 * (1 - v), 7 * v]);
      expect(other.y).toBeCloseTo(one.y, 9);
      expect(other.x).toBeCloseTo(one.x, 9);
    }), { numRuns: 60 });
  });

  test('a stronger clay pulls the mix towards itself; translucent hardly at all', () => {
    const chalk = pigmentOf('F1EEE4', 1);
    const at = (s: number): number => mixPigments([chalk, pigmentOf('7B1E4B', s)], [1, 1]).y;
    expect(at(2)).toBeLessThan(at(1));
    expect(at(1)).toBeLessThan(at(0.2));
    const clear = pigmentOf('E4E0D2', 0.06);
    const pinch = labOf(mixPigments([clear, pigmentOf('7B1E4B', 1)], [8, 0.25]));
    const inChalk = labOf(mixPigments([chalk, pigmentOf('7B1E4B', 1)], [8, 0.25]));
    expect(pinch.l).toBeLessThan(inChalk.l - 10);
  });

  test.each(['12345', 'GGGGGG', '', '#1234567', '12 34 56'])('%p is no colour', (text) => {
    expect(() => readHex(text)).toThrow(/is not a colour/);
  });
});
