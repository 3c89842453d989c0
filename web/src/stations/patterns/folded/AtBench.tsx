import { Box, Flex } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { flatSquare, ornamentSteps, type OrnamentPlan } from '#core/pattern';
import type { PatternAnswer } from '#contract';
import { BenchSteps } from '../../../parts/BenchSteps.js';
import { useUnits } from '../../../state/view.js';
import { Action, Word } from '../../../theme/pieces.js';
import { FoldDrawing } from './FoldDrawing.js';
import { BEFORE_FOLDS, ORNAMENT_NAMES, foldSteps } from './foldWords.js';
import type { Own } from './useFoldPlan.js';
import type { Square } from './useSquare.js';

/** px of the picture. */
const LARGE = 320;

interface AtBenchProps {
  readonly pattern: PatternAnswer;
  readonly own: Own;
  readonly made: OrnamentPlan;
  readonly square: Square;
  readonly mm: number;
}

/** Folding at the bench, each fold with its picture. */
export function AtBench({ pattern, own, made, square, mm }: AtBenchProps): ReactElement {
  const units = useUnits();
  const folds = ornamentSteps(own.ornament);
  const words = foldSteps(own.ornament, { side: own.side, mm, thickest: made.thickest }, units);
  const back = (): void => {
    own.set({ at: 'plan' });
  };
  return (
    <Flex direction="column" padding={5} gap={4} height="100%" overflowY="auto">
      <Box fontSize="small">
        {pattern.name}, {ORNAMENT_NAMES[own.ornament].toLowerCase()}
      </Box>
      <BenchSteps
        what={`fold ${pattern.id} ${own.ornament}`}
        steps={words}
        art={(at) => {
          const step = folds[at - BEFORE_FOLDS];
          const sheet = step?.before ?? (at < BEFORE_FOLDS ? flatSquare : (folds.at(-1)?.after ?? flatSquare));
          return (
            <FoldDrawing
              sheet={sheet}
              crease={step?.crease ?? null}
              size={LARGE}
              label="What is there then"
              {...square}
            />
          );
        }}
        foot={<Word onClick={back}>the plan</Word>}
        finish={(_, before, leave) => (
          <Box>
            <h1>It is folded</h1>
            <p>Put it into a batch to bake it with others, or fold another.</p>
            <Flex gap={4} marginTop={3}>
              <Action
                main
                onClick={() => {
                  leave();
                  back();
                }}
              >
                back to the plan
              </Action>
              <Word onClick={before}>one back</Word>
            </Flex>
          </Box>
        )}
      />
    </Flex>
  );
}
