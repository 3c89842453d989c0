import { useMemo, useState } from 'react';
import { deltaE, readColour, statedPigment, type Lab } from '#core/colour';
import { colourOf, flatten, pigmentOfMix, type Flat } from '#core/mix';
import type { MixAnswer, ShelfAnswer } from '#contract';
import { useBook } from '../../state/book.js';
import { usePigments } from '../../wire/pigments.js';
import type { PlainCorrection } from '../../workers/find.worker.js';
import { useCorrections } from '../../workers/useFind.js';
import { usePlainClays } from '../../workers/usePlainClays.js';

/** As the recipe would come out if every clay were as its packet says. */
const asStated = (flat: Flat): Lab => colourOf(flat, 'baked', statedPigment).lab;

/** Grams of the mix where nobody says how many. */
const USUAL_GRAMS = 40;

/** A mix's recipe: that of a chip, or the newest. */
function useRecipe(mix: MixAnswer, chipId: string | null, shelf: ShelfAnswer) {
  const chip = mix.chips.find((c) => c.id === chipId) ?? mix.chips.find((c) => c.stage === 'baked');
  const revision = mix.revisions.find((r) => r.id === chip?.revisionId) ?? mix.revisions.at(-1);
  const known = useMemo(() => [...mix.revisions, ...mix.referenced], [mix]);
  const book = useBook(shelf, known);
  const revisionId = revision?.id ?? '';
  const flat = useMemo(() => {
    const recipe = book.recipe(revisionId);
    return recipe ? flatten(recipe, book) : null;
  }, [book, revisionId]);
  return { chip, revision, flat };
}

/** How a mix reads, how it was wanted, and what brings the one to the other. */
export function useCorrection(mix: MixAnswer, chipId: string | null, shelf: ShelfAnswer) {
  const { chip, revision, flat } = useRecipe(mix, chipId, shelf);
  const [grams, setGrams] = useState(USUAL_GRAMS);
  const [typed, setTyped] = useState<Lab | null>(null);
  const [wish, setWish] = useState<Lab | null>(mix.wantedHex === null ? null : readColour(mix.wantedHex));
  const pigments = usePigments();
  const clays = usePlainClays(shelf);
  const reads = typed ?? chip ?? null;
  const stated = useMemo(() => flat && asStated(flat), [flat]);
  const wanted = wish ?? stated;
  const input = useMemo((): PlainCorrection | null => {
    if (!reads || !wanted || !flat) return null;
    return {
      grams,
      reads: { l: reads.l, a: reads.a, b: reads.b },
      wanted,
      pigment: pigmentOfMix(flat, 'baked', pigments),
      density: flat.density,
      clays,
    };
  }, [grams, reads, wanted, flat, clays, pigments]);
  return {
    ...{ revision, grams, setGrams, reads, setTyped, wish, setWish, wanted },
    found: useCorrections(input),
    off: reads && wanted ? deltaE(reads, wanted) : null,
  };
}

export type Correcting = ReturnType<typeof useCorrection>;
