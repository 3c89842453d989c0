import { useSearchParams } from 'react-router';
import { ORNAMENTS } from '#core/pattern';
import type { PatternToMake } from '../../../workers/pattern.js';

/** What is folded, of which square, and whether hands are at it, as it stands in the address. */
export function useFoldPlan(plan: PatternToMake) {
  const [query, setQuery] = useSearchParams();
  const { width, height, round } = plan.sheet;
  const most = Math.min(width, height) * (round ? Math.SQRT1_2 : 1);
  const side = Number(query.get('side') ?? Number.NaN);
  const set = (part: Readonly<Record<string, string>>): void => {
    // what the address says by now: the page is drawn a moment later, and changes may come faster than that
    const now = new URLSearchParams(window.location.search);
    setQuery({ ...Object.fromEntries(now), ...part }, { replace: true });
  };
  return {
    ornament: ORNAMENTS.find((one) => one === query.get('as')) ?? 'parcel',
    side: Number.isFinite(side) && side > 0 ? Math.min(most, side) : Math.floor(10 * most) / 10,
    most,
    atBench: query.get('at') === 'bench',
    set,
  };
}

export type Own = ReturnType<typeof useFoldPlan>;
