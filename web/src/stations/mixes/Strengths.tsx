import { Box, Flex, Grid } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { strengthOf } from '#core/clay';
import type { LearnedClay } from '#core/mix';
import type { LearningAnswer } from '#contract';
import { Caption, Second } from '../../theme/pieces.js';
import { grey } from '../../theme/grey.js';

type ClayOf = LearningAnswer['clays'][number];
/** A clay, and what is known of it. */
export interface Known {
  readonly clay: ClayOf;
  readonly own: LearnedClay;
}

/** How many times, in words. */
const factor = (x: number): string => (x >= 9.5 ? x.toFixed(0) : x.toFixed(1));
function beside(times: number): string {
  if (times > 1.05) return `${factor(times)} times as strong as`;
  return times < 0.95 ? `${factor(1 / times)} times weaker than` : 'as strong as';
}
/** Both ends of what is likely, the way round that the sentence has it. */
const range = (log: number, spread: number): string => {
  const [low, high] = log < Math.log(0.95) ? [-log - spread, -log + spread] : [log - spread, log + spread];
  return `${factor(Math.exp(low))} to ${factor(Math.exp(high))} times`;
};
/** Bars run over this many times stronger or weaker. */
const MOST_TIMES = 20;
const WIDEST = Math.log(MOST_TIMES);
const place = (log: number): number => 50 + (50 * Math.max(-WIDEST, Math.min(WIDEST, log))) / WIDEST;

/** A mark where a clay is, and a bar for how sure that is. */
function SureBar({ log, spread }: { readonly log: number; readonly spread: number }): ReactElement {
  return (
    <svg width="300" height="22" viewBox="0 0 100 22" preserveAspectRatio="none" aria-hidden>
      <path d="M0 11H100M50 3V19" stroke={grey.hairline} strokeWidth="1" vectorEffect="non-scaling-stroke" />
      <rect
        x={place(log - spread)}
        y="7"
        width={Math.max(0.6, place(log + spread) - place(log - spread))}
        height="8"
        fill={grey.hairline}
      />
      <rect x={place(log) - 0.6} y="3" width="1.2" height="16" fill={grey.ink} />
    </svg>
  );
}

const logOf = (k: Known | undefined): number => (k ? k.own.logStrength + Math.log(strengthOf(k.clay).value) : 0);

interface OneStrengthProps {
  readonly known: Known;
  readonly reference: Known | undefined;
}

/** One clay beside the best known one. */
function OneStrength({ known, reference }: OneStrengthProps): ReactElement {
  const { clay, own } = known;
  const itself = known === reference;
  const log = logOf(known) - logOf(reference);
  const spread = Math.hypot(own.sigma, itself ? 0 : (reference?.own.sigma ?? 0));
  return (
    <Grid as="li" templateColumns="34px minmax(0, 1fr) 300px" gap={3} alignItems="center">
      <Box width="34px" height="34px" borderRadius="50%" style={{ background: `#${clay.bakedHex}` }} />
      <Box lineHeight={1.35}>
        {itself ? (
          <>
            <b>{clay.name}</b>: the measure for the others
          </>
        ) : (
          <b>
            Your {clay.name} is {beside(Math.exp(log))} {reference?.clay.name}
          </b>
        )}
        {', '}
        <Second>
          from {own.chips === 1 ? 'one chip' : `${own.chips} chips`}
          {itself ? '' : ` (${range(log, spread)})`}
        </Second>
      </Box>
      <SureBar log={log} spread={spread} />
    </Grid>
  );
}

/** Each clay beside the best known one: a mark where it is, a bar for how sure that is. */
export function Strengths({ knowns }: { readonly knowns: readonly Known[] }): ReactElement {
  const [reference] = knowns;
  return (
    <Box as="section" aria-label="Strengths">
      <Flex alignItems="baseline" gap={4} marginBottom={3}>
        <h2>Strengths</h2>
        {reference && (
          <Caption>
            beside {reference.clay.name}, which most chips hold; the bar is where two of three would lie
          </Caption>
        )}
      </Flex>
      <Grid as="ul" rowGap={2}>
        {knowns.map((known) => (
          <OneStrength key={known.clay.id} known={known} reference={reference} />
        ))}
      </Grid>
      <Grid templateColumns="34px minmax(0, 1fr) 300px" gap={3}>
        <span />
        <span />
        <Flex justifyContent="space-between">
          <Caption>{MOST_TIMES} times weaker</Caption>
          <Caption>the same</Caption>
          <Caption>{MOST_TIMES} times stronger</Caption>
        </Flex>
      </Grid>
    </Box>
  );
}
