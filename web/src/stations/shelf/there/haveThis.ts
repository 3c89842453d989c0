import { ASSUMED_DENSITY } from '#core/clay';
import { isMixable } from '#core/material';
import { flatOf } from '#core/mix';
import { ballOf } from '#core/stock';
import type { MadeDto, NotedDto, ShelfAnswer, TakenBy } from '#contract';
import { bookOf } from '../../../state/book.js';
import { today } from '../../../state/today.js';
import { recipesOf } from '../../../wire/revisions.js';

export const HAVE_FORMS = ['lump', 'sheet', 'cane'] as const;
export type HaveForm = (typeof HAVE_FORMS)[number];

/** What is typed in of a thing that lies there already. */
export interface Have {
  readonly form: HaveForm;
  readonly name: string;
  readonly grams: number;
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly mm: number;
  readonly keptIn: string;
}

/** mm³ in a cm³. */
const CUBE = 1000;

/** Grams that follow from what was measured; null where they have to be weighed. */
export function gramsOfSize({ form, widthMm, lengthMm, mm }: Omit<Have, 'grams'>, density: number): number | null {
  if (form === 'sheet') return (widthMm * lengthMm * mm * density) / CUBE;
  if (form === 'cane') return ((Math.PI / 4) * widthMm ** 2 * lengthMm * density) / CUBE;
  return null;
}

/** The thing as it is written down: a lump by its weight, as a ball. */
export function haveThing(have: Have, density: number): MadeDto {
  const { form, name, grams, widthMm, lengthMm, mm, keptIn } = have;
  const ball = ballOf(grams, density);
  const sizes = {
    lump: { widthMm: ball, lengthMm: ball, mm: ball },
    sheet: { widthMm, lengthMm, mm },
    cane: { widthMm, lengthMm, mm: widthMm },
  }[form];
  return {
    id: crypto.randomUUID(),
    version: 0,
    name,
    note: '',
    form,
    ...sizes,
    layers: 1,
    grams: Math.round(grams * 10) / 10,
    cuts: [],
    gone: false,
    keptIn,
  };
}

/** Of a clay or a mix as its lines say it; of a fade or a cane as it is assumed. @throws Refused, NoAnswer */
export async function densityOf(of: TakenBy<'noted'>, shelf: ShelfAnswer | undefined): Promise<number> {
  if (!shelf || !isMixable(of)) return ASSUMED_DENSITY;
  return flatOf(of, bookOf(shelf, await recipesOf(of))).density;
}

export const notedDto = (thing: MadeDto, of: TakenBy<'noted'>): NotedDto => ({
  thing,
  of,
  entryId: crypto.randomUUID(),
  madeOn: today(),
  note: '',
});
