import fc from 'fast-check';
import { layoutOf, layoutsFor, outlinesOf } from '#core/blend';
import { ofClay } from '#core/material';
import { moved, widestIn, withPoint, withoutPoint } from '../src/stations/blends/cutMoves.js';
import { onScreen } from '../src/stations/blends/cutPlace.js';
import { cutFrom, withPiece } from '../src/stations/blends/pieceMoves.js';
import {
  MOST_COLOURS,
  cutsFor,
  cutsOf as layoutCuts,
  recoloured,
  relaid,
  resized,
  withoutColour,
} from '../src/stations/blends/planMoves.js';
import { discsFor, foldedMm, rectanglesOf } from '../src/stations/blends/stripPlan.js';
import { placeOnFace } from '../src/stations/blends/tapeWords.js';
import { layoutIn } from '../src/stations/blends/workedBlend.js';
import { clayId, plan } from './kitchen.js';

const NAMES = ['Chalk', 'Leek', 'Beetroot', 'Soot'] as const;
const plans = fc
  .tuple(
    fc.integer({ min: 2, max: NAMES.length }),
    fc.integer({ min: 60, max: 300 }),
    fc.integer({ min: 40, max: 200 }),
  )
  .map(([n, width, height]) => relaid(plan(NAMES.slice(0, n)), { width, height }));
const layouts = plans.map(layoutIn);

describe('the plan of a blend', () => {
  test('is laid anew for another size: its cuts reach from edge to edge, inside the sheet', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 60, max: 300 }), fc.integer({ min: 40, max: 200 }), (before, w, h) => {
        const after = resized(before, w, h);
        expect([after.width, after.height]).toEqual([w, h]);
        expect(after.cuts).toHaveLength(before.cuts.length);
        for (const { points } of after.cuts) {
          expect(points[0]?.y).toBeCloseTo(0, 6);
          expect(points.at(-1)?.y).toBeCloseTo(h, 6);
          for (const p of points) expect(p.x >= -1e-9 && p.x <= w + 1e-9).toBe(true);
        }
      }),
    );
  });

  test('a cut that was drawn is stretched with the sheet, and there and back is as it was', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 60, max: 300 }), (laid, w) => {
        const before = { ...laid, kind: 'free' as const };
        const back = resized(resized(before, w, 77), before.width, before.height);
        before.cuts.forEach((cut, c) => {
          cut.points.forEach((p, k) => {
            expect(back.cuts[c]?.points[k]?.x).toBeCloseTo(p.x, 6);
            expect(back.cuts[c]?.points[k]?.y).toBeCloseTo(p.y, 6);
          });
        });
      }),
    );
  });

  test('another colour in a place changes nothing but that; one more or one less lays the sheet anew', () => {
    fc.assert(
      fc.property(plans, fc.nat(), (before, n) => {
        const at = n % before.colours.length;
        const soot = ofClay(clayId('Soot'));
        const other = recoloured(before, at, soot);
        expect(other).toEqual({ ...before, colours: before.colours.map((c, i) => (i === at ? soot : c)) });
        if (before.colours.length < MOST_COLOURS) {
          const more = recoloured(before, before.colours.length, soot);
          expect(more.cuts).toHaveLength(before.cuts.length + 1);
          expect(withoutColour(more, before.colours.length).colours).toEqual(before.colours);
        }
      }),
    );
  });

  test('can be cut in every way there is for so many colours, and in its own', () => {
    fc.assert(
      fc.property(plans, (before) => {
        expect(cutsFor(before)).toEqual(layoutsFor(before.colours.length));
        expect(cutsFor({ ...before, kind: 'free' })).toContain('free');
      }),
    );
  });
});

