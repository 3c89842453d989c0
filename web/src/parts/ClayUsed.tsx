import { UNKNOWN_HEX } from '../theme/grey.js';
import { leftOf } from '../state/shelf.js';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { ShelfAnswer, UsedDto } from '#contract';
import { useUnits } from '../state/view.js';
import { NARROW, STACKED } from '../theme/narrow.js';
import { Caption } from '../theme/pieces.js';
import type { Refused } from '../wire/ask.js';
import { MassValue } from './Value.js';
import { Warning } from './Warning.js';

export interface Planned {
  readonly clayId: string;
  readonly grams: number;
}

/** What really went in: what was planned, to a tenth of a gram, until somebody says otherwise. */
export function useClayUsed(planned: readonly Planned[]): {
  readonly used: UsedDto[];
  readonly say: (clayId: string, grams: number) => void;
} {
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  const sums = new Map<string, number>();
  for (const { clayId, grams } of planned) sums.set(clayId, (sums.get(clayId) ?? 0) + grams);
  return {
    used: [...sums].map(([clayId, grams]) => ({ clayId, grams: said[clayId] ?? Math.round(grams * 10) / 10 })),
    say: (clayId, grams) => {
      setSaid({ ...said, [clayId]: grams });
    },
  };
}

interface ClayUsedProps {
  readonly used: readonly UsedDto[];
  readonly say: (clayId: string, grams: number) => void;
  readonly shelf: ShelfAnswer;
  readonly refusal: Refused | undefined;
}

/** Each clay with what comes off the shelf, to be corrected. */
export function ClayUsed({ used, say, shelf, refusal }: ClayUsedProps): ReactElement {
  const units = useUnits();
  return (
    <Grid
      as="ul"
      templateColumns="1fr 1fr"
      columnGap={6}
      rowGap={2}
      aria-label="Clay used"
      fontSize="h2"
      css={{ [NARROW]: STACKED }}
    >
      {used.map(({ clayId, grams }, i) => {
        const clay = shelf.clays.find((c) => c.id === clayId);
        const left = leftOf(shelf, clayId);
        return (
          <Flex as="li" key={clayId} gap={3} alignItems="center">
            <Box width="34px" height="26px" flex="none" style={{ background: `#${clay?.bakedHex ?? UNKNOWN_HEX}` }} />
            <Box flex={1}>
              {clay?.name}
              <br />
              {grams > left + 0.05 ? (
                <Warning>only {showMass(left, units)} on the shelf</Warning>
              ) : (
                <Caption>{showMass(left, units)} on the shelf</Caption>
              )}
            </Box>
            <MassValue
              label={`${clay?.name ?? ''} used`}
              value={grams}
              refusal={refusal?.sentenceFor(`used.${i}.grams`)}
              onChange={(g) => {
                say(clayId, g);
              }}
            />
          </Flex>
        );
      })}
    </Grid>
  );
}
