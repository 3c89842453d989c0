import { Box, Flex, Grid, chakra } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { feedPlan } from '#core/sheet';
import { showLength, showMass, showSize } from '#core/units';
import type { BlendAnswer, BlendDoneDto, MachineDto, ShelfAnswer } from '#contract';
import { CountValue, MassValue, Value } from '../../parts/Value.js';
import { Warning } from '../../parts/Warning.js';
import { useKeys } from '../../state/keys.js';
import { readDay } from '../../state/readDay.js';
import { showDate, today } from '../../state/today.js';
import { useUnits } from '../../state/view.js';
import { Action, Caption, Note } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { FadeStrip } from './FadeStrip.js';
import type { WorkedBlend } from './useBlend.js';

const Counter = chakra('button', { base: { border: 'rule', background: 'tile', minHeight: '230px', width: '100%', padding: 4 } });

interface MakeBlendProps { readonly blend: BlendAnswer; readonly worked: WorkedBlend; readonly shelf: ShelfAnswer; readonly own: MachineDto | undefined }

/** What to do, one step at a time. */
function stepsOf({ plan }: BlendAnswer, worked: WorkedBlend, own: MachineDto | undefined, units: ReturnType<typeof useUnits>): { readonly title: string; readonly line: string }[] {
  const stack = 2 * plan.layers * worked.mm;
  const first = own && worked.setting ? feedPlan({ machine: own, mm: stack, width: plan.width, length: plan.height / 2, settingId: worked.setting.id, thinning: 'straight', turns: false }) : null;
  const yours = worked.setting ? `your ${worked.setting.label}` : '2 mm';
  return [
    ...worked.colours.map((c) => ({ title: `Roll ${c.name}`, line: `${plan.layers} sheets at ${yours}, ${showSize(c.area / plan.height, plan.height, units)} of clay in each, ${showMass(c.grams, units)} in all` })),
    { title: 'Cut and swap', line: 'Cut from the paper template, lay the pieces edge to edge, press the joints together.' },
    { title: 'Fold and pass', line: `Fold bottom to top, ${showLength(stack, units)} thick. ${first?.byHandTo ? `By hand to ${showLength(first.byHandTo, units)}, then ` : ''}${first?.feeds[0] ? `your ${first.feeds[0].setting.label}` : 'the widest gap'}, fold first. Always the same way.` },
  ];
}

/** Making the blend: the steps, a counter for the passes, and then the diary. */
export function MakeBlend({ blend, worked, shelf, own }: MakeBlendProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const steps = stepsOf(blend, worked, own, units);
  const [at, setAt] = useState(0);
  const [passes, setPasses] = useState(0);
  const passing = at === steps.length - 1;
  const done = at >= steps.length;
  const on = (): void => { if (passing) setPasses(passes + 1); else if (!done) setAt(at + 1); };
  const back = (): void => { if (passing && passes > 0) setPasses(passes - 1); else setAt(Math.max(0, at - 1)); };
  useKeys('At the bench', [
    { key: ' ', does: 'Done: the next step, or count a pass', run: on },
    { key: 'Backspace', does: 'One back', run: back },
    { key: 'Enter', does: 'No streak is left', run: () => { if (passing && passes > 0) setAt(at + 1); } },
  ]);
  const step = steps[at];
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <FadeStrip labs={worked.fade.labs} width={760} height={34} label="The blend" />
      {step && !done ? (
        <Grid templateColumns="minmax(0, 1fr) 380px" gap={6}>
          <Flex direction="column" gap={4}>
            <Box as="h1" fontSize="54px" lineHeight={1.08}>{step.title}</Box>
            <Box fontSize="22px" lineHeight={1.4}>{step.line}</Box>
            {passing && <Box maxWidth="520px"><Warning>One fold the other way and the fade is lost.</Warning></Box>}
          </Flex>
          <Flex direction="column" gap={3}>
            <Counter onClick={on}>
              <Box fontWeight={700} fontSize="150px" lineHeight={1} data-passes>{passing ? passes : at + 1}</Box>
              <Box fontSize="24px" marginTop={3}>{passing ? `of about ${worked.passes.enough} passes` : `of ${steps.length} steps`}</Box>
              <Box color="ink2" marginTop={2}>tap here or press space {passing ? 'at each pass' : 'when it is done'}</Box>
            </Counter>
            <Grid templateColumns="1fr 1fr" gap={2}><Action large onClick={back}>One back</Action><Action large main={passing} disabled={passing && passes === 0} onClick={() => { setAt(at + 1); }}>{passing ? 'No streak left' : 'Next'}</Action></Grid>
          </Flex>
        </Grid>
      ) : <WriteDown blend={blend} worked={worked} shelf={shelf} passes={passes} onPasses={setPasses} onBack={() => { setAt(steps.length - 1); }} onDone={(entryId) => { void navigate(`/diary/${entryId}`); }} />}
    </Flex>
  );
}

