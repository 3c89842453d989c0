import { hexOf, labOf, xyzOfHex, xyzOfLab, type Lab } from '#core/colour';
import { readMaterial } from '#core/material';
import type { PigmentSource } from '#core/colour';
import {
  threadGrams,
  threadsOf,
  traysFor,
  type Coloured,
  type Mosaic,
  type MosaicDocument,
  type MosaicShade,
  type ThreadNeeded,
  type ThreadTray,
} from '#core/mosaic';
import { lookUp } from '#core/stock';
import { attempt, type UnitSystem } from '#core/units';
import type { MosaicAnswer, MosaicDto, ShelfAnswer } from '#contract';
import { bookOf } from '../../../state/book.js';
import type { PlainMosaicWish } from '../../../workers/mosaic.js';

/** A shade that was only taken out of a picture. */
export const shadeOf = (lab: Lab): MosaicShade => ({ ...lab, hex: hexOf(xyzOfLab(lab)) });

/** The colours that threads really have. */
export const labsOf = ({ shades }: Pick<MosaicDocument, 'shades'>): readonly Lab[] =>
  shades.map(({ hex }) => labOf(xyzOfHex(hex)));

/** What the worker plans from; null while there is no picture, or no shade. */
export function wishOf(mosaic: MosaicDocument): PlainMosaicWish | null {
  const { pictureId, shades, bezel, colours, diameters, shortest, longest, gap } = mosaic;
  if (pictureId === undefined || shades.length === 0) return null;
  return { pictureId, bezel, colours, diameters, shortest, longest, gap, shades: labsOf(mosaic) };
}

/** A mosaic as it is sent. */
export const sentMosaic = ({ id, version, name, note, mosaic }: MosaicAnswer): MosaicDto => ({
  ...{ id, version, name, note, mosaic },
});

/** What a shade is of, as far as that is known. */
export interface KnownShade {
  /** empty: it was not looked for yet */
  readonly name: string;
  readonly hex: string;
  /** g/cm³; null: it was not looked for yet, or is gone by now */
  readonly density: number | null;
  /** the id of its mix; null: it is of none */
  readonly mixId: string | null;
}

/** What all shades are of. */
export function shadesKnown(
  { mosaic, referenced }: MosaicAnswer,
  shelf: ShelfAnswer,
  pigments: PigmentSource,
): readonly KnownShade[] {
  const book = bookOf(shelf, referenced);
  return mosaic.shades.map(({ of, hex }): KnownShade => {
    const unknown = { name: '', hex, density: null, mixId: null };
    if (of === undefined) return unknown;
    return attempt(
      () => {
        const { name, density } = lookUp(readMaterial(of), book, { stage: 'baked', pigments });
        const mixId = referenced.find((r) => `mix:${r.id}` === of)?.mixId ?? null;
        return { name, hex, density, mixId };
      },
      () => ({ ...unknown, name: 'not there any more' }),
    );
  });
}

/** Threads of one shade, of all thicknesses. */
export interface ShadeThreads extends KnownShade {
  readonly shade: number;
  readonly threads: readonly ThreadNeeded[];
  readonly count: number;
  readonly length: number;
  /** null where it is not known what it is of */
  readonly grams: number | null;
}

/** What has to be made of each shade; those that no tessera has are left out. */
export function shadeThreads(mosaic: Mosaic, known: readonly KnownShade[], lost: number): readonly ShadeThreads[] {
  const all = threadsOf(mosaic.tesserae, lost);
  return known.flatMap((own, shade): ShadeThreads[] => {
    const threads = all.filter((t) => t.shade === shade);
    if (threads.length === 0) return [];
    const { density } = own;
    return [
      {
        ...own,
        ...{ shade, threads },
        count: threads.reduce((sum, t) => sum + t.count, 0),
        length: threads.reduce((sum, t) => sum + t.length, 0),
        grams: density === null ? null : threads.reduce((sum, t) => sum + threadGrams(t, density), 0),
      },
    ];
  });
}

/** Trays of all threads together. */
export const traysOf = (rows: readonly ShadeThreads[], tray: ThreadTray): ReturnType<typeof traysFor> =>
  traysFor(
    rows.flatMap((r) => r.threads),
    tray,
  );

/** Tesserae in the colours that their threads have. */
export const coloured = ({ tesserae }: Mosaic, labs: readonly Lab[]): readonly Coloured[] =>
  tesserae.map(({ points, lab, shade }) => ({ points, lab: labs[shade] ?? lab }));

/** Tesserae that lie there already. */
export const laidIn = ({ tesserae }: Mosaic, done: readonly number[]): number =>
  tesserae.filter((t) => done.includes(t.patch)).length;

/** A patch laid, or taken up again. */
export const turned = (done: readonly number[], patch: number): readonly number[] =>
  done.includes(patch) ? done.filter((p) => p !== patch) : [...done, patch].sort((a, b) => a - b);

/** Millimetres of a metre and of a foot. */
const [METRE, FOOT] = [1000, 304.8];

/** Thread is measured in metres, or in feet. */
export function threadWords(mm: number, units: UnitSystem): string {
  const [unit, word] = units === 'imperial' ? [FOOT, 'ft'] : [METRE, 'm'];
  const length = mm / unit;
  return `${length.toFixed(length < 10 ? 2 : 1)} ${word}`;
}

/** `3 h 20 min`, for so many tesserae at a pace. */
export function hoursWords(tesserae: number, pace: number): string {
  const minutes = Math.round((60 * tesserae) / pace);
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  if (hours === 0) return `${rest} min`;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`;
}
