import type { Mm } from '#core/units';

/** Hands take a cane down by a quarter of its diameter at a time, then let it rest: an assumption. */
const AT_A_TIME = 0.75;

/** A reduction in stages: how thick and how long after each. */
export function reductionStages(from: Mm, to: Mm, length: Mm): { readonly diameter: Mm; readonly length: Mm }[] {
  const count = Math.max(1, Math.ceil(Math.log(to / from) / Math.log(AT_A_TIME) - 1e-9));
  return Array.from({ length: count }, (_, i) => {
    const diameter = from * (to / from) ** ((i + 1) / count);
    return { diameter, length: length * (from / diameter) ** 2 };
  });
}
