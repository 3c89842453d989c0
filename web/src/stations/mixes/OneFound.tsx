import { ofClay } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import { flatten, partsOf, printNotation, toGrams, type Found, type Recipe } from '#core/mix';
import { showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useBook } from '../../state/book.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Second } from '../../theme/pieces.js';
import { useMakeMix } from './useMakeMix.js';

/** What a difference is called up to so many ΔE00. */
const CALLED: readonly (readonly [below: number, words: string])[] = [
  [1, 'the same to the eye'],
  [2, 'close'],
  [5, 'near, but to be told apart'],
];
const words = (deltaE: number): string => CALLED.find(([below]) => deltaE < below)?.[1] ?? 'far off';

interface OneFoundProps {
  readonly found: Found;
  readonly target: string;
  readonly shelf: ShelfAnswer;
  readonly grams: number;
}

/** A mix that was found: beside the colour, how far off, and what it takes. */
export function OneFound({ found, target, shelf, grams }: OneFoundProps): ReactElement {
  const units = useUnits();
  const book = useBook(shelf, []);
  const { make, wrong } = useMakeMix();
  const parts = partsOf(found.units);
  const recipe: Recipe = {
    basis: 'volume',
    ingredients: found.clayIds.map((id, i) => ({ parts: parts[i] ?? parts[0]!, of: ofClay(id) })),
  };
  const perClay = toGrams(flatten(recipe, book), grams);
  const notation = printNotation(
    recipe.ingredients.map((i, k) => ({
      parts: i.parts,
      of: { name: book.clay(found.clayIds[k] ?? '')?.name ?? '', revision: null },
    })),
  );
  const put = (): void => {
    const ingredients = recipe.ingredients.map(({ parts: n, of }) => ({ parts: n.toFraction(), of }));
    void make(`Like ${target} ${crypto.randomUUID().slice(0, 3)}`, ingredients, {
      wantedHex: target,
      note: `found for the colour ${target}, ΔE ${found.deltaE.toFixed(1)}`,
    });
  };
  return (
    <Box as="li" width="160px">
      <Flex height="104px" borderRadius="10px" overflow="hidden" aria-hidden>
        <Box flex={1} style={{ background: `#${target}` }} />
        <Box flex={1.6} style={{ background: `#${hexOf(xyzOfLab(found.lab))}` }} />
      </Flex>
      <Box fontWeight={600} marginTop={2} lineHeight={1.3} data-testid="notation">
        {notation}
      </Box>
      <Box>
        <b>ΔE {found.deltaE.toFixed(1)}</b> <Second>{words(found.deltaE)}</Second>
      </Box>
      <Box lineHeight={1.35}>
        <Caption>
          {perClay.map((c) => `${showMass(c.grams, units)} ${book.clay(c.clayId)?.name ?? ''}`).join(', ')}
        </Caption>
      </Box>
      <Action marginTop={2} onClick={put}>
        Put it on the board
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
