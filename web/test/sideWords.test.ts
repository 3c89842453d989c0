import { compassOf, landingWords, placeOf } from '../src/stations/canes/steps/sideWords.js';

describe('directions and places in words', () => {
  test.each([
    [0, 'right', 'at the right'],
    [44, 'up and right', 'at the upper right'],
    [90, 'up', 'at the top'],
    [-90, 'down', 'at the bottom'],
    [225, 'down and left', 'at the lower left'],
    [359, 'right', 'at the right'],
  ])('%d°', (degrees, direction, place) => {
    expect([compassOf(degrees), placeOf(degrees)]).toEqual([direction, place]);
  });
});

describe('which corner lands where', () => {
  test('corners that stay are said in short', () => {
    const square = [45, 135, 225, 315].map((at) => ({ from: at, to: at }));
    expect(landingWords(square)).toBe(' Its corners are what lies there now.');
    expect(landingWords([{ from: 95, to: 90 }])).toBe(' Its corner is what lies there now.');
  });

  test('corners that move are told one by one', () => {
    expect(
      landingWords([
        { from: 0, to: 90 },
        { from: 135, to: 210 },
        { from: 270, to: 330 },
      ]),
    ).toBe(
      ' Press what lies at the right to its corner at the top, what lies at the upper left to its corner at the ' +
        'lower left, what lies at the bottom to its corner at the lower right.',
    );
  });

  test('of a round, and of very many corners, nothing is said', () => {
    expect(landingWords([])).toBe('');
    expect(landingWords(Array.from({ length: 6 }, (_, i) => ({ from: i, to: 60 * i })))).toBe('');
  });
});
