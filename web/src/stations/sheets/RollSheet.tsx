import { flatOf } from '#core/mix';
import { recipesOf } from '../../wire/revisions.js';
import { type Mixable } from '#core/material';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { useNavigate } from 'react-router';

import { massOfSheet } from '#core/sheet';
import { showLength, showMass, showSize, type UnitSystem } from '#core/units';
import type { MachineDto, RolledDto, SheetAnswer, ShelfAnswer } from '#contract';
import { BenchSteps, type BenchWords } from '../../parts/BenchSteps.js';
import { ClayUsed, useClayUsed, type Planned } from '../../parts/ClayUsed.js';
import { Empty, Reading } from '../../parts/Empty.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { WriteDown } from '../../parts/WriteDown.js';
import { bookOf } from '../../state/book.js';
import { useUnits } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { useMachines, useShelf } from '../../wire/queries.js';
import { change, useRefusal } from '../../wire/save.js';
import { useRollPlan, workRoll, type WorkedRoll } from './rollPlan.js';

/** The feed plan as words for the bench. */
export function rollWords(
  { mm, feeds: { byHandTo, strips, feeds } }: WorkedRoll,
  size: { width: number; height: number },
  machine: string,
  units: UnitSystem,
): BenchWords[] {
  const thick = (x: number): string => showLength(x, units, true);
  return [
    {
      title: 'Lay the stack',
      line: `${showSize(size.width, size.height, units)}, ${thick(mm)} thick. From one edge, air smoothed out.`,
      figure: showLength(mm, units),
      of: 'thick',
    },
    ...(strips > 1
      ? [
          {
            title: `Cut it in ${strips} strips`,
            line: 'It is wider than your rollers. Each goes through by itself.',
            figure: String(strips),
            of: 'strips',
          },
        ]
      : []),
    ...(byHandTo === null
      ? []
      : [
          {
            title: 'Roll it by hand',
            line: `It is too thick for your machine: with the roller to ${thick(byHandTo)} first.`,
            figure: showLength(byHandTo, units),
            of: 'by hand',
            caution: 'Forcing a thick stack strains the machine and the wrists.',
          },
        ]),
    ...feeds.map((f) => ({
      title: `Setting ${f.setting.label}`,
      line: `${f.turned ? 'Turned a quarter. ' : ''}Comes out ${thick(f.mm)}, ${showSize(f.width, f.length, units)}.`,
      figure: f.setting.label,
      of: `on the ${machine}`,
      caution: 'Folded edge first or to the side, never last: it traps air.',
    })),
  ];
}

/** Rolling a sheet at the bench as it was planned, and then the book and the diary have it. */
export default function RollSheet(): ReactElement {
  const units = useUnits();
  const navigate = useNavigate();
  const [machines, shelf] = [useMachines(), useShelf()];
  const roll = useRollPlan();
  if (!machines.data || !shelf.data) return <Reading error={machines.error ?? shelf.error} />;
  const { machines: all, setup } = machines.data;
  const own = all.find((m) => m.id === setup.machineId) ?? all[0];
  const worked = own && workRoll(own, roll);
  if (!own || !worked || worked.feeds.feeds.length === 0)
    return (
      <Empty
        title="Nothing to roll yet"
        action="Plan it"
        onAction={() => {
          void navigate('/sheets');
        }}
      >
        Say at the thickness ladder how thick the stack is and which setting it is to end at.
      </Empty>
    );
  return (
    <Flex direction="column" padding={5} height="100%" overflowY="auto">
      <BenchSteps
        what={'rolling'}
        steps={rollWords(worked, roll.size, own.name, units)}
        art={(at) => (
          <Edges
            worked={worked}
            at={at}
            extra={1 + (worked.feeds.strips > 1 ? 1 : 0) + (worked.feeds.byHandTo === null ? 0 : 1)}
          />
        )}
        finish={(_, back, leave) => (
          <Done
            own={own}
            worked={worked}
            shelf={shelf.data}
            onBack={back}
            onDone={(id) => {
              leave();
              void navigate(`/sheets/book/${id}`);
            }}
          />
        )}
        foot={
          <Word
            onClick={() => {
              void navigate('/sheets');
            }}
          >
            the plan
          </Word>
        }
      />
    </Flex>
  );
}

