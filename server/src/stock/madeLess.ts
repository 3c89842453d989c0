import type { Grams } from '#core/units';
import type { Row } from '../db/journal.js';

/** A thing after some of it was taken: used up, or as much smaller as it is lighter. */
export function madeLess(thing: Row<'sheet'>, taken: Grams, hair: Grams): Row<'sheet'> {
  const left = thing.grams - taken;
  if (left <= hair) return { ...thing, gone: true };
  const share = left / thing.grams;
  const lighter = { ...thing, grams: left };
  switch (thing.form) {
    case 'sheet':
      return { ...lighter, widthMm: Math.max(1, thing.widthMm * share) };
    case 'plug':
    case 'fan':
    case 'cane':
      return { ...lighter, lengthMm: Math.max(1, thing.lengthMm * share) };
    case 'slices':
    case 'threads':
    case 'cores':
    case 'baked':
      return { ...lighter, count: Math.max(1, Math.round(thing.count * share)) };
    case 'lump': {
      const mm = thing.mm * Math.cbrt(share);
      return { ...lighter, mm, widthMm: mm, lengthMm: mm };
    }
  }
}
