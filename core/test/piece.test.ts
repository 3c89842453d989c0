import fc from 'fast-check';
import { areaOf } from '#core/outline';
import {
  MOST_LYING,
  PIECE_MODELS,
  amountsOf,
  cutInBalls,
  domeArea,
  domeStretch,
  layPiece,
  numberOf,
  pieceMaterials,
  placesOf,
  punchedWith,
  readPiece,
  remarksOn,
  settlePiece,
  solidOf,
  withPieceMaterial,
  type BallForm,
  type PartOf,
  type PieceDocument,
  type Place,
  type Shape,
  type Value,
} from '#core/piece';
import { refused } from './refused.js';

const part = (
  id: string,
  shape: Shape,
  place: Place = { lies: 'at', x: 0, y: 0, turn: 0 },
  on: string | null = null,
) => ({ ...{ id, name: id, of: null, like: 'F1EEE4', on, shape, place } });
const piece = (...parts: PartOf<Value>[]): PieceDocument => ({ version: 1, sizes: [], parts });
const ball = (width: number, form: BallForm = 'round', ratio = 1): Shape => ({ is: 'ball', form, width, ratio });
const disc = (width: number, mm: number): Shape => ({
  is: 'cut',
  outline: { shape: 'round', width, height: width },
  mm,
});

const mm = fc.double({ min: 1, max: 40, noNaN: true });
const ratio = fc.double({ min: 1.05, max: 4, noNaN: true });

/** Simpson's rule over pieces between the places where a curve has corners. */
function integral(f: (x: number) => number, corners: readonly number[], steps = 4000): number {
  let sum = 0;
  corners.slice(1).forEach((to, i) => {
    const from = corners[i]!;
    const h = (to - from) / steps;
    for (let k = 0; k < steps; k++) {
      const x = from + k * h;
      sum += (h / 6) * (f(x) + 4 * f(x + h / 2) + f(x + h));
    }
  });
  return sum;
}

describe('shapes by hand', () => {
  test.each<[BallForm, (w: number, l: number, x: number) => number, (w: number, l: number) => number[]]>([
    ['round', (w, _, x) => (w / 2) ** 2 - (x - w / 2) ** 2, (w) => [0, w]],
    ['oval', (w, l, x) => (w / 2) ** 2 * (1 - ((2 * x) / l - 1) ** 2), (_, l) => [0, l]],
    ['bicone', (w, l, x) => ((w / 2) * (1 - Math.abs((2 * x) / l - 1))) ** 2, (_, l) => [0, l / 2, l]],
    [
      'drop',
      (w, l, x) => {
        const [r, d] = [w / 2, l - w / 2];
        const from = x - r;
        // the cone that leaves the ball where its radius stands upright on it
        return from <= (r * r) / d
          ? r * r - from * from
          : (r * Math.sqrt(1 - (r / d) ** 2) * ((d - from) / (d - (r * r) / d))) ** 2;
      },
      (w, l) => [0, w / 2 + (w / 2) ** 2 / (l - w / 2), l],
    ],
  ])('a %s has the volume of its radius turned about its length', (form, radius2, corners) => {
    fc.assert(
      fc.property(mm, ratio, (w, r) => {
        const l = form === 'round' ? w : w * r;
        const turned = Math.PI * integral((x) => radius2(w, l, x), corners(w, l));
        const { volume } = solidOf(ball(w, form, r), 'it');
        expect(Math.abs(volume - turned) / turned).toBeLessThan(1e-9);
      }),
      { numRuns: 40 },
    );
  });

  test('a ball of a disc of 15 mm at 3 mm is 10 mm wide, and that disc is what punches its clay', () => {
    const { volume } = solidOf(ball(10.0), 'it');
    expect(punchedWith(volume, 3)).toBeCloseTo(Math.sqrt(1000 / 3 / 1.5), 6);
    expect(Math.cbrt(1.5 * 15 ** 2 * 3)).toBeCloseTo(10.04, 2);
  });

  test('small balls are cut of a snake that holds just their clay', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 3.9, noNaN: true }), fc.integer({ min: 1, max: 200 }), (w, n) => {
        const { volume } = solidOf(ball(w), 'it');
        const cut = cutInBalls(w, volume, n)!;
        expect((Math.PI / 4) * cut.snake ** 2 * cut.length).toBeCloseTo(volume * n, 6);
        expect(cut.each * n).toBeCloseTo(cut.length, 9);
      }),
    );
    expect(cutInBalls(9, 400, 3)).toBeNull();
  });

  test('a covered core is a ball of its wall and its core, and as many slices as cover the middle of the wall', () => {
    fc.assert(
      fc.property(mm, fc.double({ min: 0.5, max: 3, noNaN: true }), (core, wall) => {
        const { volume, second } = solidOf(
          { is: 'covered', core, wall, with: null, withLike: '26242A', bakedFirst: true },
          'it',
        );
        expect(volume + second).toBeCloseTo((Math.PI * (core + 2 * wall) ** 3) / 6, 6);
        expect(second).toBeCloseTo((Math.PI * core ** 3) / 6, 6);
      }),
    );
  });

  test('a dome has the area and the arc of a part of a ball', () => {
    expect(domeArea(20, 10)).toBeCloseTo(2 * Math.PI * 100, 6);
    expect(domeStretch(20, 10)).toBeCloseTo(Math.PI / 2, 6);
    expect(domeStretch(20, 0.01)).toBeCloseTo(1, 4);
  });

  test('a drop that is shorter than wide, or a size of nothing, is told', () => {
    expect(refused(() => solidOf(ball(8, 'drop', 0.5), 'Tip')).message).toMatch(/at least as long/);
    expect(refused(() => solidOf(ball(0), 'Tip')).message).toMatch(/width of Tip has to be more than 0/);
  });
});

