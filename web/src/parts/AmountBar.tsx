import type { ReactElement } from 'react';
import { grey } from '../theme/grey.js';

/** How much of an amount is there: clay as far as it goes, hatched where it is short. */
export function AmountBar({
  grams,
  short,
  longest,
  hex,
}: {
  readonly grams: number;
  readonly short: number;
  readonly longest: number;
  readonly hex: string;
}): ReactElement {
  const width = (g: number): number => (longest > 0 ? (100 * g) / longest : 0);
  const there = width(grams - short);
  return (
    <svg width="100%" height="15" aria-hidden style={{ display: 'block' }}>
      <rect x="0" width={`${there}%`} height="15" fill={`#${hex}`} />
      {short > 0 && (
        <rect x={`${there}%`} y="0.5" width={`${width(short)}%`} height="14" fill="url(#short)" stroke={grey.ink} />
      )}
    </svg>
  );
}
