import { type Mm } from '#core/units';
import { complaint } from './sentences.js';

/** A point of a cut: x along the fade, y up the sheet (the way it is folded), mm. */
export interface CutPoint {
  readonly x: Mm;
  readonly y: Mm;
}
/** A cut from the bottom edge to the top: at least two points, y never falling. */
export type Cut = readonly CutPoint[];

/**
 * A sheet before it is folded: colours side by side, parted by cuts. The
 * colour at x after all passes is the mix of what the column at x holds.
 */
export interface Layout {
  /** along the fade, and up */
  readonly width: Mm;
  readonly height: Mm;
  /** one fewer than there are colours, from left to right */
  readonly cuts: readonly Cut[];
}

export const LAYOUTS = ['corner', 'pure ends', 'diamond', 'V', 'teardrop'] as const;
export type LayoutKind = (typeof LAYOUTS)[number];
/** What can be cut for so many colours: a diamond and a V have their middle colour. */
export const layoutsFor = (colours: number): readonly LayoutKind[] =>
  colours === 3 ? LAYOUTS : LAYOUTS.filter((k) => k !== 'diamond' && k !== 'V');

export const FEWEST_COLOURS = 2;
export const MOST_COLOURS = 6;

const straight = (bottom: Mm, top: Mm, height: Mm): Cut => [
  { x: bottom, y: 0 },
  { x: top, y: height },
];
/** Points of a teardrop's side: flat where it begins and ends. */
const TEAR = 8;

/**
 * The cuts of a usual layout.
 * @param pure width at each end that stays pure; corner to corner has none
 * @throws Complaint `blend/colours`, `blend/size`, `blend/pure`
 */
export function layoutOf(kind: LayoutKind, colours: number, width: Mm, height: Mm, pure: Mm): Layout {
  if (
    !Number.isInteger(colours) ||
    colours < FEWEST_COLOURS ||
    colours > MOST_COLOURS ||
    !layoutsFor(colours).includes(kind)
  )
    throw complaint('blend/colours');
  if (!(width > 0) || !(height > 0) || !Number.isFinite(width) || !Number.isFinite(height))
    throw complaint('blend/size');
  const margin = kind === 'corner' ? 0 : pure;
  if (!(margin >= 0) || margin * 2 >= width) throw complaint('blend/pure');
  const [left, right] = [margin, width - margin];
  const middle = width / 2;
  if (kind === 'diamond') {
    const half = height / 2;
    return {
      width,
      height,
      cuts: [
        [
          { x: middle, y: 0 },
          { x: left, y: half },
          { x: middle, y: height },
        ],
        [
          { x: middle, y: 0 },
          { x: right, y: half },
          { x: middle, y: height },
        ],
      ],
    };
  }
  if (kind === 'V') return { width, height, cuts: [straight(left, middle, height), straight(right, middle, height)] };
  const place = (i: number): Mm => left + ((right - left) * i) / (colours - 1);
  return {
    width,
    height,
    cuts: Array.from({ length: colours - 1 }, (_, i): Cut => {
      if (kind !== 'teardrop') return straight(place(i), place(i + 1), height);
      return Array.from({ length: TEAR + 1 }, (__, k) => {
        const t = k / TEAR;
        // slow at both ends, so that the colours keep more of themselves
        return { x: place(i) + ((place(i + 1) - place(i)) * (3 * t * t - 2 * t ** 3 + t)) / 2, y: height * t };
      });
    }),
  };
}

/** x of a cut at a height; where it runs level, the mean of its ends there. */
export function cutAt(cut: Cut, y: Mm): Mm {
  for (let i = 1; i < cut.length; i++) {
    const [p, q] = [cut[i - 1] as CutPoint, cut[i] as CutPoint];
    if (y > q.y && i < cut.length - 1) continue;
    return q.y === p.y ? (p.x + q.x) / 2 : p.x + ((q.x - p.x) * (Math.min(q.y, Math.max(p.y, y)) - p.y)) / (q.y - p.y);
  }
  return cut[0]?.x ?? 0;
}

const CLOSE = 1e-9;

/**
 * Refuses cuts that nobody can make.
 * @throws Complaint `blend/colours`, `blend/size`, `blend/cut` (a cut that leaves the sheet, or runs back down),
 * `blend/cross`
 */
