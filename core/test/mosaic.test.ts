import fc from 'fast-check';
import { CUTTER_SHAPES, cutterArea, type Cutter } from '#core/cutter';
import { deltaE, labOf, xyzOfHex, type Lab } from '#core/colour';
import {
  READS_FROM,
  areaOfConvex,
  bezelEdge,
  common,
  mosaicOf,
  nearestOf,
  offPicture,
  planMosaic,
  readAs,
  squaresOf,
  threadGrams,
  threadsOf,
  traysFor,
  type Mosaic,
  type MosaicWish,
} from '#core/mosaic';
import { isInside, type Point } from '#core/outline';
import type { Pixels } from '#core/picture';
import { refusal } from './refused.js';

/** A round fruit on a light cloth, with a leaf. */
function fruit(size = 160): Pixels {
  const data = new Uint8ClampedArray(4 * size * size);
  for (let k = 0; k < size * size; k++) {
    const [u, v] = [((k % size) / size) * 2 - 1, (Math.floor(k / size) / size) * 2 - 1];
    const shine = Math.max(0, 1 - Math.hypot(u + 0.2, v));
    const body = Math.hypot(u, v - 0.1) < 0.68;
    const leaf = Math.hypot(u * 2.2, v + 0.55) < 0.4;
    const cloth: readonly number[] = [235, 226, 205];
    const flesh: readonly number[] = body ? [150 + 90 * shine, 40 + 40 * shine, 30] : cloth;
    data.set([...(leaf ? [70, 115, 50] : flesh), 255], 4 * k);
  }
  return { data, width: size, height: size };
}
const plain = (value: readonly [number, number, number], size = 4): Pixels => ({
  data: Uint8ClampedArray.from(Array.from({ length: size * size }, () => [...value, 255]).flat()),
  width: size,
  height: size,
});

const OVAL: Cutter = { shape: 'oval', width: 18, height: 25 };
const WISH: MosaicWish = {
  ...{ bezel: OVAL, picture: fruit(), colours: 6, diameters: [1, 0.65, 0.45] },
  ...{ shortest: 1, longest: 2.4, gap: 0.02 },
};

/** The most that any two share, as a share of the smaller one. */
function worstOverlap({ tesserae }: Mosaic): number {
  let worst = 0;
  tesserae.forEach(({ points: one }, i) => {
    for (const { points: other } of tesserae.slice(i + 1)) {
      const [p, q] = [one[0] as Point, other[0] as Point];
      if (Math.hypot(p[0] - q[0], p[1] - q[1]) > 8) continue;
      const shared = common(one, other);
      if (shared.length < 3) continue;
      worst = Math.max(worst, areaOfConvex(shared) / Math.min(areaOfConvex(one), areaOfConvex(other)));
    }
  });
  return worst;
}

