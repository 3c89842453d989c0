import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Paint, Stage, Step } from '#core/cane';
import { sentenceOf } from '#core/units';
import type { CaneAnswer, CaneDoneDto, CaneTrimDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { BenchSteps } from '../../../parts/BenchSteps.js';
import { ClayUsed, useClayUsed } from '../../../parts/ClayUsed.js';
import { Reading } from '../../../parts/Empty.js';
import { FileWord } from '../../../parts/FileWord.js';
import { CountValue, LengthValue } from '../../../parts/Value.js';
import { Warning } from '../../../parts/Warning.js';
import { WriteDown } from '../../../parts/WriteDown.js';
import { useUnits } from '../../../state/view.js';
import { Caption } from '../../../theme/pieces.js';
import type { PlainPlan } from '../../../workers/canePlain.js';
import { usePlan, type WorkedCane } from '../../../workers/cane.js';
import { change, useRefusal } from '../../../wire/save.js';
import { caneSteps } from '../words/caneSteps.js';
import { gramsOf, isCut, takenOf, volumesToRoll, wantedOf } from '../words/caneWords.js';
import { stepTitle } from '../steps/index.js';
import { Face } from '../faces/Face.js';
import { MadeThing, useThere } from './MadeThing.js';
import { keepPhotograph } from '../../../parts/openPhotograph.js';
import type { CaneMaterial } from '../clay/materials.js';

interface MakeCaneProps {
  readonly cane: CaneAnswer;
  readonly worked: WorkedCane | null;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
}

/** Making the cane: every step with the length to reach, then what really came of it. */
export function MakeCane({ cane, worked, materials, paints, shelf, machines }: MakeCaneProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const plan = usePlan(worked, wantedOf(cane));
  if (plan === null || plan === '' || !worked) return <Reading error={null} />;
  if (typeof plan === 'string')
    return (
      <Flex direction="column" gap={4} padding={5}>
        <Warning>{plan}</Warning>
        <Link to={`/canes/${cane.id}`}>back to the cane</Link>
      </Flex>
    );
  const own = machines.machines.find((m) => m.id === machines.setup.machineId);
  const { steps } = cane.program;
  const words = caneSteps(
    steps,
    worked.steps.map((s) => s.across),
    plan,
    (key) => materials.get(key)?.name ?? '…',
    own,
    units,
    cane,
  );
  return (
    <Flex direction="column" padding={5} gap={4} height="100%" overflowY="auto">
      <Box fontSize="small">{cane.name}</Box>
      <BenchSteps
        what={`cane ${cane.id}`}
        steps={words}
        art={(at) => (
          <Face worked={worked} at={words[at]?.face ?? 0} size={230} paints={paints} label="The face to reach" />
        )}
        foot={<Link to={`/canes/${cane.id}`}>the plan</Link>}
        finish={(_, back, leave) => (
          <Done
            cane={cane}
            plan={plan}
            worked={worked}
            materials={materials}
            paints={paints}
            shelf={shelf}
            onBack={back}
            onDone={(id) => {
              leave();
              void navigate(`/diary/${id}`);
            }}
          />
        )}
      />
    </Flex>
  );
}

const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** What is cut off both ends of each piece after a step, as it was planned. */
const trimOf = (stage: Stage, step: number): CaneTrimDto & { readonly step: number } => ({
  step,
  lostMm: tenth(2 * stage.cut),
  unitMm: stage.unitMm,
});

interface DoneProps extends Omit<MakeCaneProps, 'machines'> {
  readonly plan: PlainPlan;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

function Done({ cane, plan, worked, materials, paints, shelf, onBack, onDone }: DoneProps): ReactElement {
  const at = worked?.steps.findLastIndex((s) => s.there) ?? 0;
  const last = worked?.steps[at];
  const units = useUnits();
  const there = useThere();
  const taken = takenOf(plan, there).filter((t) => t.lengthMm > 0);
  const whole = plan.pieces * plan.each * cane.sliceMm;
  const [made, setMade] = useState({
    diameterMm: tenth(last?.across ?? 10),
    lengthMm: tenth(whole),
    slices: cane.slices,
  });
  const [trims, setTrims] = useState(() =>
    plan.stages.flatMap((stage, step) => (isCut(stage) ? [trimOf(stage, step)] : [])),
  );
  const [pictureId, setPicture] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/canes/${cane.id}/done`;
  const refusal = useRefusal(path);
  const { used, say } = useClayUsed(
    [...gramsOf(volumesToRoll(plan, there), materials).perClay].map(([clayId, grams]) => ({ clayId, grams })),
  );
  const set = (part: Partial<typeof made>): void => {
    setMade({ ...made, ...part });
  };
  const photograph = async (file: File): Promise<void> => {
    setWrong(null);
    try {
      setPicture((await keepPhotograph(file)).id);
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const write = async (madeOn: string, note: string): Promise<void> => {
    const dto: CaneDoneDto = {
      version: cane.version,
      entryId: crypto.randomUUID(),
      madeOn,
      note,
      used,
      ...made,
      trims: trims.map(({ lostMm, unitMm }) => ({ lostMm, unitMm })),
      taken: taken.map(({ sheetId, lengthMm }) => ({ sheetId, lengthMm })),
      pictureId,
    };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(madeOn, note) => {
        void write(madeOn, note);
      }}
    >
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
        long without its ends{plan.pieces > 1 && `, ${plan.pieces} pieces together`};{' '}
        <CountValue
          label="Slices that came of it"
          value={made.slices}
          onChange={(slices) => {
            if (Number.isInteger(slices) && slices >= 0) set({ slices });
          }}
        />{' '}
        slices.
      </Box>
      {trims.map((trim, i) => (
        <Box key={trim.step}>
          After <b>{stepTitle(cane.program.steps[trim.step] as Step, units)}</b> both ends took{' '}
          <LengthValue
            label={trims.length === 1 ? 'Lost at both ends' : `Lost at both ends, trim ${i + 1}`}
            value={trim.lostMm}
            onChange={(lostMm) => {
              setTrims(trims.map((t, k) => (k === i ? { ...t, lostMm } : t)));
            }}
          />{' '}
          together{(plan.stages[trim.step]?.count ?? 1) > 1 && ' of each piece'}.
        </Box>
      ))}
      {trims.length > 0 && <Caption>What the ends took is learned from: the next plan goes by it.</Caption>}
      <Flex gap={5} alignItems="flex-end" wrap="wrap">
        <Box>
          <Face worked={worked} at={at} size={130} paints={paints} label="The face as planned" />
          <Caption>as planned</Caption>
        </Box>
        <Box>
          {pictureId !== null && (
            <img
              src={`/api/pictures/${pictureId}`}
              alt="The face as it came out"
              style={{ width: 130, height: 130, objectFit: 'cover', display: 'block' }}
            />
          )}
          <FileWord
            label="Photograph of the face"
            accept="image/png,image/jpeg"
            onFile={(file) => {
              void photograph(file);
            }}
          >
            a photograph of the face
          </FileWord>
        </Box>
      </Flex>
      {wrong !== null && <Warning>{wrong}</Warning>}
      {taken.map((t) => (
        <MadeThing key={t.sheetId} id={t.sheetId} needed={t.needed} />
      ))}
      <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
    </WriteDown>
  );
}
