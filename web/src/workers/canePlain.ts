import {
  acrossOf,
  areaOf,
  extentOf,
  landingsOf,
  taperOf,
  type BackwardsPlan,
  type CaneContext,
  type EndsRule,
  type Landing,
  type Offcut,
  type Outline,
  type PartPlan,
  type Program,
  type Stage,
  type Step,
  type StepResult,
  type Taken,
  type Tapered,
  type Wanted,
  type Warning,
  type WrapNeed,
} from '#core/cane';

/** A cane as it crosses to the worker. */
export interface PlainCane {
  readonly steps: readonly Step[];
  readonly library: Readonly<Record<string, Program>>;
  readonly wobble: number;
  readonly seed: number;
  readonly ends: EndsRule;
}

/** Amounts by the key of their material. */
type Amounts = readonly (readonly [string, number])[];

/** A step worked out, in plain figures. */
export interface PlainStep {
  /** another one as soon as the step, or one before it, is another */
  readonly stamp: number;
  readonly wrong: string | null;
  readonly there: boolean;
  readonly width: number;
  readonly height: number;
  /** as a ruler says it */
  readonly across: number;
  readonly area: number;
  readonly length: number;
  readonly count: number;
  readonly round: boolean;
  /** where its corners come from, after a press */
  readonly landings?: readonly Landing[];
  /** across its two ends, where hands are looked at as they are */
  readonly tapered?: Tapered;
  readonly points: readonly (readonly [number, number])[];
  readonly amounts: Amounts;
}

type Keyed<W> = W extends { readonly material: number }
  ? Omit<W, 'material'> & { readonly material: string }
  : W extends { readonly one: number; readonly deltaE: number }
    ? Omit<W, 'one' | 'other'> & { readonly one: string; readonly other: string }
    : W;
export type PlainWarning = Keyed<Warning>;

/** How large a face is, as a ruler says it. */
export type FaceSize = Pick<PlainStep, 'width' | 'height' | 'across' | 'round' | 'landings'>;

/** A cane that others take in: its steps, how large and how long it is after each, and what is taken of it. */
export interface PlainPart {
  readonly name: string;
  readonly path: readonly string[];
  readonly steps: readonly Step[];
  readonly sizes: readonly FaceSize[];
  readonly stages: readonly Stage[];
  readonly taken: readonly Taken[];
}

export interface PlainPlan {
  /** what it was worked out for: while another one is on its way, not what the cane says by now */
  readonly wanted: Wanted;
  readonly starts: readonly {
    readonly step: Step;
    readonly path: readonly string[];
    readonly count: number;
    readonly length: number;
    readonly amounts: Amounts;
  }[];
  readonly wraps: readonly WrapNeed[];
  readonly volumes: Amounts;
  readonly offcuts: readonly { readonly why: Offcut['why']; readonly volumes: Amounts }[];
  readonly made: readonly { readonly id: string; readonly length: number; readonly volumes: Amounts }[];
  readonly stages: readonly Stage[];
  readonly parts: readonly PlainPart[];
  readonly pieces: number;
  readonly each: number;
}

/** What one has to begin with: volumes, mm³ by material, and lengths of things that lie ready, mm by their ids. */
export interface PlainHave {
  readonly volumes: readonly (readonly [key: string, volume: number])[];
  readonly made: readonly (readonly [id: string, length: number])[];
  readonly all?: number;
}

const NOT_THERE = {
  there: false,
  width: 0,
  height: 0,
  across: 0,
  area: 0,
  length: 0,
  count: 0,
  round: false,
  points: [],
  amounts: [],
} as const;

const nameIn = (context: CaneContext, index: number): string => context.materials[index] ?? '';
const plainAmounts = (context: CaneContext, amounts: ReadonlyMap<number, number>): Amounts =>
  [...amounts].map(([index, v]) => [nameIn(context, index), v]);

function sizeIn(outline: Outline): FaceSize {
  const { width, height } = extentOf(outline);
  return { width, height, across: acrossOf(outline), round: outline.round };
}

/** What becomes the corners of a face, where it was pressed to some. */
function landedFrom(before: StepResult | undefined, { step }: StepResult): Pick<FaceSize, 'landings'> {
  const landings = before?.state ? landingsOf(before.state.outline, step) : [];
  return landings.length > 0 ? { landings } : {};
}

/** How a reduction tapers by honest hands; nothing where it does not. */
function taperedFrom(
  before: StepResult | undefined,
  { step, state }: StepResult,
  context: CaneContext,
): Pick<PlainStep, 'tapered'> {
  if (step.do !== 'reduce' || !before?.state || !state) return {};
  const longer = areaOf(before.state.outline) / areaOf(state.outline);
  const tapered = taperOf(acrossOf(state.outline), longer, context.wobble);
  return tapered ? { tapered } : {};
}

/** A step in plain figures. @param before the one before it, where there is one */
export function plainStep(result: StepResult, context: CaneContext, stamp: number, before?: StepResult): PlainStep {
  const { state, wrong } = result;
  if (!state) return { ...NOT_THERE, stamp, wrong: wrong?.message ?? null };
  const { outline, length, count } = state;
  return {
    ...sizeIn(outline),
    ...landedFrom(before, result),
    ...taperedFrom(before, result, context),
    stamp,
    wrong: null,
    there: true,
    area: areaOf(outline),
    length,
    count,
    points: outline.points,
    amounts: plainAmounts(context, state.amounts),
  };
}

const NO_SIZE: FaceSize = { width: 0, height: 0, across: 0, round: false };

const sizeOf = ({ state }: StepResult): FaceSize => (state ? sizeIn(state.outline) : NO_SIZE);

const plainPart = ({ name, path, results, stages, taken }: PartPlan): PlainPart => ({
  name,
  path,
  steps: results.map((r) => r.step),
  sizes: results.map((result, i) => ({ ...sizeOf(result), ...landedFrom(results[i - 1], result) })),
  stages,
  taken,
});

export const plainPlan = (plan: BackwardsPlan, context: CaneContext): PlainPlan => ({
  ...plan,
  volumes: [...plan.volumes],
  made: plan.made.map((m) => ({ ...m, volumes: [...m.volumes] })),
  offcuts: plan.offcuts.map(({ why, volumes }) => ({ why, volumes: [...volumes] })),
  starts: plan.starts.map((s) => ({ ...s, amounts: plainAmounts(context, s.amounts) })),
  parts: plan.parts.map(plainPart),
});

export function plainWarning(warning: Warning, context: CaneContext): PlainWarning {
  if ('material' in warning) return { ...warning, material: nameIn(context, warning.material) };
  if (warning.kind !== 'together') return warning;
  return { ...warning, one: nameIn(context, warning.one), other: nameIn(context, warning.other) };
}
