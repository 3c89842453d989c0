import type { Mm } from '#core/units';
import { AIR, type Body, type Field } from './body.js';
import { ENDS, flowTable, found, lookedUp, pressedAt, type FlowTable } from './flow.js';
import { nearGrid, type Grid } from './near.js';

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

interface Prepared extends Pick<Dent, 'x' | 'y'> {
  /** mm beyond which nothing moves, and one over its square */
  readonly reach: Mm;
  readonly inverse: number;
  /** share of the height that is pressed down in the middle */
  readonly pressed: number;
  readonly table: FlowTable | null;
}

/** Depths are told apart to this share of the height: so many tables at the most. */
const FINE = 40;

function prepared(dent: Dent, thick: Mm, shut: boolean): Prepared {
  const half = halfWidth(dent);
  const reach = half * Math.sqrt(ENDS);
  const exact = Math.min(MOST_PRESSED, dent.depth / thick);
  const pressed = shut ? Math.max(1, Math.round(exact * FINE)) / FINE : exact;
  const table = shut ? flowTable(pressed, 0, true, true) : null;
  return { x: dent.x, y: dent.y, reach, inverse: 1 / (reach * reach), pressed, table };
}

/**
 * The field after dents, pressed one after the other: the last is carried back first. Open: the column at a distance is
 * squeezed by a share, and the clay flows outwards as that asks, `r₀² = ∫ 2ρ (1 − e(ρ)) dρ`, in closed form. Shut: the
 * top stays flat, and its skin is drawn down over what was pressed in.
 */
function dented({ field: before, thick, shut }: Body, dents: readonly Prepared[], grid: Grid): Field {
  // what is open already knows where its air is
  const highest = shut ? Infinity : thick;
  const scale = 1 / thick;
  return (x, y, z) => {
    let list = grid.at(x, y);
    for (let k = 0; k < list.length; k++) {
      const dent = dents[list[k] as number] as Prepared;
      const dx = x - dent.x;
      const dy = y - dent.y;
      const share = (dx * dx + dy * dy) * dent.inverse;
      if (share >= 1) continue;
      let ratio: number;
      if (dent.table) {
        lookedUp(dent.table, Math.sqrt(share), z * scale);
        ratio = found.ratio;
        z = found.height * thick;
      } else {
        const rest = (1 - share) ** 4;
        ratio = 1 - dent.pressed * rest;
        z /= 1 - dent.pressed * pressedAt(share * ENDS);
      }
      const out = Math.sqrt(ratio);
      x = dent.x + dx * out;
      y = dent.y + dy * out;
      const next = grid.at(x, y);
      // it moved to other neighbours: on with those that were pressed before this one
      if (next !== list) {
        const at = list[k] as number;
        list = next;
        k = grid.after(list, at) - 1;
      }
    }
    return z > highest ? AIR : before(x, y, z);
  };
}

/** A body after dents; its volumes are as before. */
export function withDents(body: Body, dents: readonly Dent[]): Body {
  const under = (one: Body, shut: boolean): Field => {
    const all = dents.map((dent) => prepared(dent, one.thick, shut));
    const grid = nearGrid(
      one,
      all.map((d) => (x, y) => Math.hypot(x - d.x, y - d.y) - d.reach),
    );
    return dented(one, all, grid);
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
