import { ofClay, ofMix, type Material } from '#core/material';
import type { BatchAnswer, MixCard, StockAnswer } from '#contract';
import { againDto, neededFor, usualSwaps, type ThereNow } from '../src/stations/diary/again/againPlan.js';
import { readPercent } from '../src/stations/diary/again/percent.js';
import { idOf } from '#demo';
import { SHELF, clayId } from './kitchen.js';

const BEET = ofClay(clayId('Beetroot'));
const [MIX, NEWER] = [ofMix(idOf('mix 1')), ofMix(idOf('mix 2'))];
const layer = (of: Material) => ({ id: 'l', of, settingId: 's' });
const piece = (name: string, of: Material, placed: object | null = null) => ({
  ...{ id: name, name, shape: 'oval', widthMm: 30, heightMm: 20, rimMm: 3, count: 10, spare: 1, bridgeMm: 2 },
  ...{ sheetWidthMm: 100, sheetLengthMm: 200, layers: [layer(of)], placed },
});
const told = (name: string, hex: string, newer: string | null = null) => ({ name, hex, hexes: [hex], newer });
const BATCH = {
  ...{ id: 'b', version: 3, name: 'Radish studs', note: 'n', dueOn: '2026-12-01', assemblies: [] },
  pieces: [piece('stud', BEET), piece('drop', MIX), piece('placed', BEET, { sheet: 0 })],
  plan: { materials: { [BEET.id]: told('Beetroot', '7B1E4B'), [MIX.id]: told('Beet ring', 'A03060', NEWER.id) } },
} as unknown as BatchAnswer;
const NOW: ThereNow = { shelf: SHELF, stock: { things: [], tubs: [] } as unknown as StockAnswer, mixes: [] };
const without = (clay: string): ThereNow => ({
  ...NOW,
  shelf: { ...SHELF, blocks: SHELF.blocks.map((b) => (b.clayId === clay ? { ...b, leftGrams: 0 } : b)) },
});

describe('made again', () => {
  test('with everything there it is the same: nothing is swapped, counts as the entry tells, no day it is for', () => {
    const needed = neededFor(BATCH, NOW);
    expect(needed.map(({ name, gone, newer }) => [name, gone, newer])).toEqual([
      ['Beetroot', null, null],
      ['Beet ring', null, `mix:${NEWER.id}`],
    ]);
    expect(usualSwaps(needed).size).toBe(0);
    const entry = { pieces: [{ name: 'stud', count: 4 }] } as never;
    const dto = againDto({ batch: BATCH, entry, swaps: new Map(), factor: 1 });
    expect([dto.name, dto.dueOn, dto.version, dto.note]).toEqual(['Radish studs, again', null, 0, 'n']);
    expect(dto.pieces.map((p) => [p.count, p.widthMm, p.layers[0]?.of])).toEqual([
      [4, 30, BEET],
      [10, 30, MIX],
      [10, 30, BEET],
    ]);
    expect(dto.pieces.map((p) => p.id)).not.toContain('stud');
  });

  test('what is used up gets the nearest that is there; smaller but for what is cut of a patterned sheet', () => {
    const needed = neededFor(BATCH, without(BEET.id));
    const [beet] = needed;
    expect(beet?.gone).toBe('none of it is left');
    const off = beet?.near.map((o) => o.deltaE) ?? [];
    expect(off).toEqual([...off].sort((a, b) => a - b));
    expect(beet?.near.map((o) => o.key)).not.toContain(beet?.key);
    const swaps = usualSwaps(needed);
    expect(swaps.get(`clay:${BEET.id}`)).toBe(beet?.near[0]?.key);
    const dto = againDto({ batch: BATCH, entry: { pieces: [] }, swaps, factor: 0.8 });
    expect(dto.name).toBe('Radish studs, 80 %, again');
    expect(dto.pieces.map((p) => [p.widthMm, p.heightMm, p.rimMm])).toEqual([
      [24, 16, expect.closeTo(2.4, 9)],
      [24, 16, expect.closeTo(2.4, 9)],
      [30, 20, 3],
    ]);
    const [first] = dto.pieces[0]?.layers ?? [];
    expect(`${first?.of.kind ?? ''}:${first?.of.id ?? ''}`).toBe(beet?.near[0]?.key);
  });

  test('clay that is retired, things used up, empty tubs and mixes without clay say so', () => {
    const of = (...all: Material[]): BatchAnswer => ({ ...BATCH, pieces: all.map((m) => piece('x', m)) }) as never;
    const retired = { ...SHELF, clays: SHELF.clays.map((c) => ({ ...c, retired: true })) };
    const card = { revisionId: MIX.id, possibleGrams: 0, retired: false, hex: 'A03060' } as MixCard;
    const now = { ...NOW, shelf: retired, mixes: [card] };
    const all = of(BEET, MIX, { kind: 'made', id: idOf('m') }, { kind: 'scrap', id: idOf('t') });
    expect(neededFor(all, now).map((n) => n.gone)).toEqual([
      ...['no longer on the shelf', 'its clays are used up', 'used up', 'the tub is empty'],
    ]);
  });

  test('a size is said as a share, or smaller and larger', () => {
    expect(['80 %', '80', '20 % smaller', '20 larger', 'Half', 'double'].map(readPercent)).toEqual([
      0.8, 0.8, 0.8, 1.2, 0.5, 2,
    ]);
    for (const wrong of ['', 'tiny', '5 %', '500', '90 % smaller']) expect(() => readPercent(wrong)).toThrow();
  });
});
