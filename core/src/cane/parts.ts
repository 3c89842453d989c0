import type { Part, Step } from './program.js';

/** The canes that a step takes in, in its order. */
export function partsOf(step: Step): readonly Part[] {
  switch (step.do) {
    case 'cane':
    case 'stack':
    case 'insert':
      return [step.part];
    case 'ring':
      return step.middle ? [step.middle] : [];
    case 'grid':
      return step.others ?? [];
    case 'bundle':
      return (step.others ?? []).map((o) => o.part);
    case 'template':
      return step.regions.flatMap((r) => ('cane' in r.fill ? [r.fill.cane] : []));
    default:
      return [];
  }
}
