import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactElement } from 'react';
import { sheetGrams, toDiscs, toGrams, untilGone, type Book, type Flat, type Recipe } from '#core/mix';
import { discVolume, thicknesses, type SettingThickness } from '#core/sheet';
import { orSentence, readSize, showLength, showMass, showNumber, showSize } from '#core/units';
import type { ShelfAnswer } from '#contract';
import { AmountBar } from '../../parts/AmountBar.js';
import { Choice } from '../../parts/Choice.js';
import { LengthValue, MassValue, Value } from '../../parts/Value.js';
import { useUnits, useView } from '../../state/view.js';
import { Caption, Word } from '../../theme/pieces.js';
import { useMachines } from '../../wire/queries.js';
import { change } from '../../wire/save.js';

interface HowMuchProps {
  readonly flat: Flat;
  readonly recipe: Recipe;
  readonly book: Book;
  readonly shelf: ShelfAnswer;
  readonly nameAt: (index: number) => string;
}

/** The mix scaled to a weight, a sheet, discs, or to what is left; each clay against the shelf. */
export function HowMuch({ flat, recipe, book, shelf, nameAt }: HowMuchProps): ReactElement {
  const units = useUnits();
  const { mixGrams: grams, setMixGrams } = useView();
  const setup = useMachines().data?.setup;
  const machine = useMachines().data?.machines.find((m) => m.id === setup?.machineId);
  const settings = machine ? thicknesses(machine) : [];
  const [sheet, setSheet] = useState({ width: 80, height: 120 });
  const [settingId, setSettingId] = useState<string | null>(null);
  const setting =
    settings.find((s) => s.id === settingId) ?? settings.find((s) => s.id === setup?.discSettingId) ?? settings[0];
  const left = (clayId: string): number =>
    shelf.blocks.filter((b) => b.clayId === clayId).reduce((sum, b) => sum + b.leftGrams, 0);
  const gone = untilGone(flat, left);
  const perClay = toGrams(flat, grams);
  const longest = Math.max(...perClay.map((c) => c.grams));
  const options = settings.map((s) => ({ value: s.id, text: s.label }));
  const discSetting = settings.find((s) => s.id === setup?.discSettingId);
  const readGrams = (value: number): void => {
    if (value > 0 && value < 1e6) setMixGrams(value);
  };
  const readSheet = (text: string): { width: number; height: number } => {
    const { width, height } = readSize(text, units);
    return { width, height: height ?? width };
  };
  return (
    <Flex direction="column" gap={3}>
      <h2>How much</h2>
      <Box>
        <MassValue label="Weight of the mix" value={grams} onChange={readGrams} />
        {setting && (
          <>
            {' '}
            · or a sheet of{' '}
            <Value
              label="Size of the sheet"
              text={showSize(sheet.width, sheet.height, units)}
              read={readSheet}
              onChange={setSheet}
            />{' '}
            at your <Choice label="Setting of the sheet" value={setting.id} options={options} onChange={setSettingId} />
            ,{' '}
            <Word
              onClick={() => {
                readGrams(sheetGrams(flat, sheet.width * sheet.height, setting.mm));
              }}
            >
              {showMass(sheetGrams(flat, sheet.width * sheet.height, setting.mm), units)}
            </Word>
          </>
        )}
        {gone.grams > 0 && (
          <>
            {' '}
            · or{' '}
            <Word
              onClick={() => {
                readGrams(gone.grams);
              }}
            >
              until the {book.clay(gone.scarcest)?.name} is gone
            </Word>
            , {showMass(gone.grams, units)}
          </>
        )}
        {gone.grams === 0 && <> · {book.clay(gone.scarcest)?.name} is not on the shelf now</>}
      </Box>
      {setup && discSetting ? (
        <DiscLine
          flat={flat}
          recipe={recipe}
          book={book}
          grams={grams}
          discMm={setup.discMm}
          setting={discSetting}
          settings={options}
          nameAt={nameAt}
          onDisc={(disc) => {
            void change('PUT', '/api/bench', { ...setup, ...disc });
          }}
        />
      ) : (
        setup &&
        settings[0] && (
          <Caption>
            To count in discs, choose the setting you punch them at:{' '}
            <Choice
              label="Setting of the discs"
              value=""
              options={[{ value: '', text: 'choose' }, ...options]}
              onChange={(discSettingId) => {
                if (discSettingId) void change('PUT', '/api/bench', { ...setup, discSettingId });
              }}
            />
          </Caption>
        )
      )}
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
                  {short > 0.05 ? `, ${showMass(short, units)} short` : ''}
                </span>
              </Flex>
              <AmountBar
                grams={g}
                short={short > 0.05 ? short : 0}
                longest={longest}
                hex={clay?.bakedHex ?? '999999'}
              />
            </li>
          );
        })}
      </Flex>
    </Flex>
  );
}

interface DiscLineProps {
  readonly flat: Flat;
  readonly recipe: Recipe;
  readonly book: Book;
  readonly grams: number;
  readonly discMm: number;
  readonly setting: SettingThickness;
  readonly settings: readonly { readonly value: string; readonly text: string }[];
  readonly nameAt: (i: number) => string;
  readonly onDisc: (disc: { discMm: number } | { discSettingId: string }) => void;
}

function DiscLine({
  flat,
  recipe,
  book,
  grams,
  discMm,
  setting,
  settings,
  nameAt,
  onDisc,
}: DiscLineProps): ReactElement {
  const units = useUnits();
  const volume = discVolume(discMm, setting.mm);
  const weight = (volume * flat.density) / 1000;
  const words = orSentence(() => {
    const count = toDiscs(recipe, book, grams, volume);
    return (
      `${showNumber(count.total)} discs: ` +
      `${count.discs.map((d, i) => `${showNumber(d)} ${nameAt(i)}`).join(' + ')}, ` +
      `${showMass(count.grams, units)}` +
      (count.error >= 0.05 ? `; rounding moves the colour by ΔE ${count.error.toFixed(1)}` : '')
    );
  });
  return (
    <Box>
      with a{' '}
      <LengthValue
        label="Disc cutter"
        value={discMm}
        onChange={(mm) => {
          onDisc({ discMm: mm });
        }}
      />{' '}
      cutter at your{' '}
      <Choice
        label="Setting of the discs"
        value={setting.id}
        options={settings}
        onChange={(discSettingId) => {
          onDisc({ discSettingId });
        }}
      />{' '}
      ({setting.knowledge === 'assumed' ? '~' : ''}
      {showLength(setting.mm, units, true)}), {showMass(weight, units)} a disc: {words}
    </Box>
  );
}
