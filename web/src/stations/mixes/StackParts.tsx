import { Box, Flex, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { Basis, Book, Flat } from '#core/mix';
import { Fraction, showMass, showNumber } from '#core/units';
import type { IngredientDto } from '#contract';
import { useUnits, useView } from '../../state/view.js';
import { Second } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { HALF, ONE, QUARTER, gramsOf, less, lookOf } from './discs.js';

const Small = chakra('button', {
  base: {
    border: 'hair',
    minWidth: '26px',
    height: '26px',
    textAlign: 'center',
    fontSize: 'small',
    background: 'tile',
    _hover: { borderColor: 'ink' },
    _disabled: { color: 'hairline' },
  },
});

const BUTTONS = [
  { sign: '−', words: (name: string) => `Take a disc of ${name} away`, run: less },
  { sign: '¼', words: (name: string) => `Add a quarter of ${name}`, run: (parts: Fraction) => parts.add(QUARTER) },
  { sign: '½', words: (name: string) => `Add a half of ${name}`, run: (parts: Fraction) => parts.add(HALF) },
  { sign: '+', words: (name: string) => `Add a disc of ${name}`, run: (parts: Fraction) => parts.add(ONE) },
] as const;

export interface StackPartsProps {
  readonly ingredients: readonly IngredientDto[];
  readonly basis: Basis;
  readonly flat: Flat | null;
  readonly book: Book;
  readonly readOnly: boolean;
  readonly onParts: (at: number, parts: Fraction) => void;
}

/** Under each stack: its parts, its grams, and buttons for more and less. */
export function StackParts({ ingredients, basis, flat, book, readOnly, onParts }: StackPartsProps): ReactElement {
  const units = useUnits();
  const grams = useView((s) => s.mixGrams);
  const pigments = usePigments();
  return (
    <Flex as="ul" wrap="wrap" paddingTop={3} aria-label="Parts">
      {ingredients.map((i, at) => {
        const { name } = lookOf(i, book, pigments);
        const parts = new Fraction(i.parts);
        return (
          <Box as="li" key={i.of.id} flex="0 1 128px" minWidth="104px" textAlign="center" paddingX={1}>
            <Box fontFamily="heading" fontWeight={700} fontSize="h3" lineHeight={1.2}>
              {showNumber(parts)} {name}
            </Box>
            <Second>{flat ? showMass(gramsOf(i, ingredients, basis, flat, book, grams), units) : ''}</Second>
            {!readOnly && (
              <Flex gap={1} paddingTop={1} justifyContent="center">
                {BUTTONS.map(({ sign, words, run }) => (
                  <Small
                    key={sign}
                    aria-label={words(name)}
                    onClick={() => {
                      onParts(at, run(parts));
                    }}
                  >
                    {sign}
                  </Small>
                ))}
              </Flex>
            )}
          </Box>
        );
      })}
    </Flex>
  );
}
