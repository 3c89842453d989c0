import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { DiaryAnswer } from '#contract/diary';
import { Empty, Reading } from '../../../parts/Empty.js';
import { useManyMixes, useShelf, useStock } from '../../../wire/queries.js';
import { BlendAgain, CaneAgain, PatternAgain } from './PlanAgain.js';

/** What was made at a station of its own is made again there: as it was, in the same colours or in others. */
export function PlansOf({ entry }: { readonly entry: DiaryAnswer }): ReactElement {
  const [shelf, stock, mixes] = [useShelf(), useStock(), useManyMixes()];
  const { canes, patterns, blends } = entry;
  if (canes.length + patterns.length + blends.length === 0)
    return (
      <Empty title={`${entry.title} has no plan`}>
        It was written down without one, or its plan has been taken away. The entry keeps what went into it.
      </Empty>
    );
  if (!shelf.data || !stock.data || !mixes.data) return <Reading error={shelf.error ?? stock.error ?? mixes.error} />;
  const now = { shelf: shelf.data, stock: stock.data, mixes: mixes.data.cards };
  return (
    <Flex direction="column" gap={4} padding={5} height="100%" overflowY="auto">
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>{entry.title}, again</h1>
        <Box marginLeft="auto" fontSize="small">
          <Link to={`/diary/${entry.id}`}>the entry</Link>
        </Box>
      </Flex>
      {canes.map(({ caneId, revisionId, number }) => (
        <CaneAgain key={revisionId} id={caneId} {...{ revisionId, number, now }} />
      ))}
      {patterns.map(({ patternId, revisionId, number }) => (
        <PatternAgain key={revisionId} id={patternId} {...{ revisionId, number, now }} />
      ))}
      {blends.map(({ blendId, number }) => (
        <BlendAgain key={blendId} id={blendId} {...{ number, now }} />
      ))}
    </Flex>
  );
}
