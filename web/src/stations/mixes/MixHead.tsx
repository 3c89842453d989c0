import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Fraction } from '#core/units';
import { printNotation } from '#core/mix';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { Second, Word } from '../../theme/pieces.js';
import { newestOf } from './mixMoves.js';
import { NotationField } from './NotationField.js';
import type { MixEditing } from './useMixEditing.js';

interface MixHeadProps {
  readonly editing: MixEditing;
}

/** That an older recipe is looked at, and the ways back. */
function OldLine({ editing }: MixHeadProps): ReactElement {
  const { mix, shown, save, look } = editing;
  return (
    <Box>
      <Second>An older recipe. </Second>
      <Word
        onClick={() => {
          save({ basis: shown.basis, ingredients: [...shown.ingredients] });
        }}
      >
        Use it again
      </Word>{' '}
      ·{' '}
      <Word
        onClick={() => {
          look(null);
        }}
      >
        back to revision {newestOf(mix)?.number}
      </Word>
    </Box>
  );
}

/** Which revision this is, and what a change does. */
function RevisionWords({ editing: { mix, shown } }: MixHeadProps): ReactElement {
  return (
    <Second>
      {mix.revisions.length > 1 || shown.made ? `revision ${shown.number}` : ''}
      {shown.made ? ', made: a change begins a new one' : ''}
      {mix.retired ? ' · retired' : ''}
    </Second>
  );
}

/** Name and recipe of a mix. */
export function MixHead({ editing }: MixHeadProps): ReactElement {
  const { mix, shown, old, refusal, save, meet, named } = editing;
  const notation = printNotation(shown.ingredients.map((i) => ({ parts: new Fraction(i.parts), of: named(i) })));
  const fieldWrong = refusal && !refusal.sentenceFor('name') ? refusal.message : null;
  return (
    <>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>
          <TextValue
            label="Name of the mix"
            value={mix.name}
            refusal={refusal?.sentenceFor('name')}
            onChange={(name) => {
              save({ name });
            }}
          />
        </h1>
        <Box fontSize="h2" fontFamily="heading">
          <NotationField
            notation={notation}
            disabled={old}
            onRead={({ referenced, ingredients, basis }) => {
              meet(referenced);
              save({ ingredients: [...ingredients], ...(basis === null ? {} : { basis }) });
            }}
          />
        </Box>
        <Box marginLeft="auto">
          <RevisionWords editing={editing} />
        </Box>
      </Flex>
      {fieldWrong !== null && <Warning>{fieldWrong}</Warning>}
      {old && <OldLine editing={editing} />}
    </>
  );
}
