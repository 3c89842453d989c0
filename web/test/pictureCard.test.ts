import fc from 'fast-check';
import { fitting, linesWithRoom, shareWords, wrapped, type CardLine } from '../src/parts/card/pictureCard.js';

const LETTER = 10;
const widthOf = (text: string): number => text.length * LETTER;
const words = fc.array(fc.stringMatching(/^[a-z]{1,30}$/), { maxLength: 30 }).map((all) => all.join(' '));

test('what is written on a card is never wider than there is room, and ends in dots where it does not fit', () => {
  fc.assert(
    fc.property(words, fc.integer({ min: 60, max: 600 }), fc.integer({ min: 1, max: 4 }), (text, room, most) => {
      const lines = wrapped(text, widthOf, room, most);
      expect(lines.length).toBeLessThanOrEqual(most);
      for (const line of lines) expect(widthOf(line)).toBeLessThanOrEqual(room);
      const whole = lines.join(' ') === text;
      expect(whole || lines.some((line) => line.endsWith('…'))).toBe(true);
    }),
  );
});

test('a text that fits stays as it is', () => {
  expect(fitting('Savoy leaf', widthOf, 100)).toBe('Savoy leaf');
  expect(fitting('Savoy leaf', widthOf, 90)).toBe('Savoy l …');
  expect(wrapped('after a drawing', widthOf, 80, 3)).toEqual(['after a', 'drawing']);
  expect(wrapped('', widthOf, 80, 3)).toEqual([]);
});

test('of more lines than there is room for, the last says how many', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 60 }), (count) => {
      const lines = Array.from({ length: count }, (_, i): CardLine => ({ hexes: [], name: `${i}`, amount: '' }));
      const shown = linesWithRoom(lines);
      expect(shown.length).toBeLessThanOrEqual(11);
      const more = Number(/^and (\d+) more$/.exec(shown.at(-1)?.name ?? '')?.[1] ?? 0);
      const named = more > 0 ? shown.length - 1 : shown.length;
      expect(named + more).toBe(count);
    }),
  );
});

test('shares are told finer where they are small, and not of nothing', () => {
  expect([shareWords(79, 100), shareWords(6.44, 100), shareWords(1, 0)]).toEqual(['79 %', '6.4 %', '']);
});
