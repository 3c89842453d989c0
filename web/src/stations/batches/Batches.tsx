import { freeName, takenNames } from '../../parts/names.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { BatchAnswer, BatchCard } from '#contract';
import { Empty, Reading } from '../../parts/Empty.js';
import { useKeys } from '../../state/keys.js';
import { showDate } from '../../state/today.js';
import { Caption, Plus, Word } from '../../theme/pieces.js';
import { RowLink } from '../../parts/RowLink.js';
import { useBatch, useBatches, useMachines } from '../../wire/queries.js';
import { change } from '../../wire/save.js';
import { AllBatches } from './AllBatches.js';
import { waitingOf } from './batchList.js';
import { BatchPlan } from './BatchPlan.js';

interface AddProps {
  readonly onAdd: () => void;
}

function NoBatch({ onAdd }: AddProps): ReactElement {
  return (
    <Empty title="No batch planned" action="Plan a batch" onAction={onAdd}>
      Say which pieces you want to cut, from which mixes, and how many. Sledge says how much clay that is, whether it is
      there, and what to do in which order.
    </Empty>
  );
}

/** What all batches share, each at a place of its own. */
const ROOMS = [
  ['/batches/days', 'the days'],
  ['/batches/drawer', 'the drawer of cutters'],
  ['/batches/findings', 'findings'],
  ['/batches/ovens', 'the ovens'],
] as const;

interface BatchListProps extends AddProps {
  readonly waiting: readonly BatchCard[];
  readonly finished: readonly BatchCard[];
  readonly open: string | undefined;
}

/** All batches by their names; those that are done out of the way. */
function BatchList({ waiting, finished, open, onAdd }: BatchListProps): ReactElement {
  const [done, setDone] = useState(false);
  return (
    <Flex direction="column" background="paper" borderRight="rule" minHeight={0} overflowY="auto">
      <Flex justifyContent="space-between" alignItems="center" padding={4} borderBottom="hair">
        <h2>Batches</h2>
        <Plus aria-label="New batch" title="new batch" width="38px" height="38px" onClick={onAdd}>
          +
        </Plus>
      </Flex>
      <Flex wrap="wrap" gap={3} padding={3} paddingLeft={4} borderBottom="hair" fontSize="small">
        {ROOMS.map(([to, text]) => (
          <Link key={to} to={to}>
            {text}
          </Link>
        ))}
      </Flex>
      {waiting.map((b) => (
        <OneRow key={b.id} batch={b} open={b.id === open} />
      ))}
      {finished.length > 0 && (
        <Box padding={3}>
          <Word
            fontSize="small"
            onClick={() => {
              setDone(!done);
            }}
          >
            {done ? 'Hide the done ones' : `${finished.length} done`}
          </Word>
        </Box>
      )}
      {done && finished.map((b) => <OneRow key={b.id} batch={b} open={b.id === open} />)}
    </Flex>
  );
}

/** Batches and what the open one takes. */
export default function Batches(): ReactElement {
  const { batchId, view } = useParams();
  const navigate = useNavigate();
  const batches = useBatches();
  const batch = useBatch(batchId);
  const machines = useMachines();
  const add = async (): Promise<void> => {
    const id = crypto.randomUUID();
    const name = freeName('New batch', takenNames(batches.data));
    const dto = { id, version: 0, name, note: '', dueOn: null, pieces: [] };
    if (await change<BatchAnswer>('PUT', `/api/batches/${id}`, dto)) void navigate(`/batches/${id}`);
  };
  const onAdd = (): void => {
    void add();
  };
  useKeys('Batches', [{ key: 'n', does: 'New batch', run: onAdd }]);
  if (!batches.data || !machines.data) return <Reading error={batches.error ?? machines.error} />;
  if (batches.data.length === 0) return <NoBatch onAdd={onAdd} />;
  const waiting = waitingOf(batches.data);
  return (
    <Grid templateColumns="214px 1fr" height="100%" minHeight={0}>
      <BatchList waiting={waiting} finished={batches.data.filter((b) => b.done)} open={batchId} onAdd={onAdd} />
      {batchId === undefined && <AllBatches waiting={waiting} />}
      {batchId !== undefined && batch.data && (
        <BatchPlan key={batch.data.id} batch={batch.data} machines={machines.data} view={view ?? null} />
      )}
      {batchId !== undefined && !batch.data && <Reading error={batch.error} />}
    </Grid>
  );
}

function whenWords({ done, dueOn }: BatchCard): string {
  if (done) return ' · done';
  return dueOn === null ? '' : ` · for ${showDate(dueOn)}`;
}

function OneRow({ batch, open }: { readonly batch: BatchCard; readonly open: boolean }): ReactElement {
  return (
    <RowLink to={`/batches/${batch.id}`} aria-current={open ? 'page' : undefined}>
      <Box fontWeight={600} lineHeight={1.25}>
        {batch.name}
      </Box>
      <Caption>
        {batch.pieces} {batch.pieces === 1 ? 'piece' : 'pieces'}
        {batch.kinds > 1 ? ` of ${batch.kinds} kinds` : ''}
        {whenWords(batch)}
      </Caption>
    </RowLink>
  );
}
