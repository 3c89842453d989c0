import { cutterArea, cutterOf } from '#core/cutter';
import { ofClay } from '#core/material';
import { MOST_CUT_KINDS, type PatternCutDto, type StockAnswer } from '#contract';
import { machines } from '#demo';
import {
  besides,
  foundWords,
  newCut,
  placesOn,
  proposed,
  sheetsToCut,
  weighed,
  withPlacesOn,
  wrongOn,
  type SheetsToCut,
} from '../src/stations/patterns/cutting/cutMoves.js';
import { nearestSetting, newBatchOf, piecesFor, sheetAsLayer } from '../src/stations/patterns/cutting/intoBatch.js';
import { finished } from '../src/stations/patterns/faces/finished.js';
import { groundIn } from '../src/workers/patternLoaded.js';
import { cutLines } from '../src/stations/patterns/making/patternPaper.js';
import { clayId } from './kitchen.js';

const SHEETS: SheetsToCut = {
  ...{ ground: { width: 120, length: 80, round: false }, round: false, thick: 1.6, count: 2 },
  grams: 0.003,
};
const at = (x: number, y: number, sheet = 0) => ({ x, y, degrees: 0, flip: false, sheet });
const kind = (name: string, ...places: ReturnType<typeof at>[]): PatternCutDto => ({
  ...{ id: name, name, shape: 'oval', widthMm: 20, heightMm: 30, rimMm: null, points: null, bridgeMm: 1 },
  places,
});
const made = { settings: machines[0]?.settings ?? [] };
const bench = { machines, setup: { machineId: machines[0]?.id ?? null, discMm: 20, discSettingId: null } } as never;

describe('kinds of pieces', () => {
  test('a new one has the cutter of the one before, and there are never too many', () => {
    const first = newCut([]);
    expect([first?.shape, first?.places]).toEqual(['oval', []]);
    const second = newCut([kind('drops', at(20, 20))]);
    expect([second?.widthMm, second?.name, second?.places]).toEqual([20, 'Piece 2', []]);
    expect(newCut(Array.from({ length: MOST_CUT_KINDS }, (_, i) => kind(`k${i}`)))).toBeNull();
  });
  test('places of one sheet change, those of the others stay', () => {
    const cut = kind('drops', at(20, 20), at(50, 20), at(20, 20, 1));
    const next = withPlacesOn(cut, 0, [at(33.3333, 20)]);
    expect(placesOn(next, 0).map((p) => p.x)).toEqual([33.33]);
    expect(placesOn(next, 1)).toEqual(placesOn(cut, 1));
    expect(besides([cut, kind('other', at(90, 40))], cut).map((b) => b.place.x)).toEqual([90]);
  });
  test('what cannot be cut says which piece lies on which', () => {
    expect(wrongOn([kind('drops', at(20, 20), at(60, 20))], 0, SHEETS)).toBeNull();
    expect(wrongOn([kind('drops', at(20, 20), at(25, 20))], 0, SHEETS)).toBe(
      'Piece 2 lies on piece 1. Move one of them.',
    );
    expect(wrongOn([kind('drops', at(5, 20))], 0, SHEETS)).toContain('over the edge');
    const two = [kind('drops', at(20, 20)), kind('discs', at(60, 20), at(26, 22))];
    expect(wrongOn(two, 0, SHEETS)).toBe('discs 2 lies on drops 1. Move one of them.');
    // on another sheet they do not meet
    expect(wrongOn([kind('drops', at(20, 20)), kind('discs', at(26, 22, 1))], 0, SHEETS)).toBeNull();
  });
  test('what is told of a search says how many have room, and what they lie over', () => {
    expect(foundWords({ places: [], holed: 0 }, 3)).toContain('no room');
    const places = [at(1, 1), at(2, 2)].map((p) => ({ ...p }));
    expect(foundWords({ places, holed: 0 }, 3)).toBe(
      '2 of 3 have room, none of them over a hole, a seam or the bare ground',
    );
    expect(foundWords({ places, holed: 1 }, 2)).toContain('2 found; 1 of them over');
    expect(proposed(kind('drops'), { places, holed: 0 }).places).toHaveLength(2);
  });
  test('pieces and what is left are all of the sheets that are cut, and no others', () => {
    const cut = kind('drops', at(20, 20), at(60, 20));
    const { pieces, rest } = weighed([cut], SHEETS);
    expect(pieces).toBeCloseTo(2 * cutterArea(cutterOf(cut)) * 0.003, 9);
    expect(pieces + rest).toBeCloseTo(120 * 80 * 0.003, 9);
    const both = weighed([kind('drops', at(20, 20), at(20, 20, 1))], SHEETS);
    expect(both.pieces + both.rest).toBeCloseTo(2 * 120 * 80 * 0.003, 9);
    const round = weighed([cut], { ...SHEETS, round: true });
    expect(round.pieces + round.rest).toBeCloseTo((Math.PI / 4) * 120 * 80 * 0.003, 9);
  });
  test('sheets of a plan weigh what the plan gives', () => {
    const sheet = { form: 'sheet', width: 50, height: 40, round: false, thick: 2, count: 3, each: 2000 } as const;
    const plan = { sheet, makes: 2, area: 12_000 } as Parameters<typeof sheetsToCut>[0];
    const sheets = sheetsToCut(plan, 48);
    expect([sheets.count, sheets.grams * 50 * 40 * 6]).toEqual([6, expect.closeTo(48, 9)]);
  });
});

