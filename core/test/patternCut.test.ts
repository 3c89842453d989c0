import { rectangle, circle, scaled } from '#core/outline';
import { cuttingLayout, cutterArea, handLayout, type Cutter } from '#core/cutter';
import { AIR, CUT_AIMS, pieceLook, proposeCuts, type CutSheet, type CutWish, type Look } from '#core/pattern';
import type { Lab } from '#core/colour';
import { seeded } from '#core/units';

const OVAL: Cutter = { shape: 'oval', width: 14, height: 20 };
const DROP: Cutter = { shape: 'teardrop', width: 12, height: 18 };
const DISC: Cutter = { shape: 'round', width: 12, height: 12 };
const SQUARE: Cutter = { shape: 'rectangle', width: 12, height: 12 };

const LABS: readonly Lab[] = [
  { l: 90, a: 0, b: 4 },
  { l: 25, a: 20, b: -10 },
  { l: 60, a: 30, b: 50 },
];
const colourOf = (value: number): Lab | null => (value < 0 ? null : (LABS[Math.floor(value)] ?? null));

type Sample = Look['sample'];
const sheetOf = (width: number, height: number, sample: Sample, round = false): CutSheet => ({
  width,
  height,
  round,
  look: { outline: round ? scaled(circle(1), width, height) : rectangle(width, height), sample },
});

/** Blots of two colours at random on a ground, and holes where they are asked for. */
function blots(seed: number, holes: number, width: number, height: number): Sample {
  const chance = seeded(seed);
  const all = Array.from({ length: 40 }, (_, i) => ({
    x: (chance() - 0.5) * width,
    y: (chance() - 0.5) * height,
    r: 2 + 5 * chance(),
    value: i < holes ? AIR : 1 + (i % 2),
  }));
  return (x, y) => all.find((b) => Math.hypot(x - b.x, y - b.y) < b.r)?.value ?? 0;
}

const wish = (cutter: Cutter, count: number, more: Partial<CutWish> = {}): CutWish => ({
  ...{ cutter, count, bridge: 1, aim: 'contrast', beside: [] },
  ...more,
});

/** Throws where pieces lie on each other or over the edge. */
function layAll(
  sheets: readonly CutSheet[],
  { cutter, bridge }: CutWish,
  places: ReturnType<typeof proposeCuts>['places'],
) {
  sheets.forEach(({ width, height, round }, sheet) => {
    handLayout(
      cutter,
      places.filter((p) => p.sheet === sheet),
      { width, length: height, bridge, round },
    );
  });
}

/** Places of a piece, evenly over its box, that lie on it. */
function seenOn(sheet: CutSheet, cutter: Cutter, place: { x: number; y: number; degrees: number; flip?: boolean }) {
  const look = pieceLook(sheet.look, sheet, cutter, place);
  const seen: number[] = [];
  for (let u = -0.45; u <= 0.45; u += 0.05)
    for (let v = -0.45; v <= 0.45; v += 0.05)
      if (u * u + v * v < 0.2) seen.push(look.sample(u * cutter.width, v * cutter.height));
  return seen;
}

/** How far the colours of a piece lie from their mean. */
function spreadOf(values: readonly number[]): number {
  const labs = values.flatMap((v) => colourOf(v) ?? []);
  const mean = (k: 'l' | 'a' | 'b'): number => labs.reduce((s, lab) => s + lab[k], 0) / labs.length;
  const [l, a, b] = [mean('l'), mean('a'), mean('b')];
  return Math.sqrt(
    labs.reduce((s, lab) => s + (lab.l - l) ** 2 + (lab.a - a) ** 2 + (lab.b - b) ** 2, 0) / labs.length,
  );
}

