import type { Mm } from '#core/units';
import { beyond, reachOf, type Outline } from '#core/cane';
import { AIR, type Body, type Field } from './body.js';
import { ENDS, flowTable, found, lookedUp, type FlowTable } from './flow.js';
import { nearGrid, type Away, type Grid } from './near.js';

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

interface Blade {
  readonly away: Away;
  /** carries a place back, where it is near enough */
  readonly back: (place: Place) => void;
}

/** A table for one side of a blade: what lies across counts from the blade. */
function sideways(table: FlowTable, thick: Mm, across: number, place: Place): number {
  const far = Math.abs(across) / (ENDS * DRAGGED_WIDE);
  if (far >= 1) return across;
  lookedUp(table, far, place.z / thick);
  place.z = found.height * thick;
  return across * found.ratio;
}

/**
 * Along a line: how far along stays, what is across is carried back. Waves are a shear before and after, so that they
 * keep volume too.
 */
function lineBlade({ x, y, degrees, length, swing, wave }: LineCut, table: FlowTable, thick: Mm): Blade {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const number = (2 * Math.PI) / Math.max(1e-6, wave);
  const reach = ENDS * DRAGGED_WIDE;
  const shear = (along: Mm): Mm => (swing === 0 ? 0 : swing * Math.sin(number * along));
  return {
    away: (px, py) => {
      const [dx, dy] = [px - x, py - y];
      const [along, across] = [dx * c + dy * s, dy * c - dx * s];
      return Math.max(Math.abs(across) - reach - Math.abs(swing), Math.abs(along) - length / 2);
    },
    back: (place) => {
      const [dx, dy] = [place.x - x, place.y - y];
      const along = dx * c + dy * s;
      if (Math.abs(along) > length / 2) return;
      const off = shear(along);
      const across = dy * c - dx * s;
      const before = off + sideways(table, thick, across - off, place);
      place.x = x + along * c - before * s;
      place.y = y + along * s + before * c;
    },
  };
}

/**
 * Along an outline: in each direction from its middle by the squares of the distance, so that volume stays whatever
 * its shape.
 */
function outlineBlade({ x, y, outline }: OutlineCut, table: FlowTable, thick: Mm): Blade {
  const reach = reachOf(outline);
  const far = Math.max(...outline.points.map(([px, py]) => Math.hypot(px, py)));
  return {
    away: (px, py) => Math.hypot(px - x, py - y) - far - 2 * ENDS * DRAGGED_WIDE,
    back: (place) => {
      const [dx, dy] = [place.x - x, place.y - y];
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
    },
  };
}

const place: Place = { x: 0, y: 0, z: 0 };

function cut({ field: before, thick, shut }: Body, blades: readonly Blade[], grid: Grid): Field {
  // what is open already knows where its air is
  const highest = shut ? Infinity : thick;
  return (x, y, z) => {
    let list = grid.at(x, y);
    place.x = x;
    place.y = y;
    place.z = z;
    for (let k = 0; k < list.length; k++) {
      const at = list[k] as number;
      (blades[at] as Blade).back(place);
      const next = grid.at(place.x, place.y);
      if (next !== list) {
        list = next;
        k = grid.after(list, at) - 1;
      }
    }
    return place.z > highest ? AIR : before(place.x, place.y, place.z);
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
    const blades = cuts.map((c) => ('outline' in c ? outlineBlade(c, table, thick) : lineBlade(c, table, thick)));
    const grid = nearGrid(
      one,
      blades.map((b) => b.away),
    );
    return cut(one, blades, grid);
  };
  return {
    ...body,
    field: under(body, false),
    shut: () => {
      const before = body.shut?.() ?? body;
      return { ...before, field: under(before, true) };
    },
  };
}
