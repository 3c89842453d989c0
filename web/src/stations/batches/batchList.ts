import type { BatchCard } from '#contract';

/** Behind every day, for what is due on none. */
const NO_DAY = '9999';

/** Those that are not made yet, the next due in front. */
export const waitingOf = (batches: readonly BatchCard[]): readonly BatchCard[] =>
  batches.filter((b) => !b.done).sort((a, b) => (a.dueOn ?? NO_DAY).localeCompare(b.dueOn ?? NO_DAY));
