import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import { ageInMonths, squeezeOf } from '#core/clay';
import { conditioningOf, type Conditioning } from '#core/conditioning';
import { attempt, showMinutes } from '#core/units';
import type { BlockDto, LineDto } from '#contract';
import { SqueezeTest } from '../../parts/conditioning/SqueezeTest.js';
import { sittingPath } from '../../parts/conditioning/sitting.js';
import { today } from '../../state/today.js';
import { useConditioningBench } from '../../wire/conditioningBench.js';

interface ConditionNoteProps {
  readonly line: LineDto | undefined;
  readonly block: BlockDto | undefined;
}

/** What a block takes until it folds, by the one engine; and the way to bring it back where it is too hard for that. */
export function ConditionNote({ line, block }: ConditionNoteProps): ReactElement | null {
  const bench = useConditioningBench();
  if (!line || !block || block.leftGrams <= 0 || !bench) return null;
  const months = block.madeOn ? ageInMonths(block.madeOn, today()) : null;
  const squeeze = squeezeOf(block, today());
  const clay = { lineId: line.id, firmness: line.firmness, squeeze, months, grams: block.leftGrams };
  const how = attempt(
    () => conditioningOf(clay, bench),
    () => null,
  );
  if (!how) return null;
  return (
    <Box fontSize="small" lineHeight={1.6}>
      <SqueezeTest blocks={[block]} />
      <Link to={sittingPath([{ clayId: block.clayId, grams: block.leftGrams }])}>
        ~{showMinutes(how.minutes)} to condition it
      </Link>
      {conditionedWords(how)}.
      {squeeze !== null && squeeze !== 'gives' && (
        <>
          {' '}
          <Link to={`/shelf/back/${block.id}`}>Bring it back</Link>
        </>
      )}
    </Box>
  );
}

const conditionedWords = ({ passes, warmFirst, softener, useSameDay }: Conditioning): string =>
  [
    `: ${passes} passes`,
    ...(warmFirst ? ['warmed first'] : []),
    ...(softener ? ['with a little softener'] : []),
    ...(useSameDay ? ['used the same day'] : []),
  ].join(', ');
