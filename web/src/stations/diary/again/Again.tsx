import { Box, Flex } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BatchAnswer } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import { Empty, Reading } from '../../../parts/Empty.js';
import { Warning } from '../../../parts/Warning.js';
import { useKeys } from '../../../state/keys.js';
import { Action, Caption, Key, Second } from '../../../theme/pieces.js';
import { useBatch, useEntry, useManyMixes, useShelf, useStock } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import { againDto, neededFor, type ThereNow } from './againPlan.js';
import { NeededList, useSwaps } from './NeededList.js';
import { PlansOf } from './PlansOf.js';
import { SizeAgain } from './SizeAgain.js';

/** What an entry tells of is made again: the same, smaller or larger, or in other colours. */
export default function Again(): ReactElement {
  const { entryId } = useParams();
  const entry = useEntry(entryId);
  if (!entry.data) return <Reading error={entry.error} />;
  if (entry.data.batchId === null) return <PlansOf entry={entry.data} />;
  return <OfBatch entry={entry.data} batchId={entry.data.batchId} />;
}

function OfBatch({ entry, batchId }: { readonly entry: DiaryAnswer; readonly batchId: string }): ReactElement {
  const batch = useBatch(batchId);
  const [shelf, stock, mixes] = [useShelf(), useStock(), useManyMixes()];
  if (batch.error)
    return (
      <Empty title="The plan is not there any more">
        The batch that {entry.title} was made from has been taken away, so it cannot be planned again from here. The
        entry keeps what went into it.
      </Empty>
    );
  if (!batch.data || !shelf.data || !stock.data || !mixes.data)
    return <Reading error={shelf.error ?? stock.error ?? mixes.error} />;
  const now = { shelf: shelf.data, stock: stock.data, mixes: mixes.data.cards };
  return <Planning key={batch.data.id} entry={entry} batch={batch.data} now={now} />;
}

interface PlanningProps {
  readonly entry: DiaryAnswer;
  readonly batch: BatchAnswer;
  readonly now: ThereNow;
}

/** What is chosen, and beginning the batch. */
function useAgain({ entry, batch, now }: PlanningProps) {
  const navigate = useNavigate();
  const needed = useMemo(() => neededFor(batch, now), [batch, now]);
  const [factor, setFactor] = useState(1);
  const { swaps, swap } = useSwaps(needed);
  const [dto] = useState(() => crypto.randomUUID());
  const refusal = useRefusal(`/api/batches/${dto}`);
  const begin = async (): Promise<void> => {
    const own = { ...againDto({ batch, entry, swaps, factor }), id: dto };
    if (await change('PUT', `/api/batches/${dto}`, own)) void navigate(`/batches/${dto}`);
  };
  return { needed, factor, setFactor, swaps, swap, refusal, begin };
}

function Planning(props: PlanningProps): ReactElement {
  const { entry, batch } = props;
  const { needed, factor, setFactor, swaps, swap, refusal, begin } = useAgain(props);
  useKeys('Making it again', [{ key: 'b', does: 'Begin it', run: () => void begin() }]);
  const placed = batch.pieces.some((p) => p.placed);
  return (
    <Flex direction="column" gap={5} padding={5} height="100%" overflowY="auto">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>{entry.title}, again</h1>
        <Second>with what was learned since</Second>
        <Box marginLeft="auto" fontSize="small">
          <Link to={`/diary/${entry.id}`}>the entry</Link>
        </Box>
      </Flex>
      <SizeAgain factor={factor} onChange={setFactor}>
        sheets as thick.
      </SizeAgain>
      {placed && factor !== 1 && (
        <Caption>Pieces that are cut of a patterned sheet stay as large as they were.</Caption>
      )}
      <Box as="section" aria-label="What it is made of">
        <h2>What it is made of</h2>
        <NeededList needed={needed} swaps={swaps} onSwap={swap} />
        {needed.length === 0 && <Caption>No material was chosen for it.</Caption>}
      </Box>
      {refusal && <Warning>{refusal.message}</Warning>}
      <Box>
        <Action main onClick={() => void begin()}>
          Begin it as a batch <Key>B</Key>
        </Action>
      </Box>
    </Flex>
  );
}
