import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';
import { layersToRoll, type Turned, type Turning } from '#core/blend';
import { feedPlan } from '#core/sheet';
import { showLength, showLong, showMass, showSize, type UnitSystem } from '#core/units';
import type { BlendAnswer, BlendDoneDto, MachineDto, SheetDto, ShelfAnswer } from '#contract';
import { BenchSteps, type BenchWords } from '../../parts/BenchSteps.js';
import { Choice } from '../../parts/Choice.js';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { mixTitle } from '../../parts/making.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { FadeStrip } from './FadeStrip.js';
import { plugSheet } from './plugSheet.js';
import type { WorkedBlend } from './workedBlend.js';

interface MakeBlendProps {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly shelf: ShelfAnswer;
  readonly own: MachineDto | undefined;
}

const KEPT = [
  { value: 'sheet', text: 'it stays a sheet' },
  { value: 'plug', text: 'it is wound up to the plug' },
  { value: 'nothing', text: 'nothing is kept of it' },
] as const;
type Kept = (typeof KEPT)[number]['value'];
const OVERS = [
  { value: 'back', text: 'they go back to their clay' },
  { value: 'scrap', text: 'they are used up, as scrap' },
] as const;
type Over = (typeof OVERS)[number]['value'];

interface Bench {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly own: MachineDto | undefined;
  readonly shelf: ShelfAnswer;
  readonly units: UnitSystem;
}

const careOf = (firmness: string): string =>
  firmness === 'crumbly' ? 'It crumbles: warm it first, and use it the same day.' : 'Firm clay first, soft clay last.';

/** Clay is made ready and mixes are mixed before anything is rolled. */
function readySteps({ blend: { plan }, worked, shelf, units }: Bench): BenchWords[] {
  const firmnessOf = (clayId: string): string =>
    shelf.lines.find((l) => l.id === shelf.clays.find((c) => c.id === clayId)?.lineId)?.firmness ?? 'medium';
  const grams = new Map<string, number>();
  for (const { clayId, grams: g } of worked.colours.flatMap((c) => c.perClay))
    grams.set(clayId, (grams.get(clayId) ?? 0) + g);
  const condition = [...grams].map(([clayId, g]): BenchWords => ({
    title: `Condition ${shelf.clays.find((c) => c.id === clayId)?.name ?? ''}`,
    line: `${showMass(g, units)}, until it folds without a crack. ${careOf(firmnessOf(clayId))}`,
    figure: showMass(g, units),
    of: 'to condition',
  }));
  const mix = worked.colours.flatMap((c, i): BenchWords[] => {
    if (plan.colours[i]?.kind !== 'mix') return [];
    const of = c.perClay
      .map((p) => `${showMass(p.grams, units)} ${shelf.clays.find((x) => x.id === p.clayId)?.name ?? ''}`)
      .join(' and ');
    return [
      {
        title: mixTitle(c.name),
        line: `${of}, until no streak is left. Make a chip of it.`,
        figure: showMass(c.grams + c.over, units),
        of: `of ${c.name}`,
      },
    ];
  });
  return [...condition, ...mix];
}

function rollSteps({ blend: { plan }, worked, units }: Bench): BenchWords[] {
  const yours = worked.setting ? `your ${worked.setting.label}` : showLength(worked.mm, units);
  const rectangles = layersToRoll(plan.layers * (plan.stack ?? 1)) / 2;
  return worked.colours.map((c) => ({
    title: `Roll ${c.name}`,
    figure: rectangles === 1 ? showMass(c.grams + c.over, units) : `${rectangles} ×`,
    of: rectangles === 1 ? `at ${yours}` : 'rectangles',
    line:
      `${rectangles === 1 ? 'One rectangle' : `${rectangles} rectangles`} at ${yours}, ` +
      `${showSize((2 * c.area) / plan.height, plan.height, units)}, ${showMass(c.grams + c.over, units)} ` +
      'in all. One cut gives its piece for two layers.',
  }));
}

