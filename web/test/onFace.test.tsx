/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import { fireEvent } from '@testing-library/react';
import { contextOf, directionsApart, extentOf, reachOf, beyond, runSteps, type Outline, type Step } from '#core/cane';
import { OnFace } from '../src/stations/canes/editing/OnFace.js';
import { angleAt, arcOf, placeAt, reachAt } from '../src/stations/canes/editing/onFaceMoves.js';
import { compassOf, longSides } from '../src/stations/canes/steps/sideWords.js';
import type { WorkedCane } from '../src/workers/cane.js';
import { plainStep } from '../src/workers/canePlain.js';
import { shown, type Shown } from './screen.js';

const BLOCK: Step = { id: 'a', do: 'block', of: 'clay:a', width: 30, height: 20, length: 60 };

/** A cane as a worker would have worked it out. */
function workedOf(...steps: readonly Step[]): WorkedCane {
  const context = contextOf();
  return { id: 'c', steps: runSteps(steps, context).map((r, i) => plainStep(r, context, i)) } as WorkedCane;
}
const outlineAfter = (...steps: readonly Step[]): Outline => {
  const { points, round } = workedOf(...steps).steps.at(-1)!;
  return { points, round };
};

interface Marked extends Shown {
  readonly slid: Step[];
  readonly set: Step[];
  mark(name: string): Element;
}

function marked(step: Step, before: readonly Step[] = [BLOCK]): Marked {
  const [slid, set]: [Step[], Step[]] = [[], []];
  const page = shown(
    <OnFace
      step={step}
      at={before.length}
      worked={workedOf(...before, step)}
      paints={{}}
      onSlide={(next) => slid.push(next)}
      onSet={(next) => set.push(next)}
    />,
  );
  const mark = (name: string): Element => {
    const found = page.container.querySelector(`[data-mark="${name}"]`);
    if (!found) throw new Error(`There is no mark ${name}.`);
    return found;
  };
  return { ...page, slid, set, mark };
}

describe('what is said on a face', () => {
  const pair: Step = { id: 'p', do: 'pair', turned: 'mirror' };
  const edge: Step = { id: 'e', do: 'edge', of: 'clay:b', thickness: 1, from: 30, to: 150, form: 'sheet' };

  test('every straight side can be chosen, and leads to the step along it', async () => {
    const page = marked(pair);
    for (const [name, side] of [
      ['side 0', 0],
      ['side 90', 90],
      ['side 180', 180],
      ['side 270', 270],
    ] as const) {
      await page.user.click(page.mark(name));
      expect(page.set.at(-1)).toEqual({ ...pair, side });
    }
  });

  test('a round piece has no side to choose, and no place is shown where none is said', () => {
    const log: Step = { id: 'a', do: 'log', of: 'clay:a', diameter: 20, length: 60 };
    expect(marked(pair, [log]).container.querySelectorAll('[data-mark]')).toHaveLength(0);
    const wrap: Step = { id: 'w', do: 'wrap', of: 'clay:b', thickness: 1 };
    expect(marked(wrap).container.textContent).toBe('');
  });

  test('a stretch has a grip at both ends, on the outline', () => {
    const page = marked(edge);
    const outline = outlineAfter(BLOCK);
    for (const [name, degrees] of [
      ['begins', 30],
      ['ends', 150],
    ] as const) {
      const [x, y] = reachAt(outline, degrees);
      expect(Number(page.mark(name).getAttribute('cx'))).toBeCloseTo(x, 6);
      expect(Number(page.mark(name).getAttribute('cy'))).toBeCloseTo(-y, 6);
    }
  });

  test('a grip that is only touched changes nothing', () => {
    const page = marked(edge);
    const grip = page.mark('begins') as SVGElement & { setPointerCapture: (id: number) => void };
    grip.setPointerCapture = () => undefined;
    fireEvent.pointerDown(grip, { pointerId: 1 });
    expect([page.slid, page.set]).toEqual([[], []]);
  });
});

describe('places on a face', () => {
  const box = extentOf(outlineAfter(BLOCK));

  test('a point of the screen is a point of the clay, corner by corner', () => {
    const screen = { left: 100, top: 50, width: 190, height: 127 };
    expect(placeAt(screen, box, 100, 50)).toEqual([expect.closeTo(-15, 9), expect.closeTo(10, 9)]);
    expect(placeAt(screen, box, 290, 177)).toEqual([expect.closeTo(15, 9), expect.closeTo(-10, 9)]);
    expect(placeAt(screen, box, 195, 113.5)).toEqual([expect.closeTo(0, 9), expect.closeTo(0, 9)]);
  });

  test('a direction is the same there and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: -179, max: 180 }), (degrees) => {
        const [x, y] = reachAt(outlineAfter(BLOCK), degrees);
        expect(angleAt(x, y)).toBe(degrees);
      }),
    );
  });

  test('an arc lies on the outline, from one direction to the other', () => {
    const outline = outlineAfter(BLOCK);
    const reach = reachOf(outline);
    fc.assert(
      fc.property(fc.integer({ min: -180, max: 180 }), fc.integer({ min: 5, max: 350 }), (from, far) => {
        const arc = arcOf(outline, from, from + far);
        for (const [x, y] of arc) expect(beyond(reach, x, y)).toBeCloseTo(1, 2);
        expect(directionsApart(angleAt(...arc[0]!), from)).toBeLessThanOrEqual(0.5);
      }),
    );
  });

  test('no arc is drawn where it is none, or all around', () => {
    const outline = outlineAfter(BLOCK);
    for (const to of [40, 400, 41]) expect(arcOf(outline, 40, to)).toEqual([]);
  });
});

describe('sides in words', () => {
  test.each([
    [0, 'right'],
    [90, 'up'],
    [180, 'left'],
    [270, 'down'],
    [-90, 'down'],
    [40, 'up and right'],
    [359, 'right'],
    [230, 'down and left'],
  ])('%d degrees look %s', (degrees, words) => {
    expect(compassOf(degrees)).toBe(words);
  });

  test('the longest side is first, hairs are none, and a curve has no sides', () => {
    const side = (length: number, outwards: number) => ({ from: [0, 0], to: [1, 1], length, outwards }) as const;
    expect(longSides([side(3, 0), side(20, 90), side(0.1, 180)]).map((s) => s.length)).toEqual([20, 3]);
    expect(longSides(Array.from({ length: 40 }, (_, i) => side(1, i)))).toEqual([]);
    expect(longSides([])).toEqual([]);
  });
});
