import { Box, Flex, chakra } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { stageNear, stopLine, type Judged, type PatternStep } from '#core/pattern';
import { showLength, type UnitSystem } from '#core/units';
import type { PatternAnswer } from '#contract';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { useBodies, useJudgedStages, type PlainPattern } from '../../workers/pattern.js';
import { PatternFace } from './faces/PatternFace.js';
import {
  countIn,
  countWords,
  countsOf,
  isCounted,
  lastCounted,
  stoppedWords,
  veinWords,
  withCount,
  type CountedStep,
} from './stageWords.js';
import type { BenchPattern } from './usePattern.js';
import type { PatternEditing } from './usePatternEditing.js';

const SIZE = 88;
const Pick = chakra('button', { base: { textAlign: 'left', display: 'block', width: '96px' } });

/** The sheet with a step done so often. */
function stagesOf(plain: PlainPattern, at: number, step: CountedStep): readonly PlainPattern[] {
  return countsOf(step).map((count) => ({
    ...plain,
    steps: plain.steps.map((s, i): PatternStep => (i === at ? withCount(step, count) : s)),
  }));
}

interface StageProps {
  readonly stage: PlainPattern;
  readonly bench: BenchPattern;
  readonly words: string;
  readonly judged: Judged | null;
  readonly chosen: boolean;
  /** nothing of it can be told apart any more */
  readonly past: boolean;
  readonly stopped: string;
  readonly onChoose: () => void;
}

/** One stage: what comes of it at one size beside the others, and how wide its veins are. */
function Stage({ stage, bench, words, judged, chosen, past, stopped, onChoose }: StageProps): ReactElement {
  const units = useUnits();
  const bodies = useBodies(stage);
  const at = stage.steps.length - 1;
  const body = bodies?.[at] ?? null;
  return (
    <Box as="li" flex="none">
      <Pick onClick={onChoose} aria-current={chosen ? 'true' : undefined} aria-label={words} disabled={!body?.there}>
        <Flex height={`${SIZE}px`} alignItems="center" justifyContent="center">
          {body?.there ? (
            <PatternFace pattern={stage} at={at} body={body} size={SIZE} paints={bench.paints} label={words} />
          ) : (
            <Caption>–</Caption>
          )}
        </Flex>
        <Box fontSize="small" fontWeight={600} marginTop={1}>
          {words}
        </Box>
        <Caption display="block">{judged ? veinWords(judged, units) : '…'}</Caption>
        {past && <Caption display="block">past the stop</Caption>}
        <Box width="100%" marginTop={1} height={chosen ? '9px' : '1px'} background="ink" />
      </Pick>
      {stopped !== '' && (
        <Caption display="block" maxWidth="96px">
          ▲ {stopped}
        </Caption>
      )}
    </Box>
  );
}

interface StagesProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly editing: PatternEditing;
}

/** When to stop: the same sheet after each fold or twist, and the last one that can be told apart at arm's length. */
export function Stages({ pattern, bench, editing }: StagesProps): ReactElement | null {
  const { steps, at: chosen } = editing;
  const own = steps[chosen];
  const at = own && isCounted(own) ? chosen : lastCounted(steps);
  const step = steps[at];
  return step && isCounted(step) ? (
    <Row
      pattern={pattern}
      bench={bench}
      at={at}
      step={step}
      onChoose={(next) => {
        if (chosen === at) editing.edit(next);
        else editing.save({ program: { ...pattern.program, steps: steps.map((s, i) => (i === at ? next : s)) } });
      }}
    />
  ) : null;
}

interface RowProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  readonly at: number;
  readonly step: CountedStep;
  readonly onChoose: (step: CountedStep) => void;
}

/** What is said of the stop line. */
function stopWords(judged: readonly (Judged | null)[] | null, step: CountedStep, counts: readonly number[]): string {
  const all = judged?.filter((j) => j !== null);
  if (!all || all.length === 0) return 'looking …';
  const stop = stopLine(all);
  if (stop < 0) return 'its colours cannot be told apart at arm’s length, however little it is done';
  if (stop === all.length - 1) return 'all of these can be told apart at arm’s length';
  return `stop at ${countWords(step, counts[stop] ?? 0)}: beyond it runs together at arm’s length`;
}

/** Where one usually stops, by all sheets that were made: the stage with such veins. */
function usualWords(
  { usualVein }: PatternAnswer,
  known: readonly Judged[] | null,
  units: UnitSystem,
  wordsAt: (stage: number) => string,
): string | null {
  if (usualVein === null || !known) return null;
  const veins = `You usually stop at veins of ${showLength(usualVein, units)}`;
  const stage = stageNear(
    known.map(({ vein }) => vein),
    usualVein,
  );
  return stage < 0 ? `${veins}; none of these has such.` : `${veins}: here at ${wordsAt(stage)}.`;
}

function Row({ pattern, bench, at, step, onChoose }: RowProps): ReactElement {
  const units = useUnits();
  const { plain, colours } = bench;
  const stages = useMemo(() => stagesOf(plain, at, step), [plain, at, step]);
  const judged = useJudgedStages(stages, colours);
  const counts = countsOf(step);
  const known = judged?.every((j) => j !== null) ? judged : null;
  const stop = known ? stopLine(known) : null;
  const usual = usualWords(pattern, known, units, (stage) => countWords(step, counts[stage] ?? 0));
  return (
    <Box borderTop="rule" paddingTop={3}>
      <Flex gap={3} alignItems="baseline" wrap="wrap">
        <h2>When to stop</h2>
        <Box fontSize="small" fontWeight={600} role="status">
          {stopWords(judged, step, counts)}
        </Box>
        {usual !== null && <Caption>{usual}</Caption>}
      </Flex>
      <Flex as="ol" gap={2} marginTop={2} overflowX="auto" aria-label="Stages">
        {stages.map((stage, i) => {
          const count = counts[i] ?? 0;
          return (
            <Stage
              key={count}
              stage={stage}
              bench={bench}
              words={countWords(step, count)}
              judged={judged?.[i] ?? null}
              chosen={countIn(step) === count}
              past={stop !== null && i > stop}
              stopped={stoppedWords(pattern.stops, pattern.id, step, count)}
              onChoose={() => {
                onChoose(withCount(step, count));
              }}
            />
          );
        })}
      </Flex>
    </Box>
  );
}
