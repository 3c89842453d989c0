import type { Mm } from '#core/units';
import { AIR, once, type Body, type Field } from './body.js';
import { ENDS, flowTable, found, lookedUp, type FlowTable } from './flow.js';
import { Grid, before } from './near.js';

/** A ball pressed in: its middle, and how deep. */
export interface Dent {
  readonly x: Mm;
  readonly y: Mm;
  readonly radius: Mm;
  readonly depth: Mm;
}

/** What is not pressed down is squeezed; nothing is squeezed to less than this share. */
const MOST_PRESSED = 0.92;
/** How wide a dent is at the top, at the least, as a share of its ball: a hair of a dent still draws clay along. */
const LEAST_WIDE = 0.35;

/** Half the width of a dent where it meets the top: what its ball cuts out of the plane. */
export function halfWidth({ radius, depth }: Pick<Dent, 'radius' | 'depth'>): Mm {
  if (depth >= radius) return radius;
  return Math.max(LEAST_WIDE * radius, Math.sqrt(depth * (2 * radius - depth)));
}

/** Dents as they are asked for at each pixel: numbers side by side. */
interface Prepared {
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** one over the square of how far something moves */
  readonly inverse: Float64Array;
  /** share of the height that is pressed down in the middle */
  readonly pressed: Float64Array;
  readonly tables: readonly FlowTable[];
  readonly grid: Grid;
}

/** Depths are told apart to this share of the height: so many tables at the most. */
const FINE = 25;

function prepared(dents: readonly Dent[], body: Body, shut: boolean): Prepared {
  const reach = dents.map((d) => halfWidth(d) * Math.sqrt(ENDS));
  const exact = dents.map((d) => Math.min(MOST_PRESSED, d.depth / body.thick));
  const pressed = shut ? exact.map((share) => Math.max(1, Math.round(share * FINE)) / FINE) : exact;
  return {
    x: Float64Array.from(dents, (d) => d.x),
    y: Float64Array.from(dents, (d) => d.y),
    inverse: Float64Array.from(reach, (r) => 1 / (r * r)),
    pressed: Float64Array.from(pressed),
    tables: shut ? pressed.map((share) => flowTable(share, 0, true, true)) : [],
    grid: new Grid(
      body,
      dents.map((d, i) => (x, y) => Math.hypot(x - d.x, y - d.y) - (reach[i] as number)),
    ),
  };
}

/**
 * The field after dents, pressed one after the other: the last is carried back first. The column at a distance is
 * squeezed by a share, and the clay flows outwards as that asks, `r₀² = ∫ 2ρ (1 − e(ρ)) dρ`, in closed form.
 */
function opened({ field, thick, shut }: Body, dents: Prepared): Field {
  // what is open already knows where its air is
  const highest = shut ? Infinity : thick;
  const { grid } = dents;
  return (x, y, z) => {
    let list = grid.at(x, y);
    for (let k = 0; k < list.length; k++) {
      const one = list[k] as number;
      const dx = x - (dents.x[one] as number);
      const dy = y - (dents.y[one] as number);
      const share = (dx * dx + dy * dy) * (dents.inverse[one] as number);
      if (share >= 1) continue;
      const pressed = dents.pressed[one] as number;
      const rest = 1 - share;
      const cube = rest * rest * rest;
      z /= 1 - pressed * cube * (1 - 5 * share);
      const out = Math.sqrt(1 - pressed * cube * rest);
      x = x - dx + dx * out;
      y = y - dy + dy * out;
      const next = grid.at(x, y);
      if (next === list) continue;
      // it moved to other neighbours: on with those that were pressed before this one
      list = next;
      k = before(list, one) - 1;
    }
    return z > highest ? AIR : field(x, y, z);
  };
}

/** The same pressed shut: the top stays flat, and its skin is drawn down over what was pressed in. */
function closed({ field, thick }: Body, dents: Prepared): Field {
  const { grid, tables } = dents;
  return (x, y, z) => {
    let list = grid.at(x, y);
    for (let k = 0; k < list.length; k++) {
      const one = list[k] as number;
      const dx = x - (dents.x[one] as number);
      const dy = y - (dents.y[one] as number);
      const share = (dx * dx + dy * dy) * (dents.inverse[one] as number);
      if (share >= 1) continue;
      lookedUp(tables[one] as FlowTable, Math.sqrt(share), z / thick);
      z = found.height * thick;
      const out = Math.sqrt(found.ratio);
      x = x - dx + dx * out;
      y = y - dy + dy * out;
      const next = grid.at(x, y);
      if (next === list) continue;
      list = next;
      k = before(list, one) - 1;
    }
    return field(x, y, z);
  };
}

/** A body after dents; its volumes are as before. */
export function withDents(body: Body, dents: readonly Dent[]): Body {
  return {
    ...body,
    field: opened(body, prepared(dents, body, false)),
    shut: once(() => {
      const flat = body.shut?.() ?? body;
      return { ...flat, field: closed(flat, prepared(dents, flat, true)) };
    }),
  };
}
