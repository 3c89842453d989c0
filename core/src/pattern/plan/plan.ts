import { areaOf } from '#core/cane';
import { attempt, type Mm2, type Mm3 } from '#core/units';
import { flat, planArea, sumOf, type Body, type Volumes } from '#core/pattern/body';
import {
  faceOfCane,
  kindOf,
  patternBody,
  patternContext,
  runPattern,
  sliced,
  timesStep,
  type CutCanes,
  type PatternContext,
  type PatternDo,
  type PatternStep,
  type Start,
} from '#core/pattern/steps';
import { complaint } from './sentences.js';

/** What a step leaves over: ends, trimmings, what is above and below the shavings. */
export interface LeftAt {
  readonly step: string;
  readonly volumes: ReadonlyMap<string, Mm3>;
}

/** What has to be rolled, what comes of it, and what is left over, for one make or many. */
export interface PatternPlan {
  /** the steps as they are made: larger, where more is wanted */
  readonly steps: readonly PatternStep[];
  /** how often all of it is made */
  readonly makes: number;
  /** of one make */
  readonly starts: readonly Start[];
  /** mm³ of each material, of all makes together */
  readonly taken: ReadonlyMap<string, Mm3>;
  readonly given: ReadonlyMap<string, Mm3>;
  readonly left: readonly LeftAt[];
  /** mm² of the sheets that come of all makes, and their thickness */
  readonly area: Mm2;
  readonly body: Body;
}

/** Hairs of clay may seem to be left over by how a body is measured: below this share of the whole nothing is. */
const HAIR = 0.002;

/** Whether more of it is made by making it larger; pieces that are cut one by one are made again instead. */
const AGAIN: readonly PatternDo[] = ['slice', 'across', 'shingle', 'slab', 'inlay'];
export const growsWhole = (steps: readonly PatternStep[]): boolean => !steps.some((s) => AGAIN.includes(s.do));

/** Everything that has to lie ready, step by step. */
function startsOf(
  steps: readonly PatternStep[],
  bodies: readonly (Body | null)[],
  context: PatternContext,
): readonly Start[] {
  return steps.flatMap((step, i) => {
    const before = bodies[i - 1];
    return kindOf(step).starts?.(step, before ? flat(before) : null, context) ?? [];
  });
}

/** What one of them brings in: of slices what their cane shows. */
function broughtBy({ what, of, volume }: Start, context: PatternContext): Volumes {
  if (what !== 'slices') return new Map([[context.materials.indexOf(of), volume]]);
  const face = faceOfCane(of, context);
  return sliced(face, volume / areaOf(face.outline));
}

const named = (volumes: Volumes, { materials }: PatternContext, times: number): Map<string, Mm3> =>
  new Map([...volumes].map(([index, volume]) => [materials[index] ?? '', volume * times]));

function leftAt(
  steps: readonly PatternStep[],
  bodies: readonly (Body | null)[],
  context: PatternContext,
  makes: number,
): LeftAt[] {
  const left: LeftAt[] = [];
  bodies.forEach((after, i) => {
    const [before, step] = [bodies[i - 1], steps[i]];
    if (!before || !after || !step || before.volumes === after.volumes) return;
    const added = kindOf(step).starts?.(step, flat(before), context) ?? [];
    const came = added.map((start) => [broughtBy(start, context), 1] as const);
    const rest = sumOf([before.volumes(), 1], ...came, [after.volumes(), -1]);
    const whole = [...before.volumes().values()].reduce((a, b) => a + b, 0);
    const kept = new Map([...rest].filter(([, volume]) => volume > HAIR * whole));
    if (kept.size > 0) left.push({ step: step.id, volumes: named(kept, context, makes) });
  });
  return left;
}

/** mm² of sheet that one make of it gives. */
const sheetArea = (body: Body): Mm2 => planArea(body) * body.count;

/** Rounds in which the size of a make is brought to what is wanted. */
const ROUNDS = 5;

/** Steps, and how often all of them are made. */
type Made = Pick<PatternPlan, 'steps' | 'makes'>;

/** The steps that give an area, and how often they are made. @throws Complaint of a step */
function madeFor(steps: readonly PatternStep[], wanted: Mm2 | null, canes: CutCanes): Made {
  if (wanted === null) return { steps, makes: 1 };
  const one = sheetArea(patternBody(steps, patternContext(0, 1, canes)));
  if (!growsWhole(steps)) return { steps, makes: Math.max(1, Math.ceil(wanted / one - 1e-9)) };
  return grown(steps, wanted, one) ?? { steps, makes: 1 };
}

/** Larger or smaller steps that give an area; null where they cannot be done at that size: then it is made as it is. */
function grown(steps: readonly PatternStep[], wanted: Mm2, one: Mm2): Made | null {
  let factor = wanted / one;
  return attempt(
    () => {
      for (let round = 0; round < ROUNDS; round++) {
        const area = sheetArea(patternBody(largerSteps(steps, factor), patternContext()));
        if (Math.abs(area / wanted - 1) < 0.001) break;
        factor *= wanted / area;
      }
      return { steps: largerSteps(steps, factor), makes: 1 };
    },
    // a smaller one may be too small to be made: then a whole one is, and some of it is left
    (wrong): Made | null => {
      if (factor < 1) return null;
      throw wrong;
    },
  );
}
/** Steps that begin with so many times as much clay, as thick as before. */
export const largerSteps = (steps: readonly PatternStep[], factor: number): readonly PatternStep[] =>
  steps.map((s) => timesStep(s, factor));

/**
 * What has to be rolled for a patterned sheet, and what comes of it: clay in is sheets and what is left over.
 * @param wanted mm² of the finished sheet, with what is trimmed off it; null: as much as the steps make
 * @param canes that slices are cut of
 * @throws Complaint of the first step that cannot be done
 */
export function planPattern(
  steps: readonly PatternStep[],
  wanted: Mm2 | null = null,
  canes: CutCanes = {},
): PatternPlan {
  const made = madeFor(steps, wanted, canes);
  const context = patternContext(0, 1, canes);
  const bodies = runPattern(made.steps, context).map((r) => {
    if (r.wrong) throw r.wrong;
    return r.body;
  });
  const body = bodies.at(-1);
  if (!body) throw complaint('pattern/begin');
  const starts = startsOf(made.steps, bodies, context);
  const taken = new Map<string, Mm3>();
  for (const { of, volume } of starts) taken.set(of, (taken.get(of) ?? 0) + volume * made.makes);
  return {
    ...made,
    starts,
    taken,
    given: named(body.volumes(), context, made.makes),
    left: leftAt(made.steps, bodies, context, made.makes),
    area: sheetArea(body) * made.makes,
    body,
  };
}

/** Which of what one has runs out first, and the share of what the plan takes that there is. */
export interface PatternMost {
  readonly factor: number;
  readonly runsOut: string;
}

/**
 * How many times as much can be made of what one has.
 * @param taken of each material, in any unit @param have in the same one; what is not in it there is none of
 */
export function mostOf(taken: ReadonlyMap<string, number>, have: ReadonlyMap<string, number>): PatternMost {
  let [factor, runsOut] = [Infinity, ''];
  for (const [of, volume] of taken) {
    const there = (have.get(of) ?? 0) / volume;
    if (there < factor) [factor, runsOut] = [there, of];
  }
  return { factor, runsOut };
}
