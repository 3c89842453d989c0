import { timeOf, type BenchStep, type LearnedTimes, type StepTime } from '#core/batch';
import type { Minutes } from '#core/units';
import type { Job } from './job.js';

/** What several steps at the bench are called together. */
export type JobKind = 'make' | 'condition' | 'cut' | 'cores' | 'bake cores' | 'together' | 'bake' | 'finish';

/** A job of a batch with what it is about, for words. */
export interface BatchJob extends Job {
  readonly kind: JobKind;
  /** of what is made for itself its name, of a finish what is done and to which piece */
  readonly about: string;
  /** how many pieces it is done to; 0 where it is done for all */
  readonly count: number;
  /** of a load of the oven: the pieces in it, by their ids */
  readonly bakes: readonly { readonly id: string; readonly count: number }[];
  /** it can be left out where time is short */
  readonly optional: boolean;
}

/** Minutes for what is made at a station of its own, until the diary says more: assumptions. */
const FOR_ITSELF: Readonly<Record<string, { readonly hands: Minutes; readonly waits: Minutes }>> = {
  blend: { hands: 40, waits: 0 },
  pattern: { hands: 60, waits: 30 },
  cane: { hands: 120, waits: 240 },
};
/** Finishing that makes it nicer, and without which it can be sold. */
const OPTIONAL: ReadonlySet<string> = new Set(['sand', 'buff', 'glaze', 'resin']);
/** Kinds of jobs that are done piece by piece. */
const DIVIDED: ReadonlySet<JobKind> = new Set(['cut', 'cores', 'together', 'finish']);
/** The least that is worth sitting down for. */
const LEAST: Minutes = 15;

interface Gathered {
  readonly kind: JobKind;
  readonly about: string;
  readonly count: number;
  readonly time: StepTime;
  readonly optional: boolean;
  readonly bakes: BatchJob['bakes'];
}

type Ready = Extract<BenchStep, { kind: 'ready' }>;
const isForItself = (step: BenchStep): step is Ready => step.kind === 'ready' && step.what.of.kind in FOR_ITSELF;

function kindOf(step: BenchStep, coresBefore: boolean): JobKind {
  switch (step.kind) {
    case 'condition':
    case 'mix':
      return 'condition';
    case 'ready':
      return isForItself(step) ? 'make' : 'condition';
    case 'shape':
      return coresBefore ? 'cores' : 'together';
    case 'assemble':
      return 'together';
    case 'bake':
      return step.cores ? 'bake cores' : 'bake';
    case 'finish':
      return 'finish';
    default:
      return 'cut';
  }
}

/** Short work is done in one go. */
const unitOf = ({ kind, count, time }: Gathered): Minutes | null =>
  DIVIDED.has(kind) && count > 1 && time.hands > 2 * LEAST ? Math.max(LEAST, time.hands / count) : null;

const added = (a: StepTime, b: StepTime): StepTime => ({
  hands: a.hands + b.hands,
  oven: a.oven + b.oven,
  waits: Math.max(a.waits, b.waits),
});

/** Trays of the same are baked one after the other, on several evenings where that has to be: each is a job. */
const MOST_TRAYS = 40;
function byTray(step: BenchStep): readonly BenchStep[] {
  if (step.kind !== 'bake' || step.times <= 1) return [step];
  const jobs = Math.min(MOST_TRAYS, step.times);
  const trays = (i: number): number => Math.floor(((i + 1) * step.times) / jobs) - Math.floor((i * step.times) / jobs);
  return Array.from({ length: jobs }, (_, i) => ({ ...step, times: trays(i) }));
}

function gathered(all: readonly BenchStep[], learned: LearnedTimes): Gathered[] {
  const steps = all.flatMap(byTray);
  const lastCores = steps.findLastIndex((s) => s.kind === 'bake' && s.cores);
  const found: Gathered[] = [];
  steps.forEach((step, i) => {
    const kind = step.kind === 'clean' ? cleaningIn(found.at(-1)?.kind) : kindOf(step, i < lastCores);
    const about = aboutOf(step, kind);
    const count = 'count' in step ? step.count : 0;
    const itself = isForItself(step) ? FOR_ITSELF[step.what.of.kind] : undefined;
    const time = itself ? { hands: itself.hands, oven: 0, waits: itself.waits } : timeOf(step, learned);
    const optional = step.kind === 'finish' && OPTIONAL.has(step.step.kind);
    const at = found.findIndex((g) => g.kind === kind && g.about === about && kind !== 'bake' && kind !== 'bake cores');
    const same = found[at];
    if (same) found[at] = { ...same, count: Math.max(same.count, count), time: added(same.time, time) };
    else found.push({ kind, about, count, time, optional, bakes: bakedIn(step) });
  });
  return found;
}

/** Of several trays of the same all of them. */
const bakedIn = (step: BenchStep): BatchJob['bakes'] =>
  step.kind === 'bake' ? step.pieces.map(({ id, count }) => ({ id, count: count * step.times })) : [];

/** Cleaning belongs to what is done before it, where that is work at the rollers. */
const cleaningIn = (before: JobKind | undefined): JobKind =>
  before === undefined || before === 'make' ? 'condition' : before;

function aboutOf(step: BenchStep, kind: JobKind): string {
  if (kind === 'make' && step.kind === 'ready') return step.what.name;
  return step.kind === 'finish' ? `${step.step.id}` : '';
}

/**
 * The jobs of a batch: its steps at the bench gathered to what is done in one go, one after the other; what is made
 * for itself comes first, each by itself.
 * @param nameOf what a job is called
 * @param learned what the bench has taught of these hands
 */
export function jobsOf(
  batchId: string,
  steps: readonly BenchStep[],
  nameOf: (job: Gathered, step: BenchStep | undefined) => string,
  learned: LearnedTimes,
): readonly BatchJob[] {
  const all = gathered(steps, learned);
  const makes = all.filter((g) => g.kind === 'make');
  const chain = all.filter((g) => g.kind !== 'make');
  const idOf = (g: Gathered): string =>
    `${batchId} ${g.kind} ${g.about}${g.kind.startsWith('bake') ? all.indexOf(g) : ''}`;
  const toJob = (g: Gathered, after: readonly string[]): BatchJob => ({
    ...{ id: idOf(g), batchId, kind: g.kind, about: g.about, count: g.count },
    ...{ optional: g.optional, bakes: g.bakes },
    name: nameOf(
      g,
      steps.find((s) => s.kind === 'finish' && s.step.id === g.about),
    ),
    phases: [{ need: 'hands', minutes: g.time.hands } as const, { need: 'oven', minutes: g.time.oven } as const].filter(
      (p) => p.minutes > 0,
    ),
    unit: unitOf(g),
    waits: g.time.waits,
    after,
  });
  const first = makes.map((g) => toJob(g, []));
  const rest: BatchJob[] = [];
  for (const g of chain) {
    const before = rest.at(-1);
    const own = before ? [before.id] : [];
    rest.push(toJob(g, g.kind === 'cut' || !before ? [...own, ...first.map((j) => j.id)] : own));
  }
  return [...first, ...rest];
}
