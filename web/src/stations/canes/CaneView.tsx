import { Box, Flex, Grid } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { EYE, PROGRAM_VERSION, partsOf, type Do, type Step } from '#core/cane';
import { showLength } from '#core/units';
import type { BlendCard, CaneAnswer, CaneCard, CaneDto, MachinesAnswer, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { TextValue } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { useUnits, useView } from '../../state/view.js';
import { Key, Second, Word } from '../../theme/pieces.js';
import { useJudged } from '../../workers/cane.js';
import { change, put, useRefusal } from '../../wire/save.js';
import { AddStep } from './AddStep.js';
import { ByHand } from './ByHand.js';
import { CaneStrip } from './CaneStrip.js';
import { Face } from './Face.js';
import { MakeCane } from './MakeCane.js';
import { newStep, type Path } from './newStep.js';
import { stepsAt, withSteps } from './parts.js';
import { SavePictures } from './SavePictures.js';
import { Slices } from './Slices.js';
import { StepEditor } from './StepEditor.js';
import { StepRow } from './StepRow.js';
import { stepTitle } from './stepWords.js';
import { Taper } from './Taper.js';
import { Tiling } from './Tiling.js';
import { WOBBLES, useCane, type Wobble } from './useCane.js';
import { warningWords } from './warningWords.js';

interface CaneViewProps { readonly cane: CaneAnswer; readonly making: boolean; readonly shelf: ShelfAnswer; readonly machines: MachinesAnswer; readonly blends: readonly BlendCard[]; readonly canes: readonly CaneCard[] }
const WOBBLE_WORDS = WOBBLES.map((value) => ({ value, text: { off: 'off', steady: 'steady', honest: 'honest' }[value] }));
const LARGE = 392;
/** mm of blur by the eye: at 30 cm its line spread, at arm’s length twice that. */
const BLUR = { close: 0, '30 cm': EYE, 'arm’s length': 2 * EYE } as const;
const SEEN = [{ value: 'close', text: 'close' }, { value: '30 cm', text: 'at 30 cm' }, { value: 'arm’s length', text: 'at arm’s length' }] as const;

export const sentCane = ({ id, version, name, note, retired, program, slices, sliceMm, trimming, ends }: CaneAnswer): CaneDto => ({ id, version, name, note, retired, program, slices, sliceMm, trimming, ends: ends ?? null });

/** One cane: its steps in a row, the chosen face large, and what it takes. */
export function CaneView({ cane, making, shelf, machines, blends, canes }: CaneViewProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const pxPerMm = useView((s) => s.pxPerMm);
  const [wobble, setWobble] = useState<Wobble>('off');
  const [trueSize, setTrueSize] = useState(false);
  const [seen, setSeen] = useState<(typeof SEEN)[number]['value']>('close');
  const [path, setPath] = useState<Path>([]);
  const [chosen, setChosen] = useState(cane.program.steps.length - 1);
  const [adding, setAdding] = useState(false);
  /** while a value is dragged, before it is saved */
  const [dragged, setDragged] = useState<readonly Step[] | null>(null);
  const saved = cane.program.steps;
  const root = dragged ?? saved;
  useEffect(() => { setDragged(null); }, [saved]);
  const steps = stepsAt(root, path) ?? root;
  const here = stepsAt(root, path) === null ? [] : path;
  const { worked, materials, paints, judged } = useCane(cane, steps, shelf, wobble);
  // while something is dragged only the large face follows; the rest waits until it is let go
  const settled = useRef(worked);
  if (dragged === null) settled.current = worked;
  const calm = settled.current;
  const { warnings, feature } = useJudged(calm, judged);
  const url = `/api/canes/${cane.id}`;
  const refusal = useRefusal(url);
  const at = Math.min(chosen, steps.length - 1);
  const step = steps[at];
  const figures = worked?.steps[at];
  const save = (part: Partial<CaneDto>): void => { void put<CaneDto>(url, { ...sentCane(cane), ...part }, () => ({ ...cane, ...part })); };
  const keep = (next: readonly Step[]): void => { setDragged(null); save({ program: { ...cane.program, steps: [...withSteps(saved, here, next)] } }); };
  const edit = (next: Step): void => { keep(steps.map((s, i) => (i === at ? next : s))); };
  const plain = useMemo(() => shelf.clays.filter((c) => !c.retired && c.kind === 'opaque'), [shelf]);
  const add = (kind: Do): void => {
    setAdding(false);
    const [light, dark] = [plain[0]?.id ?? '', plain[1]?.id ?? plain[0]?.id ?? ''];
    const blend = blends[0] ? `blend:${blends[0].revisionId}` : null;
    keep([...steps.slice(0, at + 1), newStep(kind, figures ?? null, { light: `clay:${light}`, dark: `clay:${dark}`, blend }), ...steps.slice(at + 1)]);
    setChosen(at + 1);
  };
  const move = (by: number): void => {
    const to = at + by;
    if (at < 1 || to < 1 || to >= steps.length) return;
    const next = [...steps];
    [next[at], next[to]] = [next[to] as Step, next[at] as Step];
    keep(next);
    setChosen(to);
  };
  const copy = (): void => { if (step && at > 0) { keep([...steps.slice(0, at + 1), { ...step, id: crypto.randomUUID() }, ...steps.slice(at + 1)]); setChosen(at + 1); } };
  const remove = (): void => { if (at > 0) { keep(steps.filter((_, i) => i !== at)); setChosen(at - 1); } };
  useKeys('This cane', making ? [] : [
    { key: 'ArrowLeft', does: 'The step before', run: () => { setChosen(Math.max(0, at - 1)); } },
    { key: 'ArrowRight', does: 'The next step', run: () => { setChosen(Math.min(steps.length - 1, at + 1)); } },
    { key: 'a', does: 'Add a step after this one', run: () => { setAdding(true); } },
    { key: ',', does: 'Move the step earlier', run: () => { move(-1); } },
    { key: '.', does: 'Move the step later', run: () => { move(1); } },
    { key: 'y', does: 'Copy the step', run: copy },
    { key: 'Delete', does: 'Take the step out', run: remove },
    { key: 't', does: 'The face at true size', run: () => { setTrueSize(!trueSize); } },
    { key: 'b', does: 'To the bench: make it', run: () => { void navigate(`/canes/${cane.id}/make`); } },
  ]);
  /** The other one of a pair: left and right exchanged. */
  const twin = async (): Promise<void> => {
    const dto: CaneDto = { ...sentCane(cane), id: crypto.randomUUID(), version: 0, name: `${cane.name}, twin`.slice(0, 80), retired: false, program: { version: PROGRAM_VERSION, steps: [{ id: crypto.randomUUID(), do: 'cane', part: { ref: cane.revisionId, name: cane.name } }, { id: crypto.randomUUID(), do: 'mirror' }] } };
    if (await change('PUT', `/api/canes/${dto.id}`, dto)) void navigate(`/canes/${dto.id}`);
  };
  const name = (key: string): string => materials.get(key)?.name ?? '';
  if (making) return <MakeCane cane={cane} worked={worked} materials={materials} paints={paints} shelf={shelf} machines={machines} />;
  const reducing = step?.do === 'reduce' && step.to === 'diameter' ? worked?.steps[at - 1] : undefined;
  const side = figures?.there ? Math.max(figures.width, figures.height) : 0;
  const shown = trueSize && side > 0 ? Math.max(6, side * pxPerMm) : LARGE;
  /** A handle that was only touched changes nothing. */
  const letGo = (next: Step): void => { if (dragged !== null) edit(next); };
  const slide = (next: Step): void => { setDragged(withSteps(saved, here, steps.map((s, i) => (i === at ? next : s)))); };
  return (
    <Grid templateColumns="minmax(0, 1fr) 290px" height="100%" minHeight={0}>
      <Flex direction="column" gap={4} padding={5} overflow="auto" minWidth={0}>
        <Flex alignItems="baseline" gap={4} wrap="wrap">
          <h1>{here.length > 0 ? <Word onClick={() => { setPath([]); }}>{cane.name}</Word> : <TextValue label="Name of the cane" value={cane.name} refusal={refusal?.sentenceFor('name')} onChange={(next) => { save({ name: next }); }} />}{here.length > 0 && <Second> › {partName(saved, here)}</Second>}</h1>
          <Second>revision {cane.revision}{cane.made ? ', made: a change begins a new one' : ''}</Second>
          <Flex marginLeft="auto" gap={4} fontSize="small" alignItems="baseline" wrap="wrap">
            <Word aria-pressed={trueSize} onClick={() => { setTrueSize(!trueSize); }}>{trueSize ? 'Large' : 'True size'}</Word>
            <span>hands <Choice label="Hand wobble" value={wobble} options={WOBBLE_WORDS} onChange={setWobble} /></span>
            <span>seen <Choice label="From how far it is seen" value={seen} options={SEEN} onChange={setSeen} /></span>
            <Word onClick={() => { void twin(); }}>Twin</Word>
            <Word onClick={() => { save({ retired: !cane.retired }); }}>{cane.retired ? 'Bring it back' : 'Retire'}</Word>
            <Word onClick={() => { void change('DELETE', `${url}?version=${cane.version}`).then((gone) => { if (gone !== null) void navigate('/canes'); }); }}>Take away</Word>
            <Word onClick={() => { void navigate('/canes'); }}>all canes</Word>
          </Flex>
        </Flex>
        {refusal && !refusal.sentenceFor('name') && <Warning>{refusal.sentenceFor('program') ?? refusal.message}</Warning>}
        <StepRow steps={steps} worked={calm} paints={paints} chosen={at} coarse={false} onChoose={setChosen} onAdd={() => { setChosen(steps.length - 1); setAdding(true); }} />
        {adding && step && <AddStep after={`${at + 1} ${stepTitle(step, units)}`} onAdd={add} onCancel={() => { setAdding(false); }} />}
        <Grid templateColumns="minmax(0, auto) minmax(260px, 1fr)" gap={6} alignItems="start">
          <Box>
            {figures?.there ? (
              <>
                <Box style={seen === 'close' ? {} : { filter: `blur(${((BLUR[seen] / 2) * shown) / side}px)` }}><Face worked={worked} at={at} size={Math.round(shown)} paints={paints} coarse={dragged !== null} label={`The face after step ${at + 1}`} /></Box>
                <Box fontSize="small" marginTop={2}>{figures.round ? `${showLength(figures.diameter, units)} across` : `${showLength(figures.width, units)} × ${showLength(figures.height, units)}`}, {showLength(Math.round(figures.length), units)} long{figures.count > 1 ? `, ${figures.count} of them` : ''} · {trueSize ? 'true size' : `${(shown / pxPerMm / side).toFixed(side > 30 ? 1 : 0)} : 1`}</Box>
                {feature && at === steps.length - 1 && <Second>narrowest: {showLength(feature.mm, units, true)} of {name(feature.material)}</Second>}
              </>
            ) : <Box width={`${LARGE}px`}><Warning>{worked?.steps.find((s) => s.wrong !== null)?.wrong ?? 'A step before this one cannot be done.'}</Warning></Box>}
          </Box>
          <Flex direction="column" gap={4} minWidth={0}>
            {step && (
              <Box>
                <Box as="h2" marginBottom={1}>{at + 1} {stepTitle(step, units)}</Box>
                <Box lineHeight={1.7}><StepEditor key={step.id} step={step} materials={materials} blends={blends.map((b) => ({ revisionId: b.revisionId, name: b.name }))} canes={canes.filter((c) => c.id !== cane.id && !c.retired).map((c) => ({ revisionId: c.revisionId, name: c.name }))} insides={cane.canes} shelf={shelf} name={cane.name} onChange={edit} onOpen={(part) => { setPath([...here, { step: at, part }]); setChosen(0); }} /></Box>
                <ByHand step={step} onSlide={slide} onSet={letGo} />
                {figures?.wrong != null && <Warning>{figures.wrong}</Warning>}
                <Flex gap={4} fontSize="small" marginTop={2} wrap="wrap">
                  <Word onClick={() => { setAdding(true); }}>add after it</Word><Key>A</Key>
                  {at > 0 && <><Word onClick={() => { move(-1); }} disabled={at < 2}>earlier</Word><Word onClick={() => { move(1); }} disabled={at >= steps.length - 1}>later</Word><Word onClick={copy}>copy</Word><Word onClick={remove}>take out</Word></>}
                </Flex>
              </Box>
            )}
            {reducing?.there && step?.do === 'reduce' && <Taper from={reducing.diameter} length={reducing.length} value={Math.min(step.value, reducing.diameter)} label="slide to reduce" onSlide={(value) => { slide({ ...step, value }); }} onSet={(value) => { letGo({ ...step, value }); }} />}
            {here.length === 0 && <Slices cane={cane} worked={calm} paints={paints} materials={materials} coarse={false} own={machines.machines.find((m) => m.id === machines.setup.machineId)} onChange={save} />}
            {here.length === 0 && warnings.map((w, i) => <Warning key={i}>{warningWords(w, name, units)}</Warning>)}
            {here.length === 0 && calm && <Tiling worked={calm} at={Math.max(0, calm.steps.findLastIndex((s) => s.there))} paints={paints} coarse={false} />}
            {here.length === 0 && <SavePictures cane={cane} worked={worked} paints={paints} materials={materials} at={at} />}
          </Flex>
        </Grid>
      </Flex>
      <CaneStrip cane={cane} worked={here.length === 0 ? calm : null} materials={materials} shelf={shelf} machines={machines} onChange={save} />
    </Grid>
  );
}

function partName(steps: readonly Step[], path: Path): string {
  const [first, ...rest] = path;
  const part = first && steps[first.step] ? partsOf(steps[first.step] as Step)[first.part] : undefined;
  const own = part?.name ?? 'a part';
  return rest.length > 0 && part && 'steps' in part ? `${own} › ${partName(part.steps, rest)}` : own;
}
