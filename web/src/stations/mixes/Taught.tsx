import { ofClay } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
import { strengthOf } from '#core/clay';
import { hexOf, labOf, mixPigments, xyzOfLab, statedPigment } from '#core/colour';
import { correctedPigment, printNotation, type Doubt, type LearnedClay, type NextChip } from '#core/mix';
import { Fraction } from '#core/units';
import type { EvidenceAnswer, LearningAnswer, ShelfAnswer } from '#contract';
import { Reading } from '../../parts/Empty.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { showDate } from '../../state/today.js';
import { Action, Caption, Second, Word } from '../../theme/pieces.js';
import { useLearning } from '../../wire/queries.js';
import { keepLearning, useLesson } from '../../workers/useLearning.js';
import { useMakeMix } from './useMakeMix.js';
import { grey } from '../../theme/grey.js';

const NEXT = 3;
type ClayOf = LearningAnswer['clays'][number];
interface Known {
  readonly clay: ClayOf;
  readonly own: LearnedClay;
}

/** What the chips have taught: strengths in plain words, chips that contradict, and the next ones worth making. */
export function Taught({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const learning = useLearning();
  const data = learning.data;
  const usable = useMemo(
    () =>
      shelf.clays
        .filter((c) => !c.retired && shelf.blocks.some((b) => b.clayId === c.id && b.leftGrams > 1))
        .map((c) => c.id),
    [shelf],
  );
  const { taught, next } = useLesson(data, usable, NEXT);
  const turn = (): void => {
    if (data) void keepLearning('/api/learning/use', { use: !data.use });
  };
  useKeys('What your chips taught', [
    { key: 's', does: 'Predict with the defaults, or with what was learned', run: turn },
  ]);
  if (!data) return <Reading error={learning.error} />;
  const knowns = data.clays
    .flatMap((clay): Known[] => {
      const own = taught?.learned[clay.id];
      return own && own.chips > 0 ? [{ clay, own }] : [];
    })
    .sort((a, b) => b.own.chips - a.own.chips || a.own.sigma - b.own.sigma);
  const without = data.clays.filter((c) => taught && (taught.learned[c.id]?.chips ?? 0) === 0);
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Flex alignItems="baseline" gap={4} wrap="wrap">
        <h1>What your chips taught</h1>
        <Second>
          {data.chips.length === 1 ? 'one chip' : `${data.chips.length} chips`} · Sledge predicts{' '}
          {data.use && data.learned ? 'with what was learned' : 'with the defaults'}{' '}
          <Word onClick={turn}>{data.use ? 'use the defaults' : 'use what was learned'}</Word>
        </Second>
      </Flex>
      {data.chips.length === 0 && (
        <Box maxWidth="520px" color="ink2">
          No chip is logged yet, so every strength is assumed. Make one of the chips below, bake it, and log how it
          reads at its mix.
        </Box>
      )}
      {taught?.doubts.map((doubt) => (
        <Warning key={doubt.id}>
          <DoubtWords doubt={doubt} chips={data.chips} />
        </Warning>
      ))}
      {knowns.length > 0 && <Strengths knowns={knowns} />}
      {knowns.length > 0 && without.length > 0 && (
        <Second>In no chip yet, so assumed: {without.map((c) => c.name).join(', ')}.</Second>
      )}
      <NextOnes next={next} data={data} learned={taught?.learned ?? {}} />
      {data.chips.length > 0 && taught && (
        <Box borderTop="rule" paddingTop={4}>
          <Flex alignItems="baseline" gap={4} marginBottom={3}>
            <h2>Chip by chip</h2>
            <Caption>the chip as it reads · predicted by default · predicted as learned</Caption>
          </Flex>
          <Grid
            as="ul"
            templateColumns="repeat(auto-fill, minmax(300px, 1fr))"
            gap={3}
            aria-label="Chips and their predictions"
          >
            {[...data.chips].reverse().map((chip) => (
              <OneChip
                key={chip.id}
                chip={chip}
                data={data}
                learned={taught.learned}
                weight={taught.residuals.find((r) => r.id === chip.id)}
              />
            ))}
          </Grid>
        </Box>
      )}
      <Caption>
        A strength is scattering power beside an ordinary opaque clay. Priors and limits are assumptions; each chip
        replaces a part of them.
      </Caption>
    </Flex>
  );
}

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
const WIDEST = Math.log(20);
const place = (log: number): number => 50 + (50 * Math.max(-WIDEST, Math.min(WIDEST, log))) / WIDEST;