/** The sheet getting thinner and longer: what is done already in black. */
function Edges({
  worked: {
    mm,
    feeds: { feeds },
  },
  at,
  extra,
}: {
  readonly worked: WorkedRoll;
  readonly at: number;
  readonly extra: number;
}): ReactElement {
  const all = [{ mm, length: ((feeds[0]?.length ?? 0) * (feeds[0]?.mm ?? 0)) / mm }, ...feeds];
  const longest = Math.max(...all.map((f) => f.length));
  return (
    <Flex direction="column" gap={3} marginTop={3} aria-hidden>
      {all.map((f, i) => {
        const here = i === 0 ? at < extra : at === extra + i - 1;
        const past = i === 0 ? at >= extra : at > extra + i - 1;
        return (
          <Box
            key={i}
            height={`${Math.max(2, f.mm * 5)}px`}
            style={{ width: `${Math.max(3, (100 * f.length) / longest)}%`, maxWidth: 620 }}
            background={here || past ? 'ink' : 'transparent'}
            border="rule"
            opacity={past ? 0.35 : 1}
          />
        );
      })}
    </Flex>
  );
}

interface DoneProps {
  readonly own: MachineDto;
  readonly worked: WorkedRoll;
  readonly shelf: ShelfAnswer;
  readonly onBack: () => void;
  readonly onDone: (sheetId: string) => void;
}
interface Made {
  readonly picked: Picked<Mixable>;
  readonly density: number;
  readonly shares: readonly Planned[];
}

function Done({ own, worked, shelf, onBack, onDone }: DoneProps): ReactElement {
  const units = useUnits();
  const {
    feeds: { feeds, strips },
    to,
  } = worked;
  const last = feeds.at(-1);
  const [made, setMade] = useState<Made | null>(null);
  const [picking, setPicking] = useState(true);
  const [name, setName] = useState('');
  const [id] = useState(() => crypto.randomUUID());
  const [sizes, setSizes] = useState({ width: (last?.width ?? 0) * strips, length: last?.length ?? 0, mm: to.mm });
  const path = `/api/sheets/${id}/rolled`;
  const refusal = useRefusal(path);
  const grams =
    made && sizes.width > 0 && sizes.length > 0 && sizes.mm > 0
      ? massOfSheet(sizes.width * sizes.length, sizes.mm, made.density)
      : 0;
  const { used, say } = useClayUsed((made?.shares ?? []).map((s) => ({ clayId: s.clayId, grams: s.grams * grams })));
  const pick = async (picked: Picked<Mixable>): Promise<void> => {
    const flat = flatOf(picked.of, bookOf(shelf, await recipesOf(picked.of)));
    setMade({
      picked,
      density: flat.density,
      shares: flat.shares.map((s) => ({ clayId: s.clay.id, grams: s.mass.valueOf() })),
    });
    setName(`${picked.name}, ${to.label}`);
    setPicking(false);
  };
  const write = async (madeOn: string, note: string): Promise<void> => {
    if (!made) return;
    const dto: RolledDto = {
      sheet: {
        id,
        version: 0,
        name,
        note: '',
        form: 'sheet',
        widthMm: sizes.width,
        lengthMm: sizes.length,
        mm: sizes.mm,
        layers: 1,
        grams: Math.round(grams * 10) / 10,
        cuts: [],
        gone: false,
      },
      of: made.picked.of,
      rolledAt: `${to.label} of ${own.name}`,
      entryId: crypto.randomUUID(),
      madeOn,
      note,
      used,
    };
    const answer = await change<SheetAnswer>('POST', path, dto);
    if (answer) onDone(answer.id);
  };
  return (
    <WriteDown
      refusal={refusal}
      onBack={onBack}
      disabled={!made}
      onWrite={(madeOn, note) => {
        void write(madeOn, note);
      }}
    >
      <Box fontSize="22px">
        A sheet of{' '}
        <Word
          fontWeight={700}
          onClick={() => {
            setPicking(true);
          }}
        >
          {made ? made.picked.name : 'which clay or mix?'}
        </Word>
        {made ? `, ${showMass(grams, units)}` : ''}
      </Box>
      {picking && (
        <MaterialPicker
          place="sheet"
          label="What the sheet is made of"
          onPick={(p) => {
            void pick(p);
          }}
          onCancel={() => {
            setPicking(made === null);
          }}
        />
      )}
      {made && (
        <>
          <Box fontSize="h2">
            It came out{' '}
            <LengthValue
              label="Width of the rolled sheet"
              value={sizes.width}
              onChange={(width) => {
                setSizes({ ...sizes, width });
              }}
            />{' '}
            ×{' '}
            <LengthValue
              label="Length of the rolled sheet"
              value={sizes.length}
              onChange={(length) => {
                setSizes({ ...sizes, length });
              }}
            />
            ,{' '}
            <ThicknessValue
              label="Thickness of the rolled sheet"
              value={sizes.mm}
              onChange={(mm) => {
                setSizes({ ...sizes, mm });
              }}
            />{' '}
            thick. In the book it is called{' '}
            <TextValue
              label="Name in the sheet book"
              value={name}
              refusal={refusal?.sentenceFor('sheet.name')}
              onChange={setName}
            />
            .
          </Box>
          <ClayUsed used={used} say={say} shelf={shelf} refusal={refusal} />
        </>
      )}
    </WriteDown>
  );
}
