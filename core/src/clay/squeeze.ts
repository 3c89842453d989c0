/**
 * What a block does between two fingers: it gives, it is stiff, it cracks at its edge, or it falls to crumbs. Each
 * test overrules what line and age let one guess.
 */
export const SQUEEZES = ['gives', 'stiff', 'cracks', 'crumbles'] as const;
export type Squeeze = (typeof SQUEEZES)[number];

/** A block as it was squeezed last. */
export interface Squeezed {
  readonly squeezed?: Squeeze | null | undefined;
  /** ISO date */
  readonly squeezedOn?: string | null | undefined;
}

/** Days after which a block has to be squeezed again: an assumption. */
export const SQUEEZE_HOLDS = 180;
const DAY = 86_400_000;

/** What a block does by a test that still holds; null: nobody squeezed it, or too long ago. @param today ISO date */
export function squeezeOf({ squeezed, squeezedOn }: Squeezed, today: string): Squeeze | null {
  if (!squeezed) return null;
  if (!squeezedOn) return squeezed;
  const days = (Date.parse(today) - Date.parse(squeezedOn)) / DAY;
  return days > SQUEEZE_HOLDS ? null : squeezed;
}
