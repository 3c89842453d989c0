import { leftOf } from '../state/shelf.js';
import { useMemo } from 'react';
import { ASSUMED_DENSITY, strengthOf } from '#core/clay';
import type { ShelfAnswer } from '#contract';
import { useLearning } from '../wire/queries.js';
import type { PlainClay } from './find.worker.js';

/** The clays in use as the workers take them: with what was learned of them and the grams that are left. */
export function usePlainClays(shelf: ShelfAnswer, opaqueOnly = false): PlainClay[] {
  const { data } = useLearning();
  const learned = data?.use ? data.learned : null;
  return useMemo(
    () =>
      shelf.clays
        .filter((c) => !c.retired && (!opaqueOnly || c.kind === 'opaque'))
        .map((c) => ({
          id: c.id,
          hex: c.bakedHex,
          strength: strengthOf(c).value,
          learned: learned?.[c.id] ?? null,
          density: shelf.lines.find((l) => l.id === c.lineId)?.density ?? ASSUMED_DENSITY,
          left: leftOf(shelf, c.id),
        })),
    [shelf, opaqueOnly, learned],
  );
}
