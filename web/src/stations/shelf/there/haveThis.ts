import { ASSUMED_DENSITY } from '#core/clay';
import { isMixable } from '#core/material';
import { flatOf } from '#core/mix';
import { ballOf } from '#core/stock';
import type { MadeDto, NotedDto, ShelfAnswer, TakenBy } from '#contract';
import { bookOf } from '../../../state/book.js';
import { today } from '../../../state/today.js';
import { recipesOf } from '../../../wire/revisions.js';

export const HAVE_FORMS = ['lump', 'sheet', 'cane', 'threads', 'cores', 'baked'] as const;
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
  /** of threads, cores and baked parts */
  readonly count: number;
}

/** mm³ in a cm³. */
const CUBE = 1000;

/** How a kind of thing is measured: by its weight, as something flat, a rod or balls; and whether it is counted. */
export const MEASURED: Readonly<
  Record<HaveForm, { readonly as: 'weight' | 'flat' | 'rod' | 'ball'; readonly counted: boolean }>
> = {
  lump: { as: 'weight', counted: false },
  sheet: { as: 'flat', counted: false },
  cane: { as: 'rod', counted: false },
  threads: { as: 'rod', counted: true },
  cores: { as: 'ball', counted: true },
  baked: { as: 'flat', counted: true },
};

/** Grams that follow from what was measured; null where they have to be weighed. */
export function gramsOfSize(have: Omit<Have, 'grams'>, density: number): number | null {
  const { form, widthMm, lengthMm, mm, count } = have;
  const { as, counted } = MEASURED[form];
  const volumes = {
    weight: null,
    flat: widthMm * lengthMm * mm,
    rod: (Math.PI / 4) * widthMm ** 2 * lengthMm,
    ball: (Math.PI / 6) * widthMm ** 3,
  };
  const one = volumes[as];
  return one === null ? null : (one * (counted ? count : 1) * density) / CUBE;
}

/** The thing as it is written down: a lump by its weight, as a ball. */
export function haveThing(have: Have, density: number): MadeDto {
  const { form, name, grams, widthMm, lengthMm, mm, keptIn, count } = have;
  const { as, counted } = MEASURED[form];
  const ball = ballOf(grams, density);
  const sizes = {
    weight: { widthMm: ball, lengthMm: ball, mm: ball },
    flat: { widthMm, lengthMm, mm },
    rod: { widthMm, lengthMm, mm: widthMm },
    ball: { widthMm, lengthMm: widthMm, mm: widthMm },
  }[as];
  return {
    id: crypto.randomUUID(),
    version: 0,
    name,
    note: '',
    form,
    ...sizes,
    count: counted ? count : 1,
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