describe('where parts lie', () => {
  const lies = (place: Place) => placesOf({ name: 'it', place });

  test('a ring is round, and a second one lies in its gaps', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 40 }), mm, (n, radius) => {
        const ring = { lies: 'ring', n, radius, turn: 0, gaps: false } as const;
        const [first, second] = [lies(ring), lies({ ...ring, gaps: true })];
        expect(first).toHaveLength(n);
        for (const { x, y } of [...first, ...second]) expect(Math.hypot(x, y)).toBeCloseTo(radius, 9);
        expect(second[0]!.degrees - first[0]!.degrees).toBeCloseTo(180 / n, 9);
      }),
    );
  });

  test('what is scattered keeps its distance and stays within its circle, the same each time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 99 }), (n, seed) => {
        const place = { lies: 'scatter', n, radius: 10, apart: 2.5, seed } as const;
        const all = lies(place);
        expect(lies(place)).toEqual(all);
        all.forEach((a, i) => {
          expect(Math.hypot(a.x, a.y)).toBeLessThanOrEqual(10 + 1e-9);
          for (const b of all.slice(0, i)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThanOrEqual(2.5 - 1e-9);
        });
      }),
      { numRuns: 60 },
    );
    expect(refused(() => lies({ lies: 'scatter', n: 200, radius: 5, apart: 2, seed: 1 })).message).toMatch(
      /Only \d+ of 200/,
    );
  });

  test('a pair is each the mirror image of the other', () => {
    const [right, left] = lies({ lies: 'pair', x: 6, y: 2, turn: 30 });
    expect(left).toEqual({ x: -right!.x, y: right!.y, degrees: -right!.degrees, flip: true });
  });

  test('what lies on a part lies on each of it, turned with it', () => {
    const { parts } = layPiece(
      piece(
        part('petal', disc(10, 1), { lies: 'ring', n: 5, radius: 20, turn: 0, gaps: false }),
        part('dot', ball(1), { lies: 'at', x: 0, y: 4, turn: 0 }, 'petal'),
      ),
    );
    expect(parts[1]!.lying).toHaveLength(5);
    for (const { x, y } of parts[1]!.lying) expect(Math.hypot(x, y)).toBeCloseTo(24, 9);
  });
});

