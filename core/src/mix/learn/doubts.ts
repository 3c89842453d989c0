import { deltaE } from '#core/colour';
import { SIGMA_OF_CHIP, type Evidence } from './evidence.js';
import type { Residual } from './learn.js';

/** A chip that does not go with the others: with another chip of the same mix, or with all of them together. */
export type Doubt =
  | { readonly kind: 'pair'; readonly id: string; readonly otherId: string; readonly deltaE: number }
  | { readonly kind: 'rest'; readonly id: string; readonly deltaE: number };

/** How many times what was expected a difference has to be before it is pointed at: an assumption. */
const SURPRISING = 3;
/** A difference below this ΔE00 is never pointed at. */
const LEAST = 3;

const keyOf = ({ shares, stage }: Evidence): string =>
  `${stage}|${[...shares]
    .sort((a, b) => (a.clayId < b.clayId ? -1 : 1))
    .map((s) => `${s.clayId}:${s.volume.toFixed(9)}`)
    .join()}`;

/** Chips of one mix that read differently, and chips that contradict all the rest; the worst first. */
export function doubtsOf(evidence: readonly Evidence[], residuals: readonly Residual[]): Doubt[] {
  const doubts: Doubt[] = [];
  const inPair = new Set<string>();
  evidence.forEach((one, i) => {
    for (const other of evidence.slice(i + 1)) {
      if (keyOf(one) !== keyOf(other)) continue;
      const off = deltaE(one.lab, other.lab);
      if (off < Math.max(LEAST, SURPRISING * Math.hypot(SIGMA_OF_CHIP[one.way], SIGMA_OF_CHIP[other.way]))) continue;
      doubts.push({ kind: 'pair', id: one.id, otherId: other.id, deltaE: off });
      inPair.add(one.id).add(other.id);
    }
  });
  for (const { id, after, surprise } of residuals) {
    if (!inPair.has(id) && surprise > SURPRISING && after > LEAST) doubts.push({ kind: 'rest', id, deltaE: after });
  }
  return doubts.sort((a, b) => b.deltaE - a.deltaE);
}
