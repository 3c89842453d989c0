import type { OverPlan } from '#contract';
import type { DiaryAnswer } from '#contract/diary';

/** A photograph as it fills the square of the plan. */
export const AS_IT_FILLS: OverPlan = { x: 0, y: 0, scale: 1, turn: 0 };

/** What a photograph is laid over. */
export interface PlanSeen {
  readonly kind: 'cane' | 'pattern';
  readonly name: string;
  readonly revisionId: string;
  readonly hands: number;
}

/** The plan of an entry that has a picture; null: it has none. */
export function planOfEntry({ canes, patterns }: Pick<DiaryAnswer, 'canes' | 'patterns'>): PlanSeen | null {
  const [cane] = canes;
  if (cane) return { kind: 'cane', name: cane.name, revisionId: cane.revisionId, hands: 0 };
  const [pattern] = patterns;
  return pattern ? { kind: 'pattern', ...pattern } : null;
}

const within = (value: number, least: number, most: number): number => Math.max(least, Math.min(most, value));
const rounded = (value: number, to: number): number => Math.round(value * to) / to;

/** Moved by so many sides of the plan, never out of reach. */
export const moved = (lay: OverPlan, dx: number, dy: number): OverPlan => ({
  ...lay,
  x: rounded(within(lay.x + dx, -2, 2), 1000),
  y: rounded(within(lay.y + dy, -2, 2), 1000),
});

export const scaled = (lay: OverPlan, scale: number): OverPlan => ({
  ...lay,
  scale: rounded(within(scale, 0.05, 20), 1000),
});

/** Degrees, to the right. */
export const turned = (lay: OverPlan, turn: number): OverPlan => ({
  ...lay,
  turn: rounded(within(turn, -180, 180), 10),
});
