import fc from 'fast-check';
import type { Program, Step } from '#core/cane';
import {
  meaningOf,
  meantFor,
  placeOf,
  stopWords,
  stoppedAt,
  type Stop,
} from '../src/stations/canes/words/glassWords.js';

const stop = (across: number, at: number): Stop => ({ material: 'clay:w', mm: 0.44, hides: 0.58, across, at });
const STEPS: readonly Step[] = [
  { id: 'a', do: 'log', of: 'clay:g', diameter: 40, length: 60 },
  { id: 'b', do: 'reduce', to: 'diameter', value: 24 },
];
const PROGRAM: Program = { version: 1, steps: STEPS };

describe('what slices are meant for', () => {
  test('is a ground unless it is said, and is taken back', () => {
    expect(meaningOf(PROGRAM)).toBe('ground');
    const glass = meantFor(PROGRAM, 'glass');
    expect([meaningOf(glass), glass.steps]).toEqual(['glass', STEPS]);
    expect(meantFor(glass, 'ground')).toEqual(PROGRAM);
  });
});

describe('the stop line', () => {
  test.each([
    [24, 31.2, 'past'],
    [40, 31.2, 'before'],
    [31, 31.2, 'on'],
  ])('%d mm across with walls that bleed at %d mm is %s it', (across, at, place) => {
    expect(placeOf(stop(across, at))).toBe(place);
  });

  test('is told with the wall, its width and the size, in both systems', () => {
    expect(stopWords(stop(24, 31.2), 'Chalk', 'metric')).toBe(
      'Walls of Chalk are 0.44 mm wide; they begin to bleed below 0.58 mm, at 31.2 mm across: this is past the ' +
        'stop line, and the tints run into each other.',
    );
    expect(stopWords(stop(40, 31.2), 'Chalk', 'metric')).toContain('the stop line is not reached yet.');
    expect(stopWords(stop(31.2, 31.2), 'Chalk', 'imperial')).toMatch(/1\.23 in across\. This is the stop line\.$/);
  });

  test('is where the last reduction stops, to a tenth of a millimetre', () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 39.9, noNaN: true }), (at) => {
        const stopped = stoppedAt(STEPS, at, [0, 40])!;
        const last = stopped.at(-1)!;
        expect(last.do === 'reduce' && Math.abs(last.value - at)).toBeLessThanOrEqual(0.05 + 1e-9);
        expect(stopped[0]).toBe(STEPS[0]);
      }),
    );
  });

  test('a cane that was smaller before cannot stop there, and one without a reduction at its end neither', () => {
    expect(stoppedAt(STEPS, 44, [0, 40])).toBeNull();
    expect(stoppedAt(STEPS.slice(0, 1), 20, [0])).toBeNull();
    const wrapped: Step[] = [...STEPS, { id: 'c', do: 'wrap', of: 'clay:w', thickness: 1 }];
    expect(stoppedAt(wrapped, 20, [0, 40, 24])).toBeNull();
    const trimmed: Step[] = [...STEPS, { id: 'c', do: 'trim', each: 5 }];
    expect(stoppedAt(trimmed, 20, [0, 40, 24])?.[1]).toMatchObject({ value: 20 });
  });
});
