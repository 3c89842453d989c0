import fc from 'fast-check';
import { differenceCiede2000 } from 'culori';
import {
  BANDS,
  deltaE,
  hexOf,
  kOverS,
  labOf,
  mixPigments,
  pigmentOf,
  readColour,
  readHex,
  reflectance,
  reflectanceOf,
  xyzOfHex,
  xyzOfLab,
} from '#core/colour';

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => n.toString(16).padStart(6, '0').toUpperCase());
/** Neither channel at its very end: no surface is that pure. */
const surface = fc.tuple(...[0, 1, 2].map(() => fc.integer({ min: 12, max: 248 }))).map((c) =>
  c
    .map((v) => v.toString(16).padStart(2, '0'))
    .join('')
    .toUpperCase(),
);

describe('colour', () => {
  test('hex to XYZ and back is exact', () => {
    fc.assert(
      fc.property(hex, (h) => {
        expect(hexOf(xyzOfHex(h))).toBe(h);
      }),
    );
  });

  test('Lab and ΔE00 agree with the package culori', () => {
    const reference = differenceCiede2000();
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(deltaE(labOf(xyzOfHex(a)), labOf(xyzOfHex(b)))).toBeCloseTo(reference(`#${a}`, `#${b}`), 2);
      }),
    );
  });

  test('upsampled curves lie in (0, 1) and have the colour they came from', () => {
    fc.assert(
      fc.property(surface, (h) => {
        const curve = reflectanceOf(h);
        expect(curve).toHaveLength(BANDS);
        for (const r of curve) {
          expect(r).toBeGreaterThan(0);
          expect(r).toBeLessThan(1);
        }
        expect(deltaE(labOf(mixPigments([pigmentOf(h, 1)], [1])), labOf(xyzOfHex(h)))).toBeLessThan(0.05);
      }),
      { numRuns: 200 },
    );
  });

  test('the ends of the cube stay near where a surface can be', () => {
    for (const h of ['000000', 'FFFFFF', 'FF0000', '00FF00', '0000FF', 'FFFF00', '00FFFF', 'FF00FF']) {
      expect(deltaE(labOf(mixPigments([pigmentOf(h, 1)], [1])), labOf(xyzOfHex(h)))).toBeLessThan(1);
    }
  });

  test('K/S and reflectance are inverses', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.999, noNaN: true }), (r) => {
        expect(reflectance(kOverS(r))).toBeCloseTo(r, 9);
      }),
    );
  });

  test('a mix does not depend on the order or on the total, and lies between in lightness for greys', () => {
    fc.assert(
      fc.property(surface, surface, fc.double({ min: 0.05, max: 0.95, noNaN: true }), (a, b, v) => {
        const [p, q] = [pigmentOf(a, 1), pigmentOf(b, 0.5)];
        const one = mixPigments([p, q], [v, 1 - v]);
        const other = mixPigments([q, p], [7 * (1 - v), 7 * v]);
        expect(other.y).toBeCloseTo(one.y, 9);
        expect(other.x).toBeCloseTo(one.x, 9);
      }),
      { numRuns: 60 },
    );
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

describe('colours as people write them', () => {
  test('hex, and Lab with dots, commas, semicolons or the name in front', () => {
    const lab = { l: 52.3, a: 41, b: -8.5 };
    for (const text of [
      '52.3 41 -8.5',
      '52,3 41 -8,5',
      '52,3; 41; -8,5',
      '52.3, 41, -8.5',
      'Lab 52.3 41 -8.5',
      'lab(52.3, 41, -8.5)',
      '(52.3, 41, -8.5)',
      ' LAB (52.3 41 -8.5) ',
    ])
      expect(readColour(text)).toEqual(lab);
    expect(readColour('#7b1e4b')).toEqual(labOf(xyzOfHex('7B1E4B')));
  });

  test('Lab to XYZ and back is the same colour', () => {
    fc.assert(
      fc.property(
        fc.record({
          l: fc.double({ min: 0.1, max: 100, noNaN: true }),
          a: fc.double({ min: -100, max: 100, noNaN: true }),
          b: fc.double({ min: -100, max: 100, noNaN: true }),
        }),
        (lab) => {
          const back = labOf(xyzOfLab(lab));
          expect(back.l).toBeCloseTo(lab.l, 6);
          expect(back.a).toBeCloseTo(lab.a, 5);
          expect(back.b).toBeCloseTo(lab.b, 5);
        },
      ),
    );
  });

  test.each(['', 'beetroot', '12 34', '1 2 3 4', 'NaN 0 0', '50 1e9 0', '50,,3', 'lab()'])(
    '%p is no colour',
    (text) => {
      expect(() => readColour(text)).toThrow(/is not a colour/);
    },
  );
  test.each(['101 0 0', '-1 0 0', '50 200 0', '50 0 -129'])('%p is beyond every surface', (text) => {
    expect(() => readColour(text)).toThrow(/L\* runs from 0 to 100/);
  });
});
