import { layoutOf, layoutsFor, type Layout, type LayoutKind } from '#core/blend';
import type { Mixable } from '#core/material';
import type { BlendCut, BlendPlanDto } from '#contract';

/** Most colours that one sheet is laid of. */
export const MOST_COLOURS = 6;

/** A cut that was drawn or worked out, and does not follow from a way of cutting. */
const isDrawn = ({ kind }: BlendPlanDto): boolean => kind === 'free' || kind === 'compensated';

/** The cuts of a layout, as they are kept. */
export const cutsOf = ({ cuts }: Layout): BlendPlanDto['cuts'] => cuts.map((points) => ({ points: [...points] }));

/**
 * The plan with its cuts laid anew, for another size, number of colours or way of cutting.
 * @throws Complaint where they cannot be laid
 */
export function relaid(plan: BlendPlanDto, part: Partial<BlendPlanDto>): BlendPlanDto {
  const next = { ...plan, ...part };
  const kinds = layoutsFor(next.colours.length);
  const kind: LayoutKind = kinds.find((k) => k === next.kind) ?? 'pure ends';
  return { ...next, kind, cuts: cutsOf(layoutOf(kind, next.colours.length, next.width, next.height, next.pure)) };
}

/** The plan on another size, mm: drawn cuts are stretched with the sheet, all others laid anew. @throws Complaint */
export function resized(plan: BlendPlanDto, width: number, height: number): BlendPlanDto {
  if (!isDrawn(plan)) return relaid(plan, { width, height });
  const cuts = plan.cuts.map((c) => ({
    points: c.points.map((p) => ({ x: (p.x * width) / plan.width, y: (p.y * height) / plan.height })),
  }));
  return { ...plan, width, height, cuts };
}

/** The plan with another colour at a place, or with one more. @throws Complaint */
export function recoloured(plan: BlendPlanDto, at: number, of: Mixable): BlendPlanDto {
  const colours = [...plan.colours];
  colours[at] = of;
  return colours.length === plan.colours.length ? { ...plan, colours } : relaid(plan, { colours });
}

/** The plan without one of its colours. @throws Complaint */
export const withoutColour = (plan: BlendPlanDto, at: number): BlendPlanDto =>
  relaid(plan, { colours: plan.colours.filter((_, i) => i !== at) });

/** The ways this plan can be cut, with its own. */
export const cutsFor = (plan: BlendPlanDto): readonly BlendCut[] => [
  ...layoutsFor(plan.colours.length),
  ...(isDrawn(plan) ? [plan.kind] : []),
];
