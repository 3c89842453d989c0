import { benchMachine } from '../../state/bench.js';
import { Flex, Grid } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import type { Stage, Wanted } from '#core/cane';
import type { BlendCard, CaneAnswer, CaneCard, MachinesAnswer, ShelfAnswer } from '#contract';
import { Warning } from '../../parts/Warning.js';
import { useUnits } from '../../state/view.js';
import { thereAt, useJudged, usePlan, type WorkedCane } from '../../workers/cane.js';
import { useRefusal } from '../../wire/save.js';
import { AddStep } from './editing/AddStep.js';
import { BLUR, CaneHead, type Looking } from './editing/CaneHead.js';
import { GlassLine } from './making/GlassLine.js';
import { CaneStrip } from './making/CaneStrip.js';
import { wantedOf } from './words/caneWords.js';
import { MakeCane } from './making/MakeCane.js';
import { Outdated } from './editing/Outdated.js';
import { SavePictures } from './faces/SavePictures.js';
import { Slices } from './faces/Slices.js';
import { StepBench } from './editing/StepBench.js';
import { StepRow } from './editing/StepRow.js';
import { stepTitle } from './steps/index.js';
import { Tiling } from './faces/Tiling.js';
import { useCane, type BenchCane } from './clay/useCane.js';
import { useCaneEditing, type CaneEditing } from './editing/useCaneEditing.js';
import { useCaneKeys } from './editing/useCaneKeys.js';
import { stubbyIn, stubbyWords } from './words/stubby.js';
import { warningWords } from './words/warningWords.js';

interface CaneViewProps {
  readonly cane: CaneAnswer;
  readonly making: boolean;
  readonly shelf: ShelfAnswer;
  readonly machines: MachinesAnswer;
  readonly blends: readonly BlendCard[];
  readonly canes: readonly CaneCard[];
}

/** What is wanted: the slices of the cane, or, of a part that was opened, one piece as long as it is. */
function wantedFor(cane: CaneAnswer, { path }: CaneEditing, worked: WorkedCane | null): Wanted {
  const last = worked?.steps.findLast((s) => s.there);
  if (path.length === 0 || !last) return wantedOf(cane);
  return { slices: last.count, thickness: last.length };
}

/** Everything about a cane that is worked out while it is looked at. */
function useLookedAt(cane: CaneAnswer, editing: CaneEditing, shelf: ShelfAnswer, { wobble, seen }: Looking) {
  const bench = useCane(cane, editing.steps, shelf, { wobble, lit: seen === 'lit' });
  const judged = useJudged(bench.worked, bench.judged, cane.program.meant);
  const plan = usePlan(bench.worked, wantedFor(cane, editing, bench.worked));
  const planned = plan !== null && typeof plan === 'object' ? plan : null;
  const stages: readonly Stage[] | null =
    planned && planned.stages.length >= editing.steps.length - 1 ? planned.stages : null;
  return { bench, ...judged, plan, stages };
}
type LookedAt = ReturnType<typeof useLookedAt>;

interface WholeProps {
  readonly cane: CaneAnswer;
  readonly looked: LookedAt;
  readonly machines: MachinesAnswer;
  readonly editing: CaneEditing;
}

/** Below the step: what comes of the whole cane. */
function WholeCane({ cane, looked, machines, editing }: WholeProps): ReactElement {
  const { bench, warnings, stages, stop } = looked;
  const units = useUnits();
  const { worked, paints, materials } = bench;
  const name = (key: string): string => materials.get(key)?.name ?? '';
  const last = Math.max(0, worked?.steps.findLastIndex((s) => s.there) ?? 0);
  const stubby = worked && stages ? stubbyIn(editing.steps, worked.steps, stages) : null;
  return (
    <>
      <Slices
        cane={cane}
        worked={worked}
        paints={paints}
        materials={materials}
        own={benchMachine(machines)}
        onChange={editing.save}
      />
      <GlassLine cane={cane} worked={worked} stop={stop} name={name} onChange={editing.save} />
      {stubby && <Warning>{stubbyWords(stubby, units)}</Warning>}
      {warnings.map((w, i) => (
        <Warning key={i}>{warningWords(w, name, units)}</Warning>
      ))}
      <Outdated cane={cane} editing={editing} />
      {worked && <Tiling worked={worked} at={last} paints={paints} />}
      <SavePictures cane={cane} worked={worked} paints={paints} materials={materials} at={editing.at} />
    </>
  );
}

