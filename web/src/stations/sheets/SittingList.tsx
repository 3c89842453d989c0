import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { InTurn } from '#core/conditioning';
import { showMass, showMinutes, type UnitSystem } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { namesOf, type LotOfClay } from '../../parts/conditioning/sitting.js';
import { useUnits } from '../../state/view.js';
import { Caption, Second, Word } from '../../theme/pieces.js';
import { conditionable, usualAmount } from './conditioning.js';
import { stateWords } from './conditionWords.js';
import type { Conditioning } from './useConditioning.js';

interface SittingListProps {
  readonly shelf: ShelfAnswer;
  readonly conditioning: Conditioning;
}

/** Nobody conditions more clays than these in one sitting. */
const MOST = 12;
/** px of a clay in the list. */
const DISC = 28;

/** What is done with one clay, and when. */
function turnWords({ how, from, to }: InTurn<LotOfClay>): string {
  const times = how.portions > 1 ? `${how.portions} × ` : '';
  return `${times}${how.passes} passes, minute ${Math.round(from)} to ${Math.round(to)}`;
}

interface OneTurnProps {
  readonly turn: InTurn<LotOfClay>;
  readonly units: UnitSystem;
  readonly conditioning: Conditioning;
  readonly alone: boolean;
}

function OneTurn({ turn, units, conditioning, alone }: OneTurnProps): ReactElement {
  const { of, waits, cleanFirst } = turn;
  const { asked, look, letGo } = conditioning;
  const here = of === asked.one;
  return (
    <Box as="li">
      {waits >= 0.5 && <Caption display="block">wait {showMinutes(waits)} until it is warm</Caption>}
      {cleanFirst && <Caption display="block">wipe rollers and hands: it is white</Caption>}
      <Flex gap={3} alignItems="center">
        <Box
          width={`${DISC}px`}
          height={`${DISC}px`}
          borderRadius="50%"
          flex="none"
          style={{ background: `#${of.clay.rawHex}` }}
          aria-hidden
        />
        <Word
          aria-pressed={here}
          fontWeight={here ? 700 : undefined}
          onClick={() => {
            look(of);
          }}
        >
          {showMass(of.lot.grams, units)} {of.clay.name}
        </Word>
        <Second>{stateWords(of)}</Second>
        <Box marginLeft="auto">{turnWords(turn)}</Box>
        {!alone && (
          <Word
            fontSize="small"
            aria-label={`Leave ${of.clay.name} out`}
            onClick={() => {
              letGo(of.clay.id);
            }}
          >
            leave it out
          </Word>
        )}
      </Flex>
    </Box>
  );
}

/** The clays of a sitting in their order: the hardest first, white before colours, with what warms meanwhile. */
export function SittingList({ shelf, conditioning }: SittingListProps): ReactElement | null {
  const units = useUnits();
  const { asked, sitting, add } = conditioning;
  if (typeof sitting === 'string') return null;
  const { turns, warm, hands, lasts } = sitting;
  const others = conditionable(shelf).filter((c) => !asked.amounts.some((a) => a.clayId === c.id));
  const lineOf = (id: string): string => shelf.lines.find((l) => l.id === id)?.name ?? '';
  return (
    <Box as="section" aria-label="In one sitting" maxWidth="860px" marginBottom={5}>
      <Flex alignItems="baseline" gap={3} wrap="wrap">
        <h2>{turns.length > 1 ? 'In one sitting' : 'This sitting'}</h2>
        <span>
          <b>~{showMinutes(lasts)}</b>, ~{showMinutes(hands)} of hands
        </span>
        {asked.amounts.length < MOST && others.length > 0 && (
          <Box marginLeft="auto" fontSize="small">
            <Choice
              label="Another clay in this sitting"
              value=""
              options={[
                { value: '', text: 'another clay' },
                ...others.map((c) => ({ value: c.id, text: `${c.name}, ${lineOf(c.lineId)}` })),
              ]}
              onChange={(id) => {
                if (id !== '') add(usualAmount(shelf, id));
              }}
            />
          </Box>
        )}
      </Flex>
      {warm.length > 0 && (
        <Box marginTop={2}>
          Put to warm now, wrapped and close to the body: <b>{namesOf(warm)}</b>
        </Box>
      )}
      <Flex as="ol" direction="column" gap={2} marginTop={2} borderTop="rule" paddingTop={3}>
        {turns.map((turn, i) => (
          <OneTurn key={i} turn={turn} units={units} conditioning={conditioning} alone={asked.amounts.length === 1} />
        ))}
      </Flex>
    </Box>
  );
}
