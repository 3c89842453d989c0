import { proxy, type Remote } from 'comlink';
import PQueue from 'p-queue';
import type { JudgedMaterial, Meant, Most, Paint, Wanted } from '#core/cane';
import { numberOf, useAnswer } from './answers.js';
import { bridgeTo, inLine } from './bridge.js';
import type { CaneWorker, Judged } from './cane.worker.js';
import type { Wish } from './canePaint.js';
import type { PlainCane, PlainHave, PlainPlan, PlainStep } from './canePlain.js';
import { fileName } from './names.js';

export type { Judged } from './cane.worker.js';

/** Canes as they were last sent, for a worker that comes after the one that knew them. */
const sent = new Map<string, PlainCane>();

const bridge = bridgeTo<CaneWorker>(
  'a cane was worked out',
  () => new Worker(new URL('./cane.worker.js', import.meta.url), { type: 'module' }),
  (worker) => {
    for (const [id, cane] of sent) void worker.keep(id, cane);
  },
);

/** Asks the worker that works canes out. @throws Complaint */
export const askCanes = <T>(question: (worker: Remote<CaneWorker>) => Promise<T>): Promise<T> => bridge.ask(question);

export interface WorkedCane {
  readonly id: string;
  readonly steps: readonly PlainStep[];
}

/** A step that was worked out; null where it was not, or cannot be. */
export function thereAt(worked: WorkedCane | null, at: number): PlainStep | null {
  const step = worked?.steps[at];
  return step?.there ? step : null;
}

/** Of many canes at once the first is there early, and none is worked out that has gone off the screen meanwhile. */
const loads = new PQueue({ concurrency: 1 });

async function load(id: string, cane: PlainCane): Promise<WorkedCane> {
  sent.set(id, cane);
  return { id, steps: await askCanes((worker) => worker.load(id, cane)) };
}

/**
 * A cane worked out step by step in the worker; null until it is, and where there is none. What is older stays
 * until the newer is there.
 */
export function useWorkedCane(id: string, cane: PlainCane | null): WorkedCane | null {
  const { value } = useAnswer(
    ['cane', id, JSON.stringify(cane)],
    cane && ((signal) => inLine(loads, signal, () => load(id, cane))),
  );
  return cane ? (value ?? null) : null;
}

/** Fine faces wait in line, so that of many each is there as early as it can be. */
const line = new PQueue({ concurrency: 1 });
/** Pixels a side up to which a fine face is there at once. */
const SMALL = 200;
/** Pixels to one of a coarse face. */
const COARSE = 4;

/** A face as a picture, coarse at once and fine after; null until there is one. */
export function useFace(
  worked: WorkedCane | null,
  at: number,
  size: number,
  paints: Readonly<Record<string, Paint>>,
  coarseOnly: boolean,
): ImageData | null {
  // it is another picture when the step is another one, whatever else has changed
  const stamp = worked?.steps[at]?.stamp ?? null;
  const id = worked?.id ?? null;
  const isLarge = size > SMALL;
  const key = [id, stamp, at, size, numberOf(paints)] as const;
  const asked = stamp !== null && id !== null;
  const coarse = useAnswer(
    ['coarse', ...key],
    asked && isLarge ? () => askCanes((worker) => worker.face(id, at, size, COARSE, paints)) : null,
  );
  const wantsFine = asked && (!isLarge || (coarse.fresh && !coarseOnly));
  const fine = useAnswer(
    ['fine', ...key],
    wantsFine
      ? (signal) => inLine(line, signal, () => askCanes((worker) => worker.face(id, at, size, 1, paints)))
      : null,
  );
  const newest = [fine, coarse].find((answer) => answer.fresh && answer.value !== null);
  const older = coarseOnly ? (coarse.value ?? fine.value) : (fine.value ?? coarse.value);
  return newest?.value ?? older ?? null;
}

/** A face as a PNG file, with progress; null where it was stopped. */
export const faceFile = (
  wish: Wish,
  tell: (share: number) => void = () => undefined,
  signal?: AbortSignal,
): Promise<Uint8Array | null> =>
  bridge.ask((worker) => worker.faceFile(wish, proxy(tell)), {
    ...(signal && { signal }),
    stop: (worker) => void worker.stop(fileName(wish)),
  });

/** What a worked cane is known by: another text when any of its steps is another. */
const stampsOf = (worked: WorkedCane | null): string | null =>
  worked && [worked.id, ...worked.steps.map((s) => s.stamp)].join(' ');

/** The backwards plan of the cane as it is now; a sentence where there can be none. */
export function usePlan(worked: WorkedCane | null, wanted: Wanted): PlainPlan | string | null {
  const { value, wrong } = useAnswer(
    ['plan', stampsOf(worked), JSON.stringify(wanted)],
    worked && (() => askCanes((worker) => worker.backwards(worked.id, wanted))),
  );
  return wrong?.message ?? value ?? null;
}

/** The most slices that what one has gives; a sentence where that cannot be worked out. */
export function useMost(
  worked: WorkedCane | null,
  thickness: number,
  have: PlainHave,
): { readonly most: Most | null; readonly wrong: string | null } {
  const { value, wrong } = useAnswer(
    ['most', stampsOf(worked), thickness, JSON.stringify(have)],
    worked && (() => askCanes((worker) => worker.most(worked.id, thickness, have))),
  );
  return { most: value ?? null, wrong: wrong?.message ?? null };
}

const NOTHING: Judged = { warnings: [], feature: null, stop: null };

/** What will go wrong with it; while it is being worked out, what was said before. */
export function useJudged(
  worked: WorkedCane | null,
  materials: Readonly<Record<string, JudgedMaterial>>,
  meant?: Meant,
): Judged {
  const { value } = useAnswer(
    ['judged', stampsOf(worked), numberOf(materials), meant ?? null],
    worked && (() => askCanes((worker) => worker.judge(worked.id, materials, meant))),
  );
  return value ?? NOTHING;
}
