import type { Part, Step } from './program.js';

/** Sizes across the face, by step; lengths along the cane stay. */
const ACROSS: Readonly<Partial<Record<Step['do'], readonly string[]>>> = {
  log: ['diameter'],
  block: ['width', 'height'],
  plug: ['width', 'depth'],
  roll: ['rolled'],
  loaf: ['width'],
  wrap: ['thickness'],
  insert: ['x', 'y', 'diameter'],
};

const tidy = (mm: number): number => Math.round(mm * 1000) / 1000;

function part(of: Part, factor: number): Part {
  return 'steps' in of ? { ...of, steps: of.steps.map((s) => scaled(s, factor)) } : of;
}

function scaled(step: Step, factor: number): Step {
  const sizes = Object.fromEntries(
    (ACROSS[step.do] ?? []).map((field) => [
      field,
      tidy(Number((step as unknown as Record<string, number>)[field]) * factor),
    ]),
  );
  const next = { ...step, ...sizes } as Step;
  switch (next.do) {
    case 'roll':
    case 'loaf':
      return { ...next, layers: next.layers.map((l) => ({ ...l, thickness: tidy(l.thickness * factor) })) };
    case 'reduce':
      return next.to === 'diameter' ? { ...next, value: tidy(next.value * factor) } : next;
    case 'cane':
    case 'stack':
    case 'insert':
      return { ...next, part: part(next.part, factor) };
    case 'ring':
      return { ...next, middle: next.middle && part(next.middle, factor) };
    case 'grid':
      return next.others ? { ...next, others: next.others.map((o) => part(o, factor)) } : next;
    case 'bundle':
      return next.others ? { ...next, others: next.others.map((o) => ({ ...o, part: part(o.part, factor) })) } : next;
    case 'template':
      return {
        ...next,
        regions: next.regions.map((r) => ({
          ...r,
          points: r.points.map(([x, y]) => [x * factor, y * factor] as const),
          fill: 'cane' in r.fill ? { ...r.fill, cane: part(r.fill.cane, factor) } : r.fill,
        })),
      };
    default:
      return next;
  }
}

/**
 * The same cane begun larger or smaller: all sizes across by a factor, but
 * not the last reduction, so that it comes out as before. Begun smaller, it
 * is longer at the beginning. Canes taken in by reference keep their size.
 */
export function begunAt(steps: readonly Step[], factor: number): Step[] {
  const last = steps.findLastIndex((s) => s.do === 'reduce' && s.to === 'diameter');
  return steps.map((step, i) => (i === last ? step : scaled(step, factor)));
}
