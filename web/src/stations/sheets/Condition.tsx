import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { ConditionPlan } from '#core/conditioning';
import { squeezeOf } from '#core/clay';
import type { BlockDto, ConditionedAnswer, MachinesAnswer, ShelfAnswer } from '#contract';
import { today } from '../../state/today.js';
import { BenchSteps } from '../../parts/BenchSteps.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useUnits } from '../../state/view.js';
import { Key } from '../../theme/pieces.js';
import { useConditioned, useMachines, useShelf } from '../../wire/queries.js';
import { Conditioned } from './Conditioned.js';
import { SqueezeTest } from '../../parts/conditioning/SqueezeTest.js';
import { ConditionSentence } from './ConditionSentence.js';
import { SittingList } from './SittingList.js';
import { ConditionSteps } from './ConditionSteps.js';
import { conditionWords } from './conditionWords.js';
import { SheetsHead } from './SheetsHead.js';
import { useConditioning, type Conditioning } from './useConditioning.js';

/** How clay of the shelf is made to fold without cracking: the plan, and at the bench. */
export default function Condition(): ReactElement {
  const [shelf, machines, counted] = [useShelf(), useMachines(), useConditioned()];
  if (!shelf.data || !machines.data || !counted.data)
    return <Reading error={shelf.error ?? machines.error ?? counted.error} />;
  return <OfShelf shelf={shelf.data} machines={machines.data} counted={counted.data} />;
}

interface OfShelfProps {
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly counted: ConditionedAnswer;
}

function OfShelf({ shelf, machines, counted }: OfShelfProps): ReactElement {
  const { detail } = useParams();
  const conditioning = useConditioning(shelf, machines, counted);
  if (!conditioning) return <NoClay />;
  const { plan } = conditioning;
  if (detail === 'make' && typeof plan !== 'string')
    return <AtBench shelf={shelf} conditioning={conditioning} plan={plan} />;
  return <Planned shelf={shelf} conditioning={conditioning} />;
}

function NoClay(): ReactElement {
  const navigate = useNavigate();
  return (
    <Box padding={5}>
      <SheetsHead title="Conditioning" />
      <Empty
        title="No clay to condition yet"
        action="Go to the shelf"
        onAction={() => {
          void navigate('/shelf');
        }}
      >
        Put a block on the shelf: its line and its age decide how much work it is.
      </Empty>
    </Box>
  );
}

interface PlannedProps {
  readonly shelf: ShelfAnswer;
  readonly conditioning: Conditioning;
}

/** The plan, and the way to the bench. */
function Planned({ shelf, conditioning }: PlannedProps): ReactElement {
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const toBench = `/sheets/condition/make?${query.toString()}`;
  const { asked, plan } = conditioning;
  const blocks = shelf.blocks.filter((b) => asked.one.lot.blockIds.includes(b.id));
  useKeys('Conditioning', [
    {
      key: 'b',
      does: 'To the bench: condition it',
      run: () => {
        void navigate(toBench);
      },
    },
  ]);
  return (
    <Box padding={5} height="100%" overflowY="auto">
      <SheetsHead title="Conditioning" />
      <ConditionSentence shelf={shelf} conditioning={conditioning} />
      <SqueezeTest blocks={blocks} />
      <Rescue blocks={blocks} />
      <SittingList shelf={shelf} conditioning={conditioning} />
      {typeof plan === 'string' ? (
        <Warning>{plan}</Warning>
      ) : (
        <>
          <ConditionSteps plan={plan} hex={asked.one.clay.rawHex} line={asked.one.line?.name} />
          <Box fontWeight={600} marginTop={5}>
            <Link to={toBench}>To the bench: condition it</Link> <Key>B</Key>
          </Box>
        </>
      )}
    </Box>
  );
}

/** The way to bring a block back that is too hard to condition as it is. */
function Rescue({ blocks }: { readonly blocks: readonly BlockDto[] }): ReactElement | null {
  const [first] = blocks;
  const state = first && squeezeOf(first, today());
  if (!first || !state || state === 'gives') return null;
  return (
    <Box marginTop={2} marginBottom={4}>
      Or <Link to={`/shelf/back/${first.id}`}>bring the block back</Link>: what to work in, and what colour it gives.
    </Box>
  );
}

/** Step by step, and then the diary. */
function AtBench({ shelf, conditioning, plan }: PlannedProps & { readonly plan: ConditionPlan }): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const [query] = useSearchParams();
  const { asked, what } = conditioning;
  return (
    <Flex direction="column" padding={5} height="100%" overflowY="auto" gap={4}>
      <Box fontSize="small">
        {asked.one.clay.name} · {asked.one.line?.name}
      </Box>
      <BenchSteps
        what={`conditioning ${asked.one.clay.id}`}
        steps={plan.steps.map((s) => conditionWords(s, units))}
        foot={<Link to={`/sheets/condition?${query.toString()}`}>the plan</Link>}
        finish={(counts, back, leave) => (
          <Conditioned
            shelf={shelf}
            dto={what}
            counted={Math.max(...counts, 0)}
            onBack={back}
            onDone={(id) => {
              leave();
              void navigate(`/diary/${id}`);
            }}
          />
        )}
      />
    </Flex>
  );
}
