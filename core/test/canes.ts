import {
  beyond,
  contextOf,
  extentOf,
  reachOf,
  runSteps,
  type CaneContext,
  type CaneState,
  type MaterialKey,
  type Outline,
  type Point,
  type StartColours,
  type Step,
} from '#core/cane';
import { seeded } from '#core/units';

export { refusal } from './refused.js';

/** What the tests of canes share. */
export const COLOURS: StartColours = {
  dark: 'clay:dark',
  light: 'clay:light',
  strong: 'clay:strong',
  second: 'clay:second',
  glass: ['clay:g1', 'clay:g2', 'clay:g3', 'clay:g4'],
  fade: 'blend:fade',
};
export type Loose = Step extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;
export const steps = (...all: readonly Loose[]): Step[] => all.map((s, i) => ({ ...s, id: `s${i}` }) as Step);
export const log = (of: MaterialKey = 'clay:a', diameter = 20, length = 60): Loose => ({
  do: 'log',
  of,
  diameter,
  length,
});
/** A context in which no ends are cut off: all clay stays. */
export const withoutEnds = (): CaneContext => contextOf(undefined, 0, 1, { share: 0, trimming: 'once at the end' });
export function last(list: readonly Step[], context = withoutEnds()): CaneState {
  const results = runSteps(list, context);
  const wrong = results.find((r) => r.wrong)?.wrong;
  if (wrong) throw wrong;
  return results.at(-1)?.state as CaneState;
}
/** So many points by chance within an outline. */
export const within = (outline: Outline, count: number, seed: number): Point[] => {
  const [chance, reach, box] = [seeded(seed), reachOf(outline), extentOf(outline)];
  const points: Point[] = [];
  while (points.length < count) {
    const p: Point = [box.left + chance() * box.width, box.bottom + chance() * box.height];
    if (beyond(reach, p[0], p[1]) < 0.999) points.push(p);
  }
  return points;
};
