import type { Lab } from '#core/colour';
import { complaint, MOST_COLOURS, recast, type Gains } from '#core/picture';
import { readNumber } from '#core/units';
import type { MixDto, PaletteDto, SwatchDto } from '#contract';
import type { Matched } from './matched.js';

/** How the weight of all mixes is shared out. */
export type Split = 'share' | 'even';

/** A colour that was picked by hand is weighed as if it had this share of the picture. */
const HAND_SHARE = 0.1;
/** The longest name of a palette that its mixes carry on. */
const NAME_CARRIED = 60;
/** The widest patch that a click takes the mean of, in pixels. */
const WIDEST_PATCH = 201;

/** A colour that is not yet named; `share` is null where it was picked by hand. */
export const swatchOf = (lab: Lab, share: number | null): SwatchDto => ({
  id: crypto.randomUUID(),
  name: '',
  ...lab,
  share,
});

/** What the palette takes the picture's light to be. */
export const gainsOf = (palette: PaletteDto): Gains => [palette.gainR, palette.gainG, palette.gainB];

/** Another light: every colour follows. */
export const inLight = (palette: PaletteDto, to: Gains): Partial<PaletteDto> => ({
  gainR: to[0],
  gainG: to[1],
  gainB: to[2],
  swatches: palette.swatches.map((s) => ({ ...s, ...recast(s, gainsOf(palette), to) })),
});

/** Colours found anew; those picked by hand stay, after them. */
export const anew = (
  palette: PaletteDto,
  found: readonly { readonly lab: Lab; readonly share: number }[],
): Partial<PaletteDto> => ({
  swatches: [...found.map((c) => swatchOf(c.lab, c.share)), ...palette.swatches.filter((s) => s.share === null)],
});

/** One colour more, picked by hand. */
export const withColour = (palette: PaletteDto, lab: Lab): Partial<PaletteDto> => ({
  swatches: [...palette.swatches, swatchOf(lab, null)],
});

/** Without one of its colours. */
export const withoutColour = (palette: PaletteDto, id: string): Partial<PaletteDto> => ({
  swatches: palette.swatches.filter((s) => s.id !== id),
});

/** One of its colours by another name. */
export const named = (palette: PaletteDto, id: string, name: string): Partial<PaletteDto> => ({
  swatches: palette.swatches.map((s) => (s.id === id ? { ...s, name } : s)),
});

/** Each colour's part of the whole weight, by its share of the picture or evenly; they sum to 1. */
export function sharesOf(swatches: readonly SwatchDto[], split: Split): readonly number[] {
  const weights = swatches.map((s) => (split === 'even' ? 1 : (s.share ?? HAND_SHARE)));
  const whole = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => w / whole);
}

/** The mix for one of the colours, as it goes to the board; null where none was found. */
export function mixOf(palette: PaletteDto, row: Matched, at: number): MixDto | null {
  if (!row.recipe) return null;
  return {
    id: crypto.randomUUID(),
    version: 0,
    name: `${palette.name.slice(0, NAME_CARRIED)} ${at + 1} ${crypto.randomUUID().slice(0, 3)}`,
    note: `for the palette ${palette.name}, ΔE ${row.deltaE?.toFixed(1) ?? ''}`,
    retired: false,
    wantedHex: row.hex,
    basis: 'volume',
    ingredients: row.recipe.ingredients.map(({ parts, of }) => ({ parts: parts.toFraction(), of })),
  };
}

/** A number of colours as it is typed. Throws a Complaint where it is none that can be looked for. */
export function readCount(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < 1 || count > MOST_COLOURS)
    throw complaint('picture/count', { most: MOST_COLOURS });
  return count;
}

/** The side of a patch in pixels as it is typed. Throws a Complaint where it is no such side. */
export function readPatch(text: string): number {
  const side = readNumber(text).valueOf();
  if (!Number.isInteger(side) || side < 1 || side > WIDEST_PATCH)
    throw complaint('unit/range', { what: 'The side of the patch', low: '1', high: `${WIDEST_PATCH} pixels` });
  return side;
}