describe('on paper', () => {
  const sheet = { width: 120, height: 80, round: false };
  test('the edge of the sheet and of every piece on it, where they lie', () => {
    const lines = cutLines(sheet, [kind('drops', at(20, 20), at(60, 50, 1))], 0);
    const [edge, pieces] = [lines.slice(0, 4), lines.slice(4)];
    expect(Math.max(...edge.flatMap((l) => [l[0], l[2]]))).toBe(120);
    expect(Math.max(...edge.flatMap((l) => [l[1], l[3]]))).toBe(80);
    // an oval of 20 × 30 about 20 mm from the left and 20 mm from the lower edge
    const [x, y] = [pieces.map((l) => l[0]), pieces.map((l) => l[1])];
    expect([Math.min(...x), Math.max(...x), Math.min(...y), Math.max(...y)].map(Math.round)).toEqual([10, 30, 45, 75]);
  });
  test('an opening too, and a round sheet as round', () => {
    const frame = { ...kind('frames', at(40, 40)), rimMm: 4 };
    expect(cutLines(sheet, [frame], 0).length).toBeGreaterThan(cutLines(sheet, [kind('drops', at(40, 40))], 0).length);
    for (const [x, y] of cutLines({ ...sheet, round: true }, [], 0))
      expect(Math.hypot(x / 60 - 1, y / 40 - 1)).toBeCloseTo(1, 9);
  });
});

describe('into a batch', () => {
  const making = {
    ...{ pattern: { revisionId: 'rev' }, sheets: SHEETS, hands: 3, settingId: 's4', stock: undefined },
    cuts: [kind('drops', at(20, 20), { ...at(60, 20), flip: true }, at(20, 20, 1))],
    backing: { of: ofClay(clayId('Soot')), settingId: 's6' },
  } as const;
  test('one kind of pieces for each sheet, put where they were put, on the backing', () => {
    const [first, second] = piecesFor({ ...making, cuts: [...making.cuts] });
    expect([first?.name, first?.count, first?.pairs, second?.name, second?.count]).toEqual([
      ...['drops, sheet 1', 2, true],
      ...['drops, sheet 2', 1],
    ]);
    expect(first?.placed).toMatchObject({ round: false, mm: 1.6, sheet: 0, hands: 3 });
    expect(second?.placed?.sheet).toBe(1);
    expect(first?.layers.map((l) => l.of)).toEqual([ofClay(clayId('Soot')), { kind: 'pattern', id: 'rev' }]);
    expect([first?.sheetWidthMm, first?.sheetLengthMm]).toEqual([120, 80]);
    expect(newBatchOf('Ovals', first ? [first] : []).pieces).toHaveLength(1);
    expect(piecesFor({ ...making, cuts: [...making.cuts], backing: null })[0]?.layers).toHaveLength(1);
  });
  test('the sheet that lies there is taken, unless somebody counts on it or it is another', () => {
    const thing = { id: 't', patterned: { revisionId: 'rev', sheet: 1, hands: 3 }, reservedFor: [], left: 20 };
    const stock = (more: object) => ({ things: [{ ...thing, ...more }] }) as unknown as StockAnswer;
    const as = (sheet: number, more: object = {}) =>
      sheetAsLayer({ ...making, cuts: [...making.cuts], stock: stock(more) }, sheet);
    expect(as(1)).toEqual({ kind: 'made', id: 't' });
    for (const other of [as(0), as(1, { left: 0 }), as(1, { reservedFor: [{}] }), as(1, { patterned: null })])
      expect(other).toEqual({ kind: 'pattern', id: 'rev' });
  });
  test('its setting is the nearest of one’s own machine', () => {
    expect(made.settings.map((s) => s.id)).toContain(nearestSetting(bench, 1.5));
    expect(nearestSetting({ machines: [], setup: { machineId: null } } as never, 1.5)).toBeNull();
  });
});

describe('the finished sheets', () => {
  test('of another make are by other hands', () => {
    const plain = { steps: [], wobble: 1, seed: 4 };
    expect(finished(plain, 1, 3)).toMatchObject({ plain: { seed: 4 }, view: { of: 'face', piece: 1 } });
    expect(finished(plain, 7, 3)).toMatchObject({ plain: { seed: 6 }, view: { of: 'face', piece: 1 } });
  });
  test('the ground is what shows in gaps alone', () => {
    const sheet = { id: 'a', do: 'stack', width: 9, height: 9, layers: [{ of: 'clay:a', thickness: 2 }] } as const;
    const lay = { id: 'b', do: 'lay', columns: 1, rows: 1, gap: 2, thickness: 1, to: 2, along: 'both' } as const;
    expect(groundIn([sheet, { ...lay, of: 'clay:b' }])).toBe('clay:b');
    expect(groundIn([sheet, { ...lay, of: 'clay:a' }])).toBeNull();
    expect(groundIn([sheet])).toBeNull();
  });
});
