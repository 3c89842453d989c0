import { bakedTogether, wishedC, type BakingLine } from '#core/clay';
import { apart, seenDifference, TOLD_APART, type Lab } from '#core/colour';
import type { Mm } from '#core/units';
import { mapOf } from './face.js';
import { acrossOf, beyond, diameterOf, reachOf } from '#core/cane/outlines';
import type { Meant } from '#core/cane/document';
import {
  kindOf,
  partResults,
  usesOf,
  type CaneContext,
  type CaneState,
  type Step,
  type StepResult,
} from '#core/cane/steps';

/** A cane larger than this across is too hard to reduce by hand (trade knowledge). */
export const TOO_THICK: Mm = 110;
/** Thinner than this it does not hold its shape in the hand: an assumption. */
export const TOO_THIN: Mm = 3;
/** Line spread of the eye at 30 cm, mm (docs/models.md); arm's length is 60 cm. */
export const EYE: Mm = 0.1;
/** Nobody takes what is thicker than this for a wall. */
const THIN_WALL: Mm = 0.6;
const MAP = 300;

export interface JudgedMaterial {
  readonly lab: Lab;
  /** mm of a wall that hides what is under it */ readonly hides: Mm;
  /** what its lines want, and must not go beyond; none: nobody knows */
  readonly bakes: readonly BakingLine[];
  readonly old: boolean;
  readonly crumbly: boolean;
}

export type Warning =
  | { readonly kind: 'feature'; readonly mm: Mm; readonly material: number; readonly at: readonly [number, number] }
  /**
   * `deltaE` as clay, `seen` by the eye at the width `mm` that the narrower of the two has; `below`: stripes
   * narrower than this run together, null: at any width
   */
  | {
      readonly kind: 'together';
      readonly one: number;
      readonly other: number;
      readonly deltaE: number;
      readonly seen: number;
      readonly mm: Mm;
      readonly below: Mm | null;
    }
  | { readonly kind: 'thin wall'; readonly material: number; readonly mm: Mm; readonly hides: Mm }
  | { readonly kind: 'too thick'; readonly step: number; readonly mm: Mm }
  | { readonly kind: 'too thin'; readonly mm: Mm }
  | { readonly kind: 'lengths'; readonly step: number; readonly one: Mm; readonly other: Mm }
  | { readonly kind: 'air'; readonly step: number; readonly share: number }
  | { readonly kind: 'old'; readonly material: number }
  | { readonly kind: 'crumbly'; readonly material: number }
  | { readonly kind: 'bakes'; readonly lowest: number; readonly highest: number; readonly at: number };

/** `neighbours`: materials that lie side by side, by their numbers, the lower first */
export interface Features {
  readonly least: Mm;
  readonly material: number;
  readonly at: readonly [number, number];
  readonly byMaterial: ReadonlyMap<number, Mm>;
  readonly neighbours: readonly (readonly [number, number])[];
}

/** Places on each side of the tenth percentile whose widths are measured exactly; the middle one counts. */
const NEAR = 7;
/** How exactly an edge is found, as a share of a step of the map, and how many steps it is looked for. */
const [EXACT, FARTHEST] = [1 / 64, MAP];

