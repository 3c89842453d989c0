import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { MixAnswer, ShelfAnswer } from '#contract';
import { recipeOf } from '../../state/book.js';
import { useKeys } from '../../state/keys.js';
import { HowMuch } from './HowMuch.js';
import { Ladder } from './Ladder.js';
import { MixColour } from './MixColour.js';
import { MixHead } from './MixHead.js';
import { MixNotes } from './MixNotes.js';
import { Stacks } from './Stacks.js';
import { useMixEditing, type MixEditing } from './useMixEditing.js';

interface MixingTileProps {
  readonly mix: MixAnswer;
  readonly shelf: ShelfAnswer;
}

/** The discs of the mix, beside its colour. */
function DiscsAndColour({ editing }: { readonly editing: MixEditing }): ReactElement {
  const { mix, shown, old, worked, book, save, meet } = editing;
  return (
    <Grid templateColumns="minmax(0, 1fr) 300px" gap={5}>
      <Stacks
        ingredients={shown.ingredients}
        basis={shown.basis}
        flat={worked.flat}
        book={book}
        readOnly={old}
        mixId={mix.id}
        onChange={(ingredients) => {
          save({ ingredients });
        }}
        onBasis={(basis) => {
          save({ basis });
        }}
        onPicked={meet}
      />
      <MixColour editing={editing} />
    </Grid>
  );
}

function OpenMix({ editing }: { readonly editing: MixEditing }): ReactElement {
  const { mix, shelf, shown, worked, book, named } = editing;
  return (
    <Flex direction="column" gap={4} padding={5} overflowY="auto" minWidth={0}>
      <MixHead editing={editing} />
      <DiscsAndColour editing={editing} />
      {worked.flat && <Ladder name={mix.name} revisionId={shown.id} flat={worked.flat} shelf={shelf} />}
      <Box borderTop="rule" />
      <Grid templateColumns="minmax(0, 1.5fr) minmax(0, 1fr)" gap={6}>
        {worked.flat ? (
          <HowMuch
            flat={worked.flat}
            recipe={recipeOf(shown.basis, shown.ingredients)}
            book={book}
            shelf={shelf}
            nameAt={(i) => named(shown.ingredients[i]).name}
          />
        ) : (
          <div />
        )}
        <MixNotes editing={editing} />
      </Grid>
    </Flex>
  );
}

/** One mix: its discs, its chip, and how much of it. */
export function MixingTile({ mix, shelf }: MixingTileProps): ReactElement {
  const editing = useMixEditing(mix, shelf);
  useKeys('This mix', [
    {
      key: 'c',
      does: 'Carry it on the tile',
      run: () => {
        editing?.carry();
      },
    },
  ]);
  return editing ? <OpenMix editing={editing} /> : <Box padding={5}>This mix has no recipe.</Box>;
}
