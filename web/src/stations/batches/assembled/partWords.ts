import type { Part, Shape, ShapeIs, Lies, FinishKind, FindingForm, BallForm, Bend } from '#core/piece';
import { showLength, showMinutes, showSize, type UnitSystem } from '#core/units';
import type { FinishStepDto } from '#contract';

/** What shapes are called, in the order they are offered. */
export const SHAPE_WORDS: Readonly<Record<ShapeIs, string>> = {
  cut: 'cut of a sheet',
  slice: 'slice of a cane',
  ball: 'ball or drop',
  snake: 'snake',
  twist: 'twist of two snakes',
  covered: 'covered core',
  veneer: 'sheet over a form',
  finding: 'finding',
};
export const LIES_WORDS: Readonly<Record<Lies, string>> = {
  at: 'at one place',
  ring: 'in a ring',
  row: 'in a row',
  scatter: 'scattered',
  pair: 'as a mirrored pair',
  stack: 'on top of each other',
};
export const BALL_WORDS: Readonly<Record<BallForm, string>> = {
  round: 'ball',
  oval: 'oval',
  bicone: 'bicone',
  disc: 'flattened ball',
  drop: 'drop',
};
export const BEND_WORDS: Readonly<Record<Bend, string>> = {
  straight: 'straight',
  ring: 'closed to a ring',
  spiral: 'rolled up',
};
export const FINDING_WORDS: Readonly<Record<FindingForm, string>> = {
  pin: 'pin back',
  ring: 'ring',
  hook: 'ear wire',
  post: 'post',
  bezel: 'bezel',
  cord: 'cord',
};

const ratioWords = (ratio: number): string => (ratio === 1 ? '' : ` × ${+ratio.toFixed(2)}`);
/** How large it is cut: round ones across. */
const outlineWords = (
  { shape, width, height }: { readonly shape: string; readonly width: number; readonly height: number },
  units: UnitSystem,
): string => (shape === 'round' ? showLength(width, units) : showSize(width, height, units));

const bentWords = (bend: Bend): string => (bend === 'straight' ? '' : `, ${BEND_WORDS[bend]}`);

type Worded = { readonly [K in ShapeIs]: (shape: Extract<Shape, { is: K }>, units: UnitSystem) => string };

const fine = (mm: number, units: UnitSystem): string => showLength(mm, units, true);

const WORDS: Worded = {
  cut: ({ outline, mm }, units) => `${outline.shape} ${outlineWords(outline, units)}, ` + `${fine(mm, units)} thick`,
  slice: ({ outline, mm }, units) => `slice ${outlineWords(outline, units)}, ${fine(mm, units)} thick`,
  ball: ({ form, width, ratio }, units) => `${BALL_WORDS[form]} ${fine(width, units)}${ratioWords(ratio)}`,
  snake: ({ width, length, bend }, units) =>
    `snake ${fine(width, units)}, ${showLength(length, units)} long${bentWords(bend)}`,
  twist: ({ width, length, bend }, units) =>
    `twist ${fine(width, units)}, ${showLength(length, units)} long${bentWords(bend)}`,
  covered: ({ core, wall, slice }, units) =>
    `core ${fine(core, units)}, ${slice === undefined ? 'a sheet' : `slices of ${fine(slice, units)}`} ` +
    `${fine(wall, units)} thick around it`,
  veneer: ({ form, width, height, mm }, units) =>
    `sheet ${fine(mm, units)} thick ${form === 'dome' ? 'over a dome' : 'in a bowl'} ` +
    `${showLength(width, units)} wide and ${showLength(height, units)} high`,
  finding: ({ form, width, length }, units) => `${FINDING_WORDS[form]} ${showSize(width, length, units)}`,
};

/** What a part is, in the words of a maker. */
export const shapeWords = (shape: Shape, units: UnitSystem): string =>
  (WORDS[shape.is] as (s: Shape, u: UnitSystem) => string)(shape, units);

/** Where it lies, in a few words. */
export function placeWords({ place, under }: Pick<Part, 'place' | 'under'>): string {
  if (under === true) return 'underneath';
  if (place.lies === 'ring') return place.gaps ? 'in the gaps of the ring' : 'in a ring';
  return place.lies === 'at' ? '' : LIES_WORDS[place.lies];
}

export const FINISH_WORDS: Readonly<Record<FinishKind, string>> = {
  cool: 'cool',
  sand: 'sand wet',
  buff: 'buff',
  drill: 'drill',
  glaze: 'glaze',
  resin: 'resin',
  glue: 'glue',
  string: 'string',
  card: 'put on its card',
  own: 'a step of your own',
};

const HOUR = 60;

/** A step after the oven: what, with which grits, and how long it is left alone. */
export function finishWords({
  kind,
  name,
  grits,
  hours,
}: Pick<FinishStepDto, 'kind' | 'name' | 'grits' | 'hours'>): string {
  const what = kind === 'own' && name !== '' ? name : FINISH_WORDS[kind];
  const more = kind !== 'own' && name !== '' ? ` ${name}` : '';
  const row = kind === 'sand' && grits.length > 0 ? ` ${grits.join(', ')}` : '';
  const waits = hours > 0 ? `, then leave it ${showMinutes(hours * HOUR)}` : '';
  return `${what}${more}${row}${waits}`;
}
