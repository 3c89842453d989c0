import { Box, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { hexOf, xyzOfLab } from '#core/colour';
import type { Rung } from '#core/mix';
import type { Fraction } from '#core/units';
import { Caption } from '../../theme/pieces.js';
import { laidWords, onRung, ratioOf, type OnRung, type Other } from './rungs.js';

const RungButton = chakra('button', {
  base: {
    height: '84px',
    width: '100%',
    display: 'block',
    border: '3px solid transparent',
    _hover: { borderColor: 'ink' },
    _disabled: { cursor: 'default', _hover: { borderColor: 'transparent' } },
  },
});

/** More steps than these are written smaller. */
const MANY = 11;

interface StepProps {
  readonly rung: Rung;
  readonly parts: readonly OnRung[];
  readonly ratio: string;
  readonly small: boolean;
  readonly discs: readonly Fraction[];
  readonly onMake: () => void;
}

/** One step: its colour, its parts, what is laid down for it. A click makes it a mix. */
function OneStep({ rung, parts, ratio, small, discs, onMake }: StepProps): ReactElement {
  return (
    <Box as="li" textAlign="center" listStyleType="none">
      <RungButton
        aria-label={`Make a mix of ${parts
          .slice(0, 2)
          .map((p) => `${p.n} ${p.name}`)
          .join(' to ')}`}
        title="make this mix"
        disabled={parts.length < 2}
        style={{ background: `#${hexOf(xyzOfLab(rung.lab))}` }}
        onClick={onMake}
      />
      <Box fontWeight={700} fontSize={small ? 'caption' : 'small'} marginTop={1}>
        {ratio}
      </Box>
      <Caption>{laidWords(rung, discs)}</Caption>
    </Box>
  );
}

interface LadderStepsProps {
  readonly rungs: readonly Rung[];
  readonly mixes: readonly Pick<Other, 'of' | 'name'>[];
  /** discs of each mix in each step */
  readonly discs: readonly (readonly Fraction[])[];
  readonly onMake: (parts: readonly OnRung[]) => void;
}

/** All steps of a ladder, side by side. */
export function LadderSteps({ rungs, mixes, discs, onMake }: LadderStepsProps): ReactElement {
  return (
    <Grid as="ol" gridAutoFlow="column" gridAutoColumns="minmax(0, 1fr)" aria-label="Steps">
      {rungs.map((rung, i) => {
        const parts = onRung(rung, mixes);
        return (
          <OneStep
            key={rung.units.join()}
            rung={rung}
            parts={parts}
            ratio={ratioOf(parts, i, rungs.length - 1)}
            small={rungs.length > MANY}
            discs={discs[i] ?? []}
            onMake={() => {
              onMake(parts);
            }}
          />
        );
      })}
    </Grid>
  );
}