/** Each clay beside the best known one: a mark where it is, a bar for how sure that is. */
function Strengths({ knowns }: { readonly knowns: readonly Known[] }): ReactElement {
  const [reference] = knowns;
  const logOf = (k: Known | undefined): number => (k ? k.own.logStrength + Math.log(strengthOf(k.clay).value) : 0);
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
        {knowns.map((known) => {
          const { clay, own } = known;
          const log = logOf(known) - logOf(reference);
          const times = Math.exp(log);
          const spread = Math.hypot(own.sigma, known === reference ? 0 : (reference?.own.sigma ?? 0));
          return (
            <Grid as="li" key={clay.id} templateColumns="34px minmax(0, 1fr) 300px" gap={3} alignItems="center">
              <Box width="34px" height="34px" borderRadius="50%" style={{ background: `#${clay.bakedHex}` }} />
              <Box lineHeight={1.35}>
                {known === reference ? (
                  <>
                    <b>{clay.name}</b>: the measure for the others
                  </>
                ) : (
                  <b>
                    Your {clay.name} is {beside(times)} {reference?.clay.name}
                  </b>
                )}
                {', '}
                <Second>
                  from {own.chips === 1 ? 'one chip' : `${own.chips} chips`}
                  {known === reference ? '' : ` (${range(log, spread)})`}
                </Second>
              </Box>
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
            </Grid>
          );
        })}
      </Grid>
      <Grid templateColumns="34px minmax(0, 1fr) 300px" gap={3}>
        <span />
        <span />
        <Flex justifyContent="space-between">
          <Caption>20 times weaker</Caption>
          <Caption>the same</Caption>
          <Caption>20 times stronger</Caption>
        </Flex>
      </Grid>
    </Box>
  );
}

function DoubtWords({
  doubt,
  chips,
}: {
  readonly doubt: Doubt;
  readonly chips: readonly EvidenceAnswer[];
}): ReactElement {
  const one = chips.find((c) => c.id === doubt.id);
  const other = doubt.kind === 'pair' ? chips.find((c) => c.id === doubt.otherId) : undefined;
  const to = one && <Link to={`/mixes/${one.mixId}`}>{one.mixName}</Link>;
  return doubt.kind === 'pair' ? (
    <>
      Two chips of {to} contradict each other: that of {showDate(one?.madeOn ?? '')} and that of{' '}
      {showDate(other?.madeOn ?? '')} are ΔE {doubt.deltaE.toFixed(1)} apart. One of them was mixed or read differently:
      strike it out.
    </>
  ) : (
    <>
      The chip of {to} from {showDate(one?.madeOn ?? '')} contradicts the others: ΔE {doubt.deltaE.toFixed(1)} from what
      they say together. It counts for little now; read it again, or strike it out.
    </>
  );
}

function predicted(
  clays: readonly ClayOf[],
  shares: readonly { readonly clayId: string; readonly volume: number }[],
  stage: 'baked' | 'raw',
  learned: Readonly<Record<string, LearnedClay>>,
): string {
  const pigments = shares.flatMap(({ clayId }) => {
    const clay = clays.find((c) => c.id === clayId);
    const own = learned[clayId];
    return clay ? [own ? correctedPigment(statedPigment(clay, stage), own) : statedPigment(clay, stage)] : [];
  });
  return hexOf(
    xyzOfLab(
      labOf(
        mixPigments(
          pigments,
          shares.map((s) => s.volume),
        ),
      ),
    ),
  );
}

