import type { Material } from '#core/material';
import { pigmentsWith } from '#core/mix';
import { lookUp, type ClayShare, type MaterialBook } from '#core/stock';
import { attempt } from '#core/units';

/** The clays in a material, by mass; none where it is gone. Their colours do not matter. */
export const clayIn = (of: Material, book: MaterialBook): readonly ClayShare[] =>
  attempt(
    () => lookUp(of, book, { stage: 'raw', pigments: pigmentsWith(null) }).shares,
    () => [],
  );
