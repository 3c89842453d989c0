import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import type { ReactElement, ReactNode } from 'react';
import { ringBell } from '../state/bell.js';
import { useBenchPlace } from '../state/benchPlace.js';
import { useAwake } from '../state/useAwake.js';
import { useKeys } from '../state/keys.js';
import { AT_THUMB, NARROW, STACKED } from '../theme/narrow.js';
import { Action } from '../theme/pieces.js';
import { Warning } from './Warning.js';

/** As large as it fits: a setting fills the square, a length less of it. */
function figureSize({ length }: string): string {
  if (length > 5) return '64px';
  return length > 3 ? '96px' : '150px';
}

const Counter = chakra('button', {
  base: { border: 'rule', background: 'tile', minHeight: '280px', width: '100%', padding: 4, textAlign: 'center' },
});

/** One thing to do at the bench, in words that can be read from a metre away. */
export interface BenchWords {
  readonly title: string;
  readonly line: string;
  /** large, as a setting or a length; left out: the number of the step */
  readonly figure?: string;
  readonly of?: string;
  /** about so many times; it is counted */
  readonly about?: number;
  /** at so many it rings, and says why */
  readonly rings?: { readonly at: number; readonly says: string };
  /** what the counting ends with */
  readonly enough?: string;
  readonly caution?: string | null;
}

interface BenchStepsProps {
  /** what is made, so that the place and the counts stay through a reload */
  readonly what: string;
  readonly steps: readonly BenchWords[];
  readonly art?: ((at: number) => ReactNode) | undefined;
  /**
   * what comes after the last step; `counts` holds what was counted in each, `leave` forgets the place when it is
   * written down
   */
  readonly finish: (counts: readonly number[], back: () => void, leave: () => void) => ReactElement;
  /** for the hands of a person who wants to leave */
  readonly foot?: ReactNode;
}

/** Where the hands are, what was counted, and the ways on and back. */
function useSteps(what: string, steps: readonly BenchWords[]) {
  const place = useBenchPlace(what);
  const { counts } = place;
  const at = Math.min(place.at, steps.length);
  const step = steps[at];
  const count = counts[at] ?? 0;
  const counting = step?.about !== undefined;
  const setCount = (n: number): void => {
    place.go({ at, counts: steps.map((_, i) => (i === at ? n : (counts[i] ?? 0))) });
  };
  const setAt = (to: number): void => {
    place.go({ at: to, counts });
  };
  const next = (): void => {
    if (step) setAt(at + 1);
  };
  return {
    ...{ at, step, count, counts, counting, next, leave: place.leave },
    on: (): void => {
      if (!counting) {
        next();
        return;
      }
      setCount(count + 1);
      if (step.rings?.at === count + 1) ringBell();
    },
    back: (): void => {
      if (counting && count > 0) setCount(count - 1);
      else setAt(Math.max(0, at - 1));
    },
    toLast: (): void => {
      setAt(steps.length - 1);
    },
  };
}

type Place = ReturnType<typeof useSteps>;

/** A stroke for each step. */
function Strokes({ at, steps }: { readonly at: number; readonly steps: readonly BenchWords[] }): ReactElement {
  return (
    <Flex gap={1} alignItems="flex-end" height="18px" flex="none" aria-hidden>
      {steps.map((_, i) => (
        <Box
          key={i}
          flex={1}
          maxWidth="90px"
          height={i === at ? '18px' : '6px'}
          background={i <= at ? 'ink' : 'hairline'}
        />
      ))}
    </Flex>
  );
}

interface FigureProps {
  readonly place: Place;
  readonly step: BenchWords;
  /** steps in all */
  readonly all: number;
}

/** The one number of a step, or how often it was counted; and the ways on and back. */
function Figure({ place, step, all }: FigureProps): ReactElement {
  const { at, count, counting, on, back, next } = place;
  const figure = counting ? String(count) : (step.figure ?? String(at + 1));
  const of = counting ? `of about ${step.about} passes` : (step.of ?? `of ${all} steps`);
  return (
    <Flex direction="column" gap={3} css={{ [NARROW]: AT_THUMB }}>
      <Counter onClick={on}>
        <Box
          data-figure=""
          fontWeight={700}
          fontSize={figureSize(figure)}
          lineHeight={1}
          whiteSpace="nowrap"
          data-passes={counting ? '' : undefined}
        >
          {figure}
        </Box>
        <Box data-of="" fontSize="24px" marginTop={3}>
          {of}
        </Box>
        {counting && step.rings && (
          <Box role="status" fontWeight={700} fontSize="22px" marginTop={2}>
            {count >= step.rings.at ? step.rings.says : ''}
          </Box>
        )}
        <Box data-hint="" color="ink2" marginTop={2}>
          tap here or press space {counting ? 'at each pass' : 'when it is done'}
        </Box>
      </Counter>
      <Grid templateColumns="1fr 1fr" gap={2}>
        <Action large onClick={back} disabled={at === 0 && count === 0}>
          One back
        </Action>
        <Action large main={counting} disabled={counting && count === 0} onClick={next}>
          {counting ? (step.enough ?? 'Enough') : 'Next'}
        </Action>
      </Grid>
    </Flex>
  );
}

/** What is done now, in large words. */
function Words({ step, children }: { readonly step: BenchWords; readonly children: ReactNode }): ReactElement {
  return (
    <Flex direction="column" gap={4} minWidth={0}>
      <Box as="h1" fontSize="54px" lineHeight={1.08} data-step="" css={{ [NARROW]: { fontSize: '36px' } }}>
        {step.title}
      </Box>
      <Box fontSize="22px" lineHeight={1.4}>
        {step.line}
      </Box>
      {step.caution != null && (
        <Box maxWidth="560px">
          <Warning>{step.caution}</Warning>
        </Box>
      )}
      {children}
    </Flex>
  );
}

/** Steps one at a time, for hands full of clay: one key goes on, or counts a pass. */
export function BenchSteps({ what, steps, art, finish, foot }: BenchStepsProps): ReactElement {
  const place = useSteps(what, steps);
  const { at, step, count, counts, counting, on, back, next } = place;
  useAwake();
  useKeys('At the bench', [
    { key: ' ', does: 'Done: the next step, or count a pass', run: on },
    { key: 'Backspace', does: 'One back', run: back },
    {
      key: 'Enter',
      does: 'Enough passes: go on',
      run: () => {
        if (counting && count > 0) next();
      },
    },
  ]);
  if (!step) return finish(counts, place.toLast, place.leave);
  const after = steps[at + 1];
  return (
    <Flex direction="column" gap={5} minWidth={0}>
      <Strokes at={at} steps={steps} />
      <Grid templateColumns="minmax(0, 1fr) 380px" gap={6} css={{ [NARROW]: STACKED }}>
        <Words step={step}>{art?.(at)}</Words>
        <Figure place={place} step={step} all={steps.length} />
      </Grid>
      <Flex borderTop="rule" paddingTop={4} justifyContent="space-between" gap={5}>
        <Box fontFamily="heading" fontWeight={700} fontSize="22px" color="ink2">
          {after ? `Next: ${after.title}` : 'Next: write it down'}
        </Box>
        {foot}
      </Flex>
    </Flex>
  );
}
