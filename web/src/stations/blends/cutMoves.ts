import { cutsOf } from './planMoves.js';
import type { Layout } from '#core/blend';
import type { CutDto } from '#contract';

/** A place on a sheet, mm from its left and from its lower edge. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

const clamp = (v: number, low: number, high: number): number => Math.min(high, Math.max(low, v));

const withCut = (cuts: readonly CutDto[], at: number, points: CutDto['points']): CutDto[] =>
  cuts.map((cut, i) => (i === at ? { points } : cut));

/** A point moves between its neighbours on the cut, on the sheet; the ends of a cut stay on their edge. */
export function moved(layout: Layout, cut: number, point: number, to: Place): CutDto[] {
  const cuts = cutsOf(layout);
  const points = cuts[cut]?.points ?? [];
  const end = point === 0 || point === points.length - 1;
  const y = end
    ? (points[point]?.y ?? 0)
    : clamp(to.y, points[point - 1]?.y ?? 0, points[point + 1]?.y ?? layout.height);
  const next = { x: clamp(to.x, 0, layout.width), y };
  return withCut(
    cuts,
    cut,
    points.map((old, k) => (k === point ? next : old)),
  );
}

/** A point more on a cut, at its height; null where that is not between its ends. */
export function withPoint(layout: Layout, cut: number, at: Place): CutDto[] | null {
  const cuts = cutsOf(layout);
  const points = [...(cuts[cut]?.points ?? [])];
  const before = points.findIndex((p) => p.y > at.y);
  if (before < 1) return null;
  points.splice(before, 0, { x: clamp(at.x, 0, layout.width), y: at.y });
  return withCut(cuts, cut, points);
}

/** Without one of the points of a cut; null where it is one of its ends. */
export function withoutPoint(layout: Layout, cut: number, point: number): CutDto[] | null {
  const cuts = cutsOf(layout);
  const points = cuts[cut]?.points ?? [];
  if (point <= 0 || point >= points.length - 1) return null;
  return withCut(
    cuts,
    cut,
    points.filter((_, k) => k !== point),
  );
}

/** Heights at which a name may stand, as shares of the sheet. */
const NAME_AT = [0.15, 0.5, 0.85] as const;
/** Widths that differ by less than this many mm are the same. */
const SAME = 1e-6;

/** Where an outline crosses a height, from left to right or back. */
const crossings = (outline: readonly Place[], y: number): number[] =>
  outline.slice(1).flatMap((q, i) => {
    const p = outline[i]!;
    return (p.y - y) * (q.y - y) <= 0 && p.y !== q.y ? [p.x + ((y - p.y) / (q.y - p.y)) * (q.x - p.x)] : [];
  });

/** Where a colour is widest: there is room for its name. @param outline closed: its first place is its last */
export function widestIn(outline: readonly Place[], layout: Layout): Place {
  const spans = NAME_AT.map((share) => {
    const y = share * layout.height;
    const xs = crossings(outline, y);
    const [low, high] = [Math.min(...xs, layout.width), Math.max(...xs, 0)];
    return { x: (low + high) / 2, y, span: high - low };
  });
  const { x, y } = spans.reduce((a, b) => (b.span > a.span + SAME ? b : a));
  return { x, y };
}
