import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { FindingUsedDto, PlanAnswer } from '#contract';
import { Caption } from '../theme/pieces.js';
import type { Refused } from '../wire/ask.js';
import { CountValue } from './Value.js';

type Findings = PlanAnswer['findings'];

/** How many of each finding really went in: as planned, until somebody says otherwise. */
export function useFindingsTaken(findings: Findings): {
  readonly findings: FindingUsedDto[];
  readonly say: (id: string, count: number) => void;
} {
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  return {
    findings: findings.map(({ id, count, there }) => ({ id, count: said[id] ?? Math.min(count, there) })),
    say: (id, count) => {
      setSaid({ ...said, [id]: count });
    },
  };
}

interface FindingsTakenProps {
  readonly planned: Findings;
  readonly taken: readonly FindingUsedDto[];
  readonly say: (id: string, count: number) => void;
  readonly refusal: Refused | undefined;
}

/** Each finding with how many went in, to be corrected. */
export function FindingsTaken({ planned, taken, say, refusal }: FindingsTakenProps): ReactElement | null {
  if (planned.length === 0) return null;
  return (
    <Box as="ul" aria-label="Findings used" fontSize="h2">
      {planned.map(({ id, name, there }, i) => (
        <Flex as="li" key={id} gap={3} alignItems="center" marginTop={2}>
          <Box flex={1}>
            {name}
            <br />
            <Caption>{there} of them there</Caption>
          </Box>
          <CountValue
            label={`${name} used`}
            value={taken[i]?.count ?? 0}
            refusal={refusal?.sentenceFor(`findings.${i}.count`)}
            onChange={(count) => {
              say(id, count);
            }}
          />
        </Flex>
      ))}
    </Box>
  );
}
