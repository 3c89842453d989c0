import { complaint, inBoth, seeded, showLength } from '#core/units';
import { acrossOf } from './across.js';
import { positive } from './begin.js';
import { bundleCells, sunflower, type Cell } from './cells.js';
import { beyond, reachOf } from './direction.js';
import { areaOf, diameterOf, extentOf, outlineOf, rectangle, scaled, type Outline, type Point } from './outline.js';
import { pressedTo } from './shaping.js';
import { shapeOutline } from './shapes.js';
import type { Then } from './program.js';
import { measured, sumOf, type CaneContext, type CaneState, type Sampler, type Unspoilt } from './state.js';

type Of<K extends Then['do']> = Extract<Then, { do: K }>;
/** `parts`: the other canes of the step, in its order, worked out. */
type Join<K extends Then['do']> = (
  state: CaneState,
  step: Of<K>,
  parts: readonly CaneState[],
  context: CaneContext,
) => Unspoilt;

function whole(value: number, what: string, low: number, high: number): number {
  if (!Number.isInteger(value) || value < low || value > high) throw complaint('cane/count', { what, low, high });
  return value;
}

/** Uses up so many pieces; what was not used stays aside. */
function using(state: CaneState, needed: number): number {
  if (state.count < needed) throw complaint('cane/pieces', { needed, have: state.count });
  return Math.floor(state.count / needed);
}

const lengthOf = (states: readonly CaneState[]): number => Math.min(...states.map((s) => s.length));
const reductionsOf = (states: readonly CaneState[]): number => Math.max(...states.map((s) => s.reductions));

/** A rectangle, square to the axes. */
function boxOf({ outline }: CaneState): { readonly width: number; readonly height: number } | null {
  const { width, height } = extentOf(outline);
  return outline.points.length <= 8 && Math.abs((width * height) / areaOf(outline) - 1) < 1e-6
    ? { width, height }
    : null;
}

const around = (x: number, y: number, quarter: number): readonly [number, number] => {
  switch (quarter & 3) {
    case 0:
      return [x, y];
    case 1:
      return [y, -x];
    case 2:
      return [-x, -y];
    default:
      return [-y, x];
  }
};

/** How many squares of a grid each cane fills, the row's own first: they take turns like the squares of a board. */
export function gridUses({ rows, columns, others = [] }: Pick<Of<'grid'>, 'rows' | 'columns' | 'others'>): number[] {
  const uses = Array.from({ length: 1 + others.length }, () => 0);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) uses[(row + column) % uses.length]! += 1;
  return uses;
}

/** Pieces in rows and columns; with other canes, they take turns like the squares of a board. */
export const grid: Join<'grid'> = (state, step, parts) => {
  const { rows, columns, turns } = step;
  whole(rows, 'The number of rows', 1, 40);
  whole(columns, 'The number of columns', 1, 40);
  const kinds = [state, ...parts];
  const box = boxOf(state);
  if (!box) throw complaint('cane/straight');
  if (turns === 'quarter' && Math.abs(box.width / box.height - 1) > 1e-6) throw complaint('cane/quarter');
  const samplers = kinds.map((s) => s.sample);
  for (const part of parts) {
    const own = boxOf(part);
    if (!own) throw complaint('cane/straight');
    for (const side of ['width', 'height'] as const) {
      if (Math.abs(own[side] / box[side] - 1) > 0.005)
        throw complaint('cane/sides', {
          one: inBoth((u) => showLength(box[side], u)),
          other: inBoth((u) => showLength(own[side], u)),
        });
    }
  }
  const [w, h, W, H] = [box.width, box.height, box.width * columns, box.height * rows];
  const uses = gridUses(step);
  const sample: Sampler = (x, y) => {
    const column = Math.min(columns - 1, Math.max(0, Math.floor((x + W / 2) / w)));
    const row = Math.min(rows - 1, Math.max(0, Math.floor((y + H / 2) / h)));
    const [lx, ly] = [x + W / 2 - (column + 0.5) * w, y + H / 2 - (row + 0.5) * h];
    const inner = samplers[(row + column) % samplers.length] as Sampler;
    if (turns === 'none') return inner(lx, ly);
    if (turns === 'mirror') return inner(column % 2 === 1 ? -lx : lx, row % 2 === 1 ? -ly : ly);
    const [tx, ty] = around(lx, ly, turns === 'half' ? 2 * ((row + column) % 2) : row % 2 === 0 ? column : 3 - column);
    return inner(tx, ty);
  };
  const count = using(state, uses[0] ?? 1);
  return {
    outline: rectangle(W, H),
    length: lengthOf(kinds),
    count,
    sample,
    reductions: reductionsOf(kinds),
    amounts: sumOf(...kinds.map((s, k) => [s.amounts, uses[k] ?? 0] as const)),
  };
};

