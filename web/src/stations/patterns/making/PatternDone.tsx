import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import { massOf } from '#core/clay';
import { isOf, materialIn } from '#core/material';
import {
  PATTERN_LIKED,
  type MachineDto,
  type PatternAnswer,
  type PatternDoneDto,
  type PatternLiked,
  type PatternStopDto,
  type ShelfAnswer,
} from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ClayUsed, useClayUsed } from '../../../parts/ClayUsed.js';
import { LeftOver } from '../../../parts/LeftOver.js';
import { shareUsed, useLeftOver, type LeftPlanned } from '../../../parts/leftOver.js';
import { TakenInstead } from '../../../parts/TakenInstead.js';
import { useTakenInstead } from '../../../parts/takenInstead.js';
import { CountValue } from '../../../parts/Value.js';
import { WriteDown, type Written } from '../../../parts/WriteDown.js';
import { Caption } from '../../../theme/pieces.js';
import { useStock } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import type { PatternToMake, PlainPattern } from '../../../workers/pattern.js';
import type { CaneMaterial } from '../../canes/clay/materials.js';
import { gramsOf } from '../../canes/words/caneWords.js';
import { slicedFirst, slicesWanted } from '../slicesThere.js';
import { stopWords } from '../stageWords.js';
import { kneaded } from '../../canes/words/scrapWords.js';
import { keptDto } from './keptSheet.js';
import { PatternFace } from '../faces/PatternFace.js';
import type { BenchPattern, Hands } from '../usePattern.js';

interface DoneProps {
  readonly pattern: PatternAnswer;
  readonly bench: BenchPattern;
  /** as large as it was made */
  readonly plain: PlainPattern;
  readonly plan: PatternToMake;
  readonly hands: Hands;
  readonly stops: readonly PatternStopDto[];
  readonly shelf: ShelfAnswer;
  /** one's own machine, if there is one */
  readonly own: MachineDto | undefined;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

const KEPT = [
  { value: 'lies', text: 'it lies there' },
  { value: 'gone', text: 'it goes on at once, and nothing is kept' },
] as const;
const LIKED_WORDS: Readonly<Record<PatternLiked | 'unsaid', string>> = {
  unsaid: 'not said',
  well: 'well',
  'so so': 'so so',
  not: 'not at all',
};

/** What is left over at each step, in one heap each, as it is planned. */
function leftPlanned(plan: PatternToMake, materials: ReadonlyMap<string, CaneMaterial>): LeftPlanned[] {
  return plan.left.map(({ volumes }, i) => {
    const parts = volumes.flatMap(([key, volume]) => {
      const [of, material] = [materialIn(key), materials.get(key)];
      return of && material && isOf(of, 'clay', 'mix', 'blend')
        ? [{ of, grams: massOf(volume, material.density) }]
        : [];
    });
    return { name: `left over ${i + 1}`, hexes: [kneaded(volumes, materials)], parts };
  });
}

/** What really came of it, as it is typed, and the way to write it down. */
function useDone({ pattern, bench, plan, hands, stops, own, onDone }: DoneProps) {
  const { materials } = bench;
  const [said, setStops] = useState(stops);
  const [liked, setLiked] = useState<PatternLiked | 'unsaid'>('unsaid');
  const [kept, setKept] = useState<(typeof KEPT)[number]['value']>('lies');
  const path = `/api/patterns/${pattern.id}/done`;
  const refusal = useRefusal(path);
  const planned = useMemo(() => leftPlanned(plan, materials), [plan, materials]);
  const clays = [...gramsOf(plan.taken, materials).perClay].map(([clayId, grams]) => ({ clayId, grams }));
  const stock = useStock(plan.starts.some((s) => s.what === 'slices')).data;
  const first = useMemo(
    () => slicedFirst(slicesWanted(plan.starts, materials, stock), plan.makes),
    [plan, materials, stock],
  );
  const instead = useTakenInstead(clays, first);
  const { used, say } = useClayUsed(instead.rest);
  const leftOver = useLeftOver(planned, shareUsed(used, instead.rest));
  const write = async (written: Written): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', path, {
      ...{ version: pattern.version, ...written, hands: hands.seed, stops: [...said] },
      ...{ liked: liked === 'unsaid' ? null : liked, used, ready: instead.ready, left: leftOver.left },
      pictureId: written.pictures?.[0]?.id ?? null,
      kept: kept === 'lies' ? keptDto(pattern, plan, own) : null,
    } satisfies PatternDoneDto);
    if (answer) onDone(answer.entryId);
  };
  const chosen = { said, setStops, liked, setLiked, kept, setKept };
  return { ...chosen, refusal, planned, clays, instead, used, say, leftOver, write };
}

const FACE = 150;

/** The sheet as it was planned, to photograph what came out beside it. */
function Planned({ bench, plain }: { readonly bench: BenchPattern; readonly plain: PlainPattern }): ReactElement {
  const at = Math.max(0, bench.bodies?.findLastIndex((b) => b.there) ?? 0);
  return (
    <Box>
      <PatternFace
        pattern={plain}
        at={at}
        body={bench.bodies?.[at] ?? null}
        size={FACE}
        paints={bench.paints}
        label="The sheet as planned"
      />
      <Caption>as planned</Caption>
    </Box>
  );
}

/** How often it was done, and how it is liked: the next plan shows where one stopped. */
function Stopped({
  stops,
  liked,
  onStops,
  onLiked,
}: {
  stops: readonly PatternStopDto[];
  liked: PatternLiked | 'unsaid';
  onStops: (stops: readonly PatternStopDto[]) => void;
  onLiked: (liked: PatternLiked | 'unsaid') => void;
}) {
  return (
    <Box fontSize="h2" lineHeight={1.7}>
      {stops.map((stop, i) => (
        <div key={stop.step}>
          I stopped at{' '}
          <CountValue
            label={`Where I stopped, ${i + 1}`}
            value={stop.times}
            onChange={(times) => {
              onStops(stops.map((s, k) => (k === i ? { ...s, times: Math.max(0, times) } : s)));
            }}
          />{' '}
          {stopWords(stop.kind)}.
        </div>
      ))}
      I like it{' '}
      <Choice
        label="How it is liked"
        value={liked}
        options={(['unsaid', ...PATTERN_LIKED] as const).map((value) => ({ value, text: LIKED_WORDS[value] }))}
        onChange={onLiked}
      />
      .
    </Box>
  );
}

/** What really came of the sheet, for the diary, the shelf and the next plan. */
export function PatternDone(props: DoneProps): ReactElement {
  const { bench, plain, shelf, onBack } = props;
  const done = useDone(props);
  return (
    <WriteDown
      refusal={done.refusal}
      onBack={onBack}
      onWrite={(written) => {
        void done.write(written);
      }}
    >
      <Stopped stops={done.said} liked={done.liked} onStops={done.setStops} onLiked={done.setLiked} />
      <Planned bench={bench} plain={plain} />
      <ClayUsed used={done.used} say={done.say} shelf={shelf} refusal={done.refusal} />
      <TakenInstead instead={done.instead} planned={done.clays} shelf={shelf} refusal={done.refusal} />
      <LeftOver planned={done.planned} said={done.leftOver.said} say={done.leftOver.say} refusal={done.refusal} />
      <Box fontSize="h2">
        Now <Choice label="What is kept of the sheet" value={done.kept} options={KEPT} onChange={done.setKept} />.
      </Box>
    </WriteDown>
  );
}