/** mm from a place to where another material begins, one way: found by halves, so that the grid does not show. */
function reachTo(
  { sample }: Pick<CaneState, 'sample'>,
  edge: Float64Array,
  index: number,
  [x, y]: readonly [number, number],
  [dx, dy]: readonly [number, number],
  step: Mm,
): Mm {
  const same = (far: Mm): boolean => {
    const [px, py] = [x + dx * far, y + dy * far];
    return beyond(edge, px, py) <= 1 && Math.floor(sample(px, py)) === index;
  };
  let low = 0;
  for (let n = 1; n <= FARTHEST && same(n * step); n++) low = n * step;
  let high = low + step;
  while (high - low > step * EXACT) {
    const middle = (low + high) / 2;
    if (same(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The shorter of the widths of a material through a place, across and up. */
function widthAt(
  state: Pick<CaneState, 'sample'>,
  edge: Float64Array,
  index: number,
  at: readonly [number, number],
  step: Mm,
): Mm {
  const through = (dx: number, dy: number): Mm =>
    reachTo(state, edge, index, at, [dx, dy], step) + reachTo(state, edge, index, at, [-dx, -dy], step);
  return Math.min(through(1, 0), through(0, 1));
}

/** Longer than any run: what reaches the edge of the face where only what lies between others counts. */
const NOT_BETWEEN = 2 * MAP;

/**
 * How long a run of one material is, at each place of a map, along one of its axes.
 * @param step to the next place @param between runs that reach the edge of the face do not count
 */
function runsAlong(values: Float32Array, lines: number, step: number, between: boolean): Uint16Array {
  const runs = new Uint16Array(MAP * MAP);
  const index = (place: number): number => Math.floor(values[place] as number);
  for (let line = 0; line < MAP; line++) {
    const from = line * lines;
    for (let k = 0; k < MAP;) {
      const own = index(from + k * step);
      let end = k + 1;
      while (end < MAP && index(from + end * step) === own) end++;
      const atEdge = k === 0 || end === MAP || index(from + (k - 1) * step) < 0 || index(from + end * step) < 0;
      const length = between && atEdge ? NOT_BETWEEN : end - k;
      for (let i = k; i < end; i++) runs[from + i * step] = length;
      k = end;
    }
  }
  return runs;
}

interface Run {
  readonly length: number;
  readonly place: number;
}

/** Only every so many places are looked at. */
const EVERY = 3;

/** The shorter of the runs across and up through places of a map, by material. */
function runsIn(values: Float32Array, between: boolean): ReadonlyMap<number, Run[]> {
  const [rows, columns] = [runsAlong(values, MAP, 1, between), runsAlong(values, 1, MAP, between)];
  const runs = new Map<number, Run[]>();
  for (let place = 0; place < values.length; place += EVERY) {
    const index = Math.floor(values[place] as number);
    if (index < 0) continue;
    const length = Math.min(rows[place] as number, columns[place] as number);
    if (length === NOT_BETWEEN) continue;
    const list = runs.get(index) ?? [];
    list.push({ length, place });
    runs.set(index, list);
  }
  return runs;
}

/** A material in fewer places is none that anybody sees. */
const FEWEST = 12;

/** Where a material is narrow: about the tenth percentile of its runs. */
function narrowPlaces(list: readonly Run[]): readonly number[] {
  const sorted = [...list].sort((a, b) => a.length - b.length);
  const tenth = Math.floor(sorted.length / 10);
  return sorted.slice(Math.max(0, tenth - NEAR), tenth + NEAR + 1).map((run) => run.place);
}

/**
 * The narrowest thing of each material in a face: the tenth percentile of
 * the shorter of its runs across and up, through every place of a map.
 * @param between only what lies between other things counts, as walls do, and not what reaches the edge
 */
export function featuresOf(state: Pick<CaneState, 'outline' | 'sample'>, between = false): Features {
  const { frame, values } = mapOf(state, MAP);
  const placeAt = (place: number): readonly [number, number] => [
    frame.left + (place % MAP) * frame.mm,
    frame.top - Math.floor(place / MAP) * frame.mm,
  ];
  const edge = reachOf(state.outline);
  const byMaterial = new Map<number, Mm>();
  let [least, material, where] = [Infinity, -1, 0];
  for (const [index, list] of runsIn(values, between)) {
    if (list.length < FEWEST) continue;
    const exact = narrowPlaces(list)
      .map((place) => ({ place, mm: widthAt(state, edge, index, placeAt(place), frame.mm) }))
      .sort((a, b) => a.mm - b.mm);
    const { mm, place } = exact[Math.floor(exact.length / 2)] as { mm: Mm; place: number };
    byMaterial.set(index, mm);
    if (mm < least) [least, material, where] = [mm, index, place];
  }
  return { least, material, byMaterial, neighbours: neighboursIn(values), at: placeAt(where) };
}

function neighboursIn(values: Float32Array): readonly (readonly [number, number])[] {
  const pairs = new Map<string, readonly [number, number]>();
  for (let place = 0; place < values.length - MAP; place++) {
    const index = Math.floor(values[place] as number);
    if (index < 0) continue;
    for (const next of [place + 1, place + MAP]) {
      const other = Math.floor(values[next] as number);
      if (other < 0 || index === other || ((place + 1) % MAP === 0 && next === place + 1)) continue;
      const pair = index < other ? ([index, other] as const) : ([other, index] as const);
      pairs.set(pair.join(), pair);
    }
  }
  return [...pairs.values()];
}

/**
 * Gaps between round rods before they are squeezed, as a share of the bundle: of rods of one size, those of the
 * closest packing.
 */
const AIR = 1 - Math.PI / Math.sqrt(12);

/** Lengths that differ by less than this share meet. */
const MEET = 0.03;

/** Whether a cane is as long as it is whatever is wanted of it: it lies there ready, or is reduced to a length. */
const isFixed = (steps: readonly StepResult[]): boolean =>
  steps.some(
    ({ step }) => ('made' in step && step.made !== undefined) || (step.do === 'reduce' && step.to === 'length'),
  );

/** How long a cane is that a step takes in, where it cannot be made as long as the row; all others are made to fit. */
function otherLength(step: Step, before: CaneState, context: CaneContext): Mm | undefined {
  // what is set in is reduced to its hole first, and longer then
  return usesOf(step, before, context)
    .filter(({ part }) => isFixed(partResults(part, context)))
    .map((use) => use.state.length / use.longer)
    .find((length) => Math.abs(length / before.length - 1) > MEET);
}

function ofSteps(results: readonly StepResult[], context: CaneContext): Warning[] {
  const found: Warning[] = [];
  let thickest: Warning | null = null;
  results.forEach(({ step, state }, i) => {
    const before = results[i - 1]?.state;
    if (!state) return;
    const across = diameterOf(state.outline);
    if (across > TOO_THICK && !(thickest && 'mm' in thickest && thickest.mm >= across))
      thickest = { kind: 'too thick', step: i + 1, mm: across };
    if (kindOf(step).rods) found.push({ kind: 'air', step: i + 1, share: AIR });
    const other = before && otherLength(step, before, context);
    if (before && other) found.push({ kind: 'lengths', step: i + 1, one: before.length, other });
  });
  return thickest ? [thickest, ...found] : found;
}

/** What hides less than this is a wall between panes, and no pane itself, mm. */
const WALL: Mm = 1;

/** Where the walls of a cane of glass begin to bleed: colour of the panes shows through them. */
export interface StopLine {
  /** of the wall that bleeds first */
  readonly material: number;
  /** how wide it is now, and how wide it has to be */
  readonly mm: Mm;
  readonly hides: Mm;
  /** across the cane now, and where that wall begins to bleed */
  readonly across: Mm;
  readonly at: Mm;
}

/**
 * The size at which the first wall of a cane of glass begins to bleed: walls get narrower with the whole. Null where
 * there are no walls, or nothing else.
 */
function stopLineOf(final: CaneState, materials: readonly (JudgedMaterial | undefined)[]): StopLine | null {
  const { byMaterial } = featuresOf(final, true);
  const across = acrossOf(final.outline);
  const used = [...final.amounts.keys()];
  const all = [...byMaterial].flatMap(([material, mm]) => {
    const hides = materials[material]?.hides;
    return hides === undefined ? [] : [{ material, mm, hides, across, at: (across * hides) / mm }];
  });
  const walls = all.filter(({ hides }) => hides < WALL).sort((a, b) => b.at - a.at);
  const panes = used.some((material) => (materials[material]?.hides ?? 0) >= WALL);
  return panes ? (walls[0] ?? null) : null;
}

/** What is seen to be wrong, or to be near, on the face of a cane. */
export interface Judgement {
  readonly warnings: readonly Warning[];
  readonly features: Features | null;
  /** of a cane that is meant as glass */
  readonly stop: StopLine | null;
}

/**
 * What will go wrong with a cane at its final size, worst first, and the features of its face that this was seen by.
 * Where it is meant as glass, walls that bleed are no mistake: there it says where they begin to.
 * @param materials by their numbers @param context that the steps were worked out with
 */
export function judge(
  results: readonly StepResult[],
  materials: readonly (JudgedMaterial | undefined)[],
  context: CaneContext,
  meant?: Meant,
): Judgement {
  const final = results.findLast((r) => r.state)?.state;
  if (!final) return { warnings: [], features: null, stop: null };
  const found: Warning[] = [];
  const features = featuresOf(final);
  if (features.least < 2 * EYE)
    found.push({ kind: 'feature', mm: features.least, material: features.material, at: features.at });
  for (const [one, other] of features.neighbours) {
    const [a, b] = [materials[one], materials[other]];
    if (!a || !b) continue;
    const mm = Math.min(features.byMaterial.get(one) ?? Infinity, features.byMaterial.get(other) ?? Infinity);
    if (!Number.isFinite(mm)) continue;
    const seen = seenDifference(a.lab, b.lab, mm);
    const { deltaE, runTogetherBelow } = apart(a.lab, b.lab);
    if (seen < TOLD_APART) found.push({ kind: 'together', one, other, deltaE, seen, mm, below: runTogetherBelow });
  }
  for (const [index, mm] of features.byMaterial) {
    const material = materials[index];
    if (material && meant !== 'glass' && mm < THIN_WALL && mm < material.hides)
      found.push({ kind: 'thin wall', material: index, mm, hides: material.hides });
  }
  found.push(...ofSteps(results, context));
  if (diameterOf(final.outline) < TOO_THIN) found.push({ kind: 'too thin', mm: diameterOf(final.outline) });
  const used = [...final.amounts.keys()];
  for (const index of used) {
    const material = materials[index];
    if (material?.crumbly) found.push({ kind: 'crumbly', material: index });
    else if (material?.old) found.push({ kind: 'old', material: index });
  }
  const bakes = used.flatMap((index) => materials[index]?.bakes ?? []);
  const wanted = bakes.map(wishedC);
  const together = bakedTogether(bakes);
  if (together.compromise)
    found.push({ kind: 'bakes', lowest: Math.min(...wanted), highest: Math.max(...wanted), at: together.celsius });
  const stop = meant === 'glass' ? stopLineOf(final, materials) : null;
  return { warnings: found, features, stop };
}
