import type { StepOf } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import { Degrees, Length, Offset, PartOf } from './fields.js';
import { newId, rodOf, sizeOf, tenth } from './first.js';
import { SIZE, TURN, handle, type Range } from './handle.js';
import type { StepView } from './view.js';

const MOVED: Range = ['mm', -40, 40, 0.25];
/** A first hole for the smaller side of the face. */
const USUAL_HOLE = 0.3;

/** mm from the middle that a hand can tell. */
const AT_ALL = 0.05;

/** Where the middle of a hole lies. */
function placeWords(x: number, y: number, units: UnitSystem): string {
  const side = [
    ...(Math.abs(x) > AT_ALL ? [`${showLength(Math.abs(x), units)} ${x > 0 ? 'right' : 'left'}`] : []),
    ...(Math.abs(y) > AT_ALL ? [`${showLength(Math.abs(y), units)} ${y > 0 ? 'up' : 'down'}`] : []),
  ];
  return side.length === 0 ? 'in the middle' : `its middle ${side.join(' and ')} of the middle of the face`;
}

export const insert: StepView<StepOf<'insert'>> = {
  word: 'Set in',
  group: 'cover',
  title: ({ part }) => `Set in ${part.name ?? 'a cane'}`,
  first: (now, { dark }) => {
    const { width, height, length } = sizeOf(now);
    const hole = Math.min(width, height) * USUAL_HOLE;
    return {
      id: newId(),
      do: 'insert',
      x: 0,
      y: 0,
      diameter: tenth(hole),
      degrees: 0,
      part: rodOf(dark, hole, length),
    };
  },
  Fields: (of) => (
    <>
      <PartOf of={of} label="What is set in" />, <Length of={of} label="Diameter of the hole" field="diameter" />{' '}
      across, <Offset of={of} label="To the right of the middle" field="x" /> right and{' '}
      <Offset of={of} label="Above the middle" field="y" /> up, turned{' '}
      <Degrees of={of} label="Turn of what is set in" field="degrees" />
    </>
  ),
  handles: (step) => [
    handle(step, 'hole across', SIZE, step.diameter, (diameter) => ({ diameter })),
    handle(step, 'to the right', MOVED, step.x, (x) => ({ x })),
    handle(step, 'up', MOVED, step.y, (y) => ({ y })),
    handle(step, 'turned', TURN, step.degrees, (degrees) => ({ degrees })),
  ],
  marks: (step) => ({ kind: 'place', x: step.x, y: step.y, with: (x, y) => ({ ...step, x, y }) }),
  takes: ({ diameter }, units) => `${showLength(diameter, units)} across`,
  line: ({ diameter, x, y }, { units }) => {
    const hole = `a hole of ${showLength(diameter, units)}, ${placeWords(x, y, units)}`;
    return `Cut out exactly ${hole}, and set it in, so that the outside stays.`;
  },
};
