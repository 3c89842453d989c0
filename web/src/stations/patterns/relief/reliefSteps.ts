import { levelsOf, topOf, type Pressed } from '#core/mica';
import { tidy, type PatternStep } from '#core/pattern';
import type { ReliefPlan, WorkedRelief } from './reliefPlan.js';

/** A blade takes no less than this: mm. */
const LEAST_OFF = 0.01;

/** How much a blade at its height takes off the top, mm. */
export const offTop = (pressed: Pressed, blade: number): number => topOf(pressed) - blade;

/** A relief as the steps of a patterned sheet, to be made, kept and cut like any other. @param of its clay or mix */
export function reliefSteps(plan: ReliefPlan, { pressed, blade }: WorkedRelief, of: string): readonly PatternStep[] {
  const { relief, thick, depth } = pressed;
  const id = (): string => crypto.randomUUID();
  const [width, height] = [tidy(relief.columns * relief.wide), tidy(relief.rows * relief.high)];
  const drawn = plan.picture === null ? {} : { drawn: levelsOf(relief) };
  const { texture, pitch, to, way } = plan;
  const along = way === 'by hand' ? 'both' : 'width';
  return [
    { id: id(), do: 'stack', width, height, layers: [{ of, thickness: thick }] },
    { id: id(), do: 'relief', texture, pitch, depth, ...drawn },
    { id: id(), do: 'skim', off: Math.max(LEAST_OFF, tidy(offTop(pressed, blade))), school: 'flat' },
    ...(to === null ? [] : [{ id: id(), do: 'roll', to, along } as const]),
  ];
}
