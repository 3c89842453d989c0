import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import type { ConditionPlan, ConditionStep } from '#core/conditioning';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { Second } from '../../theme/pieces.js';
import { ConditionPicture } from './ConditionPicture.js';
import { WARNING_WORDS, becauseWords, conditionWords } from './conditionWords.js';

/** A figure of a plan that rests on nothing counted and nothing said is a guess. */
const isGuess = ({ because }: ConditionPlan): boolean => because.from === 0 && !because.own;

interface OneStepProps {
  readonly step: ConditionStep;
  readonly at: number;
  readonly hex: string;
  readonly guess: boolean;
}

/** One step: the clay, its figure, what to do. */
function OneStep({ step, at, hex, guess }: OneStepProps): ReactElement {
  const { title, line, about, figure, of } = conditionWords(step, useUnits());
  return (
    <Flex as="li" direction="column" width="196px" gap={2}>
      <Flex height="92px" alignItems="flex-end">
        <ConditionPicture step={step} hex={hex} />
      </Flex>
      <Box borderTop="rule" paddingTop={2}>
        <b>
          {at + 1} {title}
        </b>
        {about !== undefined && (
          <Box fontSize="figure" fontWeight={700} lineHeight={1.2}>
            {guess ? '~' : ''}
            {about} ×
          </Box>
        )}
        {about === undefined && figure !== undefined && (
          <Box fontSize="figure" fontWeight={700} lineHeight={1.2}>
            {figure} <Second>{of}</Second>
          </Box>
        )}
      </Box>
      <Box fontSize="small" lineHeight={1.4}>
        {line}
      </Box>
    </Flex>
  );
}

interface ConditionStepsProps {
  readonly plan: ConditionPlan;
  readonly hex: string;
  /** name of the line, where it has one */
  readonly line: string | undefined;
}

/** The steps of a plan, what their number rests on, and what to beware of. */
export function ConditionSteps({ plan, hex, line }: ConditionStepsProps): ReactElement {
  return (
    <>
      <Flex as="ol" wrap="wrap" gap={5} aria-label="What to do" alignItems="stretch">
        {plan.steps.map((step, i) => (
          <OneStep key={i} step={step} at={i} hex={hex} guess={isGuess(plan)} />
        ))}
      </Flex>
      <Grid gap={2} marginTop={5} maxWidth="680px">
        <Second>
          {becauseWords(plan, line ?? 'this line')}
          {plan.because.from === 0 ? ' Write down what it really took: the next plan goes by that.' : ''}
        </Second>
        {plan.warnings.map((w) => (
          <Warning key={w}>{WARNING_WORDS[w]}</Warning>
        ))}
      </Grid>
    </>
  );
}
