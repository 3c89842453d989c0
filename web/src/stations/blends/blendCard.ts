import { hexOf, xyzOfLab } from '#core/colour';
import { showMass, showSize, type UnitSystem } from '#core/units';
import type { BlendAnswer } from '#contract';
import type { PictureCard } from '../../parts/card/pictureCard.js';
import type { WorkedBlend } from './workedBlend.js';

/** What the card of a blend shows: its fade, and what is laid for it. */
export function blendCard({ name, note, plan }: BlendAnswer, worked: WorkedBlend, units: UnitSystem): PictureCard {
  return {
    name,
    about: `Skinner blend, laid ${showSize(plan.width, plan.height, units)}`,
    picture: { of: 'colours', hexes: worked.tapeLabs.map((lab) => hexOf(xyzOfLab(lab))) },
    lines: worked.colours.map(({ name: colour, hex, grams }) => ({
      hexes: [hex],
      name: colour,
      amount: showMass(grams, units),
    })),
    note,
  };
}
