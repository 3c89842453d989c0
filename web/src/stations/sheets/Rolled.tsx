import { flatOf } from '#core/mix';
import { recipesOf } from '../../wire/revisions.js';
import { type Mixable } from '#core/material';
import { Box } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';

import { massOfSheet } from '#core/sheet';
import { showMass } from '#core/units';
import type { MachineDto, RolledDto, MadeAnswer, ShelfAnswer } from '#contract';
import { ClayUsed, useClayUsed, type Planned } from '../../parts/ClayUsed.js';
import { TakenInstead } from '../../parts/TakenInstead.js';
import { useTakenInstead } from '../../parts/takenInstead.js';
import { MaterialPicker, type Picked } from '../../parts/MaterialPicker.js';
import { ThicknessValue } from '../../parts/Thickness.js';
import { LengthValue, TextValue } from '../../parts/Value.js';
import { WriteDown, type Written } from '../../parts/WriteDown.js';
import { bookOf } from '../../state/book.js';
import { useUnits } from '../../state/view.js';
import { Word } from '../../theme/pieces.js';
import { change, useRefusal } from '../../wire/save.js';
import { Weighed, useWeighed } from './Weighed.js';
import type { WorkedRoll } from './rollPlan.js';

interface RolledProps {
  readonly own: MachineDto;
  readonly worked: WorkedRoll;
  readonly shelf: ShelfAnswer;
  readonly onBack: () => void;
  readonly onDone: (sheetId: string) => void;
}

/** What the sheet is of: its density, and the clay in it. */
interface OfWhat {
  readonly picked: Picked<Mixable>;
  readonly density: number;
  readonly shares: readonly Planned[];
}

/** mm of the sheet as it came out. */
interface Sizes {
  readonly width: number;
  readonly length: number;
  readonly mm: number;
}

const onTheScale = ({ density, shares }: OfWhat, { width, length }: Sizes) => ({
  ...{ width, length, density, clayIds: shares.map(({ clayId }) => clayId) },
});

/** Grams of a sheet; none where one of its measures is nothing. */
function gramsOf({ width, length, mm }: Sizes, density: number): number {
  return width > 0 && length > 0 && mm > 0 ? massOfSheet(width * length, mm, density) : 0;
}

/** The sheet as it is written in the book. */
const sheetDto = (id: string, name: string, { width, length, mm }: Sizes, grams: number): RolledDto['sheet'] => ({
  id,
  version: 0,
  name,
  note: '',
  form: 'sheet',
  widthMm: width,
  lengthMm: length,
  mm,
  layers: 1,
  grams: Math.round(grams * 10) / 10,
  cuts: [],
  gone: false,
});

/** The sheet that was rolled, as it is typed, and the way to write it down. */
function useRolled({ own, worked, shelf, onDone }: RolledProps) {
  const { feeds, to } = worked;
  const last = feeds.feeds.at(-1);
  const [what, setWhat] = useState<OfWhat | null>(null);
  const [name, setName] = useState('');
  const [id] = useState(() => crypto.randomUUID());
  const [typed, setTyped] = useState<Sizes>({
    width: (last?.width ?? 0) * feeds.strips,
    length: last?.length ?? 0,
    mm: to.mm,
  });
  const path = `/api/sheets/${id}/rolled`;
  const refusal = useRefusal(path);
  const weighed = useWeighed(own, to, shelf);
  // on the scale it is as thick as its weight says, whatever its sides are by now
  const gauged = what ? weighed.gaugedOf(onTheScale(what, typed)) : null;
  const sizes = gauged ? { ...typed, mm: gauged.mm } : typed;
  const setSizes = (next: Sizes): void => {
    // a thickness that is typed is not the scale's
    if (next.mm !== sizes.mm) weighed.setMass(null);
    setTyped(next);
  };
  const grams = what ? gramsOf(sizes, what.density) : 0;
  const planned = (what?.shares ?? []).map((s) => ({ clayId: s.clayId, grams: s.grams * grams }));
  const instead = useTakenInstead(planned);
  const { used, say } = useClayUsed(instead.rest);
  const pick = async (picked: Picked<Mixable>): Promise<void> => {
    const flat = flatOf(picked.of, bookOf(shelf, await recipesOf(picked.of)));
    const shares = flat.shares.map((s) => ({ clayId: s.clay.id, grams: s.mass.valueOf() }));
    setWhat({ picked, density: flat.density, shares });
    setName(`${picked.name}, ${to.label}`);
  };
  const write = async (written: Written): Promise<void> => {
    if (!what) return;
    const answer = await change<MadeAnswer>('POST', path, {
      sheet: sheetDto(id, name, sizes, grams),
      of: what.picked.of,
      rolledAt: `${to.label} of ${own.name}`,
      ...written,
      used,
      ready: instead.ready,
    } satisfies RolledDto);
    if (!answer) return;
    await weighed.keep(onTheScale(what, sizes), written.madeOn);
    onDone(answer.id);
  };
  return { what, name, setName, sizes, setSizes, refusal, grams, used, say, pick, write, instead, planned, weighed };
}

type Rolling = ReturnType<typeof useRolled>;

/** How large it came out, and what it is called. */
function CameOut({ rolling }: { readonly rolling: Rolling }): ReactElement {
  const { sizes, setSizes, name, setName, refusal } = rolling;
  return (
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
  );
}

/** Which clay or mix it is of. */
function OfWhich({ rolling }: { readonly rolling: Rolling }): ReactElement {
  const units = useUnits();
  const { what, grams, pick } = rolling;
  const [picking, setPicking] = useState(true);
  return (
    <>
      <Box fontSize="22px">
        A sheet of{' '}
        <Word
          fontWeight={700}
          onClick={() => {
            setPicking(true);
          }}
        >
          {what ? what.picked.name : 'which clay or mix?'}
        </Word>
        {what ? `, ${showMass(grams, units)}` : ''}
      </Box>
      {picking && (
        <MaterialPicker
          place="sheet"
          label="What the sheet is made of"
          onPick={(picked) => {
            setPicking(false);
            void pick(picked);
          }}
          onCancel={() => {
            setPicking(what === null);
          }}
        />
      )}
    </>
  );
}

/** What really came of the rolling: the book and the diary have it then. */
export function Rolled(props: RolledProps): ReactElement {
  const rolling = useRolled(props);
  const { what, refusal, used, say, write } = rolling;
  return (
    <WriteDown
      refusal={refusal}
      onBack={props.onBack}
      disabled={!what}
      onWrite={(written) => {
        void write(written);
      }}
    >
      <OfWhich rolling={rolling} />
      {what && (
        <>
          <CameOut rolling={rolling} />
          <Weighed weighed={rolling.weighed} sheet={onTheScale(what, rolling.sizes)} />
          <ClayUsed used={used} say={say} shelf={props.shelf} refusal={refusal} />
          <TakenInstead instead={rolling.instead} planned={rolling.planned} shelf={props.shelf} refusal={refusal} />
        </>
      )}
    </WriteDown>
  );
}
