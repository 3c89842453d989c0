import {
  cutterArea,
  cutterOf,
  handLayout,
  onEachOther,
  outlineAt,
  plainCutter,
  type HandPlace,
  type PlainCutter,
} from '#core/cutter';
import type { CutPlace, Proposal } from '#core/pattern';
import { orSentence } from '#core/units';
import { MOST_CUT_KINDS, type PatternCutDto, type PatternPlaceDto } from '#contract';
import type { Ground } from '../../../parts/cutters/handMoves.js';
import type { PatternToMake } from '../../../workers/pattern.js';

/** The finished sheets that are cut, all of one size. */
export interface SheetsToCut {
  readonly ground: Ground;
  readonly round: boolean;
  /** mm */
  readonly thick: number;
  /** of all makes together */
  readonly count: number;
  /** g of each mm² */
  readonly grams: number;
}

export function sheetsToCut({ sheet, makes, area }: PatternToMake, grams: number): SheetsToCut {
  const { width, height, round, thick, count } = sheet;
  return { ground: { width, length: height, round }, round, thick, count: count * makes, grams: grams / area };
}

/** What is cut first of all: as good as any. */
const FIRST: PlainCutter = { shape: 'oval', widthMm: 20, heightMm: 30 };
const BRIDGE = 1;

/** One more kind of pieces, none of them put anywhere yet; null where there are enough. */
export function newCut(cuts: readonly PatternCutDto[]): PatternCutDto | null {
  if (cuts.length >= MOST_CUT_KINDS) return null;
  const { shape, widthMm, heightMm, rimMm, points } = cuts.at(-1) ?? FIRST;
  return {
    id: crypto.randomUUID(),
    name: `Piece ${cuts.length + 1}`,
    ...{ shape, widthMm, heightMm, rimMm: rimMm ?? null, points: points ?? null },
    bridgeMm: cuts.at(-1)?.bridgeMm ?? BRIDGE,
    places: [],
  };
}

export const placesOn = ({ places }: PatternCutDto, sheet: number): readonly PatternPlaceDto[] =>
  places.filter((p) => p.sheet === sheet);

/** The same with other places on one of the sheets; the pieces keep their order. */
export function withPlacesOn(cut: PatternCutDto, sheet: number, places: readonly HandPlace[]): PatternCutDto {
  const before = cut.places.filter((p) => p.sheet < sheet);
  const after = cut.places.filter((p) => p.sheet > sheet);
  return { ...cut, places: [...before, ...places.map((p) => ({ ...plainPlace(p), sheet })), ...after] };
}

const tenth = (n: number): number => Math.round(n * 100) / 100;
const plainPlace = ({ x, y, degrees, flip }: HandPlace): HandPlace => ({
  x: tenth(x),
  y: tenth(y),
  degrees,
  flip: flip === true,
});

/** What was found, as it is kept. */
export const proposed = (cut: PatternCutDto, { places }: Proposal): PatternCutDto => ({
  ...cut,
  places: places.map((p) => ({ ...plainPlace(p), sheet: p.sheet })),
});

/** All other pieces, which keep their room. */
export const besides = (
  cuts: readonly PatternCutDto[],
  own: PatternCutDto,
): readonly { readonly cutter: PlainCutter; readonly place: CutPlace }[] =>
  cuts.filter((c) => c.id !== own.id).flatMap((cutter) => cutter.places.map((place) => ({ cutter, place })));

/** What is told of a search. */
export function foundWords({ places, holed }: Proposal, wanted: number): string {
  const found = places.length;
  if (found === 0) return 'There is no room for one. Take a smaller cutter, or move the others.';
  const room = found < wanted ? `${found} of ${wanted} have room` : `${found} found`;
  if (holed === 0) return `${room}, none of them over a hole, a seam or the bare ground`;
  return `${room}; ${holed} of them over a hole, a seam or the bare ground: there is no room without one`;
}

/** Why the pieces on a sheet cannot be cut so; null where they can. */
export function wrongOn(cuts: readonly PatternCutDto[], sheet: number, { ground }: SheetsToCut): string | null {
  const laid: { readonly name: string; readonly edge: ReturnType<typeof outlineAt> }[] = [];
  for (const cut of cuts) {
    const [cutter, places] = [cutterOf(cut), placesOn(cut, sheet)];
    const wrong = orSentence(() => handLayout(cutter, places, { ...ground, bridge: 0 }));
    if (typeof wrong === 'string') return cuts.length > 1 ? `${cut.name}: ${wrong}` : wrong;
    for (const [i, place] of places.entries()) {
      const edge = outlineAt(cutter, place);
      const under = laid.find((other) => onEachOther(edge, other.edge));
      if (under) return `${cut.name} ${i + 1} lies on ${under.name}. Move one of them.`;
    }
    laid.push(...places.map((place, i) => ({ name: `${cut.name} ${i + 1}`, edge: outlineAt(cutter, place) })));
  }
  return null;
}

/** g of all pieces, and of what is left of the sheets that are cut. */
export function weighed(
  cuts: readonly PatternCutDto[],
  { ground, round, grams, count }: SheetsToCut,
): { readonly pieces: number; readonly rest: number } {
  const area = cuts.reduce((sum, cut) => sum + cutterArea(cutterOf(cut)) * cut.places.length, 0);
  const used = new Set(cuts.flatMap((cut) => cut.places.map((p) => p.sheet)));
  const each = ground.width * ground.length * (round ? Math.PI / 4 : 1);
  return { pieces: area * grams, rest: Math.max(0, Math.min(used.size, count) * each - area) * grams };
}

/** A cutter as a piece keeps it. */
export const withCutter = ({ shape, widthMm, heightMm, rimMm, points }: ReturnType<typeof plainCutter>) => ({
  ...{ shape, widthMm, heightMm },
  rimMm: rimMm ?? null,
  points: points ?? null,
});