interface WriteDownProps { readonly blend: BlendAnswer; readonly worked: WorkedBlend; readonly shelf: ShelfAnswer; readonly passes: number; readonly onPasses: (n: number) => void; readonly onBack: () => void; readonly onDone: (entryId: string) => void }

function WriteDown({ blend, worked, shelf, passes, onPasses, onBack, onDone }: WriteDownProps): ReactElement {
  const planned = new Map<string, number>();
  for (const { clayId, grams } of worked.colours.flatMap((c) => c.perClay)) planned.set(clayId, (planned.get(clayId) ?? 0) + grams);
  const [used, setUsed] = useState<Readonly<Record<string, number>>>({});
  const [note, setNote] = useState('');
  const [madeOn, setMadeOn] = useState(today());
  const path = `/api/blends/${blend.id}/done`;
  const refusal = useRefusal(path);
  const rows = [...planned].map(([clayId, grams]) => ({ clayId, grams: used[clayId] ?? Math.round(grams * 10) / 10, clay: shelf.clays.find((c) => c.id === clayId) }));
  const write = async (): Promise<void> => {
    const dto: BlendDoneDto = { version: blend.version, entryId: crypto.randomUUID(), madeOn, note, passes: Math.max(1, passes), used: rows.map(({ clayId, grams }) => ({ clayId, grams })) };
    const answer = await change<{ entryId: string }>('POST', path, dto);
    if (answer) onDone(answer.entryId);
  };
  return (
    <Flex direction="column" gap={4} maxWidth="720px">
      <Box as="h1" fontSize="54px" lineHeight={1.08}>Done?</Box>
      <Box fontSize="22px">Free of streaks after <CountValue label="Passes it took" value={passes} onChange={(n) => { if (Number.isInteger(n) && n >= 0 && n <= 60) onPasses(n); }} /> passes. This clay comes off the shelf:</Box>
      <Grid as="ul" templateColumns="1fr 1fr" columnGap={6} rowGap={2} aria-label="Clay used" fontSize="h2">
        {rows.map(({ clayId, grams, clay }, i) => (
          <Flex as="li" key={clayId} gap={3} alignItems="center">
            <Box width="34px" height="26px" flex="none" style={{ background: `#${clay?.bakedHex ?? '999999'}` }} />
            <Box flex={1}>{clay?.name}</Box>
            <MassValue label={`${clay?.name ?? ''} used`} value={grams} refusal={refusal?.sentenceFor(`used.${i}.grams`)} onChange={(g) => { setUsed({ ...used, [clayId]: g }); }} />
          </Flex>
        ))}
      </Grid>
      <Box>made on <Value label="Made on" text={showDate(madeOn)} read={(t) => readDay(t) ?? today()} onChange={setMadeOn} /></Box>
      <Note aria-label="Note for the diary" placeholder="How did it go? What to do next time?" value={note} onChange={(e) => { setNote(e.currentTarget.value); }} />
      {refusal && !refusal.problem.fields && <Warning>{refusal.message}</Warning>}
      <Caption>The passes are learned from: the next forecast goes by them.</Caption>
      <Flex gap={3}><Action main large onClick={() => { void write(); }}>Done, write it down</Action><Action large onClick={onBack}>One back</Action></Flex>
    </Flex>
  );
}
