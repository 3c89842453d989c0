import type { CaneState, Outline } from '#core/cane';
import { within, type Body } from '#core/pattern/body';
import type { Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { Along } from './roll.js';
import { turnOf, type PlacedSlice, type SliceOf, type SlicesTurned } from './slices.js';

export const INLAID = ['rows', 'offset', 'ring', 'scattered', 'by hand'] as const;

/** Slices of canes laid on the sheet there is, pressed in and rolled: where one lies it is thicker, and grows more. */
export interface Inlay extends Doing<'inlay'> {
  readonly slices: readonly SliceOf[];
  readonly laid: (typeof INLAID)[number];
  /** in rows and offset; of a ring and scattered the columns times the rows are how many */
  readonly columns: number;
  readonly rows: number;
  readonly turned: SlicesTurned;
  readonly places?: readonly PlacedSlice[];
  readonly seed: number;
  readonly to: Mm;
  readonly along: Along;
}

/** Places that are tried for each that chance lays; the one farthest from the others is taken. */
const TRIES = 24;
/** Of a ring: how far from the middle it lies, as a share of half the shorter side. */
const RING = 0.6;

export type Plan = Pick<Body, 'round' | 'width' | 'height'>;
type Place = readonly [x: Mm, y: Mm];

/** A place in rows, or with every other row shifted. */
function inRow(k: number, { width, height }: Plan, { columns, rows, laid }: Inlay): Place {
  const [column, row] = [k % columns, Math.floor(k / columns)];
  const to = row % 2 === 0 ? -0.25 : 0.25;
  const shift = laid === 'offset' && rows > 1 ? to : 0;
  return [((column + 0.5 + shift) / columns - 0.5) * width, ((row + 0.5) / rows - 0.5) * height];
}

function inRing(k: number, count: number, { width, height }: Plan): Place {
  const radius = (RING * Math.min(width, height)) / 2;
  const angle = (2 * Math.PI * k) / count + Math.PI / 2;
  return [radius * Math.cos(angle), radius * Math.sin(angle)];
}

/** Spread by chance, as far from each other as a few tries find (D. Mitchell, 1991), and none over the edge. */
function scattered(plan: Plan, count: number, far: Mm, chance: () => number): Place[] {
  const inner = { ...plan, width: Math.max(0.01, plan.width - 2 * far), height: Math.max(0.01, plan.height - 2 * far) };
  const places: Place[] = [];
  while (places.length < count) {
    let [best, most]: [Place, number] = [[0, 0], -1];
    for (let n = 0; n < TRIES; n++) {
      const [x, y] = [(chance() - 0.5) * inner.width, (chance() - 0.5) * inner.height];
      if (!within(inner, x, y)) continue;
      const away = Math.min(plan.width, ...places.map(([px, py]) => Math.hypot(px - x, py - y)));
      if (away > most) [best, most] = [[x, y], away];
    }
    places.push(best);
  }
  return places;
}

export const countOf = ({ laid, columns, rows, places = [] }: Inlay): number =>
  laid === 'by hand' ? places.length : columns * rows;

/** Which kind each slice is of. */
export function kindsOf(step: Inlay): number[] {
  const { slices, laid, columns, places = [] } = step;
  if (laid === 'by hand') return places.map((p) => Math.min(p.kind, slices.length - 1));
  const inRows = laid === 'rows' || laid === 'offset';
  return Array.from({ length: countOf(step) }, (_, k) => {
    const turn = inRows ? (k % columns) + Math.floor(k / columns) : k;
    return turn % slices.length;
  });
}

/** mm from the middle of an outline to its farthest place. */
export const farthestOf = ({ points }: Outline): Mm => Math.max(...points.map(([x, y]) => Math.hypot(x, y)));

/** Where every slice is laid down, before hands miss the place. */
export function placesOf(
  plan: Plan,
  step: Inlay,
  faces: readonly CaneState[],
  chance: () => number,
): readonly PlacedSlice[] {
  const { laid, places = [], slices } = step;
  const kinds = kindsOf(step);
  const count = kinds.length;
  if (laid === 'by hand')
    return places.map((p, i) => ({
      ...p,
      kind: kinds[i] as number,
      degrees: p.degrees + (slices[kinds[i] as number]?.degrees ?? 0),
    }));
  const far = Math.max(...faces.map((f) => farthestOf(f.outline)));
  const chosen = laid === 'scattered' ? scattered(plan, count, far, chance) : [];
  return kinds.map((kind, k) => {
    const [x, y] = chosen[k] ?? (laid === 'ring' ? inRing(k, count, plan) : inRow(k, plan, step));
    // in a ring each looks outwards
    const outwards = laid === 'ring' ? (360 * k) / count : 0;
    return { kind, x, y, degrees: (slices[kind] as SliceOf).degrees + turnOf(step.turned, k, chance) + outwards };
  });
}
