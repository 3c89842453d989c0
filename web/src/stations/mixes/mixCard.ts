import type { PigmentSource } from '#core/colour';
import { Fraction, showNumber } from '#core/units';
import type { CardLine, PictureCard } from '../../parts/card/pictureCard.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';
import { lookOf } from './discs.js';
import type { MixEditing } from './useMixEditing.js';

const BASES = { volume: 'parts by volume', mass: 'parts by mass' } as const;

/** What the card of a mix shows: its colour, and the parts of the revision that is looked at. */
export function mixCard({ mix, shown, worked, book }: MixEditing, pigments: PigmentSource): PictureCard {
  const lines = shown.ingredients.map((ingredient): CardLine => {
    const { name, hex } = lookOf(ingredient, book, pigments);
    return { hexes: [hex], name, amount: showNumber(new Fraction(ingredient.parts)) };
  });
  return {
    name: mix.name,
    about: `Mix, ${BASES[shown.basis]}, as baked`,
    picture: { of: 'colours', hexes: [worked.flat ? worked.baked.hex : UNKNOWN_HEX] },
    lines,
    note: mix.note,
  };
}
