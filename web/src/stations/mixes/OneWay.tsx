import { asName } from '../../parts/names.js';
import { ofClay, ofMix } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import type { Correction } from '#core/mix';
import { Fraction, showMass } from '#core/units';
import type { MixAnswer, ShelfAnswer } from '#contract';
import { MassValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Action, Second } from '../../theme/pieces.js';
import { useMakeMix } from './useMakeMix.js';

/** More is not added at once, in grams. */
const MOST_ADDED = 1e4;

/** Grams to a hundredth, as exact parts. */
const exact = (g: number): string => new Fraction(Math.round(g * 100), 100).toFraction();

interface OneWayProps {
  readonly found: Correction;
  readonly mix: MixAnswer;
  readonly revisionId: string;
  readonly grams: number;
  readonly wantedHex: string;
  readonly shelf: ShelfAnswer;
}

/** One correction; the grams are those that really went in, so that the new recipe is what it is. */
export function OneWay({ found, mix, revisionId, grams, wantedHex, shelf }: OneWayProps): ReactElement {
  const units = useUnits();
  const { make, wrong } = useMakeMix();
  const [added, setAdded] = useState<readonly number[]>(found.adds.map((a) => a.grams));
  const named = (id: string): string => shelf.clays.find((c) => c.id === id)?.name ?? '';
  const put = (): void => {
    const went = found.adds.flatMap((a, i) =>
      (added[i] ?? 0) > 0 ? [{ parts: exact(added[i] ?? 0), of: ofClay(a.clayId) }] : [],
    );
    void make(
      asName(`${mix.name} corrected ${crypto.randomUUID().slice(0, 3)}`),
      [{ parts: exact(grams), of: ofMix(revisionId) }, ...went],
      {
        basis: 'mass',
        wantedHex,
        note:
          `${showMass(grams, units)} of ${mix.name}, and ` +
          `${found.adds.map((a, i) => `${showMass(added[i] ?? 0, units)} of ${named(a.clayId)}`).join(', ')}`,
      },
    );
  };
  return (
    <Box as="li" width="250px">
      <Flex height="96px" borderRadius="10px" overflow="hidden" aria-hidden>
        <Box flex={1} style={{ background: `#${wantedHex}` }} />
        <Box flex={1.6} style={{ background: `#${hexOf(xyzOfLab(found.lab))}` }} />
      </Flex>
      <Box fontSize="h3" fontWeight={600} marginTop={2} data-testid="adds">
        {found.adds.map((a) => `${showMass(a.grams, units)} ${named(a.clayId)}`).join(' + ')}
      </Box>
      <Box>
        <b>ΔE {found.deltaE.toFixed(1)}</b> <Second>from what you wanted</Second>
      </Box>
      <Box fontSize="small" marginTop={2}>
        Really went in:{' '}
        {found.adds.map((a, i) => (
          <span key={a.clayId}>
            {i > 0 && ', '}
            <MassValue
              label={`Grams of ${named(a.clayId)} that went in`}
              value={added[i] ?? 0}
              onChange={(g) => {
                if (g >= 0 && g < MOST_ADDED) setAdded(added.map((old, k) => (k === i ? g : old)));
              }}
            />{' '}
            {named(a.clayId)}
          </span>
        ))}
      </Box>
      <Action marginTop={2} onClick={put}>
        Put the new mix on the board
      </Action>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
