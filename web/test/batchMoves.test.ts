import { freeName } from '../src/parts/names.js';
import { ownMachine } from '../src/state/bench.js';
import fc from 'fast-check';
import { ofClay } from '#core/material';
import { machines, setup } from '#demo';
import type { BatchAnswer, BatchCard, MachinesAnswer } from '#contract';
import { copyOf, dtoOf, isGeneral, newPiece, refusedOf, settingsOf } from '../src/stations/batches/batchMoves.js';
import { waitingOf } from '../src/stations/batches/batchList.js';
import { unsaid } from '../src/stations/batches/pieceWords.js';
import { clayId } from './kitchen.js';

const KNOWN = { machines, setup } as unknown as MachinesAnswer;
const empty = {
  ...{ id: 'b', version: 4, name: 'Drop earrings', note: 'for the market', dueOn: '2026-12-05', doneEntryId: null },
  ...{ pieces: [], assemblies: [] },
} as unknown as BatchAnswer;

const pieces = fc.integer({ min: 1, max: 4 }).map((n) => {
  const all = [];
  for (let i = 0; i < n; i++) {
    const piece = newPiece({ ...empty, pieces: all }, KNOWN, ofClay(clayId('Chalk')));
    if (piece) all.push(piece);
  }
  return all;
});

test('a new piece is cut from a sheet that one’s own machine can roll', () => {
  const piece = newPiece(empty, KNOWN, ofClay(clayId('Chalk')));
  const own = ownMachine(KNOWN);
  expect(own?.settings.map((s) => s.id)).toContain(piece?.layers[0]?.settingId);
  expect(piece?.sheetWidthMm).toBeLessThanOrEqual(own?.rollerWidthMm ?? 0);
  expect(newPiece(empty, { ...KNOWN, machines: [] }, ofClay(clayId('Chalk')))).toBeNull();
});

test('every setting of every machine can be chosen; only those of one’s own need no name', () => {
  const settings = settingsOf(KNOWN);
  expect(settings).toHaveLength(machines.reduce((sum, m) => sum + m.settings.length, 0));
  for (const s of settings) expect(s.own).toBe(s.machine.id === setup.machineId);
});

test('a copy is the same batch for no day, and shares nothing with the first', () => {
  fc.assert(
    fc.property(pieces, (of) => {
      const batch = { ...empty, pieces: of };
      const copy = copyOf(batch);
      expect([copy.version, copy.dueOn, copy.note]).toEqual([0, null, batch.note]);
      const plain = (list: typeof copy.pieces) =>
        list.map(({ layers, ...p }) => ({ ...p, id: '', layers: layers.map((l) => ({ ...l, id: '' })) }));
      expect(plain(copy.pieces)).toEqual(plain(dtoOf(batch).pieces));
      const ids = [...copy.pieces, ...of].flatMap((p) => [p.id, ...p.layers.map((l) => l.id)]);
      expect(new Set(ids).size).toBe(ids.length);
    }),
  );
});

test('the name of a copy is never longer than a name may be', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1, maxLength: 80 }), (name) => {
      expect(copyOf({ ...empty, name }).name.length).toBeLessThanOrEqual(80);
    }),
  );
});

test('a refusal goes to the piece and the field it is about, or else is said for all', () => {
  const fields = [
    { field: 'pieces.1.count', sentence: 'Too many.' },
    { field: 'pieces.1.layers', sentence: 'No layer.' },
    { field: 'pieces.10.count', sentence: 'Of another.' },
  ];
  expect(refusedOf(fields, 1)).toEqual([
    { field: 'count', sentence: 'Too many.' },
    { field: 'layers', sentence: 'No layer.' },
  ]);
  expect(unsaid(refusedOf(fields, 1)).map((r) => r.field)).toEqual(['layers']);
  expect(isGeneral(fields)).toBe(false);
  expect(isGeneral([{ field: 'dueOn', sentence: 'No such day.' }])).toBe(true);
  expect(isGeneral(undefined)).toBe(true);
});

test('those that wait stand by the day they are due, without a day last, and none that is done', () => {
  const card = fc.record({
    id: fc.uuid(),
    done: fc.boolean(),
    dueOn: fc.option(fc.constantFrom('2026-12-01', '2026-12-24', '2027-01-06')),
  });
  fc.assert(
    fc.property(fc.array(card), (cards) => {
      const waiting = waitingOf(cards as unknown as BatchCard[]);
      expect(waiting).toHaveLength(cards.filter((c) => !c.done).length);
      const days = waiting.map((c) => c.dueOn ?? '9999');
      expect(days).toEqual([...days].sort());
    }),
  );
});

test('a new batch gets a name that is not taken', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 6 }), (n) => {
      const taken = new Set(['new batch', ...Array.from({ length: n }, (_, i) => `new batch ${i + 2}`)].slice(0, n));
      expect(taken.has(freeName('New batch', taken).toLowerCase())).toBe(false);
    }),
  );
});
