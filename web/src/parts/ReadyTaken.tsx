import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { keyOf } from '#core/material';
import { showMass } from '#core/units';
import type { PlanAnswer, TakenDto } from '#contract';
import { useUnits } from '../state/view.js';
import { UNKNOWN_HEX } from '../theme/grey.js';
import { Caption } from '../theme/pieces.js';
import type { Refused } from '../wire/ask.js';
import { MassValue } from './Value.js';
import { Warning } from './Warning.js';

type Ready = PlanAnswer['ready'];

/** What is made for itself, at its own station, with its own clay. */
export const isForItself = ({ of }: Pick<Ready[number], 'of'>): boolean =>
  of.kind === 'pattern' || of.kind === 'blend' || of.kind === 'cane';

/** What of it can be taken: what is only planned is made for itself. */
const lying = (ready: Ready): (Ready[number] & { readonly of: TakenDto['of'] })[] =>
  ready.flatMap((one) => (one.of.kind === 'made' || one.of.kind === 'scrap' ? [{ ...one, of: one.of }] : []));

/** What was really taken of things that lay there: as planned, until somebody says otherwise. */
export function useReadyTaken(ready: Ready): {
  readonly taken: TakenDto[];
  readonly say: (key: string, grams: number) => void;
} {
  const [said, setSaid] = useState<Readonly<Record<string, number>>>({});
  return {
    taken: lying(ready).map(({ of, grams, there }) => ({
      of,
      grams: said[keyOf(of)] ?? Math.round(Math.min(grams, there) * 10) / 10,
    })),
    say: (key, grams) => {
      setSaid({ ...said, [key]: grams });
    },
  };
}

interface ReadyTakenProps {
  readonly ready: Ready;
  readonly taken: readonly TakenDto[];
  readonly materials: PlanAnswer['materials'];
  readonly say: (key: string, grams: number) => void;
  readonly refusal: Refused | undefined;
}

/** Each thing that lay there with what was taken of it, to be corrected. */
export function ReadyTaken({ ready, taken, materials, say, refusal }: ReadyTakenProps): ReactElement | null {
  const units = useUnits();
  const planned = ready.filter(isForItself);
  if (ready.length === 0) return null;
  return (
    <Box as="ul" aria-label="Taken of what lies there" fontSize="h2">
      {planned.map(({ of, name, grams }) => (
        <Box as="li" key={of.id} marginTop={2} fontSize="body">
          {name}, {showMass(grams, units)}: made for itself, so nothing more is taken for it here. Where it lies there,
          choose it as the layer, or for the part, first.
        </Box>
      ))}
      {lying(ready).map(({ of, name, there }, i) => (
        <Flex as="li" key={keyOf(of)} gap={3} alignItems="center" marginTop={2}>
          <Box
            width="34px"
            height="26px"
            flex="none"
            style={{ background: `#${materials[of.id]?.hex ?? UNKNOWN_HEX}` }}
          />
          <Box flex={1}>
            {name}
            <br />
            {(taken[i]?.grams ?? 0) > there + 0.05 ? (
              <Warning>only {showMass(there, units)} of it there</Warning>
            ) : (
              <Caption>{showMass(there, units)} of it there</Caption>
            )}
          </Box>
          <MassValue
            label={`${name} taken`}
            value={taken[i]?.grams ?? 0}
            refusal={refusal?.sentenceFor(`taken.${i}`)}
            onChange={(grams) => {
              say(keyOf(of), grams);
            }}
          />
        </Flex>
      ))}
    </Box>
  );
}
