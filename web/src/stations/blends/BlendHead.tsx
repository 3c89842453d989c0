import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { TextValue } from '../../parts/Value.js';
import { SendIt } from '../../parts/SendIt.js';
import { useUnits } from '../../state/view.js';
import { Key, Second, Word } from '../../theme/pieces.js';
import { change } from '../../wire/save.js';
import { MOST_COLOURS } from './planMoves.js';
import { blendCard } from './blendCard.js';
import type { BlendEditing } from './useBlendEditing.js';

interface BlendHeadProps {
  readonly editing: BlendEditing;
}

/** Its colours by name: each can be picked anew, and taken out where enough are left. */
function ColourNames({ editing }: BlendHeadProps): ReactElement {
  const { worked, pickAt, takeOut } = editing;
  const { colours } = editing.blend.plan;
  const nameAt = (i: number): string => (typeof worked === 'string' ? '…' : (worked.colours[i]?.name ?? '…'));
  return (
    <Box fontSize="h2" fontFamily="heading">
      {colours.map((_, i) => (
        <span key={i}>
          {i > 0 && ', '}
          <Word
            onClick={() => {
              pickAt(i);
            }}
          >
            {nameAt(i)}
          </Word>
          {colours.length > 2 && (
            <Word
              aria-label={`Take colour ${i + 1} out`}
              fontSize="caption"
              marginLeft={1}
              onClick={() => {
                takeOut(i);
              }}
            >
              out
            </Word>
          )}
        </span>
      ))}
      {colours.length < MOST_COLOURS && (
        <Word
          fontSize="small"
          marginLeft={3}
          onClick={() => {
            pickAt(colours.length);
          }}
        >
          another colour
        </Word>
      )}
    </Box>
  );
}

/** What can be done with the blend as a whole. */
function BlendWords({ editing }: BlendHeadProps): ReactElement {
  const { blend, save, carry, worked } = editing;
  const navigate = useNavigate();
  const units = useUnits();
  const card = typeof worked === 'string' ? {} : { card: () => Promise.resolve(blendCard(blend, worked, units)) };
  const takeAway = async (): Promise<void> => {
    const gone = await change('DELETE', `/api/blends/${blend.id}?version=${blend.version}`);
    if (gone !== null) await navigate('/blends');
  };
  return (
    <Box marginLeft="auto" fontSize="small">
      {(blend.revision > 1 || blend.made) && (
        <Second>
          revision {blend.revision}
          {blend.made ? ', made: a change begins a new one' : ''} ·{' '}
        </Second>
      )}
      <Word onClick={carry}>carry</Word> <Key>C</Key> ·{' '}
      <Word
        onClick={() => {
          save({ retired: !blend.retired });
        }}
      >
        {blend.retired ? 'Bring it back' : 'Retire'}
      </Word>{' '}
      ·{' '}
      <Word
        onClick={() => {
          void takeAway();
        }}
      >
        Take away
      </Word>{' '}
      · <SendIt kind="blend" id={blend.id} {...card} />
    </Box>
  );
}

/** Name and colours of a blend, and what can be done with it. */
export function BlendHead({ editing }: BlendHeadProps): ReactElement {
  const { blend, refusal, save } = editing;
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the blend"
          value={blend.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            save({ name });
          }}
        />
      </h1>
      <ColourNames editing={editing} />
      <BlendWords editing={editing} />
    </Flex>
  );
}