describe('where pieces are cut of a patterned sheet', () => {
  test.each(CUT_AIMS)('%s: as many as are wanted, all on the sheet, none on another', (aim) => {
    for (const seed of [1, 2])
      for (const cutter of [DROP, DISC]) {
        const sheet = sheetOf(80, 70, blots(seed, 3, 80, 70));
        const own = wish(cutter, 8, { aim });
        const { places } = proposeCuts([sheet], colourOf, own);
        expect(places).toHaveLength(8);
        layAll([sheet], own, places);
      }
  });

  test('as many as rows would give, where there is hardly more room than that', () => {
    for (const cutter of [DISC, SQUARE, OVAL]) {
      const { width, length } = cuttingLayout(cutter, 12, { width: 80, length: 200, bridge: 1 });
      const sheet = sheetOf(width, length, blots(5, 0, width, length));
      const own = wish(cutter, 12);
      const { places } = proposeCuts([sheet], colourOf, own);
      expect(places).toHaveLength(12);
      layAll([sheet], own, places);
    }
  });

  test('what has no room is not cut: the clay of the pieces is never more than that of the sheet', () => {
    const sheet = sheetOf(40, 40, blots(6, 0, 40, 40));
    const { places } = proposeCuts([sheet], colourOf, wish(OVAL, 30));
    expect(places.length).toBeGreaterThan(1);
    expect(places.length * cutterArea(OVAL)).toBeLessThan(40 * 40);
    expect(proposeCuts([sheetOf(10, 10, () => 0)], colourOf, wish(OVAL, 1)).places).toHaveLength(0);
  });

  test('pieces show no hole, where there is room without one', () => {
    for (const seed of [11, 12]) {
      const sheet = sheetOf(120, 100, blots(seed, 9, 120, 100));
      const { places, holed } = proposeCuts([sheet], colourOf, wish(DISC, 8));
      expect(holed).toBe(0);
      for (const place of places) {
        const seen = seenOn(sheet, DISC, place);
        expect(seen.filter((v) => v === AIR).length).toBeLessThanOrEqual(seen.length * 0.02);
      }
    }
  });

  test('where there is a hole everywhere it says of how many pieces', () => {
    const everywhere = sheetOf(60, 60, (x, y) => ((Math.round(x / 4) + Math.round(y / 4)) % 2 === 0 ? AIR : 0));
    const { places, holed } = proposeCuts([everywhere], colourOf, wish(DISC, 4));
    expect(places).toHaveLength(4);
    expect(holed).toBe(4);
  });

  test('best contrast shows more than the same number in rows', () => {
    let [best, rows] = [0, 0];
    for (const seed of [21, 22]) {
      const sheet = sheetOf(120, 100, blots(seed, 0, 120, 100));
      const { places } = proposeCuts([sheet], colourOf, wish(DISC, 10));
      const { centres } = cuttingLayout(DISC, 10, { width: 120, length: 100, bridge: 1 });
      for (let i = 0; i < 10; i++) {
        best += spreadOf(seenOn(sheet, DISC, places[i] as never));
        rows += spreadOf(seenOn(sheet, DISC, { x: centres[2 * i] ?? 0, y: centres[2 * i + 1] ?? 0, degrees: 0 }));
      }
    }
    expect(best).toBeGreaterThan(1.25 * rows);
  });

  test('most variety takes of every field of a sheet in fields', () => {
    // nine fields: three plain ones, and six of stripes that differ
    const field = (x: number, y: number): number => {
      const n = 3 * Math.floor((x + 60) / 40) + Math.floor((y + 60) / 40);
      if (n < 3) return n;
      return Math.floor((n % 2 === 0 ? x : y) / (n - 2)) % 2 === 0 ? n % 3 : (n + 1) % 3;
    };
    const sheet = sheetOf(120, 120, field);
    const { places } = proposeCuts([sheet], colourOf, wish(DISC, 9, { aim: 'variety' }));
    const fields = new Set(places.map(({ x, y }) => 3 * Math.floor(x / 40) + Math.floor(y / 40)));
    expect(fields.size).toBeGreaterThanOrEqual(6);
  });

  test('twins are found where the sheet has them: mirrored halves give mirrored pieces', () => {
    const half = blots(31, 0, 60, 90);
    const sheet = sheetOf(120, 90, (x, y) => half(Math.abs(x) - 30, y));
    const { places } = proposeCuts([sheet], colourOf, wish(DROP, 4, { aim: 'twins' }));
    expect(places).toHaveLength(4);
    for (const i of [0, 2]) {
      const [one, other] = [places[i], places[i + 1]];
      if (!one || !other) throw new Error('no pair');
      expect([one.flip, other.flip]).toEqual([false, true]);
      const [a, b] = [seenOn(sheet, DROP, one), seenOn(sheet, DROP, other)];
      // in the mirror: the places of a row run the other way
      const look = pieceLook(sheet.look, sheet, DROP, other);
      let same = 0;
      let n = 0;
      for (let u = -0.3; u <= 0.3; u += 0.05)
        for (let v = -0.3; v <= 0.3; v += 0.05) {
          n++;
          const first = pieceLook(sheet.look, sheet, DROP, one).sample(u * DROP.width, v * DROP.height);
          if (first === look.sample(-u * DROP.width, v * DROP.height)) same++;
        }
      expect(a).toHaveLength(b.length);
      expect(same / n).toBeGreaterThan(0.8);
    }
  });

  test('pieces of another cutter keep their room, and each sheet of several is used', () => {
    const sheets = [sheetOf(60, 50, blots(41, 0, 60, 50)), sheetOf(60, 50, blots(42, 0, 60, 50))];
    const first = proposeCuts(sheets, colourOf, wish(OVAL, 6));
    const beside = first.places.map((place) => ({ cutter: OVAL, place }));
    const second = proposeCuts(sheets, colourOf, wish(DISC, 20, { beside }));
    expect(new Set(second.places.map((p) => p.sheet)).size).toBe(2);
    for (const p of second.places)
      for (const o of first.places)
        if (o.sheet === p.sheet) expect(Math.hypot(o.x - p.x, o.y - p.y)).toBeGreaterThan(6 + 7 - 0.5);
  });

  test('on a round sheet all of each piece lies on it', () => {
    const disc = sheetOf(70, 70, blots(51, 0, 70, 70), true);
    const own = wish(DISC, 9);
    const { places } = proposeCuts([disc], colourOf, own);
    expect(places).toHaveLength(9);
    layAll([disc], own, places);
    expect(() =>
      handLayout(DISC, [{ x: 6, y: 6, degrees: 0 }], { width: 70, length: 70, bridge: 0, round: true }),
    ).toThrow(/over the edge/);
  });

  test('what is left of a round sheet: pieces and what lies between them are all of it that is used', () => {
    const layout = handLayout(DISC, [{ x: 35, y: 63, degrees: 0 }], { width: 70, length: 70, bridge: 1, round: true });
    const area = layout.area ?? 0;
    expect(layout.length).toBeCloseTo(70, 6);
    expect(area).toBeCloseTo(Math.PI * 35 ** 2, 3);
    expect(layout.scrap * area + cutterArea(DISC)).toBeCloseTo(area, 6);
  });
});
