import type { Mm } from '#core/units';
import { beyond, reachOf, type Outline } from '#core/cane';
import { AIR, once, type Body, type Field } from './body.js';
import { ENDS, flowTable, found, lookedUp, type FlowTable } from './flow.js';
import { Grid, before, type Away } from './near.js';
import { sine } from './rounds.js';

/** How far beside a blade clay is dragged along, mm: an assumption. */
export const DRAGGED_WIDE: Mm = 1;
/** How deep it is dragged, as a share of how deep the blade goes: an assumption. */
export const DRAGGED_DEEP = 0.5;

/** A cut along a line, straight or in waves. */
export interface LineCut {
  readonly x: Mm;
  readonly y: Mm;
  /** of its direction, counterclockwise from the right */
  readonly degrees: number;
  readonly length: Mm;
  /** of the waves, from the middle; 0: straight */
  readonly swing: Mm;
  readonly wave: Mm;
}
/** A cut along an outline that is pressed in. */
export interface OutlineCut {
  readonly x: Mm;
  readonly y: Mm;
  readonly outline: Outline;
}
export type Cut = LineCut | OutlineCut;

/** A place that is being carried back. */
interface Place {
  x: Mm;
  y: Mm;
  z: Mm;
}

/** Lines in numbers side by side: they are asked for at each pixel. */
interface Lines {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly cos: Float64Array;
  readonly sin: Float64Array;
  readonly half: Float64Array;
  readonly swing: Float64Array;
  readonly number: Float64Array;
}

function linesOf(cuts: readonly Cut[]): Lines {
  const each = (of: (line: LineCut) => number): Float64Array =>
    Float64Array.from(cuts, (cut) => ('outline' in cut ? 0 : of(cut)));
  return {
    x: each((l) => l.x),
    y: each((l) => l.y),
    cos: each((l) => Math.cos((l.degrees * Math.PI) / 180)),
    sin: each((l) => Math.sin((l.degrees * Math.PI) / 180)),
    half: each((l) => l.length / 2),
    swing: each((l) => l.swing),
    number: each((l) => (2 * Math.PI) / Math.max(1e-6, l.wave)),
  };
}

/** Beyond this nothing beside a line moves, mm. */
const REACH: Mm = ENDS * DRAGGED_WIDE;

function awayFromLine({ x, y, degrees, length, swing }: LineCut): Away {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return (px, py) => {
    const [dx, dy] = [px - x, py - y];
    const across = Math.abs(dy * c - dx * s) - REACH - Math.abs(swing);
    return Math.max(across, Math.abs(dx * c + dy * s) - length / 2);
  };
}

const place: Place = { x: 0.5, y: 0.5, z: 0.5 };

/**
 * Along a line: how far along stays, what is across is carried back. Waves are a shear before and after, so that they
 * keep volume too.
 */
function alongLine(lines: Lines, one: number, table: FlowTable, thick: Mm): void {
  const c = lines.cos[one] as number;
  const s = lines.sin[one] as number;
  const dx = place.x - (lines.x[one] as number);
  const dy = place.y - (lines.y[one] as number);
  const along = dx * c + dy * s;
  const swing = lines.swing[one] as number;
  const off = swing === 0 ? 0 : swing * sine((lines.number[one] as number) * along);
  const across = dy * c - dx * s - off;
  const far = Math.abs(across) / REACH;
  if (far >= 1 || Math.abs(along) > (lines.half[one] as number)) return;
  lookedUp(table, far, place.z / thick);
  place.z = found.height * thick;
  const moved = across * (found.ratio - 1);
  place.x -= moved * s;
  place.y += moved * c;
}

/** An outline that is pressed in, as it is asked for. */
interface Ring {
  readonly x: Mm;
  readonly y: Mm;
  readonly reach: Float64Array;
  readonly far: Mm;
}

const ringOf = ({ x, y, outline }: OutlineCut): Ring => ({
  x,
  y,
  reach: reachOf(outline),
  far: Math.max(...outline.points.map(([px, py]) => Math.hypot(px, py))),
});

/**
 * Along an outline: in each direction from its middle by the squares of the distance, so that volume stays whatever
 * its shape.
 */
function alongRing({ x, y, reach }: Ring, table: FlowTable, thick: Mm): void {
  const dx = place.x - x;
  const dy = place.y - y;
  const out = beyond(reach, dx, dy);
  if (out < 1e-6) return;
  const squared = dx * dx + dy * dy;
  const edge = squared / (out * out);
  const radius = Math.sqrt(edge);
  // the side towards the middle is narrow where the outline is
  const wide = Math.min(DRAGGED_WIDE, radius / (2 * ENDS + 1));
  const across = (squared - edge) / (2 * radius);
  const share = Math.abs(across) / (ENDS * wide);
  if (share >= 1) return;
  lookedUp(table, share, place.z / thick);
  place.z = found.height * thick;
  const scale = Math.sqrt((edge + 2 * radius * across * found.ratio) / squared);
  place.x = x + dx * scale;
  place.y = y + dy * scale;
}

interface Blades {
  readonly lines: Lines;
  /** null: it is a line */
  readonly rings: readonly (Ring | null)[];
  readonly grid: Grid;
  readonly table: FlowTable;
}

function bladesOf(cuts: readonly Cut[], body: Body, table: FlowTable): Blades {
  const rings = cuts.map((c) => ('outline' in c ? ringOf(c) : null));
  const away = cuts.map((c, i): Away => {
    if (!('outline' in c)) return awayFromLine(c);
    const far = (rings[i]?.far ?? 0) + 2 * REACH;
    return (x, y) => Math.hypot(x - c.x, y - c.y) - far;
  });
  return { lines: linesOf(cuts), rings, grid: new Grid(body, away), table };
}

function cut({ field, thick, shut }: Body, { lines, rings, grid, table }: Blades): Field {
  // what is open already knows where its air is
  const highest = shut ? Infinity : thick;
  return (x, y, z) => {
    let list = grid.at(x, y);
    place.x = x;
    place.y = y;
    place.z = z;
    for (let k = 0; k < list.length; k++) {
      const one = list[k] as number;
      const ring = rings[one];
      if (ring) alongRing(ring, table, thick);
      else alongLine(lines, one, table, thick);
      const next = grid.at(place.x, place.y);
      if (next === list) continue;
      list = next;
      k = before(list, one) - 1;
    }
    return place.z > highest ? AIR : field(place.x, place.y, place.z);
  };
}

/**
 * A body after cuts that do not part it: clay beside the blade is dragged down with it.
 * @param depth of the blade; as deep as the body is thick: right through
 */
export function withCuts(body: Body, cuts: readonly Cut[], depth: Mm): Body {
  const under = (one: Body, shut: boolean): Field => {
    const { thick } = one;
    const strength = Math.min(0.9, (DRAGGED_DEEP * depth) / thick);
    const table = flowTable(strength, Math.max(0, 1 - depth / thick), shut, false);
    return cut(one, bladesOf(cuts, one, table));
  };
  return {
    ...body,
    field: under(body, false),
    shut: once(() => {
      const flat = body.shut?.() ?? body;
      return { ...flat, field: under(flat, true) };
    }),
  };
}