interface OneChipProps {
  readonly chip: EvidenceAnswer;
  readonly data: LearningAnswer;
  readonly learned: Readonly<Record<string, LearnedClay>>;
  readonly weight: { readonly before: number; readonly after: number } | undefined;
}

function OneChip({ chip, data, learned, weight }: OneChipProps): ReactElement {
  return (
    <Flex as="li" gap={3} alignItems="center">
      <Flex width="96px" height="52px" borderRadius="7px" overflow="hidden" flex="none" aria-hidden>
        {[
          hexOf(xyzOfLab(chip.lab)),
          predicted(data.clays, chip.shares, chip.stage, {}),
          predicted(data.clays, chip.shares, chip.stage, learned),
        ].map((hex, i) => (
          <Box key={i} flex={1} style={{ background: `#${hex}` }} />
        ))}
      </Flex>
      <Box minWidth={0} fontSize="small" lineHeight={1.35}>
        <Link to={`/mixes/${chip.mixId}`}>
          <b>{chip.mixName}</b>
        </Link>
        {chip.stage === 'raw' ? ', raw' : ''}
        <br />
        ΔE {weight?.before.toFixed(1)} by default, <b>{weight?.after.toFixed(1)}</b> as learned
        <br />
        <Caption>
          {chip.notation} · {showDate(chip.madeOn)}, {chip.way}
        </Caption>
      </Box>
    </Flex>
  );
}

interface NextProps {
  readonly next: readonly NextChip[] | null;
  readonly data: LearningAnswer;
  readonly learned: Readonly<Record<string, LearnedClay>>;
}

function NextOnes({ next, data, learned }: NextProps): ReactElement {
  const { make, wrong } = useMakeMix();
  const named = (id: string): string => data.clays.find((c) => c.id === id)?.name ?? '';
  return (
    <Box as="section" aria-label="Chips worth making" borderTop="rule" paddingTop={4}>
      <Flex alignItems="baseline" gap={4} marginBottom={3}>
        <h2>The next chips worth making</h2>
        <Caption>
          {next === null && 'looking …'}
          {next?.[0] && `expected error over every pair of clays on the shelf: now ΔE ${next[0].before.toFixed(1)}`}
          {next?.length === 0 && 'that takes two clays on the shelf'}
        </Caption>
      </Flex>
      <Flex as="ol" gap={5} wrap="wrap">
        {next?.map(({ clayIds, parts, after }, i) => {
          const notation = printNotation(
            clayIds.map((id, k) => ({ parts: new Fraction(parts[k] ?? 1), of: { name: named(id), revision: null } })),
          );
          return (
            <Box as="li" key={notation} width="200px" listStyleType="none">
              <Box
                height="84px"
                borderRadius="10px"
                style={{
                  background: `#${predicted(
                    data.clays,
                    clayIds.map((clayId, k) => ({ clayId, volume: parts[k] ?? 1 })),
                    'baked',
                    learned,
                  )}`,
                }}
                aria-hidden
              />
              <Box fontWeight={600} marginTop={2} lineHeight={1.3}>
                {notation}
              </Box>
              <Second>
                {i === 0 ? 'brings it to' : 'and after that to'} ΔE {after.toFixed(1)}
              </Second>
              <br />
              <Action
                marginTop={2}
                onClick={() => {
                  void make(
                    `Test ${notation}`.slice(0, 72),
                    clayIds.map((clayId, k) => ({ parts: String(parts[k] ?? 1), of: ofClay(clayId) })),
                    { note: 'a chip worth making: bake it and log how it reads' },
                  );
                }}
              >
                Put it on the board
              </Action>
            </Box>
          );
        })}
      </Flex>
      {wrong !== null && <Warning>{wrong}</Warning>}
    </Box>
  );
}
