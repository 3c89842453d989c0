import { bakedTogether, minutesFor, wishedC } from '#core/clay';
import type { Book } from '#core/mix';
import { BAND } from '#core/oven';
import type { Mm } from '#core/units';
import { ovenLoads, type Alone, type LoadItem, type OvenLoad, type Tray } from './ovenLoads.js';

/** Pieces of one kind that are to be baked. */
export interface BakeItem {
  readonly pieceId: string;
  readonly count: number;
  /** of clay at its thickest */
  readonly mm: Mm;
  readonly lines: readonly string[];
  /** around one of them */
  readonly box: LoadItem['box'];
  /** it browns, takes colour, or sheds */
  readonly alone: Alone | null;
  /** cores of these pieces, baked before they are covered */
  readonly cores?: boolean;
  /** it lies on a form while it bakes */
  readonly onForm?: boolean;
}

/** Pieces of a batch that go into the oven together. */
export interface BakeLoad extends Omit<OvenLoad, 'items'> {
  readonly pieces: readonly { readonly pieceId: string; readonly count: number }[];
  /** it is larger than the tray */
  readonly tooLarge: boolean;
}

/** Pieces that bake, with the temperatures that all of their lines stand; null where no line is known. */
export function loadItem(item: BakeItem, book: Pick<Book, 'line'>): LoadItem | null {
  const lines = [...new Set(item.lines)].flatMap((id) => book.line(id) ?? []);
  if (lines.length === 0) return null;
  const { celsius, maxC, below } = bakedTogether(lines);
  const { pieceId, count, box, mm, alone, cores = false, onForm = false } = item;
  return {
    ...{ id: `${pieceId}${cores ? ' cores' : ''}`, pieceId, count, box, alone, cores, onForm },
    ...{ celsius, maxC, below },
    low: Math.min(celsius - BAND, maxC),
    minutes: Math.max(...lines.map((line) => minutesFor(line, mm))),
    lineIds: lines.map(({ id }) => id).sort(),
    wished: [...new Set(lines.map(wishedC))],
  };
}

/**
 * What goes into the oven together of a batch (docs/models.md §8): the fewest trays, by what all of their lines stand.
 * Cores that are baked before they are covered come first, then the coolest.
 * @param tray null: no oven was described, and any tray is large enough
 */
export function bakeLoads(items: readonly LoadItem[], tray: Tray | null): BakeLoad[] {
  const { loads, tooLarge } = ovenLoads(items, tray);
  const alone = items
    .filter(({ id }) => tooLarge.includes(id))
    .flatMap((item) => ovenLoads([item], null).loads.map((load) => ({ ...load, tooLarge: true })));
  const pieceOf = new Map(items.map(({ id, pieceId }) => [id, pieceId]));
  return [...loads.map((load) => ({ ...load, tooLarge: false })), ...alone].map(({ items: own, ...load }) => ({
    ...load,
    pieces: own.map(({ id, count }) => ({ pieceId: pieceOf.get(id) ?? id, count })),
  }));
}
