import { gridUses } from './joining.js';
import { acrossOf } from './across.js';
import { areaOf, extentOf, signedArea } from './outline.js';
import type { Part, Step } from './program.js';
import { partsOf } from './parts.js';
import { partState } from './run.js';
import type { CaneContext, CaneState } from './state.js';

/** How many pieces of another cane a step takes, each so many times as long as the cane it goes into: it is reduced to fit. */
export interface PartUse {
  readonly part: Part;
  readonly state: CaneState;
  readonly count: number;
  readonly longer: number;
}

/** How many of its pieces each cane gives to a step: that of the row, and the others it takes in, worked out. @throws Complaint as `partState` does */
export function usesOf(
  step: Step,
  before: CaneState | null,
  context: CaneContext,
): { readonly own: number; readonly parts: readonly PartUse[] } {
  const used = (counts: readonly number[], longer = (_: CaneState, __: number): number => 1): PartUse[] =>
    partsOf(step)
      .map((part, k): PartUse => {
        const state = partState(part, context);
        return { part, state, count: counts[k] ?? 1, longer: longer(state, k) };
      })
      .filter((use) => use.count > 0);
  switch (step.do) {
    case 'grid': {
      const [own = 0, ...others] = gridUses(step);
      return { own, parts: used(others) };
    }
    case 'pie':
      return { own: step.count, parts: [] };
    case 'pair':
      return { own: 2, parts: [] };
    case 'ring':
      return { own: step.count, parts: used([1]) };
    case 'bundle':
      return { own: step.count, parts: used((step.others ?? []).map((o) => o.count)) };
    case 'insert':
      return { own: 1, parts: used([1], (p) => (step.diameter / acrossOf(p.outline)) ** 2) };
    case 'stack': {
      const side = ({ outline }: CaneState): number => extentOf(outline)[step.side === 'right' ? 'height' : 'width'];
      return { own: 1, parts: used([1], (p) => (before ? side(before) / side(p) : 1)) };
    }
    case 'template': {
      const areas = step.regions.filter((r) => 'cane' in r.fill).map((r) => Math.abs(signedArea(r.points)));
      return { own: 1, parts: used([], (p, k) => (areas[k] ?? 0) / areaOf(p.outline)) };
    }
    default:
      return { own: 1, parts: used([]) };
  }
}
