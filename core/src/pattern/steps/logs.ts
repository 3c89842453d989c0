import { LENGTH, list, material, object } from '#core/document';
import {
  beyond,
  bundleCells,
  circle,
  outlineOf,
  reachOf,
  scaled,
  sunflower,
  areaOf,
  type MaterialKey,
  type Point,
} from '#core/cane';
import { FADE, type Body, type Field, type Volumes } from '#core/pattern/body';
import { MOST_OF, type Doing } from '#core/pattern/document';
import type { Mm } from '#core/units';
import type { BeginKind, PatternContext } from './kind.js';
import { numberOf, positive, tidy } from './measure.js';

export interface OneLog {
  readonly of: MaterialKey;
  readonly diameter: Mm;
}
/** Logs of any width laid together to a rope, and pressed round. Of a blend the fade runs along it. */
export interface Logs extends Doing<'logs'> {
  readonly logs: readonly OneLog[];
  readonly length: Mm;
}

const areaOfLog = ({ diameter }: OneLog): number => (Math.PI * diameter * diameter) / 4;
/** How far out logs lie at first, as a share of the radius. */
const OUT = 0.8;
/** Squares across the face that each know the logs which touch them. */
const SIDE = 128;

interface Cell {
  readonly x: number;
  readonly y: number;
  readonly reach: Float64Array;
}

/** Which log lies at a place across the rope. */
function cellAt(logs: readonly OneLog[], diameter: Mm): (x: Mm, y: Mm) => number {
  if (logs.length === 1) return () => 0;
  const disc = circle(diameter);
  const whole = logs.reduce((sum, l) => sum + areaOfLog(l), 0);
  const outline = scaled(disc, Math.sqrt(whole / areaOf(disc)));
  const places = sunflower(logs.length).map(([x, y]): Point => [(x * OUT * diameter) / 2, (y * OUT * diameter) / 2]);
  const cells = bundleCells(outline, logs.map(areaOfLog), places).map((points): Cell => {
    const { outline: edge, moved } = outlineOf(points);
    return { x: moved[0], y: moved[1], reach: reachOf(edge) };
  });
  const out = (n: number, x: Mm, y: Mm): number => {
    const { x: cx, y: cy, reach } = cells[n] as Cell;
    return beyond(reach, x - cx, y - cy);
  };
  const nearestOf = (among: ArrayLike<number>, x: Mm, y: Mm): number => {
    let [best, least] = [0, Infinity];
    for (let k = 0; k < among.length; k++) {
      const far = out(among[k] as number, x, y);
      if (far < least) [best, least] = [among[k] as number, far];
      if (far <= 1) break;
    }
    return best;
  };
  return squared(diameter, cells.length, nearestOf);
}

/** Squares that lie wholly in one cell answer at once; the others ask those that they touch. */
function squared(
  diameter: Mm,
  count: number,
  nearestOf: (among: ArrayLike<number>, x: Mm, y: Mm) => number,
): (x: Mm, y: Mm) => number {
  const all = Array.from({ length: count }, (_, n) => n);
  const by = SIDE / diameter;
  const corner = (i: number): Mm => i / by - diameter / 2;
  const squares = Array.from({ length: SIDE * SIDE }, (_, n) => {
    const [i, j] = [n % SIDE, Math.floor(n / SIDE)];
    const touched = new Set<number>();
    for (const u of [-0.2, 0.2, 0.5, 0.8, 1.2])
      for (const v of [-0.2, 0.2, 0.5, 0.8, 1.2]) touched.add(nearestOf(all, corner(i + u), corner(j + v)));
    return Int16Array.from(touched);
  });
  const at = (mm: Mm): number => Math.min(SIDE - 1, Math.max(0, ((mm + diameter / 2) * by) | 0));
  return (x, y) => {
    const near = squares[at(y) * SIDE + at(x)] as Int16Array;
    return near.length === 1 ? (near[0] as number) : nearestOf(near, x, y);
  };
}

function volumesOf({ logs, length }: Logs, context: PatternContext): Volumes {
  const volumes = new Map<number, number>();
  for (const log of logs) {
    const number = numberOf(context, log.of);
    volumes.set(number, (volumes.get(number) ?? 0) + areaOfLog(log) * length);
  }
  return volumes;
}

export const logs: BeginKind<Logs> = {
  fields: { logs: list(object({ of: material, diameter: LENGTH }), 1, MOST_OF), length: LENGTH },
  starts: ({ logs: all, length }) =>
    all.map((log) => ({ what: 'log', of: log.of, volume: areaOfLog(log) * length, sizes: [log.diameter, length] })),
  times: (step, factor) => ({ ...step, length: tidy(step.length * factor) }),
  begin: (step, context): Body => {
    const length = positive(step.length, 'The length');
    for (const log of step.logs) positive(log.diameter, 'The log');
    const diameter = 2 * Math.sqrt(step.logs.reduce((sum, l) => sum + areaOfLog(l), 0) / Math.PI);
    const numbers = step.logs.map(({ of }) => numberOf(context, of));
    const fades = step.logs.map(({ of }) => of.startsWith('blend:') && !of.includes('@'));
    const cell = cellAt(step.logs, diameter);
    const field: Field = (x, y, z) => {
      const n = cell(x, y);
      const number = numbers[n] as number;
      return fades[n] ? number + FADE * Math.min(1, Math.max(0, z / length)) : number;
    };
    const volumes = volumesOf(step, context);
    return {
      form: 'rope',
      round: true,
      width: diameter,
      height: diameter,
      thick: length,
      field,
      count: 1,
      volumes: () => volumes,
      specks: [],
    };
  },
};
