import { ConditionFirst } from '../../parts/conditioning/ConditionFirst.js';
import { HARDLY_ANY } from '../../parts/amounts.js';
import { leftOf } from '../../state/shelf.js';
import { benchMachine } from '../../state/bench.js';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sheetGrams, toGrams, untilGone, type Book, type Flat, type Recipe } from '#core/mix';
import { thicknesses } from '#core/sheet';
import { readSize, showMass, showSize } from '#core/units';
import type { BenchSetupDto, ShelfAnswer } from '#contract';
import { AmountBar } from '../../parts/AmountBar.js';
import { Choice } from '../../parts/Choice.js';
import { MassValue, Value } from '../../parts/Value.js';
import { useUnits, useView } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { DiscLine } from './DiscLine.js';
import { UNKNOWN_HEX } from '../../theme/grey.js';
import { change } from '../../wire/save.js';

/** More is not mixed at once, in grams. */
const MOST_GRAMS = 1e6;

interface HowMuchProps {
  readonly flat: Flat;
  readonly recipe: Recipe;
  readonly book: Book;
  readonly shelf: ShelfAnswer;
  readonly nameAt: (index: number) => string;
}

/** The machine on the bench, its settings to choose from, and the one that discs are punched at. */
function useDiscs() {
  const { data } = useMachines();
  const setup = data?.setup;
  const machine = data && benchMachine(data);
  const settings = machine ? thicknesses(machine) : [];
  return {
    setup,
    settings,
    options: settings.map((s) => ({ value: s.id, text: s.label })),
    discSetting: settings.find((s) => s.id === setup?.discSettingId),
  };
}

type Discs = ReturnType<typeof useDiscs>;

interface SheetOfMixProps {
  readonly flat: Flat;
  readonly discs: Discs;
  readonly onGrams: (grams: number) => void;
}

/** As much as a sheet of one size takes at a setting. */
function SheetOfMix({ flat, discs, onGrams }: SheetOfMixProps): ReactElement | null {
  const units = useUnits();
  const [sheet, setSheet] = useState({ width: 80, height: 120 });
  const [settingId, setSettingId] = useState<string | null>(null);
  const { settings, options, discSetting } = discs;
  const setting = settings.find((s) => s.id === settingId) ?? discSetting ?? settings[0];
  if (!setting) return null;
  const readSheet = (text: string): { width: number; height: number } => {
    const { width, height } = readSize(text, units);
    return { width, height: height ?? width };
  };
  const grams = sheetGrams(flat, sheet.width * sheet.height, setting.mm);
  return (
    <>
      {' '}
      · or a sheet of{' '}
      <Value
        label="Size of the sheet"
        text={showSize(sheet.width, sheet.height, units)}
        read={readSheet}
        onChange={setSheet}
      />{' '}
      at your <Choice label="Setting of the sheet" value={setting.id} options={options} onChange={setSettingId} />,{' '}
      <Word
        onClick={() => {
          onGrams(grams);
        }}
      >
        {showMass(grams, units)}
      </Word>
    </>
  );
}

interface UntilGoneProps {
  readonly flat: Flat;
  readonly book: Book;
  readonly left: (clayId: string) => number;
  readonly onGrams: (grams: number) => void;
}

/** As much as there is of the clay that is scarcest. */
function UntilGone({ flat, book, left, onGrams }: UntilGoneProps): ReactElement {
  const units = useUnits();
  const gone = untilGone(flat, left);
  const scarcest = book.clay(gone.scarcest)?.name;
  if (gone.grams === 0) return <> · {scarcest} is not on the shelf now</>;
  return (
    <>
      {' '}
      · or{' '}
      <Word
        onClick={() => {
          onGrams(gone.grams);
        }}
      >
        until the {scarcest} is gone
      </Word>
      , {showMass(gone.grams, units)}
    </>
  );
}

/** The mix in discs; or the setting to choose that they are punched at. */
function InDiscs({ discs, ...own }: Omit<HowMuchProps, 'shelf'> & { readonly discs: Discs }): ReactElement | null {
  const grams = useView((s) => s.mixGrams);
  const { setup, discSetting, options } = discs;
  if (!setup || options.length === 0) return null;
  const save = (disc: Partial<BenchSetupDto>): void => {
    void change('PUT', '/api/bench', { ...setup, ...disc });
  };
  if (discSetting)
    return (
      <DiscLine {...own} grams={grams} discMm={setup.discMm} setting={discSetting} settings={options} onDisc={save} />
    );
  return (
    <Caption>
      To count in discs, choose the setting you punch them at:{' '}
      <Choice
        label="Setting of the discs"
        value=""
        options={[{ value: '', text: 'choose' }, ...options]}
        onChange={(discSettingId) => {
          if (discSettingId) save({ discSettingId });
        }}
      />
    </Caption>
  );
}

interface ClayListProps {
  readonly flat: Flat;
  readonly book: Book;
  readonly left: (clayId: string) => number;
}

/** Each clay for this weight, against the shelf. */
function ClayList({ flat, book, left }: ClayListProps): ReactElement {
  const units = useUnits();
  const perClay = toGrams(
    flat,
    useView((s) => s.mixGrams),
  );
  const longest = Math.max(...perClay.map((c) => c.grams));
  return (
    <>
      <Flex direction="column" gap={2} as="ul" aria-label="Clay for this weight">
        {perClay.map(({ clayId, grams: g }) => {
          const short = Math.max(0, g - left(clayId));
          const clay = book.clay(clayId);
          return (
            <li key={clayId}>
              <Flex justifyContent="space-between" fontSize="small">
                <b>{clay?.name}</b>
                <span>
                  {showMass(g, units)}
                  {short > HARDLY_ANY ? `, ${showMass(short, units)} short` : ''}
                </span>
              </Flex>
              <AmountBar
                grams={g}
                short={short > HARDLY_ANY ? short : 0}
                longest={longest}
                hex={clay?.bakedHex ?? UNKNOWN_HEX}
              />
            </li>
          );
        })}
      </Flex>
      <ConditionFirst clays={perClay} />
    </>
  );
}

/** The mix scaled to a weight, a sheet, discs, or to what is left; each clay against the shelf. */
export function HowMuch({ shelf, ...own }: HowMuchProps): ReactElement {
  const { mixGrams, setMixGrams } = useView();
  const discs = useDiscs();
  const { flat, book } = own;
  const left = (clayId: string): number => leftOf(shelf, clayId);
  const setGrams = (grams: number): void => {
    if (grams > 0 && grams < MOST_GRAMS) setMixGrams(grams);
  };
  return (
    <Flex direction="column" gap={3}>
      <h2>How much</h2>
      <Box>
        <MassValue label="Weight of the mix" value={mixGrams} onChange={setGrams} />
        <SheetOfMix flat={flat} discs={discs} onGrams={setGrams} />
        <UntilGone flat={flat} book={book} left={left} onGrams={setGrams} />
      </Box>
      <InDiscs discs={discs} {...own} />
      <ClayList flat={flat} book={book} left={left} />
    </Flex>
  );
}
