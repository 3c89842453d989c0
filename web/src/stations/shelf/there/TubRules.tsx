import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ShelfAnswer, TubAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { MassValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { today } from '../../../state/today.js';
import { useUnits } from '../../../state/view.js';
import { Action, Caption, Word } from '../../../theme/pieces.js';
import { usePigments } from '../../../wire/pigments.js';
import { change, useRefusal } from '../../../wire/save.js';
import { shareOf, stretchedHex } from './tubMoves.js';

interface TubRulesProps {
  readonly tub: TubAnswer;
  readonly shelf: ShelfAnswer;
  readonly onTakes: (takes: string[]) => void;
}

const NONE = '';

/** The maker's own rule: clays whose scrap comes here before it goes anywhere else. */
export function TubRules({ tub, shelf, onTakes }: TubRulesProps): ReactElement {
  const takes = tub.takes ?? [];
  const others = shelf.clays.filter((c) => !c.retired && !takes.includes(c.id));
  return (
    <Box fontSize="small">
      {takes.length > 0 && 'Scrap of these comes here first, alone or together: '}
      {takes.map((id) => {
        const name = shelf.clays.find((c) => c.id === id)?.name ?? 'a clay';
        return (
          <Box as="span" key={id} marginRight={2}>
            {name}{' '}
            <Word
              fontSize="caption"
              aria-label={`Not ${name}`}
              onClick={() => {
                onTakes(takes.filter((t) => t !== id));
              }}
            >
              out
            </Word>
          </Box>
        );
      })}
      <Choice
        label="A clay whose scrap comes here"
        value={NONE}
        options={[
          { value: NONE, text: takes.length > 0 ? 'and of another clay' : 'take scrap of some clays first' },
          ...others.map((c) => ({ value: c.id, text: c.name })),
        ]}
        onChange={(id) => {
          if (id !== NONE) onTakes([...takes, id]);
        }}
      />
    </Box>
  );
}

/** Usual addition, g. */
const USUAL = 10;

/** Scrap is stretched with clay of one colour, so that it can back a veneer: the colour it gets is seen before. */
export function Stretch({ tub, shelf }: Omit<TubRulesProps, 'onTakes'>): ReactElement {
  const units = useUnits();
  const pigments = usePigments();
  const there = shelf.clays.filter((c) => !c.retired);
  const [clayId, setClay] = useState(there.find((c) => c.name === 'Soot')?.id ?? there[0]?.id ?? '');
  const [grams, setGrams] = useState(USUAL);
  const path = `/api/tubs/${tub.id}/stretched`;
  const refusal = useRefusal(path);
  const hex = stretchedHex(tub, clayId, grams, shelf, pigments);
  const stretch = (): void => {
    const entry = { entryId: crypto.randomUUID(), madeOn: today() };
    void change('POST', path, { version: tub.version, ...entry, used: [{ clayId, grams }] });
  };
  return (
    <div>
      <Box as="h2" marginBottom={2}>
        Stretch it
      </Box>
      <Box fontSize="small" lineHeight={1.7}>
        with{' '}
        <MassValue
          label="Clay to stretch it with, weight"
          value={grams}
          onChange={(g) => {
            if (g > 0) setGrams(g);
          }}
        />{' '}
        of{' '}
        <Choice
          label="Clay to stretch it with"
          value={clayId}
          options={there.map((c) => ({ value: c.id, text: c.name }))}
          onChange={setClay}
        />
        : {Math.round(100 * shareOf(grams, tub.grams))} % of {showMass(tub.grams + grams, units)} by weight
      </Box>
      <Flex gap={3} alignItems="center" marginTop={2}>
        {hex !== null && <Box width="48px" height="32px" style={{ background: `#${hex}` }} />}
        <Caption>what it would be, baked</Caption>
        <Action onClick={stretch}>Put it in</Action>
      </Flex>
      {refusal && <Warning>{refusal.message}</Warning>}
    </div>
  );
}
