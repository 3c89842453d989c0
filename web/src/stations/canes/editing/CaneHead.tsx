import { Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { EYE, partsOf, type Step } from '#core/cane';
import type { CaneAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { TextValue } from '../../../parts/Value.js';
import { SendIt } from '../../../parts/SendIt.js';
import { Second, Word } from '../../../theme/pieces.js';
import { change } from '../../../wire/save.js';
import type { Path } from './parts.js';
import { useUnits } from '../../../state/view.js';
import { WOBBLES, type BenchCane, type Wobble } from '../clay/useCane.js';
import { caneCard } from '../words/caneCard.js';
import { twinOf, type CaneEditing } from './useCaneEditing.js';

/** mm of blur by the eye: at 30 cm its line spread, at arm’s length twice that. */
export const BLUR = { close: 0, '30 cm': EYE, 'arm’s length': 2 * EYE, lit: 0 } as const;
const SEEN = [
  { value: 'close', text: 'close' },
  { value: '30 cm', text: 'at 30 cm' },
  { value: 'arm’s length', text: 'at arm’s length' },
  { value: 'lit', text: 'against the light' },
] as const;
const HANDS = WOBBLES.map((value) => ({ value, text: value }));

/** How the faces of a cane are looked at. */
export interface Looking {
  readonly wobble: Wobble;
  readonly trueSize: boolean;
  readonly seen: keyof typeof BLUR;
}

interface HeadProps {
  readonly cane: CaneAnswer;
  readonly editing: CaneEditing;
  readonly bench: BenchCane;
  readonly looking: Looking;
  readonly onLook: (part: Partial<Looking>) => void;
  /** why its name cannot be kept */
  readonly refusal: string | undefined;
}

function partName(steps: readonly Step[], path: Path): string {
  const [first, ...rest] = path;
  const step = first && steps[first.step];
  const part = step && partsOf(step)[first.part];
  const own = part?.name ?? 'a part';
  return rest.length > 0 && part && 'steps' in part ? `${own} › ${partName(part.steps, rest)}` : own;
}

/** What the cane is called, or the part of it that is open. */
function Name({ cane, editing, refusal }: Pick<HeadProps, 'cane' | 'editing' | 'refusal'>): ReactElement {
  if (editing.path.length === 0)
    return (
      <h1>
        <TextValue
          label="Name of the cane"
          value={cane.name}
          refusal={refusal}
          onChange={(name) => {
            editing.save({ name });
          }}
        />
      </h1>
    );
  return (
    <h1>
      <Word
        onClick={() => {
          editing.open();
        }}
      >
        {cane.name}
      </Word>
      <Second> › {partName(cane.program.steps, editing.path)}</Second>
    </h1>
  );
}

/** The whole cane: its twin, retired, taken away. */
function Whole({ cane, editing, bench }: Pick<HeadProps, 'cane' | 'editing' | 'bench'>): ReactElement {
  const navigate = useNavigate();
  const units = useUnits();
  const twin = async (): Promise<void> => {
    const dto = twinOf(cane);
    if (await change('PUT', `/api/canes/${dto.id}`, dto)) void navigate(`/canes/${dto.id}`);
  };
  const away = async (): Promise<void> => {
    const gone = await change('DELETE', `/api/canes/${cane.id}?version=${cane.version}`);
    if (gone !== null) void navigate('/canes');
  };
  return (
    <>
      <Word
        onClick={() => {
          void twin();
        }}
      >
        Twin
      </Word>
      <Word
        onClick={() => {
          editing.save({ retired: !cane.retired });
        }}
      >
        {cane.retired ? 'Bring it back' : 'Retire'}
      </Word>
      <Word
        onClick={() => {
          void away();
        }}
      >
        Take away
      </Word>
      <span>
        <SendIt
          kind="cane"
          id={cane.id}
          {...(editing.path.length === 0 && { card: () => caneCard(cane, bench, units) })}
        />
      </span>
      <Word
        onClick={() => {
          void navigate('/canes');
        }}
      >
        all canes
      </Word>
    </>
  );
}

/** Above the steps: the name, the revision, how it is looked at, and what can be done with the whole. */
export function CaneHead(props: HeadProps): ReactElement {
  const { cane, looking, onLook } = props;
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <Name {...props} />
      <Second>
        revision {cane.revision}
        {cane.made ? ', made: a change begins a new one' : ''}
      </Second>
      <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline" wrap="wrap">
        <Word
          aria-pressed={looking.trueSize}
          onClick={() => {
            onLook({ trueSize: !looking.trueSize });
          }}
        >
          {looking.trueSize ? 'Large' : 'True size'}
        </Word>
        <span>
          hands{' '}
          <Choice
            label="Hand wobble"
            value={looking.wobble}
            options={HANDS}
            onChange={(wobble) => {
              onLook({ wobble });
            }}
          />
        </span>
        <span>
          seen{' '}
          <Choice
            label="How it is seen"
            value={looking.seen}
            options={SEEN}
            onChange={(seen) => {
              onLook({ seen });
            }}
          />
        </span>
        <Whole {...props} />
      </Flex>
    </Flex>
  );
}
