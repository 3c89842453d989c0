import { Fraction } from '#core/units';
import type { Flat } from './flatten.js';
import type { Basis } from './recipe.js';

export interface NormalForm {
  readonly basis: Basis;
  readonly parts: readonly { readonly clayId: string; readonly parts: bigint }[];
}

function gcd(a: bigint, b: bigint): bigint {
  return b === 0n ? a : gcd(b, a % b);
}

/**
 * The smallest whole parts of a mix down to its clays, in the order of clay
 * ids. Two recipes with equal normal forms are the same colour.
 */
export function normalForm(flat: Flat, basis: Basis): NormalForm {
  const shares = flat.shares
    .map(({ clay, volume, mass }) => ({ clayId: clay.id, share: basis === 'volume' ? volume : mass }))
    .sort((a, b) => (a.clayId < b.clayId ? -1 : 1));
  const common = shares.reduce((lcm, { share }) => (lcm * share.d) / gcd(lcm, share.d), 1n);
  const whole = shares.map(({ clayId, share }) => ({ clayId, parts: new Fraction(share).mul(common).n }));
  const divisor = whole.reduce((d, { parts }) => gcd(d, parts), 0n);
  return { basis, parts: whole.map(({ clayId, parts }) => ({ clayId, parts: parts / divisor })) };
}

/** A text that is equal exactly for equal normal forms. */
export function normalKey({ basis, parts }: NormalForm): string {
  return `${basis}:${parts.map((p) => `${p.clayId}=${p.parts}`).join(',')}`;
}
