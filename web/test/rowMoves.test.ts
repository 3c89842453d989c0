import fc from 'fast-check';
import type { Step } from '#core/cane';
import { addedTo, copiedIn, editedIn, movedIn, takenOut, type Row } from '../src/stations/canes/editing/rowMoves.js';

const step = (id: string): Step => ({ id, do: 'turn', degrees: 1 });
const row: fc.Arbitrary<Row<Step>> = fc
  .tuple(fc.integer({ min: 1, max: 8 }), fc.nat())
  .map(([n, at]) => ({ steps: Array.from({ length: n }, (_, i) => step(`s${i}`)), chosen: at % n }));
const ids = ({ steps }: Row<Step>): string[] => steps.map((s) => s.id);

test('a step that is added stands behind the chosen one, and is chosen', () => {
  fc.assert(
    fc.property(row, (before) => {
      const after = addedTo(before, step('new'));
      expect(after.steps[after.chosen]?.id).toBe('new');
      expect(ids(after).filter((id) => id !== 'new')).toEqual(ids(before));
      expect(after.chosen).toBe(before.chosen + 1);
    }),
  );
});

test('what a cane begins with stays where it is', () => {
  fc.assert(
    fc.property(row, fc.constantFrom(-1, 1), (before, by) => {
      for (const after of [movedIn(before, by), copiedIn(before), takenOut(before)]) {
        if (after) expect(after.steps[0]).toBe(before.steps[0]);
      }
      const first = { ...before, chosen: 0 };
      expect([movedIn(first, by), copiedIn(first), takenOut(first)]).toEqual([null, null, null]);
    }),
  );
});

test('moved there and back again nothing has changed; the chosen step goes along', () => {
  fc.assert(
    fc.property(row, fc.constantFrom(-1, 1), (before, by) => {
      const there = movedIn(before, by);
      if (!there) return;
      expect(there.steps[there.chosen]).toBe(before.steps[before.chosen]);
      expect(movedIn(there, -by)).toEqual(before);
    }),
  );
});

test('taken out, put in and edited, all others stay in their order', () => {
  fc.assert(
    fc.property(row, (before) => {
      const copied = copiedIn(before);
      if (copied) {
        expect(copied.steps).toHaveLength(before.steps.length + 1);
        expect(copied.steps[copied.chosen]?.id).not.toBe(before.steps[before.chosen]?.id);
        expect(takenOut(copied)).toEqual(before);
      }
      const edited = editedIn(before, step('other'));
      expect(edited.steps.map((s, i) => (i === before.chosen ? 'x' : s.id))).toEqual(
        before.steps.map((s, i) => (i === before.chosen ? 'x' : s.id)),
      );
    }),
  );
});
