import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import type { PatternAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { asName } from '../../parts/names.js';
import { TextValue } from '../../parts/Value.js';
import { SendIt } from '../../parts/SendIt.js';
import { Second, Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { sentPattern } from './beginnings.js';
import { useUnits } from '../../state/view.js';
import { SavePattern } from './faces/SavePattern.js';
import { patternCard } from './patternCard.js';
import type { BenchPattern, Hands } from './usePattern.js';
import type { PatternEditing } from './usePatternEditing.js';

/** Hands that a plan is looked at with: those of a machine, and six honest ones. */
const HANDS = [
  { value: '0', text: 'even' },
  ...[1, 2, 3, 4, 5, 6].map((n) => ({ value: String(n), text: `${n} of 6` })),
];

const SEEN = [
  { value: 'lying', text: 'as it lies' },
  { value: 'lit', text: 'against the light' },
] as const;

interface HeadProps {
  readonly pattern: PatternAnswer;
  readonly editing: PatternEditing;
  readonly bench: BenchPattern;
  readonly hands: Hands;
  readonly onHands: (hands: Hands) => void;
  readonly lit: boolean;
  /** null: there is more than one layer to look through */
  readonly onLit: ((lit: boolean) => void) | null;
}

/** The whole sheet: another one like it, retired, taken away. */
function Whole({ pattern, editing, bench }: Pick<HeadProps, 'pattern' | 'editing' | 'bench'>): ReactElement {
  const navigate = useNavigate();
  const units = useUnits();
  const another = async (): Promise<void> => {
    const dto = {
      ...sentPattern(pattern),
      id: crypto.randomUUID(),
      version: 0,
      name: asName(`${pattern.name}, another`),
    };
    if (await change('PUT', `/api/patterns/${dto.id}`, dto)) void navigate(`/patterns/${dto.id}`);
  };
  const away = async (): Promise<void> => {
    const gone = await change('DELETE', `/api/patterns/${pattern.id}?version=${pattern.version}`);
    if (gone !== null) void navigate('/patterns');
  };
  return (
    <>
      <Word onClick={() => void another()}>Another like it</Word>
      <Word
        onClick={() => {
          editing.save({ retired: !pattern.retired });
        }}
      >
        {pattern.retired ? 'Bring it back' : 'Retire'}
      </Word>
      <Word onClick={() => void away()}>Take away</Word>
      <span>
        <SendIt kind="pattern" id={pattern.id} card={() => patternCard(pattern, bench, units)} />
      </span>
      <Word onClick={() => void navigate('/patterns')}>all patterned sheets</Word>
    </>
  );
}

/** Above the steps: the name, the revision, whose hands it is seen by, and what can be done with the whole. */
export function PatternHead({ pattern, editing, bench, hands, onHands, lit, onLit }: HeadProps): ReactElement {
  const refusal = useRefusal(`/api/patterns/${pattern.id}`);
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>
        <TextValue
          label="Name of the patterned sheet"
          value={pattern.name}
          refusal={refusal?.sentenceFor('name')}
          onChange={(name) => {
            editing.save({ name });
          }}
        />
      </h1>
      <Second>
        revision {pattern.revision}
        {pattern.made ? ', made: a change begins a new one' : ''}
      </Second>
      <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline" wrap="wrap">
        <span>
          hands{' '}
          <Choice
            label="Whose hands"
            value={hands.wobble === 0 ? '0' : String(hands.seed)}
            options={HANDS}
            onChange={(value) => {
              onHands(value === '0' ? { seed: 1, wobble: 0 } : { seed: Number(value), wobble: 1 });
            }}
          />
        </span>
        {onLit && (
          <span>
            seen{' '}
            <Choice
              label="How it is seen"
              value={lit ? 'lit' : 'lying'}
              options={SEEN}
              onChange={(value) => {
                onLit(value === 'lit');
              }}
            />
          </span>
        )}
        <Whole pattern={pattern} editing={editing} bench={bench} />
        <SavePattern pattern={pattern} bench={bench} at={editing.at} />
      </Flex>
    </Flex>
  );
}
