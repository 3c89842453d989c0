import { proxy, type Remote } from 'comlink';
import PQueue from 'p-queue';
import type { CutCanes, Judged, Proposal } from '#core/pattern';
import { numberOf, useAnswer, type Key } from './answers.js';
import { bridgeTo, inLine } from './bridge.js';
import type { FormPicture, FormWish } from './formed.js';
import { useInTurn } from './inTurn.js';
import type { PatternColours, PatternWish, PatternWorker, PlainCutWish, PlanWish } from './pattern.worker.js';
import type { PatternPaints, PlainPattern } from './patternLoaded.js';
import type { PatternToMake, PlainBody } from './patternPlain.js';

export type { FormPicture, FormWish } from './formed.js';
export type { PatternColours, PatternWish } from './pattern.worker.js';
export type { PatternPaints, PlainCut, PlainPattern } from './patternLoaded.js';
export type { PatternToMake, PlainBody } from './patternPlain.js';

const bridge = bridgeTo<PatternWorker>(
  'a patterned sheet was worked out',
  () => new Worker(new URL('./pattern.worker.js', import.meta.url), { type: 'module' }),
);
/** Asks the worker that works patterned sheets out. @throws Complaint */
const ask = <T>(question: (worker: Remote<PatternWorker>) => Promise<T>): Promise<T> => bridge.ask(question);

/** All that the look of a pattern depends on, as one text. */
const keyOf = ({ steps, wobble, seed, canes }: PlainPattern): string =>
  JSON.stringify([steps, wobble, seed, canesKey(canes)]);

/** Canes are long; each of them is told by a number of its own. */
const caneNumbers = new Map<string, number>();
const known = new WeakMap<CutCanes, number>();
function canesKey(canes: CutCanes | undefined): number {
  if (!canes) return 0;
  const before = known.get(canes);
  if (before !== undefined) return before;
  const text = JSON.stringify(canes);
  const number = caneNumbers.get(text) ?? caneNumbers.size + 1;
  caneNumbers.set(text, number);
  known.set(canes, number);
  return number;
}

/** Of many at once the first is there early, and none is worked out that has gone off the screen meanwhile. */
const loads = new PQueue({ concurrency: 1 });

/** A body after each step; null until they are worked out. What is older stays until the newer is there. */
export function useBodies(pattern: PlainPattern): readonly PlainBody[] | null {
  const { value } = useAnswer(['pattern', keyOf(pattern)], (signal) =>
    inLine(loads, signal, () => ask((worker) => worker.load(pattern))),
  );
  return value ?? null;
}

/** Fine pictures wait in line, so that of many each is there as early as it can be. */
const line = new PQueue({ concurrency: 1 });
const SMALL = 150;
const COARSE = 4;

/** What is looked at, and how. */
interface Looked {
  readonly wish: PatternWish;
  readonly key: Key;
}

function lookedAt(wish: PatternWish): Looked {
  // what comes after a step does not change its picture
  const pattern = { ...wish.pattern, steps: wish.pattern.steps.slice(0, wish.at + 1) };
  const { view, cut = null, size, paints } = wish;
  return { wish: { ...wish, pattern }, key: [keyOf(pattern), JSON.stringify([view, cut]), size, numberOf(paints)] };
}

/** A coarse picture; null where there is nothing to see. */
const coarseFace = (wish: PatternWish): Promise<ImageData | null> => ask((worker) => worker.face(wish, COARSE, ''));

/** A look at a pattern as a picture, coarse at once and fine after; null until there is one. */
export function usePatternFace(wished: PatternWish, coarseOnly: boolean): ImageData | null {
  const newest = lookedAt(wished);
  const { wish, key } = newest;
  const isLarge = wish.size > SMALL;
  const dragged = useInTurn(isLarge && coarseOnly ? wish : null, key.join(' '), coarseFace);
  const coarse = useAnswer(['coarse pattern', ...key], isLarge && !coarseOnly ? () => coarseFace(wish) : null);
  const wantsFine = !isLarge || (coarse.fresh && !coarseOnly);
  const fine = useAnswer(
    ['fine pattern', ...key],
    wantsFine
      ? (signal) => inLine(line, signal, () => ask((worker) => worker.face(wish, 1, `fine ${key.join(' ')}`)))
      : null,
  );
  if (dragged) return dragged;
  const newer = [fine, coarse].find((answer) => answer.fresh && answer.value !== null);
  return newer?.value ?? fine.value ?? coarse.value ?? null;
}

