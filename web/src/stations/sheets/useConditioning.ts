import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { ConditionedAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { ownMachine } from '../../state/bench.js';
import { today } from '../../state/today.js';
import { benchFor } from '../../wire/conditioningBench.js';
import { sittingFor, writeAmounts, type Amount, type LotOfClay } from '../../parts/conditioning/sitting.js';
import { askedIn, conditionedOf, planOf } from './conditioning.js';

/** What is to be conditioned, as the address says, and the plan for it; null while there is no clay. */
export function useConditioning(shelf: ShelfAnswer, machines: MachinesAnswer, counted: ConditionedAnswer) {
  const [query, setQuery] = useSearchParams();
  const bench = useMemo(() => benchFor(machines, counted), [machines, counted]);
  const asked = useMemo(() => askedIn(query, shelf, today()), [query, shelf]);
  const sitting = useMemo(() => (asked ? sittingFor(asked.lots, bench) : ''), [asked, bench]);
  if (!asked) return null;
  /** what the address says by now: the page is drawn a moment later, and changes may come faster than that */
  const now = (): URLSearchParams => new URLSearchParams(window.location.search);
  const set = (amounts: readonly Amount[], clayId: string, lot = 0): void => {
    const next = { of: writeAmounts(amounts), clay: clayId, lot: String(lot) };
    setQuery(new URLSearchParams(next), { replace: true });
  };
  const amounts = (): readonly Amount[] => askedIn(now(), shelf, today())?.amounts ?? asked.amounts;
  const without = (clayId: string): readonly Amount[] => amounts().filter((a) => a.clayId !== clayId);
  const clayId = asked.one.clay.id;
  return {
    asked,
    bench,
    sitting,
    ...{ setup: machines.setup, machine: ownMachine(machines) ?? null },
    what: conditionedOf(asked.one, bench),
    plan: planOf(asked.one, bench),
    /** g of the clay that is looked at */
    weigh: (grams: number): void => {
      set(
        amounts().map((a) => (a.clayId === clayId ? { clayId, grams } : a)),
        clayId,
      );
    },
    /** another clay in the place of the one that is looked at */
    instead: (next: Amount): void => {
      const others = without(next.clayId);
      const place = others.some((a) => a.clayId === clayId);
      set(place ? others.map((a) => (a.clayId === clayId ? next : a)) : [...others, next], next.clayId);
    },
    add: (next: Amount): void => {
      set([...without(next.clayId), next], next.clayId);
    },
    letGo: (gone: string): void => {
      const left = without(gone);
      set(left, left[0]?.clayId ?? '');
    },
    look: (of: LotOfClay): void => {
      const own = asked.lots.filter(({ clay }) => clay.id === of.clay.id);
      set(amounts(), of.clay.id, Math.max(0, own.indexOf(of)));
    },
  };
}

export type Conditioning = NonNullable<ReturnType<typeof useConditioning>>;
