import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { JudgedMaterial, Paint, Wanted } from '#core/cane';
import type { CaneWorker, PlainCane, PlainPlan, PlainStep, PlainWarning } from './cane.worker.js';

let worker: Remote<CaneWorker> | null = null;
export const caneWorker = (): Remote<CaneWorker> =>
  (worker ??= wrap<CaneWorker>(new Worker(new URL('./cane.worker.js', import.meta.url), { type: 'module' })));

export interface WorkedCane {
  readonly id: string;
  readonly steps: readonly PlainStep[];
}

/**
 * A cane worked out step by step in the worker; null until it is, and where there is none. What is older stays
 * until the newer is there.
 */
export function useWorkedCane(id: string, cane: PlainCane | null): WorkedCane | null {
  const [worked, setWorked] = useState<WorkedCane | null>(null);
  const key = JSON.stringify(cane);
  useEffect(() => {
    const plain = JSON.parse(key) as PlainCane | null;
    if (!plain) {
      setWorked(null);
      return;
    }
    let current = true;
    void caneWorker()
      .load(id, plain)
      .then((steps) => {
        if (current) setWorked({ id, steps });
      });
    return () => {
      current = false;
    };
  }, [id, key]);
  return worked;
}

interface Waiting {
  readonly key: string;
  readonly of: Parameters<CaneWorker['face']>;
  askers: number;
  readonly picture: Promise<ImageData | null>;
  readonly give: (picture: Promise<ImageData | null> | null) => void;
}
const line: Waiting[] = [];
let atWork = false;

async function paintLine(): Promise<void> {
  if (atWork) return;
  atWork = true;
  for (let [next] = line; next; [next] = line) {
    const picture = next.askers > 0 ? caneWorker().face(...next.of) : null;
    next.give(picture);
    await picture?.catch(() => undefined);
    line.shift();
  }
  atWork = false;
}

/**
 * Fine faces wait in line, so that of many each is there as early as it can be.
 * The same one is painted once for all who ask for it; `leave` when it is not wanted any more.
 */
function inLine(
  stamp: number,
  ...of: Waiting['of']
): { readonly picture: Waiting['picture']; readonly leave: () => void } {
  const key = [stamp, ...of.slice(0, 4)].join(' ');
  let own = line.find((w) => w.key === key && w.of[4] === of[4] && w.askers > 0);
  if (!own) {
    let give: Waiting['give'] = () => undefined;
    const picture = new Promise<ImageData | null>((resolve) => {
      give = resolve;
    });
    own = { key, of, askers: 0, picture, give };
    line.push(own);
  }
  const asked = own;
  asked.askers++;
  void paintLine();
  return {
    picture: asked.picture,
    leave: () => {
      asked.askers--;
    },
  };
}

/** A face as a picture, coarse at once and fine after; null until there is one. */
export function useFace(
  worked: WorkedCane | null,
  at: number,
  size: number,
  paints: Readonly<Record<string, Paint>>,
  coarseOnly: boolean,
): ImageData | null {
  const [picture, setPicture] = useState<ImageData | null>(null);
  const id = worked?.id;
  // it is another picture when the step is another one, whatever else has changed
  const stamp = worked?.steps[at]?.stamp;
  useEffect(() => {
    if (id === undefined || stamp === undefined) return;
    let current = true;
    let leave = (): void => undefined;
    const paint = async (): Promise<void> => {
      if (size > 200) {
        const coarse = await caneWorker().face(id, at, size, 4, paints);
        if (!current) return;
        if (coarse) setPicture(coarse);
        if (coarseOnly) return;
      }
      const asked = inLine(stamp, id, at, size, 1, paints);
      ({ leave } = asked);
      const fine = await asked.picture;
      if (current && fine) setPicture(fine);
    };
    void paint();
    return () => {
      current = false;
      leave();
    };
  }, [id, stamp, at, size, paints, coarseOnly]);
  return picture;
}

/** A face as a PNG file, with progress; null where it was stopped. */
export const faceFile = (
  id: string,
  at: number,
  size: number,
  paints: Readonly<Record<string, Paint>>,
  tell: (share: number) => void,
): Promise<Uint8Array | null> => caneWorker().png(id, at, size, paints, proxy(tell));

export const stopFace = (id: string): void => {
  void caneWorker().stop(id);
};

/** The backwards plan of the cane as it is now; a sentence where there can be none. */
export function usePlan(worked: WorkedCane | null, wanted: Wanted): PlainPlan | string | null {
  const [plan, setPlan] = useState<PlainPlan | string | null>(null);
  const key = JSON.stringify(wanted);
  useEffect(() => {
    if (!worked) return;
    let current = true;
    void caneWorker()
      .backwards(worked.id, JSON.parse(key) as Wanted)
      .then((next) => {
        if (current) setPlan(next);
      });
    return () => {
      current = false;
    };
  }, [worked, key]);
  return plan;
}

export interface Judged {
  readonly warnings: readonly PlainWarning[];
  readonly feature: { readonly mm: number; readonly material: string } | null;
}

/** What will go wrong with it; while it is being worked out, what was said before. */
export function useJudged(worked: WorkedCane | null, materials: Readonly<Record<string, JudgedMaterial>>): Judged {
  const [judged, setJudged] = useState<Judged>({ warnings: [], feature: null });
  useEffect(() => {
    if (!worked) return;
    let current = true;
    void caneWorker()
      .judge(worked.id, materials)
      .then((next) => {
        if (current) setJudged(next);
      });
    return () => {
      current = false;
    };
  }, [worked, materials]);
  return judged;
}
