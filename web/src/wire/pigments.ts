import type { PigmentSource } from '#core/colour';
import { pigmentsWith, type Learned } from '#core/mix';
import { useLearning } from './queries.js';

const stated = pigmentsWith(null);
const sources = new WeakMap<Learned, PigmentSource>();

/**
 * The pigments that predictions use: with what the chips taught, unless that is switched off. A clay's curve is
 * worked out once a visit.
 */
export function usePigments(): PigmentSource {
  const { data } = useLearning();
  const learned = data?.use ? data.learned : null;
  if (!learned) return stated;
  const source = sources.get(learned) ?? pigmentsWith(learned);
  sources.set(learned, source);
  return source;
}
