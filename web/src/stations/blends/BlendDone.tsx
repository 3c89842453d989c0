import { HARDLY_ANY } from '../../parts/amounts.js';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { showMass } from '#core/units';
import type { BlendAnswer, BlendDoneDto, LeftDto, MadeDto, ShelfAnswer } from '#contract';
import { Choice } from '../../parts/Choice.js';
import { ClayUsed, useClayUsed } from '../../parts/ClayUsed.js';
import { TakenInstead } from '../../parts/TakenInstead.js';
import { useTakenInstead } from '../../parts/takenInstead.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { CountValue, LengthValue } from '../../parts/Value.js';
import { WriteDown, type Written } from '../../parts/WriteDown.js';
import { useUnits } from '../../state/view.js';
import { Caption } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { plugSheet } from './plugSheet.js';

import type { WorkedBlend } from './workedBlend.js';

const KEPT = [
  { value: 'sheet', text: 'it stays a sheet' },
  { value: 'plug', text: 'it is wound up to the plug' },
  { value: 'nothing', text: 'nothing is kept of it' },
] as const;
type Kept = (typeof KEPT)[number]['value'];
const OVERS = [
  { value: 'back', text: 'they go back to their clay' },
  { value: 'scrap', text: 'they go to the tubs that fit' },
] as const;
type Over = (typeof OVERS)[number]['value'];

/** Passes that are counted, at most. */
const MOST_PASSES = 60;

interface BlendDoneProps {
  readonly blend: BlendAnswer;
  readonly worked: WorkedBlend;
  readonly shelf: ShelfAnswer;
  readonly counted: number;
  readonly onBack: () => void;
  readonly onDone: (entryId: string) => void;
}

/** mm of a sheet that lies on the table. */
type Lies = WorkedBlend['turning']['finished'];

/** How it lies there as planned: as it was passed, or rolled to the thickness of the pieces that it is for. */
function liesAtFirst({ plan }: BlendAnswer, { turning }: WorkedBlend): Lies {
  const { sheet, finished } = turning;
  if (!plan.wanted || !sheet) return finished;
  return { width: sheet.fade, length: sheet.length, mm: plan.wanted.mm };
}

/** What goes into the sheet book; null where nothing is kept. */
function keptSheet(blend: BlendAnswer, worked: WorkedBlend, kept: Kept, lies: Lies): MadeDto | null {
  if (kept === 'nothing') return null;
  const flat: MadeDto = {
    id: crypto.randomUUID(),
    version: 0,
    name: blend.name,
    note: '',
    form: 'sheet',
    widthMm: lies.width,
    lengthMm: lies.length,
    mm: lies.mm,
    layers: blend.plan.stack ?? 1,
    grams: Math.round(worked.grams * 10) / 10,
    cuts: [],
    gone: false,
    inside: blend.plan.inside,
  };
  return kept === 'plug' ? plugSheet(flat, worked.plug) : flat;
}

/** The halves of each colour that the blend does not use, as they fall to the tubs. */
const otherHalves = ({ plan }: BlendAnswer, { colours }: WorkedBlend): LeftDto[] =>
  plan.colours.map((of, i) => ({ parts: [{ of, grams: colours[i]?.over ?? 0 }], to: 'tub', tubId: null }));

/** What really came of a blend, as it is typed, and the way to write it down. */
function useDone({ blend, worked, counted, onDone }: BlendDoneProps) {
  const [passes, setPasses] = useState(counted);
  const [kept, setKept] = useState<Kept>('sheet');
  const [over, setOver] = useState<Over>('back');
  const [lies, setLies] = useState(() => liesAtFirst(blend, worked));
  const path = `/api/blends/${blend.id}/done`;
  const share = over === 'back' ? worked.grams / (worked.grams + worked.over) : 1;
  const planned = worked.colours.flatMap((c) => c.perClay.map((p) => ({ clayId: p.clayId, grams: p.grams * share })));
  const instead = useTakenInstead(planned);
  const { used, say } = useClayUsed(instead.rest);
  const write = async (written: Written): Promise<void> => {
    const answer = await change<{ entryId: string }>('POST', path, {
      version: blend.version,
      ...written,
      passes: Math.max(1, passes),
      used,
      ready: instead.ready,
      sheet: keptSheet(blend, worked, kept, lies),
      left: over === 'scrap' ? otherHalves(blend, worked) : [],
    } satisfies BlendDoneDto);
    if (answer) onDone(answer.entryId);
  };
  const fields = { passes, setPasses, kept, setKept, over, setOver, lies, setLies };
  return { ...fields, refusal: useRefusal(path), used, say, write, instead, planned };
}

interface LiesProps {
  readonly lies: Lies;
  readonly tapes: number;
  readonly onChange: (lies: Lies) => void;
}

/** How it lies there; a thickness typed anew keeps the clay. */
function LiesThere({ lies, tapes, onChange }: LiesProps): ReactElement {
  return (
    <Box>
      It lies there{' '}
      <LengthValue
        label="Width of the made blend"
        value={lies.width}
        onChange={(width) => {
          onChange({ ...lies, width });
        }}
      />{' '}
      ×{' '}
      <LengthValue
        label="Length of the made blend"
        value={lies.length}
        onChange={(length) => {
          onChange({ ...lies, length });
        }}
      />
      ,{' '}
      <ThicknessValue
        label="Thickness of the made blend"
        value={lies.mm}
        onChange={(mm) => {
          if (mm > 0) onChange({ ...lies, mm, length: (lies.length * lies.mm) / mm });
        }}
      />{' '}
      thick{tapes > 1 ? `, ${tapes} of it` : ''}.
    </Box>
  );
}

/** What really came of the blend, for the diary, the shelf and the sheet book. */
export function BlendDone(props: BlendDoneProps): ReactElement {
  const { blend, worked, shelf, onBack } = props;
  const units = useUnits();
  const done = useDone(props);
  const { passes, setPasses, kept, setKept, over, setOver, lies, setLies, refusal, used, say, write } = done;
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      onWrite={(written) => {
        void write(written);
      }}
    >
      <Box fontSize="22px">
        Free of streaks after{' '}
        <CountValue
          label="Passes it took"
          value={passes}
          onChange={(n) => {
            if (Number.isInteger(n) && n >= 0 && n <= MOST_PASSES) setPasses(n);
          }}
        />{' '}
        passes. This clay comes off the shelf:
      </Box>
      <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
      <TakenInstead instead={done.instead} planned={done.planned} shelf={shelf} refusal={refusal} />
      {worked.over > HARDLY_ANY && (
        <Box>
          The other halves, {showMass(worked.over, units)}:{' '}
          <Choice label="What becomes of the other halves" value={over} options={OVERS} onChange={setOver} />
        </Box>
      )}
      <Box>
        For the sheet book: <Choice label="What is kept of the blend" value={kept} options={KEPT} onChange={setKept} />
      </Box>
      {kept === 'sheet' && <LiesThere lies={lies} tapes={blend.plan.stack ?? 1} onChange={setLies} />}
      <Caption>The passes are learned from: the next forecast goes by them.</Caption>
    </WriteDown>
  );
}
