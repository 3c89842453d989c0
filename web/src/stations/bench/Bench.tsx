import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { Empty, Reading } from '../../parts/Empty.js';
import { NARROW } from '../../theme/narrow.js';
import { Caption } from '../../theme/pieces.js';
import type { BatchCard } from '#contract';
import { usePlaceOf } from '../../state/benchPlace.js';
import { useBatch, useBatches, useMe } from '../../wire/queries.js';
import { Card } from './Card.js';
import { TodaysWork } from './TodaysWork.js';

/** A batch that can be put on the bench, and whether it was begun there. */
function OpenBatch({ batch: { id, name, pieces } }: { readonly batch: BatchCard }): ReactElement {
  const at = usePlaceOf(`batch ${id}`);
  return (
    <Box fontSize="figure" fontFamily="heading">
      <Link to={`/bench/${id}`}>{name}</Link> <Caption>{pieces} pieces</Caption>
      {at !== null && at > 0 && <Caption>, begun: you stopped at step {at + 1}</Caption>}
    </Box>
  );
}

/** One step at a time, readable from a metre away. */
export default function Bench(): ReactElement {
  const { batchId } = useParams();
  const batch = useBatch(batchId);
  const batches = useBatches();
  const here = useMe().data?.here === true;
  const navigate = useNavigate();
  if (batchId !== undefined)
    return batch.data ? <Card key={batch.data.id} batch={batch.data} /> : <Reading error={batch.error} />;
  if (!batches.data) return <Reading error={batches.error} />;
  const open = batches.data.filter((b) => !b.done && b.pieces > 0);
  if (open.length === 0)
    return (
      <Empty
        title="Nothing waits at the bench"
        action="Plan a batch"
        onAction={() => {
          void navigate('/batches');
        }}
      >
        A batch with pieces becomes a card here: every step in working order, one at a time.
      </Empty>
    );
  return (
    <Flex direction="column" gap={4} padding={6} overflowY="auto" height="100%" css={{ [NARROW]: { padding: '16px' } }}>
      <TodaysWork />
      <h1>Which batch is on the bench?</h1>
      {open.map((b) => (
        <OpenBatch key={b.id} batch={b} />
      ))}
      {here && (
        <Box marginTop={4}>
          <Link to="/bench/others">Tablet and phone at the bench</Link>
        </Box>
      )}
    </Flex>
  );
}
