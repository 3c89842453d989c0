import { showMass, type UnitSystem } from '#core/units';
import type { ShelfListAnswer } from '#contract';
import { many } from '../shopping/shoppingWords.js';

/** What comes of a list, and what is still to be said then. */
export function comesWords({ lines, clays, blocks, grams, colourless }: ShelfListAnswer, units: UnitSystem): string[] {
  const news = clays === 0 ? 'all of clays that are there already' : `${many(clays, 'clay', 'clays')} of them new`;
  const first = `${many(blocks, 'block', 'blocks')}, ${showMass(grams, units)}; ${news}.`;
  const packets =
    lines.length === 0 ? [] : [`New lines: ${lines.join(', ')}. What their packets say is assumed until you say it.`];
  const colours =
    colourless === 0 ? [] : [`${many(colourless, 'clay has', 'clays have')} no colour yet: grey, until you say it.`];
  return [first, ...packets, ...colours];
}
