import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { BatchAnswer, MadeCountDto } from '#contract';
import { readCount } from '../../parts/readCount.js';
import { Value } from '../../parts/Value.js';
import { Caption } from '../../theme/pieces.js';
import type { Refused } from '../../wire/ask.js';

type Kinds = Pick<BatchAnswer, 'pieces' | 'assemblies'>;

/** How many of each kind are finished: all, until somebody says otherwise. */
export function useMade({ pieces, assemblies }: Kinds) {
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  const [broke, setBroke] = useState<Readonly<Record<string, number>>>({});
  const kinds = [...pieces, ...assemblies];
  const made: MadeCountDto[] = kinds.map(({ id, count }) => ({
    ...{ pieceId: id, count: said[id] ?? count, broken: broke[id] ?? 0 },
  }));
  return {
    kinds,
    made,
    /** some of them stay in the batch */
    part: kinds.some(({ id, count }) => (said[id] ?? count) < count),
    say: (id: string, count: number): void => {
      setSaid({ ...said, [id]: count });
    },
    sayBroken: (id: string, count: number): void => {
      setBroke({ ...broke, [id]: count });
    },
  };
}

interface HowManyProps extends Pick<ReturnType<typeof useMade>, 'kinds' | 'made' | 'part' | 'say' | 'sayBroken'> {
  readonly refusal: Refused | undefined;
}

/** Twelve of twenty: the others stay in the batch for another day. */
export function HowManyMade({ kinds, made, part, say, sayBroken, refusal }: HowManyProps): ReactElement {
  return (
    <Box>
      <Flex as="ul" aria-label="Finished" columnGap={6} rowGap={1} wrap="wrap" fontSize="h2">
        {kinds.map(({ id, name, count, spare }, i) => (
          <li key={id}>
            <Value
              label={`Finished of ${name}`}
              text={String(made[i]?.count ?? count)}
              read={readCount(0, count, 'The number of finished pieces')}
              refusal={refusal?.sentenceFor(`made.${i}.count`)}
              onChange={(next) => {
                say(id, next);
              }}
            />{' '}
            of {count} {name}
            <Caption>
              {' · '}
              <Value
                label={`Broken of ${name}`}
                text={String(made[i]?.broken ?? 0)}
                read={readCount(0, count + spare, 'The number of broken pieces')}
                refusal={refusal?.sentenceFor(`made.${i}.broken`)}
                onChange={(next) => {
                  sayBroken(id, next);
                }}
              />{' '}
              broke
            </Caption>
          </li>
        ))}
      </Flex>
      <Caption display="block">
        {part
          ? 'The others stay in the batch: below is what these took.'
          : 'Not all of them finished? Say how many: the others stay in the batch.'}
      </Caption>
    </Box>
  );
}
