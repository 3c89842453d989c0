import { strengthOf } from '#core/clay';
import { statedPigment, type PigmentSource, type Pigment } from '#core/colour';
import { correctedPigment } from './curves.js';
import type { Learned } from './evidence.js';

/** A {@link PigmentSource} with what was learned, that works each clay out once; null: with the defaults. */
export function pigmentsWith(learned: Learned | null): PigmentSource {
  const known = new Map<string, Pigment>();
  return (clay, stage) => {
    const own = learned?.[clay.id];
    const hex = stage === 'raw' ? clay.rawHex : clay.bakedHex;
    const key = `${own ? clay.id : ''}:${hex}:${strengthOf(clay).value}`;
    let pigment = known.get(key);
    if (!pigment) {
      const stated = statedPigment(clay, stage);
      pigment = own ? correctedPigment(stated, own) : stated;
      known.set(key, pigment);
    }
    return pigment;
  };
}
