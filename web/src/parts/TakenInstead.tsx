import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { useUnits } from '../state/view.js';
import { Caption, Word } from '../theme/pieces.js';
import type { Refused } from '../wire/ask.js';
import { useStock } from '../wire/queries.js';
import type { Planned } from './ClayUsed.js';
import { MaterialPicker } from './MaterialPicker.js';
import { strangeIn, type Instead, type useTakenInstead } from './takenInstead.js';
import { MassValue } from './Value.js';
import { Warning } from './Warning.js';

interface TakenInsteadProps {
  readonly instead: ReturnType<typeof useTakenInstead>;
  readonly planned: readonly Planned[];
  readonly shelf: ShelfAnswer;
  readonly refusal: Refused | undefined;
}

interface OneProps extends TakenInsteadProps {
  readonly one: Instead;
  readonly at: number;
}

/** One thing that went in: how much of it, and what it brings along. */
function OneTaken({ one, at, instead, planned, shelf, refusal }: OneProps): ReactElement {
  const units = useUnits();
  const strange = strangeIn(one, planned).map((id) => shelf.clays.find((c) => c.id === id)?.name ?? '');
  return (
    <Box as="li" marginTop={2}>
      <Flex gap={3} alignItems="baseline">
        <Box flex={1}>
          {one.name} <Caption>{showMass(one.there, units)} of it there</Caption>
        </Box>
        <MassValue
          label={`${one.name} taken`}
          value={one.grams}
          refusal={refusal?.sentenceFor(`ready.${at}`)}
          onChange={(grams) => {
            instead.say(one.of.id, grams);
          }}
        />
        <Word
          fontSize="small"
          aria-label={`Not ${one.name}`}
          onClick={() => {
            instead.out(one.of.id);
          }}
        >
          out
        </Word>
      </Flex>
      {one.grams > one.there + 0.05 && <Warning>only {showMass(one.there, units)} of it there</Warning>}
      {strange.length > 0 && <Warning>It brings {strange.join(', ')} along, which the plan does not hold.</Warning>}
    </Box>
  );
}

/** A lump, a sheet or scrap that went in instead of clay off the shelf. */
export function TakenInstead(props: TakenInsteadProps): ReactElement {
  const { instead } = props;
  const [picking, setPicking] = useState(false);
  const stock = useStock().data;
  return (
    <Box fontSize="h2">
      {instead.taken.length > 0 && (
        <ul aria-label="Taken instead">
          {instead.taken.map((one, at) => (
            <OneTaken key={one.of.id} one={one} at={at} {...props} />
          ))}
        </ul>
      )}
      {picking && stock ? (
        <MaterialPicker
          place="taken"
          label="What lay there and went in"
          onCancel={() => {
            setPicking(false);
          }}
          onPick={({ of, name }) => {
            setPicking(false);
            instead.add(of, name, stock);
          }}
        />
      ) : (
        <Word
          fontSize="small"
          onClick={() => {
            setPicking(true);
          }}
        >
          {instead.taken.length > 0 ? 'something else that lay there' : 'some of it lay there already'}
        </Word>
      )}
    </Box>
  );
}
