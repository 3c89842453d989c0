import { massOf } from '#core/clay';
import { Box } from '@chakra-ui/react';
import type { ReactElement } from 'react';
import { toDiscs, type Book, type Flat, type Recipe } from '#core/mix';
import { discVolume, type SettingThickness } from '#core/sheet';
import { orSentence, showLength, showMass, showNumber } from '#core/units';
import { Choice } from '../../parts/Choice.js';
import { LengthValue } from '../../parts/Value.js';
import { useUnits } from '../../state/view.js';

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

/** A smaller difference is not worth a word, ΔE00. */
const SEEN_ERROR = 0.05;

/** The mix in discs of one cutter, and what rounding to quarters does to its colour. */
export function DiscLine({
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
  const weight = massOf(volume, flat.density);
  const words = orSentence(() => {
    const count = toDiscs(recipe, book, grams, volume);
    return (
      `${showNumber(count.total)} discs: ` +
      `${count.discs.map((d, i) => `${showNumber(d)} ${nameAt(i)}`).join(' + ')}, ` +
      `${showMass(count.grams, units)}` +
      (count.error >= SEEN_ERROR ? `; rounding moves the colour by ΔE ${count.error.toFixed(1)}` : '')
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