/** Why it cannot be kept, where no step says so already in its own words. */
function NotKept({ caneId, bench }: { readonly caneId: string; readonly bench: BenchCane }): ReactElement | null {
  const refusal = useRefusal(`/api/canes/${caneId}`);
  const said = bench.worked?.steps.some((s) => s.wrong !== null) ?? false;
  if (!refusal || said || refusal.sentenceFor('name') !== undefined) return null;
  return <Warning>{refusal.sentenceFor('program') ?? refusal.message}</Warning>;
}

/** What can be added, while that is asked. */
function Adding({ editing, add }: { readonly editing: CaneEditing; readonly add: AddKind }): ReactElement | null {
  const units = useUnits();
  const step = editing.steps[editing.at];
  if (!editing.adding || !step) return null;
  return (
    <AddStep
      after={`${editing.at + 1} ${stepTitle(step, units)}`}
      onAdd={add}
      onCancel={() => {
        editing.setAdding(false);
      }}
    />
  );
}
type AddKind = (kind: Parameters<CaneEditing['add']>[0]) => void;

interface MiddleProps extends CaneViewProps {
  readonly editing: CaneEditing;
  readonly looking: Looking;
  readonly looked: LookedAt;
}

/** The row of steps, and the chosen one large. */
function Middle({ cane, shelf, machines, blends, canes, editing, looking, looked }: MiddleProps): ReactElement {
  const { bench, feature, stages } = looked;
  const { steps, at } = editing;
  const begin = (): void => {
    editing.setAdding(true);
  };
  return (
    <>
      <StepRow
        steps={steps}
        worked={bench.worked}
        stages={stages}
        paints={bench.paints}
        chosen={at}
        onChoose={editing.choose}
        onAdd={() => {
          editing.choose(steps.length - 1);
          begin();
        }}
      />
      <Adding
        editing={editing}
        add={(kind) => {
          editing.add(kind, thereAt(bench.worked, at), shelf, blends);
        }}
      />
      {steps[at] && (
        <StepBench
          cane={cane}
          bench={bench}
          steps={steps}
          at={at}
          wobble={looking.wobble}
          trueSize={looking.trueSize}
          blur={BLUR[looking.seen]}
          feature={at === steps.length - 1 ? feature : null}
          stages={stages}
          shelf={shelf}
          blends={blends}
          canes={canes}
          onChange={editing.edit}
          onOpen={editing.open}
          onAdd={begin}
          onMove={editing.move}
          onCopy={editing.copy}
          onRemove={editing.remove}
        >
          {editing.path.length === 0 && <WholeCane cane={cane} looked={looked} machines={machines} editing={editing} />}
        </StepBench>
      )}
    </>
  );
}

/** One cane: its steps in a row, the chosen face large, and what it takes. */
export function CaneView(props: CaneViewProps): ReactElement {
  const { cane, making, shelf, machines } = props;
  const [looking, setLooking] = useState<Looking>({
    wobble: 'off',
    trueSize: false,
    seen: cane.program.meant === 'glass' ? 'lit' : 'close',
  });
  const editing = useCaneEditing(cane);
  // at the bench clay is seen as it lies there
  const looked = useLookedAt(cane, editing, shelf, making ? { ...looking, seen: 'close' } : looking);
  const refusal = useRefusal(`/api/canes/${cane.id}`);
  const look = (part: Partial<Looking>): void => {
    setLooking({ ...looking, ...part });
  };
  useCaneKeys(cane.id, editing, making, () => {
    look({ trueSize: !looking.trueSize });
  });
  const { worked, materials } = looked.bench;
  if (making) return <MakeCane cane={cane} bench={looked.bench} shelf={shelf} machines={machines} />;
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <CaneHead
          cane={cane}
          editing={editing}
          bench={looked.bench}
          looking={looking}
          onLook={look}
          refusal={refusal?.sentenceFor('name')}
        />
        <NotKept caneId={cane.id} bench={looked.bench} />
        <Middle {...props} editing={editing} looking={looking} looked={looked} />
      </Flex>
      <CaneStrip
        cane={cane}
        worked={worked}
        plan={looked.plan}
        ofPart={editing.path.length > 0}
        materials={materials}
        shelf={shelf}
        machines={machines}
        onChange={editing.save}
      />
    </Grid>
  );
}