export function checkLayout({ width, height, cuts }: Layout): void {
  if (!(width > 0) || !(height > 0) || !Number.isFinite(width) || !Number.isFinite(height))
    throw complaint('blend/size');
  if (cuts.length < FEWEST_COLOURS - 1 || cuts.length > MOST_COLOURS - 1) throw complaint('blend/colours');
  cuts.forEach((cut, c) => {
    const ends =
      cut.length >= 2 &&
      Math.abs(cut[0]?.y ?? NaN) < CLOSE &&
      Math.abs((cut.at(-1)?.y ?? NaN) - height) < CLOSE * height;
    const good = cut.every(
      (p, i) =>
        p.x >= -CLOSE &&
        p.x <= width + CLOSE &&
        p.y >= -CLOSE &&
        p.y <= height + CLOSE &&
        (i === 0 || p.y >= (cut[i - 1]?.y ?? 0)),
    );
    if (!ends || !good) throw complaint('blend/cut', { which: c + 1 });
  });
  for (let c = 1; c < cuts.length; c++) {
    const [left, right] = [cuts[c - 1] as Cut, cuts[c] as Cut];
    // between two points of either cut both run straight, so it is enough to look at the points
    const heights = [...left, ...right].map((p) => p.y);
    if (heights.some((y) => cutAt(left, y) > cutAt(right, y) + CLOSE * width))
      throw complaint('blend/cross', { one: c, other: c + 1 });
  }
}

/** The share of the column at x that lies to the right of a cut, 0 to 1. */
function beyond(cut: Cut, x: Mm, height: Mm): number {
  let sum = 0;
  for (let i = 1; i < cut.length; i++) {
    const [p, q] = [cut[i - 1] as CutPoint, cut[i] as CutPoint];
    const [low, high] = [Math.min(p.x, q.x), Math.max(p.x, q.x)];
    const share = high > low ? Math.min(1, Math.max(0, (x - low) / (high - low))) : Number(x >= high);
    sum += (q.y - p.y) * share;
  }
  return sum / height;
}

/** The share of each colour in the column at x; they sum to 1. */
export function fractionsAt({ height, cuts }: Layout, x: Mm): number[] {
  const right = [1, ...cuts.map((cut) => beyond(cut, x, height)), 0];
  return right.slice(1).map((next, i) => (right[i] as number) - next);
}

/** mm² of each colour on the sheet; they sum to width × height. */
export function areasOf({ width, height, cuts }: Layout): number[] {
  const leftOf = cuts.map((cut) =>
    cut.slice(1).reduce((sum, q, i) => {
      const p = cut[i] as CutPoint;
      return sum + ((p.x + q.x) / 2) * (q.y - p.y);
    }, 0),
  );
  const all = [0, ...leftOf, width * height];
  return all.slice(1).map((next, i) => next - (all[i] as number));
}

/** The outline of each colour on the sheet, to be drawn and cut out. */
export function outlinesOf({ width, height, cuts }: Layout): Cut[] {
  const edges: Cut[] = [straight(0, 0, height), ...cuts, straight(width, width, height)];
  return edges.slice(1).map((right, i) => [...(edges[i] as Cut), ...[...right].reverse()]);
}

/** Where the fade is one colour alone: from, to and which, in mm along it. Narrower than 0.5 mm counts for nothing. */
export function pureStretches(layout: Layout): { readonly from: Mm; readonly to: Mm; readonly colour: number }[] {
  const xs = [...new Set([0, ...layout.cuts.flatMap((cut) => cut.map((p) => p.x)), layout.width])].sort(
    (a, b) => a - b,
  );
  const found: { from: Mm; to: Mm; colour: number }[] = [];
  for (let i = 1; i < xs.length; i++) {
    const [from, to] = [xs[i - 1] as Mm, xs[i] as Mm];
    const colour = fractionsAt(layout, (from + to) / 2).findIndex((f) => f > 1 - 1e-9);
    const last = found.at(-1);
    if (colour < 0) continue;
    if (last && last.colour === colour && last.to === from) found[found.length - 1] = { ...last, to };
    else found.push({ from, to, colour });
  }
  return found.filter(({ from, to }) => to - from > 0.5);
}
