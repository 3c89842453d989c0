import { Box } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { showMinutes } from '#core/units';
import { today } from '../../state/today.js';
import { useConditioningBench } from '../../wire/conditioningBench.js';
import { useShelf } from '../../wire/queries.js';
import { Caption } from '../../theme/pieces.js';
import {
  lotsToCondition,
  namesOf,
  readAmounts,
  sittingFor,
  sittingPath,
  writeAmounts,
  type Amount,
} from './sitting.js';

interface ConditionFirstProps {
  readonly clays: readonly Amount[];
}

/** What has to be conditioned for a plan, how long that takes, and the way to do it in one sitting. */
export function ConditionFirst({ clays }: ConditionFirstProps): ReactElement | null {
  const bench = useConditioningBench();
  const shelf = useShelf().data;
  const text = writeAmounts(clays);
  const lots = useMemo(() => (shelf ? lotsToCondition(readAmounts(text), shelf, today()) : []), [text, shelf]);
  const sitting = useMemo(() => bench && sittingFor(lots, bench), [lots, bench]);
  if (sitting === null || typeof sitting === 'string' || sitting.turns.length === 0) return null;
  const { hands, lasts, warm } = sitting;
  const count = new Set(lots.map(({ clay }) => clay.id)).size;
  return (
    <Box fontSize="small" lineHeight={1.5}>
      <Link to={sittingPath(clays)}>
        Condition first: {count} {count === 1 ? 'clay' : 'clays'}, ~{showMinutes(lasts)}
      </Link>
      {warm.length > 0 && (
        <Caption display="block">
          ~{showMinutes(hands)} of hands; {namesOf(warm)} warmed first
        </Caption>
      )}
    </Box>
  );
}