/** Wedges around the middle: each piece is pressed to a triangle first, whose tip comes to lie in the middle. */
export const pie: Join<'pie'> = (state, { count, mirrored, corner }) => {
  whole(count, 'The number of wedges', 3, 36);
  const half = Math.PI / count;
  // a triangle with its tip at the origin, opening to the right
  const tip: Point[] = [
    [0, 0],
    [Math.cos(half), -Math.sin(half)],
    [Math.cos(half), Math.sin(half)],
  ];
  const { outline, moved } = outlineOf(tip);
  // `corner` 0: what lies at the right goes outwards; half a turn: into the middle
  const wedge = pressedTo(state, outline, corner);
  const factor = Math.sqrt(areaOf(wedge.outline) / areaOf(outline));
  const inner = wedge.sample;
  const [mx, my] = [moved[0] * factor, moved[1] * factor];
  const sample: Sampler = (x, y) => {
    const angle = Math.atan2(y, x);
    const k = Math.round(angle / (2 * half));
    const [c, s] = [Math.cos(k * 2 * half), Math.sin(k * 2 * half)];
    const [px, py] = [x * c + y * s, y * c - x * s];
    return inner(px - mx, (mirrored && (k & 1) === 1 ? -py : py) - my);
  };
  const corners = Array.from({ length: count }, (_, i): Point => [
    factor * Math.cos((2 * i + 1) * half),
    factor * Math.sin((2 * i + 1) * half),
  ]);
  return {
    ...wedge,
    outline: outlineOf(corners).outline,
    sample,
    count: using(state, count),
    amounts: sumOf([state.amounts, count]),
  };
};

/** Two pieces along the flat side at the bottom: mirrored there, or one turned by half. */
export const pair: Join<'pair'> = (state, { turned }) => {
  const { bottom, height } = extentOf(state.outline);
  const base = state.outline.points.filter((p) => p[1] < bottom + 1e-6 * height);
  const [left, right] = [Math.min(...base.map((p) => p[0])), Math.max(...base.map((p) => p[0]))];
  if (base.length < 2 || right - left < 0.05 * height) throw complaint('cane/base');
  const middle = (left + right) / 2;
  const upper = state.outline.points.map(([x, y]): Point => [x - middle, y - bottom]);
  // counterclockwise from the right end of the base over the top to the left end
  const start = upper.findIndex(([x, y]) => Math.abs(x - (right - middle)) < 1e-9 && Math.abs(y) < 1e-9);
  const over = [...upper.slice(start), ...upper.slice(0, start)].filter(
    ([x, y]) => y > 1e-9 || Math.abs(Math.abs(x) - (right - left) / 2) < 1e-9,
  );
  const under =
    turned === 'half'
      ? over.slice(1, -1).map(([x, y]): Point => [-x, -y])
      : [...over.slice(1, -1)].reverse().map(([x, y]): Point => [x, -y]);
  const {
    outline,
    moved: [mx, my],
  } = outlineOf([...over, ...under]);
  const inner = state.sample;
  const sample: Sampler = (x, y) => {
    const [px, py] = [x + mx, y + my];
    return py >= 0
      ? inner(px + middle, py + bottom)
      : turned === 'half'
        ? inner(-px + middle, -py + bottom)
        : inner(px + middle, -py + bottom);
  };
  return { ...state, outline, sample, count: using(state, 2), amounts: sumOf([state.amounts, 2]) };
};