/** What comes of a pattern looks like at arm's length; null until it is known, and where it cannot be made. */
export function useJudgedPattern(pattern: PlainPattern | null, colours: PatternColours): Judged | null {
  const { value } = useAnswer(
    ['judged pattern', pattern && keyOf(pattern), JSON.stringify(colours)],
    pattern && (() => ask((worker) => worker.judge(pattern, colours))),
  );
  return value ?? null;
}

/** How much of the face colour the darkest places of its mica clays show; null until it is known, or where none are. */
export function useDarkest(
  pattern: PlainPattern,
  deep: PatternPaints['deep'],
): Readonly<Record<string, number>> | null {
  const { value } = useAnswer(
    ['sheen', keyOf(pattern), JSON.stringify(deep)],
    Object.keys(deep).length > 0 ? () => ask((worker) => worker.darkest(pattern, deep)) : null,
  );
  return value ?? null;
}

/** mm that each of its materials is wide at its narrowest; null until it is known, and where nobody asks. */
export function useWalls(pattern: PlainPattern, asked: boolean): Readonly<Record<string, number>> | null {
  const { value } = useAnswer(['walls', keyOf(pattern)], asked ? () => ask((worker) => worker.walls(pattern)) : null);
  return value ?? null;
}

/** The same of several at once, in their order; null until all are known. */
export function useJudgedStages(
  stages: readonly PlainPattern[],
  colours: PatternColours,
): readonly (Judged | null)[] | null {
  const { value } = useAnswer(
    ['judged stages', JSON.stringify(stages), JSON.stringify(colours)],
    stages.length > 0
      ? async () => {
          const all: (Judged | null)[] = [];
          for (const stage of stages) all.push(await ask((worker) => worker.judge(stage, colours)));
          return all;
        }
      : null,
  );
  return value ?? null;
}

/** What has to be rolled; a sentence where the steps cannot be done; null until it is known. */
export function usePatternPlan(
  { steps, canes }: PlanWish & { readonly canes?: CutCanes },
  wanted: number | null,
): PatternToMake | string | null {
  const { value, wrong } = useAnswer(['pattern plan', JSON.stringify(steps), canesKey(canes), wanted], () =>
    ask((worker) => worker.plan({ steps, ...(canes && { canes }) }, wanted)),
  );
  return wrong?.message ?? value ?? null;
}

/** Where pieces are best cut of what comes of a pattern. @throws Complaint */
export const proposedCuts = (pattern: PlainPattern, colours: PatternColours, wish: PlainCutWish): Promise<Proposal> =>
  ask((worker) => worker.propose(pattern, colours, wish));

/** A look at a pattern as a PNG file, with progress; null where it was stopped. */
export const patternFile = (
  wish: PatternWish,
  tell: (share: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<Uint8Array | null> => {
  const name = `file ${keyOf(wish.pattern)} ${wish.at} ${wish.size}`;
  return bridge.ask((worker) => worker.file(wish, name, proxy(tell)), {
    ...(signal && { signal }),
    stop: (worker) => void worker.stop(name),
  });
};

/** Pixels around a form: of a picture that is there early, and of the fine one. */
const [ROUGH_AROUND, FINE_AROUND] = [256, 1024];

/** What is seen of a form, or why it cannot be. */
export interface FormSeen {
  readonly seen: FormPicture | null;
  readonly wrong: string | null;
}

/** A form with the sheet on it, coarse first and fine after. */
export function useFormed(wish: Omit<FormWish, 'size'>): FormSeen {
  const { pattern, paints, form, way } = wish;
  const key: Key = [keyOf(pattern), JSON.stringify([form, way]), numberOf(paints)];
  const painted = (size: number) => (signal: AbortSignal) =>
    inLine(line, signal, () => ask((worker) => worker.formed({ ...wish, size }, `formed ${size} ${key.join(' ')}`)));
  const coarse = useAnswer(['form', ROUGH_AROUND, ...key], painted(ROUGH_AROUND));
  const fine = useAnswer(['form', FINE_AROUND, ...key], coarse.fresh && coarse.value ? painted(FINE_AROUND) : null);
  const newer = [fine, coarse].find((answer) => answer.fresh && answer.value !== null);
  return { seen: coarse.wrong ? null : (newer?.value ?? null), wrong: coarse.wrong?.message ?? null };
}
