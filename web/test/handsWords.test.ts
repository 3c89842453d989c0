import { taperWords } from '../src/stations/canes/words/handsWords.js';

test('the ends of a reduction are told in both systems, with what helps', () => {
  const ends = { thin: 17.42, thick: 18.56 };
  expect(taperWords(ends, 'metric')).toBe(
    'With one hand stronger it is 17.4 mm across at one end and 18.6 mm at the other. Turned end for end now and ' +
      'then, it stays even.',
  );
  expect(taperWords(ends, 'imperial')).toMatch(/0\.69.*0\.73/);
});
