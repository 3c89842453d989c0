import { keyOf } from '#core/material';
import type { BenchStep, RolledFor, Shown } from './benchStep.js';

/** Lightness of a material, as it lies on the bench, L* of CIELAB. */
export type LightnessOf = (shown: Shown) => number;

type Roll = Extract<BenchStep, { kind: 'roll' }>;
type Condition = Extract<BenchStep, { kind: 'condition' }>;

/** What a step has in the hands and on the rollers. */
function touched(step: BenchStep): Shown | null {
  switch (step.kind) {
    case 'condition':
    case 'shape':
      return step.clay;
    case 'mix':
      return step.mix;
    case 'ready':
      return step.what;
    case 'roll':
      return step.sheet;
    default:
      return null;
  }
}

const rolledFor = ({ pieceName, width, length, sheets }: Roll): RolledFor => ({ pieceName, width, length, sheets });
const rollKey = ({ sheet, machineName, settingLabel, mm }: Roll): string =>
  `${keyOf(sheet.of)} ${machineName} ${settingLabel} ${mm}`;

/** One roll for everything that is of the same clay at the same setting: where it is first needed. */
export function rolledOnce(steps: readonly BenchStep[]): BenchStep[] {
  const rolls = steps.filter((step): step is Roll => step.kind === 'roll');
  const first = new Map<string, Roll>();
  for (const roll of rolls) {
    const known = first.get(rollKey(roll));
    const joined = known && { ...known, grams: known.grams + roll.grams, more: [...known.more, rolledFor(roll)] };
    first.set(rollKey(roll), joined ?? roll);
  }
  const done = new Set<string>();
  return steps.flatMap((step): BenchStep[] => {
    if (step.kind !== 'roll') return [step];
    const key = rollKey(step);
    if (done.has(key)) return [];
    done.add(key);
    return [first.get(key) ?? step];
  });
}

/** Whether a step works a clay that was conditioned: itself, or as a part of a mix. */
function uses(step: BenchStep, { clay: { of } }: Condition): boolean {
  if (step.kind === 'mix') return step.portions.some((p) => keyOf(p.of) === keyOf(of));
  return step.kind !== 'condition' && keyOf(touched(step)?.of ?? { kind: 'clay', id: '' }) === keyOf(of);
}

/** Clay that goes back to crumbs is conditioned just before it is first used. */
export function crumblyLate(steps: readonly BenchStep[]): BenchStep[] {
  const ordered = [...steps];
  for (const step of steps) {
    if (step.kind !== 'condition' || !step.how.useSameDay) continue;
    const from = ordered.indexOf(step);
    const to = ordered.findIndex((other) => uses(other, step));
    if (to > from + 1) ordered.splice(to - 1, 0, ...ordered.splice(from, 1));
  }
  return ordered;
}

/** L* by which the next clay has to be lighter before a trace of the last one is seen in it: an assumption. */
const SEEN = 20;

/** Whether what was in the hands goes into a mix anyway. */
const holds = (step: BenchStep, { of }: Shown): boolean =>
  step.kind === 'mix' && step.portions.some((p) => keyOf(p.of) === keyOf(of));

/** Rollers, blade and hands are cleaned where dark goes before light. */
export function cleanedBetween(steps: readonly BenchStep[], lightness: LightnessOf): BenchStep[] {
  let last: Shown | null = null;
  return steps.flatMap((step): BenchStep[] => {
    const now = touched(step);
    if (now === null) return [step];
    const before = last;
    last = now;
    if (before === null || holds(step, before)) return [step];
    const dirty = lightness(now) - lightness(before) > SEEN;
    return dirty ? [{ kind: 'clean', after: before, before: now }, step] : [step];
  });
}

/** Steps as a maker does them: rolled once, crumbly clay late, clean hands for what is light. */
export const inWorkingOrder = (steps: readonly BenchStep[], lightness: LightnessOf): BenchStep[] =>
  cleanedBetween(crumblyLate(rolledOnce(steps)), lightness);