describe('a mosaic of threads', () => {
  test('covers its bezel, no two tesserae lie on each other, and none lies beyond the edge', () => {
    for (const shape of ['oval', 'round', 'rectangle', 'teardrop'] as const) {
      const bezel: Cutter = { ...OVAL, shape, ...(shape === 'round' ? { height: OVAL.width } : {}) };
      const mosaic = mosaicOf({ ...WISH, bezel });
      expect(mosaic.area / cutterArea(bezel)).toBeCloseTo(1, 2);
      expect(mosaic.cover).toBeGreaterThan(0.92);
      expect(mosaic.cover).toBeLessThanOrEqual(1);
      expect(worstOverlap(mosaic)).toBeLessThan(0.02);
      const edge = bezelEdge(bezel);
      const [middle] = [[bezel.width / 2, bezel.height / 2] as const];
      const beyond = mosaic.tesserae
        .flatMap((t) => t.points)
        .filter(([x, y]) => {
          const inwards: Point = [x + (middle[0] - x) * 0.01, y + (middle[1] - y) * 0.01];
          return !isInside(inwards, edge);
        });
      expect(beyond).toEqual([]);
    }
  });

  test('any bezel, threads and lengths: what lies there is clay, once', () => {
    const shape = fc.constantFrom(...CUTTER_SHAPES.filter((s) => s !== 'drawn'));
    const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(shape, mm(8, 24), mm(8, 24), mm(0.7, 1.6), mm(0.5, 1.2), (kind, width, height, thick, shortest) => {
        const bezel: Cutter = { shape: kind, width, height: kind === 'round' ? width : height };
        const wish = { ...WISH, bezel, diameters: [thick, 0.6 * thick], shortest, longest: shortest + 1.5 };
        const mosaic = mosaicOf(wish);
        expect(worstOverlap(mosaic)).toBeLessThan(0.02);
        expect(mosaic.cover).toBeGreaterThan(0.75);
        expect(mosaic.cover).toBeLessThanOrEqual(1.0001);
        expect(mosaic.patches.reduce((sum, p) => sum + p.count, 0)).toBe(mosaic.tesserae.length);
      }),
      { numRuns: 15, endOnFailure: true },
    );
  });

  test('patches are laid from light to dark, and each tessera belongs to one', () => {
    const { patches, tesserae } = mosaicOf(WISH);
    const light = patches.map((p) => p.lab.l);
    expect([...light].sort((a, b) => b - a)).toEqual(light);
    patches.forEach(({ count }, patch) => {
      expect(tesserae.filter((t) => t.patch === patch)).toHaveLength(count);
    });
    const numbers = tesserae.map((t) => t.patch);
    expect([...numbers].sort((a, b) => a - b)).toEqual(numbers);
  });

  test('each has the nearest of the shades, and none is without', () => {
    const shades = ['F0E6D0', 'B03020', '46732F', '8A2A20'].map((hex): Lab => labOf(xyzOfHex(hex)));
    for (const { lab, shade } of mosaicOf({ ...WISH, shades }).tesserae) {
      expect(shade).toBe(nearestOf(lab, shades));
      for (const other of shades) expect(deltaE(lab, shades[shade] as Lab)).toBeLessThanOrEqual(deltaE(lab, other));
    }
    expect(mosaicOf(WISH).tesserae.every((t) => t.shade === -1)).toBe(true);
  });

  test('is the same each time, and says how far it is', () => {
    expect(mosaicOf(WISH)).toEqual(mosaicOf(WISH));
    const shares = [...planMosaic(WISH)];
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(shares.length).toBeGreaterThan(3);
  });

  test('its colours are those of the picture, and thicker threads read less well', () => {
    const seen = { bezel: OVAL, picture: WISH.picture, bed: labOf(xyzOfHex('D8CFC0')) };
    const shapesOf = (wish: MosaicWish) => mosaicOf(wish).tesserae.map(({ points, lab }) => ({ points, lab }));
    const fine = shapesOf(WISH);
    expect(offPicture(seen, fine, 1)).toBeLessThan(4);
    expect(readAs(seen, fine, 0.042)).toBeGreaterThan(READS_FROM);
    const coarse = shapesOf({ ...WISH, diameters: [4], shortest: 4, longest: 6 });
    expect(readAs(seen, coarse, 0.042)).toBeLessThan(readAs(seen, fine, 0.042));
    const squares = squaresOf(seen, fine.length, (lab) => lab);
    expect(squares.length / fine.length).toBeCloseTo(1, 0);
  });

  test('a picture of one pixel is a mosaic of one colour', () => {
    const { patches, tesserae, cover } = mosaicOf({ ...WISH, picture: plain([200, 90, 40], 1) });
    expect(patches).toHaveLength(1);
    expect(cover).toBeGreaterThan(0.92);
    expect(new Set(tesserae.map((t) => t.lab.l.toFixed(2))).size).toBe(1);
  });

  test('what cannot be is said before anything is worked out', () => {
    const wrong = (part: Partial<MosaicWish>): string => refusal(() => mosaicOf({ ...WISH, ...part }));
    expect(wrong({ diameters: [] })).toBe('mosaic/threads');
    expect(wrong({ diameters: [0] })).toBe('mosaic/threads');
    expect(wrong({ shortest: 3, longest: 2 })).toBe('mosaic/lengths');
    expect(wrong({ gap: -1 })).toBe('mosaic/gap');
    expect(wrong({ bezel: { shape: 'rectangle', width: 300, height: 300 } })).toBe('mosaic/many');
    expect(wrong({ picture: { ...plain([1, 2, 3]), data: new Uint8ClampedArray(64) } })).toBe('picture/empty');
  });
});

describe('threads', () => {
  test('metres and grams are those of all tesserae and what is lost, by shade and thickness', () => {
    const { tesserae } = mosaicOf({ ...WISH, shades: [labOf(xyzOfHex('F0E6D0')), labOf(xyzOfHex('B03020'))] });
    const threads = threadsOf(tesserae, 0.2);
    const sum = tesserae.reduce((all, t) => all + t.length, 0);
    expect(threads.reduce((all, t) => all + t.length, 0)).toBeCloseTo(1.2 * sum, 6);
    expect(threads.reduce((all, t) => all + t.count, 0)).toBe(tesserae.length);
    expect(new Set(threads.map((t) => `${t.shade} ${t.diameter}`)).size).toBe(threads.length);
    // a metre of a thread of 1 mm: 0.785 cm³
    expect(threadGrams({ diameter: 1, length: 1000 }, 1.8)).toBeCloseTo(1.414, 3);
  });

  test('trays hold threads a thread apart', () => {
    const tray = { width: 100, length: 200 };
    expect(traysFor([{ diameter: 1, length: 1000 }], tray)).toEqual({ threads: 5, trays: 1 });
    expect(traysFor([{ diameter: 2, length: 200 * 26 }], tray)).toEqual({ threads: 26, trays: 2 });
    expect(traysFor([], tray)).toEqual({ threads: 0, trays: 0 });
  });
});