describe('putting together', () => {
  test('heights add where parts lie on each other, and only there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 6 }), fc.double({ min: 0.5, max: 4, noNaN: true }), (n, thick) => {
        const { parts } = layPiece(piece(part('disc', disc(12, thick), { lies: 'stack', n, x: 0, y: 0 })));
        const stack = settlePiece(parts)!;
        expect(stack.top).toBeCloseTo(n * thick, 4);
        expect(stack.thickest).toBeCloseTo(n * thick, 4);
        const ring: Place = { lies: 'ring', n: 6, radius: 30, turn: 0, gaps: false };
        const apart = settlePiece(layPiece(piece(part('disc', disc(12, thick), ring))).parts)!;
        expect(apart.top).toBeCloseTo(thick, 4);
      }),
      { numRuns: 20 },
    );
  });

  test('a ball on a sheet stands on it; a pin underneath reaches below the table', () => {
    const under: PartOf<number> = {
      ...part('pin', { is: 'finding', finding: null, form: 'pin', width: 4, length: 12 }),
      under: true,
    };
    const settled = settlePiece(layPiece(piece(part('base', disc(20, 2)), part('ball', ball(8)), under)).parts)!;
    expect(settled.top).toBeCloseTo(10, 0);
    expect(settled.bottom).toBeCloseTo(-1, 4);
    expect(settled.thickest).toBeCloseTo(10, 0);
  });

  test.each(PIECE_MODELS.map((m) => [m.name, m.piece] as const))(
    '%s can be read, laid and put together',
    (_, model) => {
      expect(readPiece(JSON.parse(JSON.stringify(model)))).toEqual(model);
      const { parts, wrong } = layPiece(model);
      expect(wrong).toEqual([]);
      expect(remarksOn(parts)).toEqual(model === PIECE_MODELS[5]!.piece ? [expect.anything()] : []);
      const settled = settlePiece(parts)!;
      expect(settled.top).toBeGreaterThan(1);
      expect(settled.extent.width).toBeLessThan(80);
      for (const { edge } of settled.parts) expect(areaOf({ points: edge, round: false })).not.toBeNaN();
    },
  );

  test('a size carries everything that follows it', () => {
    for (const { piece: model } of PIECE_MODELS) {
      const lengths = model.sizes.filter((s) => s.unit === 'mm');
      const twice = {
        ...model,
        sizes: model.sizes.map((s) => (lengths.includes(s) ? { ...s, value: 2 * s.value } : s)),
      };
      const volume = (of: PieceDocument): number =>
        amountsOf(layPiece(of).parts).reduce((sum, a) => sum + a.volume * a.count, 0);
      expect(volume(twice)).toBeGreaterThan(2 * volume(model));
    }
    expect(numberOf({ size: 'a', times: 0.5 }, [{ id: 'a', name: 'a', unit: 'mm', value: 12 }])).toBe(6);
  });
});

describe('documents that are wrong', () => {
  const base = part('base', disc(10, 1));
  test.each<[string, unknown, RegExp]>([
    ['no piece at all', 'blossom', /an object is wanted/],
    ['of a newer Sledge', { version: 2, sizes: [], parts: [] }, /newer Sledge/],
    ['a part on itself', piece({ ...base, on: 'base' }), /base lies on itself/],
    ['a part on itself by another', piece({ ...base, on: 'b' }, part('b', disc(5, 1), undefined, 'base')), /on itself/],
    ['a part on none', piece({ ...base, on: 'gone' }), /lies on is not there/],
    ['two of one id', piece(base, base), /same id/],
    ['a shape that nobody knows', piece({ ...base, shape: { is: 'cube' } as never }), /one of cut, slice/],
    ['a field too many', { version: 1, sizes: [], parts: [{ ...base, glitter: 1 }] }, /“glitter” is not known/],
    ['a colour in words', piece({ ...base, like: 'purple' }), /six digits/],
    ['61 parts', piece(...Array.from({ length: 61 }, (_, i) => ({ ...base, id: String(i) }))), /list of 0 to 60/],
  ])('%s', (_, document, sentence) => {
    expect(refused(() => readPiece(document)).message).toMatch(sentence);
  });

  test(`more than ${MOST_LYING} parts that lie on one piece are told, and so is a ring of rods that do not fit`, () => {
    const many = piece(
      part('a', ball(1), { lies: 'row', n: 30, apart: 2, x: 0, y: 0, turn: 0 }),
      part('b', ball(1), { lies: 'row', n: 30, apart: 2, x: 0, y: 0, turn: 0 }, 'a'),
    );
    expect(refused(() => layPiece(many)).message).toMatch(/930 parts/);
    const rods = layPiece(piece(part('rod', ball(5), { lies: 'ring', n: 12, radius: 6, turn: 0, gaps: false })));
    expect(remarksOn(rods.parts)[0]!.sentence).toMatch(/12 of rod do not fit/);
  });

  test('a part that cannot be laid is told and left out; the others stay', () => {
    const { parts, wrong } = layPiece(
      piece(base, part('seed', ball(1), { lies: 'scatter', n: 90, radius: 2, apart: 1, seed: 1 })),
    );
    expect(parts.map((p) => p.part.id)).toEqual(['base']);
    expect(wrong).toEqual([{ partId: 'seed', sentence: expect.stringMatching(/of 90 of seed/) as string }]);
  });
});

test('every material of a piece is found, and exchanged', () => {
  const twist: Shape = { is: 'twist', width: 3, length: 40, bend: 'ring', with: 'clay:b', withLike: '26242A' };
  const own = piece({ ...part('rope', twist), of: 'clay:a' });
  expect(pieceMaterials(own)).toEqual(['clay:a', 'clay:b']);
  const other = withPieceMaterial(own, (of) => (of === 'clay:a' ? 'mix:c' : null));
  expect(pieceMaterials(other)).toEqual(['mix:c']);
});
