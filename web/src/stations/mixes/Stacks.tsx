import { recipesOf } from '../../wire/revisions.js';
import { sameMaterial, type Mixable } from '#core/material';
import type { PigmentSource } from '#core/colour';
import { Box, Flex, chakra } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Fraction, showMass, showNumber, sumOf } from '#core/units';
import { colourOf, flatten, toGrams, type Basis, type Book, type Flat } from '#core/mix';
import type { IngredientDto, RevisionAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { DiscStack } from '../../parts/DiscStack.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { useKeys } from '../../state/keys.js';
import { useUnits, useView } from '../../state/view.js';
import { Key, Plus, Second } from '../../theme/pieces.js';
import { ingredientOf } from '../../state/book.js';
import { usePigments } from '../../wire/pigments.js';

const BASES = [
  { value: 'volume', text: 'by volume (discs)' },
  { value: 'mass', text: 'by mass (scale)' },
] as const;
const [ONE, HALF, QUARTER] = [new Fraction(1), new Fraction(1, 2), new Fraction(1, 4)];

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

/** One step less: a disc while there is more than one, then a half, then a quarter, then nothing. */
function less(parts: Fraction): Fraction {
  return [ONE, HALF, QUARTER].map((step) => parts.sub(step)).find((rest) => rest.compare(0) > 0) ?? new Fraction(0);
}

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

/** The mix as stacks of discs: click or press to add and take away. */
export function Stacks({
  ingredients,
  basis,
  flat,
  book,
  readOnly,
  mixId,
  onChange,
  onBasis,
  onPicked,
}: StacksProps): ReactElement {
  const units = useUnits();
  const grams = useView((s) => s.mixGrams);
  const [picking, setPicking] = useState(false);
  const pigments = usePigments();
  useKeys(
    'Mixing',
    readOnly
      ? []
      : [
          {
            key: 'a',
            does: 'Add a clay',
            run: () => {
              setPicking(true);
            },
          },
        ],
  );
  const setParts = (at: number, parts: Fraction): void => {
    const rest = ingredients
      .map((i, k) => (k === at ? { ...i, parts: parts.toFraction() } : i))
      .filter((i) => i.parts !== '0');
    if (rest.length > 0) onChange(rest);
  };
  const pick = async ({ of }: Picked<Mixable>): Promise<void> => {
    setPicking(false);
    const at = ingredients.findIndex((i) => sameMaterial(i.of, of));
    if (at >= 0) {
      setParts(at, new Fraction(ingredients[at]?.parts ?? 0).add(ONE));
      return;
    }
    onPicked(await recipesOf(of));
    onChange([...ingredients, { parts: '1', of }]);
  };
  const all = ingredients.map((i) => new Fraction(i.parts));
  const total = sumOf(all);
  return (
    <Flex direction="column" background="tile" border="rule" padding={4} minHeight="330px" minWidth={0}>
      <Second>
        {readOnly ? (
          'as it was'
        ) : (
          <>
            click adds one, <b>H</b> a half, <b>Q</b> a quarter, <b>−</b> takes away · add a clay <Key>A</Key>
          </>
        )}
      </Second>
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
          <Box role="listitem" alignSelf="center" marginLeft={2}>
            {picking ? (
              <MaterialPicker
                place="ingredient"
                label="Clay or mix to add"
                without={mixId}
                onPick={(p) => {
                  void pick(p);
                }}
                onCancel={() => {
                  setPicking(false);
                }}
              />
            ) : (
              <Plus
                aria-label="Add a clay or a mix"
                onClick={() => {
                  setPicking(true);
                }}
              >
                +
              </Plus>
            )}
          </Box>
        )}
      </Flex>
      <Flex as="ul" wrap="wrap" paddingTop={3} aria-label="Parts">
        {ingredients.map((i, at) => {
          const look = lookOf(i, book, pigments);
          const parts = new Fraction(i.parts);
          return (
            <Box as="li" key={i.of.id} flex="0 1 128px" minWidth="104px" textAlign="center" paddingX={1}>
              <Box fontFamily="heading" fontWeight={700} fontSize="h3" lineHeight={1.2}>
                {showNumber(parts)} {look.name}
              </Box>
              <Second>{flat ? showMass(gramsOf(i, ingredients, basis, flat, book, grams), units) : ''}</Second>
              {!readOnly && (
                <Flex gap={1} paddingTop={1} justifyContent="center">
                  <Small
                    aria-label={`Take a disc of ${look.name} away`}
                    onClick={() => {
                      setParts(at, less(parts));
                    }}
                  >
                    −
                  </Small>
                  <Small
                    aria-label={`Add a quarter of ${look.name}`}
                    onClick={() => {
                      setParts(at, parts.add(QUARTER));
                    }}
                  >
                    ¼
                  </Small>
                  <Small
                    aria-label={`Add a half of ${look.name}`}
                    onClick={() => {
                      setParts(at, parts.add(HALF));
                    }}
                  >
                    ½
                  </Small>
                  <Small
                    aria-label={`Add a disc of ${look.name}`}
                    onClick={() => {
                      setParts(at, parts.add(ONE));
                    }}
                  >
                    +
                  </Small>
                </Flex>
              )}
            </Box>
          );
        })}
      </Flex>
      <Box fontSize="small" paddingTop={3}>
        {showNumber(total)} {total.equals(1) ? 'part' : 'parts'}{' '}
        <Choice label="Parts are" value={basis} options={BASES} disabled={readOnly} onChange={onBasis} /> ·{' '}
        {showMass(grams, units)}
      </Box>
    </Flex>
  );
}

