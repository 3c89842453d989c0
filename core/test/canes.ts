import { contextOf, runSteps, type CaneState, type MaterialKey, type StartColours, type Step } from '#core/cane';

/** What the tests of canes share. */
export const COLOURS: StartColours = { dark: 'clay:dark', light: 'clay:light', strong: 'clay:strong', second: 'clay:second', glass: ['clay:g1', 'clay:g2', 'clay:g3', 'clay:g4'], fade: 'blend:fade' };
export type Loose = Step extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;
export const steps = (...all: readonly Loose[]): Step[] => all.map((s, i) => ({ ...s, id: `s${i}` }) as Step);
export const log = (of: MaterialKey = 'clay:a', diameter = 20, length = 60): Loose => ({ do: 'log', of, diameter, length });
export function last(list: readonly Step[], context = contextOf()): CaneState {
  const results = runSteps(list, context);
  const wrong = results.find((r) => r.wrong)?.wrong;
  if (wrong) throw wrong;
  return results.at(-1)?.state as CaneState;
}
