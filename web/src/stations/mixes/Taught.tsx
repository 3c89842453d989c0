import { ofClay } from '#core/material';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useMemo, type ReactElement } from 'react';
import { Link } from 'react-router';
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
import type { Known } from './Strengths.js';
import { Strengths } from './Strengths.js';

const NEXT = 3;
type ClayOf = LearningAnswer['clays'][number];
type Lesson = NonNullable<ReturnType<typeof useLesson>['taught']>;

/** Clays there is enough of for a chip more. */
const ENOUGH_FOR_CHIP = 1;

/** Clays that a chip can be made of, by their ids. */
const usableOf = (shelf: ShelfAnswer): string[] =>
  shelf.clays
    .filter((c) => !c.retired && shelf.blocks.some((b) => b.clayId === c.id && b.leftGrams > ENOUGH_FOR_CHIP))
    .map((c) => c.id);

/** Clays that are in a chip, the best known in front. */
const knownOf = (data: LearningAnswer, learned: Readonly<Record<string, LearnedClay>>): readonly Known[] =>
  data.clays
    .flatMap((clay): Known[] => {
      const own = learned[clay.id];
      return own && own.chips > 0 ? [{ clay, own }] : [];
    })
    .sort((a, b) => b.own.chips - a.own.chips || a.own.sigma - b.own.sigma);

/** How many chips there are, and whether they are gone by. */
function Head({ data, onTurn }: { readonly data: LearningAnswer; readonly onTurn: () => void }): ReactElement {
  return (
    <Flex alignItems="baseline" gap={4} wrap="wrap">
      <h1>What your chips taught</h1>
      <Second>
        {data.chips.length === 1 ? 'one chip' : `${data.chips.length} chips`} · Sledge predicts{' '}
        {data.use && data.learned ? 'with what was learned' : 'with the defaults'}{' '}
        <Word onClick={onTurn}>{data.use ? 'use the defaults' : 'use what was learned'}</Word>
      </Second>
    </Flex>
  );
}

interface ChipByChipProps {
  readonly data: LearningAnswer;
  readonly taught: Lesson;
}

/** Every chip beside its predictions, the newest first. */
function ChipByChip({ data, taught }: ChipByChipProps): ReactElement {
  return (
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
  );
}

/** What the chips have taught: strengths in plain words, chips that contradict, and the next ones worth making. */
export function Taught({ shelf }: { readonly shelf: ShelfAnswer }): ReactElement {
  const { data, error } = useLearning();
  const usable = useMemo(() => usableOf(shelf), [shelf]);
  const { taught, next } = useLesson(data, usable, NEXT);
  const turn = (): void => {
    if (data) void keepLearning('/api/learning/use', { use: !data.use });
  };
  useKeys('What your chips taught', [
    { key: 's', does: 'Predict with the defaults, or with what was learned', run: turn },
  ]);
  if (!data) return <Reading error={error} />;
  const learned = taught?.learned ?? {};
  const knowns = knownOf(data, learned);
  const without = data.clays.filter((c) => taught && (learned[c.id]?.chips ?? 0) === 0);
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <Head data={data} onTurn={turn} />
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
      <NextOnes next={next} data={data} learned={learned} />
      {data.chips.length > 0 && taught && <ChipByChip data={data} taught={taught} />}
      <Caption>
        A strength is scattering power beside an ordinary opaque clay. Priors and limits are assumptions; each chip
        replaces a part of them.
      </Caption>
    </Flex>
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