describe('a point of a cut', () => {
  const points = fc.tuple(layouts, fc.nat(), fc.nat()).map(([layout, a, b]) => {
    const cut = a % layout.cuts.length;
    return { layout, cut, point: b % (layout.cuts[cut]?.length ?? 1) };
  });
  const places = fc.record({ x: fc.integer({ min: -50, max: 400 }), y: fc.integer({ min: -50, max: 300 }) });

  test('stays on the sheet and between its neighbours, and its ends on their edge, wherever it is dragged', () => {
    fc.assert(
      fc.property(points, places, ({ layout, cut, point }, to) => {
        const before = layoutCuts(layout);
        const after = moved(layout, cut, point, to);
        const at = after[cut]?.points[point];
        expect(at && at.x >= 0 && at.x <= layout.width).toBe(true);
        const ys = after[cut]?.points.map((p) => p.y) ?? [];
        expect(ys).toEqual([...ys].sort((a, b) => a - b));
        expect([ys[0], ys.at(-1)]).toEqual([before[cut]?.points[0]?.y, before[cut]?.points.at(-1)?.y]);
        after.forEach((other, i) => {
          if (i !== cut) expect(other).toEqual(before[i]);
        });
      }),
    );
  });

  test('more is put at its height, and taken away again nothing has changed; ends are never taken away', () => {
    fc.assert(
      fc.property(points, fc.integer({ min: 1, max: 99 }), ({ layout, cut }, percent) => {
        const y = (layout.height * percent) / 100;
        const more = withPoint(layout, cut, { x: 10, y });
        const points = more?.[cut]?.points ?? [];
        const at = points.findIndex((p) => p.y === y && p.x === 10);
        expect(at).toBeGreaterThan(0);
        const laid = { ...layout, cuts: (more ?? []).map((c) => c.points) };
        expect(withoutPoint(laid, cut, at)).toEqual(layoutCuts(layout));
        expect(withoutPoint(laid, cut, 0)).toBeNull();
        expect(withoutPoint(laid, cut, points.length - 1)).toBeNull();
        expect(withPoint(layout, cut, { x: 10, y: layout.height + 1 })).toBeNull();
      }),
    );
  });

  test('of a drawing and of the sheet are the same place', () => {
    fc.assert(
      fc.property(layouts, places, fc.integer({ min: 1, max: 40 }), (layout, { x, y }, scale) => {
        const on = onScreen(layout, scale / 10);
        const back = on.place(on.x(x), on.y(y));
        expect(back.x).toBeCloseTo(x, 6);
        expect(back.y).toBeCloseTo(y, 6);
      }),
    );
  });

  test('a name stands inside its colour', () => {
    const layout = layoutOf('corner', 2, 180, 120, 20);
    for (const outline of outlinesOf(layout)) {
      const at = widestIn([...outline, outline[0]!], layout);
      const xs = outline.map((p) => p.x);
      expect(at.x > Math.min(...xs) && at.x < Math.max(...xs)).toBe(true);
    }
  });
});

describe('what a blend takes and gives', () => {
  test('discs hold the grams to an eighth of one, and there is at least a quarter', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 300, max: 3000 }), (tenths, disc) => {
        const [grams, density] = [tenths / 10, 1.9];
        const discs = discsFor(grams, density, disc).valueOf();
        const each = (disc * density) / 1000;
        expect(discs * 4).toBeCloseTo(Math.round(discs * 4), 9);
        expect(discs).toBeGreaterThanOrEqual(0.25);
        if (discs > 0.25) expect(Math.abs(discs * each - grams)).toBeLessThanOrEqual(each / 8 + 1e-9);
      }),
    );
  });

  test('one rectangle gives two layers: as many as half the layers of all tapes, rounded up', () => {
    fc.assert(
      fc.property(plans, fc.integer({ min: 1, max: 8 }), fc.integer({ min: 1, max: 6 }), (before, layers, stack) => {
        expect(rectanglesOf({ ...before, layers, stack })).toBe(Math.ceil((layers * stack) / 2));
      }),
    );
  });

  test('folded once it is twice as thick as its layers', () => {
    const of = { ...plan(['Chalk', 'Leek']), layers: 3 };
    expect(foldedMm(of, { mm: 1.5 } as Parameters<typeof foldedMm>[1])).toBeCloseTo(9, 9);
  });

  test('pieces and what is left over are the sheet: rows × π/4·d² + rest', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 25 }), fc.integer({ min: 1, max: 6 }), (size, count) => {
        const of = plan(['Chalk', 'Leek']);
        const { rows, left } = cutFrom(
          of,
          Array.from({ length: count }, () => size),
        );
        const sheet = of.width * of.height;
        const pieces = rows * count * (Math.PI / 4) * size ** 2;
        fc.pre(pieces <= sheet);
        expect(pieces + left * sheet).toBeCloseTo(sheet, 6);
      }),
    );
  });

  test('one of the pieces is changed, the others stay', () => {
    const placed = [
      { x: 10, size: 18 },
      { x: 60, size: 12 },
    ];
    expect(withPiece(placed, 1, { x: 70 })).toEqual([placed[0], { x: 70, size: 12 }]);
  });

  test('beside the round face of a plug there is nothing; a fan is a square of its fade', () => {
    const rolled = { kind: 'rolled', diameter: 20, height: 40, inside: 'first' } as const;
    const fan = { kind: 'fan', width: 30, depth: 10, height: 40, folds: 3 } as const;
    expect(placeOnFace(rolled, 0, 0)).toBeNull();
    expect(placeOnFace(rolled, 0.5, 0.5)).toBeCloseTo(0, 9);
    // the area law: half of the face lies within 1/√2 of its radius
    expect(placeOnFace(rolled, 0.5 + 0.5 / Math.SQRT2, 0.5)).toBeCloseTo(0.5, 9);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (x) => {
        expect(placeOnFace(fan, x, 0.3)).toBeCloseTo(x, 9);
      }),
    );
  });
});
