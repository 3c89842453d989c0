import fc from 'fast-check';
import type { Lab } from '#core/colour';
import {
  TEXTURES,
  bandOf,
  contrastOf,
  facingOf,
  heightAt,
  orderAfter,
  press,
  relit,
  reliefOf,
  reliefOfPicture,
  rolled,
  shave,
  sheenColour,
  surfaceOf,
  tiltedBeyond,
  tiltsAt,
  topOf,
  type Pressed,
  type Texture,
} from '#core/mica';

const SIZE = { width: 40, height: 30 };
const FACE: Lab = { l: 72, a: 6, b: 40 };
const EDGE: Lab = { l: 38, a: 8, b: 26 };
const COLOURS = { face: FACE, edge: EDGE };
const ABOVE = { from: 0, above: 90 };

const texture = fc.constantFrom<Texture>(...TEXTURES);
const pressedOf = (name: Texture, { pitch = 4, thick = 3, depth = 1, columns = 120 } = {}): Pressed =>
  press(reliefOf(name, SIZE, pitch, columns), thick, depth);
const pressed = fc
  .record({
    name: texture,
    pitch: fc.double({ min: 2.5, max: 12, noNaN: true }),
    thick: fc.double({ min: 2, max: 6, noNaN: true }),
    share: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
  })
  .map(({ name, pitch, thick, share }) => pressedOf(name, { pitch, thick, depth: share * thick, columns: 60 }));

describe('reliefs', () => {
  test('there are eight textures, each from bottom to top and no two alike', () => {
    expect(TEXTURES).toHaveLength(8);
    const reliefs = TEXTURES.map((name) => reliefOf(name, SIZE, 5, 80).heights);
    for (const heights of reliefs) {
      expect(Math.min(...heights)).toBe(0);
      expect(Math.max(...heights)).toBe(1);
    }
    reliefs.forEach((one, i) => {
      for (const other of reliefs.slice(i + 1)) {
        const apart = one.reduce((sum, h, at) => sum + Math.abs(h - (other[at] ?? 0)), 0) / one.length;
        expect(apart).toBeGreaterThan(0.05);
      }
    });
  });

  test('a texture is the same at the same place in any pitch, and from 0 to 1', () => {
    const place = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(texture, place, place, fc.double({ min: 0.5, max: 20, noNaN: true }), (name, u, v, pitch) => {
        const height = heightAt(name, u * pitch, v * pitch, pitch);
        expect(height).toBeGreaterThanOrEqual(0);
        expect(height).toBeLessThanOrEqual(1);
        expect(Math.abs(height - heightAt(name, u * pitch, v * pitch, pitch))).toBe(0);
      }),
    );
  });

  test('a picture is pressed in where it is dark; of one level or one pixel it is refused', () => {
    const greys = [0.2, 0.6, 0.4, 1];
    expect([...reliefOfPicture({ columns: 2, rows: 2, greys }, 10).heights]).toEqual([
      0,
      expect.closeTo(0.5),
      expect.closeTo(0.25),
      1,
    ]);
    const other = reliefOfPicture({ columns: 2, rows: 2, greys }, 10, 'dark').heights;
    expect([...other]).toEqual([1, expect.closeTo(0.5), expect.closeTo(0.75), 0]);
    const flat = /of one level/;
    expect(() => reliefOfPicture({ columns: 2, rows: 1, greys: [0.5, 0.5] }, 10)).toThrow(flat);
    expect(() => reliefOfPicture({ columns: 1, rows: 1, greys: [0.5] }, 10)).toThrow(flat);
    expect(() => reliefOf('furrows', SIZE, 0.01, 80)).toThrow(/0.3 to 60 mm/);
    expect(() => reliefOf('pods', { width: 600, height: 600 }, 0.5, 512)).toThrow(/So fine .*take 3.52 mm/);
    expect(() => reliefOf('furrows', { width: 40, height: 0 }, 4, 80)).toThrow(/sides of 5 to 600 mm/);
  });
});

describe('pressed and shaved', () => {
  test('nothing is lost by pressing: on the middle it is as thick as before', () => {
    fc.assert(
      fc.property(pressed, (sheet) => {
        const surface = surfaceOf(sheet);
        const mean = surface.reduce((sum, h) => sum + h, 0) / surface.length;
        expect(mean / sheet.thick).toBeCloseTo(1, 4);
      }),
    );
  });

  test('what is shaved and what is left are what was there; the kinds of places are all of it', () => {
    const strays = fc.double({ min: 0, max: 0.2, noNaN: true });
    const share = fc.double({ min: 0.05, max: 0.95, noNaN: true });
    fc.assert(
      fc.property(pressed, strays, share, fc.nat(99), (sheet, hand, at, seed) => {
        const { relief, thick } = sheet;
        const result = shave(sheet, { height: at * topOf(sheet), strays: hand, seed });
        const area = relief.columns * relief.rows * relief.wide * relief.high;
        expect((result.shaved + result.left) / (area * thick)).toBeCloseTo(1, 4);
        expect(result.thick * area).toBeCloseTo(result.left, 2);
        expect(result.shares.reduce((sum, s) => sum + s, 0)).toBeCloseTo(1, 9);
      }),
    );
  });

  test('within the band by a plane all is right; above it the rises stand, below it the valleys are gouged', () => {
    fc.assert(
      fc.property(pressed, (sheet) => {
        const [from, to] = bandOf(sheet);
        expect(shave(sheet, { height: (from + to) / 2 }).shares[1]).toBe(1);
        const above = to + 0.3 * (topOf(sheet) - to);
        if (above < topOf(sheet)) expect(shave(sheet, { height: above }).shares[0]).toBeGreaterThan(0);
        expect(shave(sheet, { height: 0.9 * from }).shares).toEqual([0, 0, 1]);
      }),
    );
  });

  test('a relief that leaves nothing below it, and a blade beside the clay, are refused', () => {
    expect(() => pressedOf('furrows', { thick: 1, depth: 1.9 })).toThrow(/leaves 0.05 mm below it in a sheet of 1.00/);
    expect(() => pressedOf('furrows', { depth: 0 })).toThrow(/0.00 mm deep/);
    const sheet = pressedOf('net');
    expect(() => shave(sheet, { height: topOf(sheet) })).toThrow(/takes nothing/);
    expect(() => shave(sheet, { height: 0 })).toThrow(/the whole sheet/);
  });
});

