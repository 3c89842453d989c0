import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { feedPlan } from '#core/sheet';
import { showLength, showMass, showSize } from '#core/units';
import type { BlendAnswer, BlendDoneDto, MachineDto, SheetDto, ShelfAnswer } from '#contract';
import { BenchSteps, type BenchWords } from '../../parts/BenchSteps.js';
import { Choice } from '../../parts/Choice.js';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { CountValue } from '../../parts/Value.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { FadeStrip } from './FadeStrip.js';
import { plugSheet } from './plugSheet.js';
import type { WorkedBlend } from './workedBlend.js';

interface MakeBlendProps { readonly blend: BlendAnswer; readonly worked: WorkedBlend; readonly shelf: ShelfAnswer; readonly own: MachineDto | undefined }

const KEPT = [{ value: 'sheet', text: 'it stays a sheet' }, { value: 'plug', text: 'it is wound up to the plug' }, { value: 'nothing', text: 'nothing is kept of it' }] as const;
type Kept = (typeof KEPT)[number]['value'];

/** What to do, one step at a time; the last one counts the passes. */
function stepsOf({ plan }: BlendAnswer, worked: WorkedBlend, own: MachineDto | undefined, units: ReturnType<typeof useUnits>): BenchWords[] {
  const stack = 2 * plan.layers * worked.mm;
  const first = own && worked.setting ? feedPlan({ machine: own, mm: stack, width: plan.width, length: plan.height / 2, settingId: worked.setting.id, thinning: 'straight', turns: false }) : null;
  const yours = worked.setting ? `your ${worked.setting.label}` : '2 mm';
  const tapes = plan.stack && plan.stack > 1 ? `Make ${plan.stack} of it. ` : '';
  return [
    ...worked.colours.map((c) => ({ title: `Roll ${c.name}`, line: `${tapes}${plan.layers} sheets at ${yours}, ${showSize(c.area / plan.height, plan.height, units)} of clay in each, ${showMass(c.grams, units)} in all` })),
    { title: 'Cut and swap', line: 'Cut from the paper template, lay the pieces edge to edge, press the joints together.' },
    { title: 'Fold and pass', line: `Fold bottom to top, ${showLength(stack, units)} thick. ${first?.byHandTo ? `By hand to ${showLength(first.byHandTo, units)}, then ` : ''}${first?.feeds[0] ? `your ${first.feeds[0].setting.label}` : 'the widest gap'}, fold first. Always the same way.`, about: worked.passes.enough, enough: 'No streak left', caution: 'One fold the other way and the fade is lost.' },
  ];
}

/** Making the blend: the steps, a counter for the passes, and then the diary. */
export function MakeBlend({ blend, worked, shelf, own }: MakeBlendProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <FadeStrip labs={worked.fade.labs} width={760} height={34} label="The blend" />
      <BenchSteps what={`blend ${blend.id}`} steps={stepsOf(blend, worked, own, units)} finish={(counts, back, leave) => <Done blend={blend} worked={worked} shelf={shelf} counted={counts.at(-1) ?? 0} onBack={back} onDone={(entryId) => { leave(); void navigate(`/diary/${entryId}`); }} />} />
    </Flex>
  );
}

interface DoneProps { readonly blend: BlendAnswer; readonly worked: WorkedBlend; readonly shelf: ShelfAnswer; readonly counted: number; readonly onBack: () => void; readonly onDone: (entryId: string) => void }

function Done({ blend, worked, shelf, counted, onBack, onDone }: DoneProps): ReactElement {
  const { plan } = blend;
  const [passes, setPasses] = useState(counted);
  const [kept, setKept] = useState<Kept>('sheet');
  const path = `/api/blends/${blend.id}/done`;
  const refusal = useRefusal(path);
  const { used, say } = useClayUsed(worked.colours.flatMap((c) => c.perClay));
  const sheetOf = (): SheetDto | null => {
    if (kept === 'nothing') return null;
    const flat: SheetDto = {
      id: crypto.randomUUID(), version: 0, name: blend.name, note: '', form: 'sheet', widthMm: plan.width, lengthMm: plan.height, mm: worked.mm, layers: plan.layers * (plan.stack ?? 1),
      grams: Math.round(worked.grams * 10) / 10, cuts: [], gone: false, inside: plan.inside,
    };
    return kept === 'plug' ? plugSheet(flat, worked.plug) : flat;
  };
  const write = async (madeOn: string, note: string): Promise<void> => {
    const dto: BlendDoneDto = { version: blend.version, entryId: crypto.randomUUID(), madeOn, note, passes: Math.max(1, passes), used, sheet: sheetOf() };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <WriteDown refusal={refusal} onBack={onBack} onWrite={(madeOn, note) => { void write(madeOn, note); }}>
      <Box fontSize="22px">Free of streaks after <CountValue label="Passes it took" value={passes} onChange={(n) => { if (Number.isInteger(n) && n >= 0 && n <= 60) setPasses(n); }} /> passes. This clay comes off the shelf:</Box>
      <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
      <Box>For the sheet book: <Choice label="What is kept of the blend" value={kept} options={KEPT} onChange={setKept} /></Box>
      <Caption>The passes are learned from: the next forecast goes by them.</Caption>
    </WriteDown>
  );
}