function OneStack({
  ingredient,
  beside,
  book,
  readOnly,
  onParts,
}: {
  readonly ingredient: IngredientDto;
  readonly beside: readonly Fraction[];
  readonly book: Book;
  readonly readOnly: boolean;
  readonly onParts: (parts: Fraction) => void;
}): ReactElement {
  const parts = new Fraction(ingredient.parts);
  const look = lookOf(ingredient, book, usePigments());
  const add = (step: Fraction): void => {
    onParts(parts.add(step));
  };
  const keys: Readonly<Record<string, () => void>> = {
    '+': () => {
      add(ONE);
    },
    '=': () => {
      add(ONE);
    },
    ArrowUp: () => {
      add(ONE);
    },
    h: () => {
      add(HALF);
    },
    q: () => {
      add(QUARTER);
    },
    '-': () => {
      onParts(less(parts));
    },
    ArrowDown: () => {
      onParts(less(parts));
    },
    Delete: () => {
      onParts(new Fraction(0));
    },
    Backspace: () => {
      onParts(new Fraction(0));
    },
  };
  const words = `${showNumber(parts)} ${look.name}`;
  return (
    <Pile role="listitem">
      <Box
        as="button"
        aria-label={`${words}: add a disc`}
        aria-disabled={readOnly}
        padding={1}
        onClick={() => {
          if (!readOnly) add(ONE);
        }}
        onKeyDown={(e) => {
          const run = keys[e.key];
          if (!run || readOnly || e.ctrlKey || e.metaKey) return;
          e.preventDefault();
          e.stopPropagation();
          run();
        }}
      >
        <DiscStack parts={parts} hex={look.hex} beside={beside} />
      </Box>
    </Pile>
  );
}

function lookOf(i: IngredientDto, book: Book, pigments: PigmentSource): { name: string; hex: string } {
  const { of } = ingredientOf(i);
  if (of.kind === 'clay') {
    const clay = book.clay(of.id);
    return { name: clay?.name ?? 'a clay', hex: clay?.bakedHex ?? '999999' };
  }
  const recipe = book.recipe(of.id);
  return { name: book.nameOf(of.id), hex: recipe ? colourOf(flatten(recipe, book), 'baked', pigments).hex : '999999' };
}

/** Grams of one ingredient in `total` grams of the mix. */
function gramsOf(
  i: IngredientDto,
  all: readonly IngredientDto[],
  basis: Basis,
  flat: Flat,
  book: Book,
  total: number,
): number {
  const alone = flatten({ basis: 'volume', ingredients: [{ ...ingredientOf(i), parts: ONE }] }, book);
  const sum = sumOf(all.map((each) => new Fraction(each.parts)));
  const share = new Fraction(i.parts).div(sum).valueOf();
  const whole = toGrams(flat, total).reduce((grams, clay) => grams + clay.grams, 0);
  return basis === 'mass' ? share * whole : (share * whole * alone.density) / flat.density;
}