/** What to do, one step at a time, from the block to the plug; the last but those of the tape counts the passes. */
function stepsOf(bench: Bench): BenchWords[] {
  const {
    blend: { plan },
    worked,
    own,
    units,
  } = bench;
  const {
    turning: { finished, turned, tapeSetting },
    tape,
    plug,
    passes,
  } = worked;
  const stack = 2 * plan.layers * worked.mm;
  const first =
    own && worked.setting
      ? feedPlan({
          machine: own,
          mm: stack,
          width: plan.width,
          length: plan.height / 2,
          settingId: worked.setting.id,
          thinning: 'straight',
          turns: false,
        })
      : null;
  const lead = plan.lead ?? 'first';
  const leading = (lead === 'first' ? worked.colours[0] : worked.colours.at(-1))?.name ?? '';
  const down =
    own && tapeSetting
      ? feedPlan({
          machine: own,
          mm: turned.mm,
          width: turned.width,
          length: finished.width,
          settingId: tapeSetting.id,
          thinning: 'one at a time',
          turns: false,
        }).feeds
      : [];
  const byHand = first?.byHandTo ? `By hand to ${showLength(first.byHandTo, units)}, then ` : '';
  const thinner =
    down.length > 0
      ? `Your ${down.map((f) => f.setting.label).join(', then ')}`
      : `Thinner and thinner, to ${showLength(tape.thickness, units, true)}`;
  return [
    ...readySteps(bench),
    ...rollSteps(bench),
    {
      title: 'Cut and swap',
      line:
        'Cut from the paper template, lay the pieces edge to edge in ' +
        `${plan.layers === 1 ? 'one layer' : `${plan.layers} layers`}, press the joints ` +
        `together.${worked.over > 0.05 ? ` The other halves, ${showMass(worked.over, units)}, stay over.` : ''}`,
    },
    {
      title: 'Fold and pass',
      line:
        `Fold bottom to top, ${showLength(stack, units)} thick. ` +
        `${byHand}${first?.feeds[0] ? `your ${first.feeds[0].setting.label}` : 'the widest gap'}, ` +
        'fold first. Always the same way.',
      about: passes.enough,
      enough: 'No streak left',
      caution: 'One fold the other way and the fade is lost.',
    },
    {
      title: TURN_TITLES[plan.turning ?? 'folded'],
      line:
        `It lies there ${showSize(finished.width, finished.length, units)}, ` +
        `${showLength(finished.mm, units, true)} thick. Trim both sides and turn it a quarter, so that the ` +
        `fade runs into the rollers. ${turnLine(plan, turned, units)}`,
      figure: showLength(turned.width, units),
      of: 'wide',
    },
    {
      title: 'Roll the tape',
      line: `${leading} goes in first. ${thinner}. It gets longer and no wider.`,
      figure: showLong(tape.length, units),
      of: `long at ${showLength(tape.thickness, units, true)}`,
      caution: 'A wide tape splits where it goes in: press that end thin by hand.',
    },
    plug.kind === 'rolled'
      ? {
          title: 'Roll it up',
          line:
            `${(plug.inside === 'first' ? worked.colours[0] : worked.colours.at(-1))?.name ?? ''} inside, ` +
            'tight and without air, the edges even.',
          figure: showLength(plug.diameter, units),
          of: `across, ${showLength(plug.height, units)} high`,
        }
      : {
          title: 'Fold it like a fan',
          line: `To and fro, ${showLength(plug.depth, units)} deep, without air between the folds.`,
          figure: String(plug.folds),
          of: `folds, ${showLength(plug.width, units)} wide`,
        },
  ];
}

const TURN_TITLES: Readonly<Record<Turning, string>> = {
  folded: 'Turn and fold',
  rolled: 'Turn and roll up',
  cut: 'Turn and cut',
};
function turnLine(plan: BlendAnswer['plan'], turned: Turned, units: UnitSystem): string {
  switch (plan.turning ?? 'folded') {
    case 'rolled':
      return `Roll it to a snake along the fade, and flatten it to ${showLength(turned.mm, units, true)}.`;
    case 'cut':
      return turned.parts === 1
        ? 'It is narrow enough as it is.'
        : `Cut it along the fade in ${turned.parts} strips and lay them on each other, like on like.`;
    case 'folded':
      return turned.parts === 1
        ? 'It is narrow enough as it is.'
        : `Fold it along the fade in ${turned.parts}, like on like.`;
  }
}

