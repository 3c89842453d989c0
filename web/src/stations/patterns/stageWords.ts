import { evenAfter, type EvenAfter } from '#core/mica';
import type { Judged, PatternStep } from '#core/pattern';
import { showLength, type UnitSystem } from '#core/units';
import type { EarlierStop, StopKind } from '#contract';
import { showDate } from '../../state/today.js';
import type { CaneMaterial } from '../canes/clay/materials.js';

/** Steps that can go too far, and what of them is counted. */
export type CountedStep = Extract<PatternStep, { readonly do: 'fold' | 'knead' | 'twist' }>;
export const isCounted = (step: PatternStep): step is CountedStep =>
  step.do === 'fold' || step.do === 'knead' || step.do === 'twist';

const KIND_WORDS: Readonly<Record<StopKind, string>> = {
  ...{ fold: 'folds', knead: 'folds', twist: 'turns' },
  sheen: 'passes until the sheen was even',
};
export const stopWords = (kind: StopKind): string => KIND_WORDS[kind];

/** Where what was learned of the sheen comes from. */
export const evenWords = ({ counts }: EvenAfter): string =>
  counts === 0 ? '~ assumed' : `the middle of ${counts === 1 ? 'one count' : `${counts} counts`} of yours`;

/** Passes until a sheen is even, by what was counted. */
export const evenIn = (stops: readonly EarlierStop[]): EvenAfter =>
  evenAfter(stops.filter((s) => s.kind === 'sheen').map((s) => s.times));

export const countIn = (step: CountedStep): number => (step.do === 'twist' ? step.turns : step.times);
export const withCount = (step: CountedStep, count: number): CountedStep =>
  step.do === 'twist' ? { ...step, turns: count } : { ...step, times: count };

/** Stages beside each other. */
const STAGES = 8;

/** What is tried of a step: from none on, further than it is planned. */
export function countsOf(step: CountedStep): readonly number[] {
  if (step.do !== 'twist') {
    const first = step.do === 'knead' ? 1 : 0;
    const last = Math.min(12, Math.max(STAGES - 1 + first, step.times + 2));
    return Array.from(
      { length: Math.min(STAGES, last - first + 1) },
      (_, i) => last - Math.min(STAGES, last - first + 1) + 1 + i,
    );
  }
  const by = Math.max(1, Math.round(Math.abs(step.turns) / 4)) * Math.sign(step.turns || 1);
  const all = Array.from({ length: STAGES }, (_, i) => i * by);
  return all.includes(step.turns)
    ? all
    : [...all.slice(0, STAGES - 1), step.turns].sort((a, b) => Math.abs(a) - Math.abs(b));
}

/** The last step of a row that can go too far. */
export const lastCounted = (steps: readonly PatternStep[]): number => steps.findLastIndex(isCounted);

export function countWords(step: CountedStep, count: number): string {
  const word = step.do === 'twist' ? 'turn' : 'fold';
  return `${count} ${word}${count === 1 ? '' : 's'}`;
}

/** @param materials all that is in it */
export function veinWords(
  { vein }: Judged,
  units: UnitSystem,
  materials?: ReadonlyMap<string, Pick<CaneMaterial, 'hexes'>>,
): string {
  if (Number.isFinite(vein)) return `veins ${showLength(vein, units, vein < 1)}`;
  return [...(materials?.values() ?? [])].some((m) => m.hexes.length > 1) ? 'one fade' : 'one colour';
}

/** Days on which one stopped at so many, newest first, in words; empty where one never did. */
export function stoppedWords(
  stops: readonly EarlierStop[],
  patternId: string,
  step: CountedStep,
  count: number,
): string {
  const own = stops.filter((s) => s.patternId === patternId && s.kind === step.do && s.times === count);
  if (own.length === 0) return '';
  const days = own.slice(0, 3).map((s) => showDate(s.madeOn));
  const times = own.length === 1 ? 'once' : `${own.length} times`;
  return `you stopped here ${times}: ${days.join(', ')}`;
}