describe('how flakes lie', () => {
  test('the area that is tilted more than 20° is that of the slopes of the relief, within 2 %', () => {
    for (const [pitch, depth] of [
      [4.13, 1],
      [3.07, 0.6],
      [6.21, 1.4],
    ] as const) {
      const thick = 4;
      const relief = reliefOf('furrows', { width: 60, height: 20 }, pitch, 600);
      const sheet = press(relief, thick, depth);
      const tilts = tiltsAt(sheet, shave(sheet, { height: sheet.valley }).surface);
      // furrows are valley + depth (1 + cos 2πx/pitch)/2: their slope, reckoned at a hundred thousand places
      const k = (2 * Math.PI) / pitch;
      const places = 100_000;
      let beyond = 0;
      for (let n = 0; n < places; n++) {
        const x = (n / places) * pitch;
        const stands = sheet.valley + (depth * (1 + Math.cos(k * x))) / 2;
        const slope = ((sheet.valley / stands) * depth * k * Math.sin(k * x)) / 2;
        if (Math.abs(slope) > Math.tan(Math.PI / 9)) beyond += 1;
      }
      expect(Math.abs(tiltedBeyond(tilts, 20) - beyond / places)).toBeLessThan(0.02);
    }
  });

  test('the deeper the cut, the flatter they lie', () => {
    fc.assert(
      fc.property(pressed, fc.double({ min: 0.3, max: 0.9, noNaN: true }), (sheet, share) => {
        const at = (height: number): number => {
          const { across, down } = tiltsAt(sheet, shave(sheet, { height }).surface);
          return across.reduce((sum, x, i) => sum + Math.hypot(x, down[i] ?? 0), 0);
        };
        expect(at(share * sheet.valley)).toBeLessThan(at(sheet.valley));
      }),
    );
  });

  test('contrast falls at every setting, by hand and by machine, and never rises', () => {
    const way = fc.constantFrom('by hand' as const, 'by machine' as const);
    const thinner = fc.array(fc.double({ min: 0.6, max: 0.98, noNaN: true }), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(pressed, way, thinner, (sheet, how, ratios) => {
        let tilts = tiltsAt(sheet, shave(sheet, { height: sheet.valley }).surface);
        let seen = contrastOf(tilts, COLOURS);
        for (const ratio of ratios) {
          const area = tilts.wide * tilts.high;
          tilts = rolled(tilts, ratio, how);
          // what is thinner is larger
          expect((tilts.wide * tilts.high * ratio) / area).toBeCloseTo(1, 9);
          const next = contrastOf(tilts, COLOURS);
          expect(next).toBeLessThanOrEqual(seen + 1e-6);
          seen = next;
        }
      }),
    );
  });

  test('passes lay them flat, each less than the one before', () => {
    const order = [0, 1, 2, 5, 10, 20].map((passes) => orderAfter(passes));
    expect(order[0]).toBe(0);
    expect(order[4]).toBeCloseTo(0.95, 9);
    expect([...order].sort((a, b) => a - b)).toEqual(order);
    expect(orderAfter(6, 6)).toBeCloseTo(0.95, 9);
  });
});

describe('seen under a lamp', () => {
  const sheet = pressedOf('furrows', { pitch: 6, depth: 1 });
  const facing = facingOf(tiltsAt(sheet, shave(sheet, { height: sheet.valley }).surface));

  test('a sheet that lies flat shows its face under a lamp straight above, and less from the side', () => {
    const flat = facingOf({
      columns: 2,
      rows: 1,
      wide: 1,
      high: 1,
      across: new Float32Array(2),
      down: new Float32Array(2),
    });
    expect([...relit(flat, ABOVE)]).toEqual([1, 1]);
    const low = relit(flat, { from: 0, above: 30 })[0] ?? 0;
    expect(low).toBeLessThan(relit(flat, { from: 0, above: 60 })[0] ?? 0);
    expect(sheenColour(COLOURS, 1).l).toBeCloseTo(FACE.l, 6);
    expect(sheenColour(COLOURS, 0).l).toBeCloseTo(EDGE.l, 6);
  });

  test('from the one side the slopes towards the lamp are bright, from the other the others', () => {
    const [right, left] = [0, 180].map((from) => relit(facing, { from, above: 45 })) as [Float32Array, Float32Array];
    const wrong = facing.x.filter((x, at) => {
      const brighter = Math.sign((right[at] ?? 0) - (left[at] ?? 0));
      return Math.abs(x) > 0.02 && brighter !== Math.sign(x);
    });
    expect(wrong).toHaveLength(0);
  });

  test('every share is from 0 to 1, wherever the lamp stands', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 0, max: 90 }), (from, above) => {
        const shares = relit(facing, { from, above });
        expect(shares.every((share) => share >= 0 && share <= 1.000001)).toBe(true);
      }),
      { numRuns: 20 },
    );
  });
});
