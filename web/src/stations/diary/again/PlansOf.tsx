import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Link } from 'react-router';
import type { DiaryAnswer } from '#contract/diary';
import { Empty } from '../../../parts/Empty.js';
import { Second } from '../../../theme/pieces.js';

interface Plan {
  readonly path: string;
  readonly name: string;
  readonly number: number;
}

/** Plans of what was made, each with the way to its bench. */
const plansIn = ({ canes, patterns, blends }: DiaryAnswer): readonly Plan[] => [
  ...canes.map(({ caneId, name, number }) => ({ path: `/canes/${caneId}`, name, number })),
  ...patterns.map(({ patternId, name, number }) => ({ path: `/patterns/${patternId}`, name, number })),
  ...blends.map(({ blendId, name, number }) => ({ path: `/blends/${blendId}`, name, number })),
];

/** What was made at a station of its own is made again there: its plan knows what was learned since. */
export function PlansOf({ entry }: { readonly entry: DiaryAnswer }): ReactElement {
  const plans = plansIn(entry);
  if (plans.length === 0)
    return (
      <Empty title={`${entry.title} has no plan`}>
        It was written down without one, or its plan has been taken away. The entry keeps what went into it.
      </Empty>
    );
  return (
    <Flex direction="column" gap={4} padding={5}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>{entry.title}, again</h1>
        <Box marginLeft="auto" fontSize="small">
          <Link to={`/diary/${entry.id}`}>the entry</Link>
        </Box>
      </Flex>
      <ul>
        {plans.map(({ path, name, number }) => (
          <Box as="li" key={path} lineHeight={2}>
            <Link to={path}>{name}</Link>{' '}
            <Second>it was made as its revision {number}; sizes and colours are changed in its plan</Second> ·{' '}
            <Link to={`${path}/make`}>at the bench, as the plan is now</Link>
          </Box>
        ))}
      </ul>
    </Flex>
  );
}