/** Making the blend: the steps, a counter for the passes, and then the diary. */
export function MakeBlend({ blend, worked, shelf, own }: MakeBlendProps): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  return (
    <Flex direction="column" gap={5} padding={5} overflowY="auto" minWidth={0}>
      <FadeStrip labs={worked.fade.labs} width={760} height={34} label="The blend" />
      <BenchSteps
        what={`blend ${blend.id}`}
        steps={stepsOf({ blend, worked, own, shelf, units })}
        finish={(counts, back, leave) => (
          <Done
            blend={blend}
            worked={worked}
            shelf={shelf}
            counted={Math.max(0, ...counts)}
            onBack={back}
            onDone={(entryId) => {
              leave();
              void navigate(`/diary/${entryId}`);
            }}
          />
        )}
      />
    </Flex>
  );
}

interface DoneProps {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly shelf: ShelfAnswer;
  readonly counted: number;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

function Done({ blend, worked, shelf, counted, onBack, onDone }: DoneProps): ReactElement {
  const units = useUnits();
  const { plan } = blend;
  const { finished } = worked.turning;
  const tapes = plan.stack ?? 1;
  const [passes, setPasses] = useState(counted);
  const [kept, setKept] = useState<Kept>('sheet');
  const [over, setOver] = useState<Over>('back');
  const [lies, setLies] = useState(finished);
  const path = `/api/blends/${blend.id}/done`;
  const refusal = useRefusal(path);
  const share = over === 'back' ? worked.grams / (worked.grams + worked.over) : 1;
  const { used, say } = useClayUsed(
    worked.colours.flatMap((c) => c.perClay.map((p) => ({ clayId: p.clayId, grams: p.grams * share }))),
  );
  const sheetOf = (): SheetDto | null => {
    if (kept === 'nothing') return null;
    const flat: SheetDto = {
      id: crypto.randomUUID(),
      version: 0,
      name: blend.name,
      note: '',
      form: 'sheet',
      widthMm: lies.width,
      lengthMm: lies.length,
      mm: lies.mm,
      layers: tapes,
      grams: Math.round(worked.grams * 10) / 10,
      cuts: [],
      gone: false,
      inside: plan.inside,
    };
    return kept === 'plug' ? plugSheet(flat, worked.plug) : flat;
  };
  const write = async (madeOn: string, note: string): Promise<void> => {
    const dto: BlendDoneDto = {
      version: blend.version,
      entryId: crypto.randomUUID(),
      madeOn,
      note,
      passes: Math.max(1, passes),
      used,
      sheet: sheetOf(),
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
      <Box fontSize="22px">
        Free of streaks after{' '}
        <CountValue
          label="Passes it took"
          value={passes}
          onChange={(n) => {
            if (Number.isInteger(n) && n >= 0 && n <= 60) setPasses(n);
          }}
        />{' '}
        passes. This clay comes off the shelf:
      </Box>
      <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
      {worked.over > 0.05 && (
        <Box>
          The other halves, {showMass(worked.over, units)}:{' '}
          <Choice label="What becomes of the other halves" value={over} options={OVERS} onChange={setOver} />
        </Box>
      )}
      <Box>
        For the sheet book: <Choice label="What is kept of the blend" value={kept} options={KEPT} onChange={setKept} />
      </Box>
      {kept === 'sheet' && (
        <Box>
          It lies there{' '}
          <LengthValue
            label="Width of the made blend"
            value={lies.width}
            onChange={(width) => {
              setLies({ ...lies, width });
            }}
          />{' '}
          ×{' '}
          <LengthValue
            label="Length of the made blend"
            value={lies.length}
            onChange={(length) => {
              setLies({ ...lies, length });
            }}
          />
          ,{' '}
          <ThicknessValue
            label="Thickness of the made blend"
            value={lies.mm}
            onChange={(mm) => {
              if (mm > 0) setLies({ ...lies, mm, length: (lies.length * lies.mm) / mm });
            }}
          />{' '}
          thick{tapes > 1 ? `, ${tapes} of it` : ''}.
        </Box>
      )}
      <Caption>The passes are learned from: the next forecast goes by them.</Caption>
    </WriteDown>
  );
}
