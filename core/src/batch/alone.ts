import type { Material } from '#core/material';
import { lookUp, type Looking, type MaterialBook } from '#core/stock';
import { attempt } from '#core/units';
import type { Alone } from './ovenLoads.js';

/** What a plan is worked out with. */
export interface Working {
  readonly book: MaterialBook;
  readonly looking: Looking;
}

/** L* from which a colour browns before others are baked, and the share of a kind that counts: assumptions. */
const [LIGHT, MOSTLY] = [85, 0.5];

/** Whether something of these materials wants to bake by itself. */
export function aloneOf(materials: readonly Material[], { book, looking }: Working): Alone | null {
  const baked: Looking = { ...looking, stage: 'baked' };
  const known = materials.flatMap((of) =>
    attempt(
      () => [lookUp(of, book, baked)],
      () => [],
    ),
  );
  if (known.some(({ kinds }) => (kinds.glitter ?? 0) > 0)) return 'glitter';
  if (known.some(({ kinds }) => (kinds.translucent ?? 0) > MOSTLY)) return 'translucent';
  const light = known.length > 0 && known.every(({ labs }) => labs.every((lab) => lab.l > LIGHT));
  return light ? 'light' : null;
}
