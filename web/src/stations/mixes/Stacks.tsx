import { sameMaterial, type Mixable } from '#core/material';
import { Box, Flex, chakra } from '@chakra-ui/react';
import { useState, type KeyboardEvent, type ReactElement } from 'react';
import { Fraction, showMass, showNumber, sumOf } from '#core/units';
import type { Basis, Book, Flat } from '#core/mix';
import type { IngredientDto, RevisionAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { DiscStack } from '../../parts/DiscStack.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { useKeys } from '../../state/keys.js';
import { useUnits, useView } from '../../state/view.js';
import { Key, Plus, Second } from '../../theme/pieces.js';
import { usePigments } from '../../wire/pigments.js';
import { recipesOf } from '../../wire/revisions.js';
import { BY_KEY, ONE, lookOf, withParts } from './discs.js';
import { StackParts } from './StackParts.js';

const BASES = [
  { value: 'volume', text: 'by volume (discs)' },
  { value: 'mass', text: 'by mass (scale)' },
] as const;

const Pile = chakra('div', {
  base: {
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'flex-end',
    flex: '0 1 128px',
    minWidth: '104px',
    paddingX: 1,
  },
});
interface OneStackProps {
  readonly ingredient: IngredientDto;
  readonly beside: readonly Fraction[];
  readonly book: Book;
  readonly readOnly: boolean;
  readonly onParts: (parts: Fraction) => void;
}

/** One stack of discs: a click adds one, keys add and take away. */
function OneStack({ ingredient, beside, book, readOnly, onParts }: OneStackProps): ReactElement {
  const parts = new Fraction(ingredient.parts);
  const look = lookOf(ingredient, book, usePigments());
  const byKey = (e: KeyboardEvent): void => {
    const run = BY_KEY[e.key];
    if (!run || readOnly || e.ctrlKey || e.metaKey) return;
    e.preventDefault();
    e.stopPropagation();
    onParts(run(parts));
  };
  return (
    <Pile role="listitem">
      <Box
        as="button"
        aria-label={`${showNumber(parts)} ${look.name}: add a disc`}
        aria-disabled={readOnly}
        padding={1}
        onClick={() => {
          if (!readOnly) onParts(parts.add(ONE));
        }}
        onKeyDown={byKey}
      >
        <DiscStack parts={parts} hex={look.hex} beside={beside} />
      </Box>
    </Pile>
  );
}

interface AddStackProps {
  readonly mixId: string;
  readonly onPick: (of: Mixable) => void;
}

/** A clay or a mix more. */
function AddStack({ mixId, onPick }: AddStackProps): ReactElement {
  const [picking, setPicking] = useState(false);
  const begin = (): void => {
    setPicking(true);
  };
  useKeys('Mixing', [{ key: 'a', does: 'Add a clay', run: begin }]);
  return (
    <Box role="listitem" alignSelf="center" marginLeft={2}>
      {picking ? (
        <MaterialPicker
          place="ingredient"
          label="Clay or mix to add"
          without={mixId}
          onPick={({ of }: Picked<Mixable>) => {
            setPicking(false);
            onPick(of);
          }}
          onCancel={() => {
            setPicking(false);
          }}
        />
      ) : (
        <Plus aria-label="Add a clay or a mix" onClick={begin}>
          +
        </Plus>
      )}
    </Box>
  );
}

/** What a click and the keys do. */
const HOW = (
  <>
    click adds one, <b>H</b> a half, <b>Q</b> a quarter, <b>−</b> takes away · add a clay <Key>A</Key>
  </>
);

interface StacksProps {
  readonly ingredients: readonly IngredientDto[];
  readonly basis: Basis;
  readonly flat: Flat | null;
  readonly book: Book;
  readonly readOnly: boolean;
  readonly mixId: string;
  readonly onChange: (ingredients: IngredientDto[]) => void;
  readonly onBasis: (basis: Basis) => void;
  readonly onPicked: (revisions: readonly RevisionAnswer[]) => void;
}

/** Changing what is on the stacks. */
function useStacks({ ingredients, onChange, onPicked }: StacksProps) {
  const setParts = (at: number, parts: Fraction): void => {
    const next = withParts(ingredients, at, parts);
    if (next) onChange(next);
  };
  const pick = async (of: Mixable): Promise<void> => {
    const at = ingredients.findIndex((i) => sameMaterial(i.of, of));
    if (at >= 0) {
      setParts(at, new Fraction(ingredients[at]?.parts ?? 0).add(ONE));
      return;
    }
    onPicked(await recipesOf(of));
    onChange([...ingredients, { parts: '1', of }]);
  };
  return { setParts, pick };
}

/** The mix as stacks of discs: click or press to add and take away. */
export function Stacks(props: StacksProps): ReactElement {
  const { ingredients, basis, flat, book, readOnly, mixId, onBasis } = props;
  const units = useUnits();
  const grams = useView((s) => s.mixGrams);
  const { setParts, pick } = useStacks(props);
  const all = ingredients.map((i) => new Fraction(i.parts));
  const total = sumOf(all);
  return (
    <Flex direction="column" background="tile" border="rule" padding={4} minHeight="330px" minWidth={0}>
      <Second>{readOnly ? 'as it was' : HOW}</Second>
      <Flex
        flex={1}
        alignItems="flex-end"
        borderBottom="hair"
        marginTop={3}
        wrap="wrap"
        rowGap={4}
        role="list"
        aria-label="Stacks of discs"
      >
        {ingredients.map((i, at) => (
          <OneStack
            key={i.of.id}
            ingredient={i}
            beside={all}
            book={book}
            readOnly={readOnly}
            onParts={(parts) => {
              setParts(at, parts);
            }}
          />
        ))}
        {!readOnly && (
          <AddStack
            mixId={mixId}
            onPick={(of) => {
              void pick(of);
            }}
          />
        )}
      </Flex>
      <StackParts {...{ ingredients, basis, flat, book, readOnly }} onParts={setParts} />
      <Box fontSize="small" paddingTop={3}>
        {showNumber(total)} {total.equals(1) ? 'part' : 'parts'}{' '}
        <Choice label="Parts are" value={basis} options={BASES} disabled={readOnly} onChange={onBasis} /> ·{' '}
        {showMass(grams, units)}
      </Box>
    </Flex>
  );
}