/** Each rod pressed into its cell; the cells fill the outline. */
function squeezed(
  rods: readonly CaneState[],
  outline: Outline,
  places: readonly Point[],
): Pick<CaneState, 'sample'> & { readonly cells: readonly Cell[] } {
  const cells = bundleCells(
    outline,
    rods.map((r) => areaOf(r.outline)),
    places,
  );
  const pressed = cells.map((cell, i) => {
    const { outline: edge, moved } = outlineOf(cell);
    const rod = rods[i] as CaneState;
    // the cell has the area of the rod to a fraction of a percent; what is left is stretched
    const fitted = pressedTo(rod, edge, 0);
    const factor = Math.sqrt(areaOf(fitted.outline) / areaOf(edge));
    return { x: moved[0], y: moved[1], factor, sample: fitted.sample, reach: reachOf(edge) };
  });
  const { left, bottom, width, height } = extentOf(outline);
  const SIDE = 48;
  // which cells touch each square of a coarse grid: only those are asked
  const near: number[][] = Array.from({ length: SIDE * SIDE }, () => []);
  cells.forEach((cell, i) => {
    const xs = cell.map((p) => Math.floor(((p[0] - left) / width) * SIDE));
    const ys = cell.map((p) => Math.floor(((p[1] - bottom) / height) * SIDE));
    for (let j = Math.max(0, Math.min(...ys)); j <= Math.min(SIDE - 1, Math.max(...ys)); j++) {
      for (let k = Math.max(0, Math.min(...xs)); k <= Math.min(SIDE - 1, Math.max(...xs)); k++)
        near[j * SIDE + k]?.push(i);
    }
  });
  const sample: Sampler = (x, y) => {
    const k = Math.min(SIDE - 1, Math.max(0, Math.floor(((x - left) / width) * SIDE)));
    const j = Math.min(SIDE - 1, Math.max(0, Math.floor(((y - bottom) / height) * SIDE)));
    let [best, least] = [pressed[0], Infinity];
    for (const i of near[j * SIDE + k] as number[]) {
      const cell = pressed[i] as (typeof pressed)[number];
      const out = beyond(cell.reach, x - cell.x, y - cell.y);
      if (out < least) [best, least] = [cell, out];
      if (out <= 1) break;
    }
    if (!best) return 0;
    // a hair outside of every cell, between two tables: onto the edge of the nearest
    const back = best.factor * (least > 1 ? 0.999 / least : 1);
    return best.sample((x - best.x) * back, (y - best.y) * back);
  };
  return { sample, cells };
}

/** Rods around one in the middle, squeezed together to a round cane. */
export const ring: Join<'ring'> = (state, { count, middle }, [inside]) => {
  whole(count, 'The number of rods', 3, 60);
  const rods = [...(middle && inside ? [inside] : []), ...Array.from({ length: count }, () => state)];
  const area = rods.reduce((sum, r) => sum + areaOf(r.outline), 0);
  const outline = shapeOutline({ shape: 'round' });
  const round = scaled(outline, Math.sqrt(area / areaOf(outline)));
  const radius = diameterOf(round) / 2;
  const places = [
    ...(middle && inside ? [[0, 0] as const] : []),
    ...Array.from({ length: count }, (_, i): Point => [
      0.72 * radius * Math.cos((2 * Math.PI * i) / count),
      0.72 * radius * Math.sin((2 * Math.PI * i) / count),
    ]),
  ];
  const { sample } = squeezed(rods, round, places);
  return {
    outline: round,
    length: lengthOf(rods),
    count: using(state, count),
    sample,
    reductions: reductionsOf(rods),
    amounts: sumOf(...rods.map((r) => [r.amounts, 1] as const)),
  };
};

