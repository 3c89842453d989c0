import { Box } from '@chakra-ui/react';
import { useMemo, useState, type ReactElement } from 'react';
import type { Paint, Step } from '#core/cane';
import type { CaneAnswer, CaneDoneDto, ShelfAnswer } from '#contract';
import { Choice } from '../../../parts/Choice.js';
import { ClayUsed, useClayUsed } from '../../../parts/ClayUsed.js';
import { TakenInstead } from '../../../parts/TakenInstead.js';
import { useTakenInstead } from '../../../parts/takenInstead.js';
import { LeftOver } from '../../../parts/LeftOver.js';
import { shareUsed, useLeftOver } from '../../../parts/leftOver.js';
import { CountValue, LengthValue } from '../../../parts/Value.js';
import { WriteDown, type Written } from '../../../parts/WriteDown.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { WorkedCane } from '../../../workers/cane.js';
import { change, useRefusal } from '../../../wire/save.js';
import type { CaneMaterial } from '../clay/materials.js';
import { Face } from '../faces/Face.js';
import { stepTitle } from '../steps/index.js';
import { gramsOf, takenOf, volumesToRoll } from '../words/caneWords.js';
import { KEPT, keptDto, leftOfCane, type Kept } from './caneLeft.js';
import { asPlanned, lastThere, trimsPlanned, type Made, type Trim } from './caneMade.js';
import { MadeThing, useThere } from './MadeThing.js';

interface CaneDoneProps {
  readonly cane: CaneAnswer;
  readonly plan: PlainPlan;
  readonly worked: WorkedCane;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly shelf: ShelfAnswer;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

/** What really came of a cane, as it is typed, and the way to write it down. */
function useDone({ cane, plan, worked, materials, onDone }: CaneDoneProps) {
  const there = useThere();
  const [made, setMade] = useState(() => asPlanned(cane, plan, worked));
  const [trims, setTrims] = useState(() => trimsPlanned(plan));
  const path = `/api/canes/${cane.id}/done`;
  const refusal = useRefusal(path);
  const taken = takenOf(plan, there).filter((t) => t.lengthMm > 0);
  const planned = useMemo(() => leftOfCane(plan, materials), [plan, materials]);
  const [kept, setKept] = useState<Kept>('slices');
  const { perClay } = gramsOf(volumesToRoll(plan, there), materials);
  const clays = [...perClay].map(([clayId, grams]) => ({ clayId, grams }));
  const instead = useTakenInstead(clays);
  const { used, say } = useClayUsed(instead.rest);
  const leftOver = useLeftOver(planned, shareUsed(used, instead.rest));
  const write = async (written: Written): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', path, {
      version: cane.version,
      ...written,
      used,
      ...made,
      trims: trims.map(({ lostMm, unitMm }) => ({ lostMm, unitMm })),
      taken: taken.map(({ sheetId, lengthMm }) => ({ sheetId, lengthMm })),
      ready: instead.ready,
      left: leftOver.left,
      kept: keptDto(cane, kept),
      pictureId: written.pictures?.[0]?.id ?? null,
    } satisfies CaneDoneDto);
    if (answer) onDone(answer.entryId);
  };
  const remaining = { planned, leftOver, kept, setKept, instead, clays };
  return { made, setMade, trims, setTrims, refusal, taken, used, say, write, ...remaining };
}

interface CameOutProps {
  readonly made: Made;
  readonly pieces: number;
  readonly onChange: (made: Made) => void;
}

/** How large it came out, and in how many slices. */
function CameOut({ made, pieces, onChange }: CameOutProps): ReactElement {
  const set = (part: Partial<Made>): void => {
    onChange({ ...made, ...part });
  };
  return (
    <Box fontSize="h2" lineHeight={1.7}>
      It came out{' '}
      <LengthValue
        label="Diameter it came out"
        value={made.diameterMm}
        onChange={(diameterMm) => {
          set({ diameterMm });
        }}
      />{' '}
      across and{' '}
      <LengthValue
        label="Length it came out"
        value={made.lengthMm}
        onChange={(lengthMm) => {
          set({ lengthMm });
        }}
      />{' '}
      long without its ends{pieces > 1 && `, ${pieces} pieces together`};{' '}
      <CountValue
        label="Slices that came of it"
        value={made.slices}
        onChange={(slices) => {
          if (Number.isInteger(slices) && slices >= 0) set({ slices });
        }}
      />{' '}
      slices.
    </Box>
  );
}

interface TrimsProps {
  readonly trims: readonly Trim[];
  readonly cane: CaneAnswer;
  readonly plan: PlainPlan;
  readonly onChange: (trims: readonly Trim[]) => void;
}

/** What the ends really took, for each time that they were cut. */
function Trims({ trims, cane, plan, onChange }: TrimsProps): ReactElement {
  const units = useUnits();
  return (
    <>
      {trims.map((trim, i) => (
        <Box key={trim.step}>
          After <b>{stepTitle(cane.program.steps[trim.step] as Step, units)}</b> both ends took{' '}
          <LengthValue
            label={trims.length === 1 ? 'Lost at both ends' : `Lost at both ends, trim ${i + 1}`}
            value={trim.lostMm}
            onChange={(lostMm) => {
              onChange(trims.map((t, k) => (k === i ? { ...t, lostMm } : t)));
            }}
          />{' '}
          together{(plan.stages[trim.step]?.count ?? 1) > 1 && ' of each piece'}.
        </Box>
      ))}
      {trims.length > 0 && <Caption>What the ends took is learned from: the next plan goes by it.</Caption>}
    </>
  );
}

/** px of the face as it was planned. */
const FACE = 130;

/** The face as it was planned, to photograph what came out beside it. */
function Planned({ worked, paints }: Pick<CaneDoneProps, 'worked' | 'paints'>): ReactElement {
  return (
    <Box>
      <Face worked={worked} at={lastThere(worked)} size={FACE} paints={paints} label="The face as planned" />
      <Caption>as planned</Caption>
    </Box>
  );
}

/** What really came of the cane, for the diary, the shelf and the next plan. */
export function CaneDone(props: CaneDoneProps): ReactElement {
  const { cane, plan, worked, paints, shelf, onBack } = props;
  const done = useDone(props);
  const { made, setMade, trims, setTrims, refusal, taken, used, say, write } = done;
  const { planned, leftOver, kept, setKept, instead, clays } = done;
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(written) => {
        void write(written);
      }}
    >
      <CameOut made={made} pieces={plan.pieces} onChange={setMade} />
      <Trims trims={trims} cane={cane} plan={plan} onChange={setTrims} />
      <Planned worked={worked} paints={paints} />
      {taken.map((t) => (
        <MadeThing key={t.sheetId} id={t.sheetId} needed={t.needed} />
      ))}
      <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
      <TakenInstead instead={instead} planned={clays} shelf={shelf} refusal={refusal} />
      <LeftOver planned={planned} said={leftOver.said} say={leftOver.say} refusal={refusal} />
      <Box fontSize="h2">
        Now <Choice label="What is kept of the cane" value={kept} options={KEPT} onChange={setKept} />.
      </Box>
    </WriteDown>
  );
}
