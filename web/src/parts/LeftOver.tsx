import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { Caption } from '../theme/pieces.js';
import type { Refused } from '../wire/ask.js';
import { useStock } from '../wire/queries.js';
import { Choice } from './Choice.js';
import { choicesOf, type LeftPlanned, type Said } from './leftOver.js';
import { swatch } from './swatch.js';
import { MassValue } from './Value.js';
import { Warning } from './Warning.js';

interface LeftOverProps {
  readonly planned: readonly LeftPlanned[];
  readonly said: readonly Said[];
  readonly say: (at: number, part: Partial<Said>) => void;
  readonly refusal: Refused | undefined;
}

/** What a refusal says of one left-over, whichever of its fields it is about. */
const saysOf = (refusal: Refused | undefined, at: number): string | undefined =>
  refusal?.problem.fields?.find((f) => f.field.startsWith(`left.${at}.`))?.sentence;

/** What is left over, with its weight, and what becomes of each. */
export function LeftOver({ planned, said, say, refusal }: LeftOverProps): ReactElement | null {
  const stock = useStock();
  if (planned.length === 0) return null;
  return (
    <Box role="group" aria-label="Left over">
      <Caption>left over, weighed or as planned: nothing is thrown away without a word</Caption>
      {planned.map((left, i) => {
        const wrong = saysOf(refusal, i);
        return (
          <Box key={left.name} marginTop={2}>
            <Flex gap={3} alignItems="center" fontSize="h2" wrap="wrap">
              <Box width="34px" height="26px" flex="none" style={{ background: swatch(left.hexes) }} />
              <Box minWidth="150px">{left.name}</Box>
              <MassValue
                label={`${left.name}, left over`}
                value={said[i]?.grams ?? 0}
                onChange={(grams) => {
                  if (grams >= 0) say(i, { grams });
                }}
              />
              <Choice
                label={`Where ${left.name} goes`}
                value={said[i]?.goes ?? 'fits'}
                options={choicesOf(left, stock.data?.tubs ?? [])}
                onChange={(goes) => {
                  say(i, { goes });
                }}
              />
            </Flex>
            {wrong !== undefined && <Warning>{wrong}</Warning>}
          </Box>
        );
      })}
    </Box>
  );
}