/** Rods squeezed together without gaps, mixed by chance, to a shape. */
export const bundle: Join<'bundle'> = (state, { count, others = [], to, seed }, parts) => {
  whole(count, 'The number of rods', 1, 300);
  const rods = [
    ...Array.from({ length: count }, () => state),
    ...others.flatMap((o, k) =>
      Array.from({ length: whole(o.count, 'The number of rods', 0, 300) }, () => parts[k] as CaneState),
    ),
  ];
  whole(rods.length, 'The number of rods', 2, 300);
  const chance = seeded(seed);
  for (let i = rods.length - 1; i > 0; i--) {
    const j = Math.floor(chance() * (i + 1));
    [rods[i], rods[j]] = [rods[j] as CaneState, rods[i] as CaneState];
  }
  const area = rods.reduce((sum, r) => sum + areaOf(r.outline), 0);
  const shape = shapeOutline(to);
  const outline = scaled(shape, Math.sqrt(area / areaOf(shape)));
  const { width, height } = extentOf(outline);
  const places = sunflower(rods.length).map(([x, y]): Point => [x * width * 0.46, y * height * 0.46]);
  const { sample } = squeezed(rods, outline, places);
  return {
    outline,
    length: lengthOf(rods),
    count: using(state, count),
    sample,
    reductions: reductionsOf(rods),
    amounts: sumOf(...rods.map((r) => [r.amounts, 1] as const)),
  };
};

/** Another cane beside it or on top, along sides of equal length. @throws Complaint `cane/straight`, `cane/sides` */
export const stack: Join<'stack'> = (state, { side }, [part]) => {
  if (!part) throw complaint('cane/missing');
  const [a, b] = [boxOf(state), boxOf(part)];
  if (!a || !b) throw complaint('cane/straight');
  const [one, other] = side === 'right' ? [a.height, b.height] : [a.width, b.width];
  if (Math.abs(one / other - 1) > 0.005)
    throw complaint('cane/sides', {
      one: inBoth((u) => showLength(one, u)),
      other: inBoth((u) => showLength(other, u)),
    });
  const along = side === 'right';
  const [first, second] = along ? [a.width, b.width] : [a.height, b.height];
  const total = first + second;
  const seam = first - total / 2;
  const stretch = one / other;
  const [inner, beside] = [state.sample, part.sample];
  const sample: Sampler = along
    ? (x, y) => (x < seam ? inner(x + total / 2 - first / 2, y) : beside(x - seam - second / 2, y / stretch))
    : (x, y) => (y < seam ? inner(x, y + total / 2 - first / 2) : beside(x / stretch, y - seam - second / 2));
  return {
    outline: along ? rectangle(total, one) : rectangle(one, total),
    length: Math.min(state.length, part.length / stretch),
    count: state.count,
    sample,
    reductions: reductionsOf([state, part]),
    amounts: sumOf([state.amounts, 1], [part.amounts, stretch]),
  };
};

/** Another cane set into a hole of equal area: the outside stays. @throws Complaint `cane/hole` */
export const insert: Join<'insert'> = (state, { x: hx, y: hy, diameter, degrees }, [part]) => {
  if (!part) throw complaint('cane/missing');
  const factor = positive(diameter, 'The diameter') / acrossOf(part.outline);
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const outer = reachOf(state.outline);
  const hole = part.outline.points.map(([x, y]): Point => [
    hx + factor * (x * c - y * s),
    hy + factor * (x * s + y * c),
  ]);
  if (hole.some(([x, y]) => beyond(outer, x, y) > 1)) throw complaint('cane/hole');
  const edge = reachOf(part.outline);
  const [inner, inserted] = [state.sample, part.sample];
  const sample: Sampler = (x, y) => {
    const [dx, dy] = [(x - hx) / factor, (y - hy) / factor];
    const [px, py] = [dx * c + dy * s, dy * c - dx * s];
    return beyond(edge, px, py) <= 1 ? inserted(px, py) : inner(x, y);
  };
  // brought to the size of the hole, the other cane is as much longer
  return {
    ...state,
    length: Math.min(state.length, part.length / (factor * factor)),
    sample,
    reductions: reductionsOf([state, part]),
    amounts: measured(sample, state.outline),
  };
};
