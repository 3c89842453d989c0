import { benchMachine } from '../../state/bench.js';
import { useSearchParams } from 'react-router';
import type { ConditionedAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { today } from '../../state/today.js';
import { askedIn, conditionedOf, planOf } from './conditioning.js';

/** What is to be conditioned, as the address says, and the plan for it; null while there is no clay. */
export function useConditioning(shelf: ShelfAnswer, bench: MachinesAnswer, counted: ConditionedAnswer) {
  const [query, setQuery] = useSearchParams();
  const asked = askedIn(query, shelf, today());
  if (!asked) return null;
  const { setup } = bench;
  const machine = benchMachine(bench) ?? null;
  const set = (key: string, value: string): void => {
    const next = new URLSearchParams(query);
    next.set(key, value);
    setQuery(next, { replace: true });
  };
  const plan = planOf(asked, setup, machine, counted);
  return { asked, what: conditionedOf(asked, setup), set, setup, machine, plan };
}

export type Conditioning = NonNullable<ReturnType<typeof useConditioning>>;
