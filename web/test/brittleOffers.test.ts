import { ofClay } from '#core/material';
import { strengthOf } from '#core/stock';
import type { ShelfAnswer, StockAnswer } from '#contract';
import { brittleOffers } from '../src/stations/batches/brittleOffers.js';
import { SHELF, clayId } from './kitchen.js';

const brittleClay = SHELF.clays.find((c) => SHELF.lines.find((l) => l.id === c.lineId)?.firmness === 'crumbly')!.id;
const flexible = SHELF.clays.find((c) => SHELF.lines.find((l) => l.id === c.lineId)?.firmness === 'firm')!.id;

const lump = (id: string, of: string, left: number, reserved = false) => ({
  ...{ id, name: id, form: 'lump', left, clays: [{ clayId: of, mass: 1 }] },
  reservedFor: reserved ? [{ kind: 'batch', id: 'b', name: 'Drops' }] : [],
});
const STOCK = {
  things: [
    lump('old', brittleClay, 30),
    lump('kept', brittleClay, 40, true),
    lump('good', flexible, 50),
    lump('bit', brittleClay, 2),
  ],
  tubs: [
    {
      id: 'dark',
      name: 'Dark',
      grams: 12,
      clays: [
        { clayId: brittleClay, name: '', grams: 9 },
        { clayId: flexible, name: '', grams: 3 },
      ],
    },
    { id: 'none', name: 'Empty', grams: 0, clays: [] },
  ],
} as unknown as StockAnswer;
const piece = { layers: [{ id: 'l', of: ofClay(clayId('Chalk')), settingId: 's' }] };
const thick = strengthOf([{ mm: 4, share: 0, assumed: false }]);
const names = (strength = thick, layers = piece.layers, shelf: ShelfAnswer = SHELF): string[] =>
  brittleOffers({ layers }, strength, STOCK, shelf).map((o) => o.name);

test('brittle left-overs are offered to a thick piece, the most first; nothing reserved, flexible or small', () => {
  expect(names()).toEqual(['old', 'Dark']);
});

test('none to a thin one, none twice, and none of a line that was said to be flexible', () => {
  expect(names(strengthOf([{ mm: 1.5, share: 0, assumed: false }]))).toEqual([]);
  expect(names(thick, [{ id: 'l', of: { kind: 'made', id: 'old' } as never, settingId: 's' }])).toEqual(['Dark']);
  const said = { ...SHELF, lines: SHELF.lines.map((l) => ({ ...l, toughness: 'flexible' as const })) };
  expect(names(thick, piece.layers, said)).toEqual([]);
});
