import fc from 'fast-check';
import { bindingFor, listed, type Bound, type Focus, type KeyBinding, type Pressed } from '../src/state/keyFor.js';

const nothing = (): void => undefined;
const key = fc.constantFrom('a', 'A', 'p', '?', ' ', 'Enter', 'Backspace');
const bindings = fc
  .uniqueArray(key, { minLength: 1 })
  .map((keys) => keys.map((k): KeyBinding => ({ key: k, does: `does ${k}`, run: nothing })));
const plain = (k: string, more: Partial<Pressed> = {}): Pressed => ({
  key: k,
  defaultPrevented: false,
  ctrlKey: false,
  metaKey: false,
  altKey: false,
  ...more,
});

test('a key does what stands in the list, and only that; small and large letters are two keys', () => {
  fc.assert(
    fc.property(bindings, key, (list, k) => {
      const found = bindingFor(list, plain(k), 'nothing');
      expect(found?.key).toBe(list.some((b) => b.key === k) ? k : undefined);
    }),
  );
});

test('nothing happens while somebody types, with another key held, or where it was taken already', () => {
  const held = fc.constantFrom<keyof Pressed>('ctrlKey', 'metaKey', 'altKey', 'defaultPrevented');
  fc.assert(
    fc.property(bindings, key, held, (list, k, also) => {
      expect(bindingFor(list, plain(k), 'field')).toBeUndefined();
      expect(bindingFor(list, plain(k, { [also]: true }), 'nothing')).toBeUndefined();
    }),
  );
});

test('a button keeps space and Enter, and no other key', () => {
  fc.assert(
    fc.property(bindings, key, fc.constantFrom<Focus>('button', 'nothing'), (list, k, focus) => {
      const found = bindingFor(list, plain(k), focus);
      const kept = focus === 'button' && (k === ' ' || k === 'Enter');
      expect(found !== undefined).toBe(!kept && list.some((b) => b.key === k));
    }),
  );
});

test('the list has each place once, as it was set last, without what is hidden', () => {
  const step = fc.tuple(fc.constantFrom('Shelf', 'Mixes', 'Bench'), fc.option(bindings));
  fc.assert(
    fc.property(fc.array(step), (steps) => {
      const places = steps.reduce<readonly Bound[]>((all, [place, list]) => listed(all, place, list), []);
      const last = new Map(steps);
      expect(new Set(places.map((p) => p.place)).size).toBe(places.length);
      for (const [place, list] of last) {
        expect(places.find((p) => p.place === place)?.bindings).toEqual(list ?? undefined);
      }
    }),
  );
  const hidden = [{ key: 'h', does: 'hides', run: nothing, hidden: true }];
  expect(listed([], 'Shelf', hidden)).toEqual([{ place: 'Shelf', bindings: [] }]);
});
