import type { FlowKind, MadeAnswer, MadeForm, ThereAnswer } from '#contract';
import { coveredBy } from '#core/stock';
import { showLength, showLong, showMass, showSize, type UnitSystem } from '#core/units';
import { holdsWords } from '../../../parts/holdsWords.js';

/** Rows of what lies there, in the order of the table: what is rolled first, then what is built of it. */
export const ROWS: readonly { readonly forms: readonly MadeForm[]; readonly title: string }[] = [
  { forms: ['lump'], title: 'Lumps' },
  { forms: ['sheet'], title: 'Sheets' },
  { forms: ['plug', 'fan'], title: 'Plugs' },
  { forms: ['cane'], title: 'Canes' },
  { forms: ['slices'], title: 'Slices' },
  { forms: ['threads'], title: 'Threads' },
  { forms: ['cores'], title: 'Cores' },
  { forms: ['baked'], title: 'Baked' },
];

/** A row with what is in it; rows without anything are left out. */
export const rowsOf = (things: readonly ThereAnswer[]): { title: string; things: readonly ThereAnswer[] }[] =>
  ROWS.map(({ forms, title }) => ({ title, things: things.filter((t) => forms.includes(t.form)) })).filter(
    (row) => row.things.length > 0,
  );

/** Things whose name, material or place holds every word that was typed. */
export const thingsFound = (things: readonly ThereAnswer[], typed: string): readonly ThereAnswer[] =>
  things.filter(({ name, ofName, keptIn, form }) => holdsWords(`${name} ${ofName} ${keptIn} ${form}`, typed));

type Sized = Pick<MadeAnswer, 'form' | 'widthMm' | 'lengthMm' | 'mm' | 'count'>;

/** How large a thing is, as its kind is measured. */
export function sizeWords({ form, widthMm, lengthMm, mm, count }: Sized, units: UnitSystem): string {
  switch (form) {
    case 'lump':
      return `a ball of ${showLength(mm, units)}`;
    case 'sheet':
      return `${showSize(widthMm, lengthMm, units)}, ${showLength(mm, units, true)} thick`;
    case 'plug':
      return `${showLength(widthMm, units)} across, ${showLength(lengthMm, units)} high`;
    case 'fan':
      return `${showSize(widthMm, mm, units)}, ${showLength(lengthMm, units)} high`;
    case 'cane':
      return `${showLength(widthMm, units)} across, ${showLong(lengthMm, units)} long`;
    case 'threads':
      return `${count} of ${showLength(widthMm, units)} across, ${showLong(lengthMm, units)} long`;
    case 'cores':
      return `${count} of ${showLength(widthMm, units)}`;
    case 'baked':
      return `${count} of ${showSize(widthMm, lengthMm, units)}, ${showLength(mm, units, true)} thick`;
    case 'slices':
      return `${count} of ${showLength(mm, units, true)}, ${showLength(widthMm, units)} across`;
  }
}

/** What slices cover as they are, side by side or around a core; null of everything else. */
export function coverWords({ form, widthMm, mm, count }: Sized, units: UnitSystem): string | null {
  if (form !== 'slices') return null;
  const { square, core, bead } = coveredBy(count, (Math.PI / 4) * widthMm ** 2, mm);
  const sheet = `Side by side they fill ${showSize(square, square, units)}`;
  if (core === null || bead === null) return `${sheet}.`;
  const [inside, whole] = [showLength(core, units), showLength(bead, units)];
  return `${sheet}; or they cover a core of ${inside} to a bead of ${whole}, a tenth for the overlap.`;
}

/** px that a thing is drawn at: a sheet from above, a cane from the side, slices in a row. */
export interface Drawn {
  readonly shape: 'round' | 'flat' | 'row';
  readonly width: number;
  readonly height: number;
}

/** px for a mm: one scale for all, so that what is large looks large. */
const SCALE = 1;
/** px that a thing is never drawn larger than, or smaller. */
const [MOST, LEAST] = [190, 8];
const px = (mm: number): number => Math.min(MOST, Math.max(LEAST, mm * SCALE));

export function drawnAs({ form, widthMm, lengthMm, mm }: Sized): Drawn {
  if (form === 'lump' || form === 'plug') return { shape: 'round', width: px(widthMm), height: px(widthMm) };
  if (form === 'fan') return { shape: 'flat', width: px(widthMm), height: px(mm) };
  if (form === 'cores') return { shape: 'round', width: px(widthMm), height: px(widthMm) };
  if (form === 'cane' || form === 'threads') return { shape: 'flat', width: px(lengthMm), height: px(widthMm) };
  if (form === 'slices') return { shape: 'row', width: px(widthMm), height: px(widthMm) };
  return { shape: 'flat', width: px(widthMm), height: px(lengthMm) };
}

/** What became of clay, for the diary. */
const FLOWS: Readonly<Record<FlowKind, string>> = {
  fromTub: 'out of the tub',
  fromMade: 'of what lay there:',
  noted: 'lay there already:',
  found: 'more came out than went in',
  made: 'lies there now:',
  toTub: 'to the tub',
  pieces: 'in what was made',
  toShelf: 'lies on the shelf again, as a block',
  softener: 'of softener worked in',
  thrown: 'thrown away',
  lost: 'gone without a word: cuts, rollers, hands',
};

export interface Flow {
  readonly kind: FlowKind;
  readonly grams: number;
  readonly name: string | null;
}
export const flowWords = ({ kind, grams, name }: Flow, units: UnitSystem): string =>
  `${showMass(grams, units)} ${FLOWS[kind]}${name === null ? '' : ` ${name}`}`;
