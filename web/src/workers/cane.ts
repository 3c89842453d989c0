import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { JudgedMaterial, Paint, Wanted } from '#core/cane';
import type { CaneWorker, PlainCane, PlainPlan, PlainStep, PlainWarning } from './cane.worker.js';

let worker: Remote<CaneWorker> | null = null;
export const caneWorker = (): Remote<CaneWorker> =>
  (worker ??= wrap<CaneWorker>(new Worker(new URL('./cane.worker.ts', import.meta.url), { type: 'module' })));

export interface WorkedCane { readonly id: string; readonly steps: readonly PlainStep[] }

/** A cane worked out step by step in the worker; null until it is, and where there is none. What is older stays until the newer is there. */
export function useWorkedCane(id: string, cane: PlainCane | null): WorkedCane | null {
  const [worked, setWorked] = useState<WorkedCane | null>(null);
  const key = JSON.stringify(cane);
  useEffect(() => {
    const plain = JSON.parse(key) as PlainCane | null;
    if (!plain) { setWorked(null); return; }
    let current = true;
    void caneWorker().load(id, plain).then((steps) => { if (current) setWorked({ id, steps }); });
    return () => { current = false; };
  }, [id, key]);
  return worked;
}

interface Asked { readonly paints: Readonly<Record<string, Paint>>; readonly picture: Promise<ImageData | null> }
const underWay = new Map<string, Asked>();

/** The same face is painted once for all who ask for it at the same time. */
function faceOf(id: string, stamp: number, at: number, size: number, every: number, paints: Readonly<Record<string, Paint>>): Promise<ImageData | null> {
  const key = [id, stamp, at, size, every].join(' ');
  const same = underWay.get(key);
  if (same?.paints === paints) return same.picture;
  const asked: Asked = { paints, picture: caneWorker().face(id, at, size, every, paints) };
  underWay.set(key, asked);
  void asked.picture.finally(() => { if (underWay.get(key) === asked) underWay.delete(key); });
  return asked.picture;
}

/** A face as a picture, coarse at once and fine after; null until there is one. */
export function useFace(worked: WorkedCane | null, at: number, size: number, paints: Readonly<Record<string, Paint>>, coarseOnly: boolean): ImageData | null {
  const [picture, setPicture] = useState<ImageData | null>(null);
  const id = worked?.id;
  // it is another picture when the step is another one, whatever else has changed
  const stamp = worked?.steps[at]?.stamp;
  useEffect(() => {
    if (id === undefined || stamp === undefined) return;
    let current = true;
    const paint = async (): Promise<void> => {
      if (size > 200) {
        const coarse = await faceOf(id, stamp, at, size, 4, paints);
        if (!current) return;
        if (coarse) setPicture(coarse);
        if (coarseOnly) return;
      }
      const fine = await faceOf(id, stamp, at, size, 1, paints);
      if (current && fine) setPicture(fine);
    };
    void paint();
    return () => { current = false; };
  }, [id, stamp, at, size, paints, coarseOnly]);
  return picture;
}

/** A face as a PNG file, with progress; null where it was stopped. */
export const faceFile = (id: string, at: number, size: number, paints: Readonly<Record<string, Paint>>, tell: (share: number) => void): Promise<Uint8Array | null> =>
  caneWorker().png(id, at, size, paints, proxy(tell));

export const stopFace = (id: string): void => { void caneWorker().stop(id); };

/** The backwards plan of the cane as it is now; a sentence where there can be none. */
export function usePlan(worked: WorkedCane | null, wanted: Wanted): PlainPlan | string | null {
  const [plan, setPlan] = useState<PlainPlan | string | null>(null);
  const key = JSON.stringify(wanted);
  useEffect(() => {
    if (!worked) return;
    let current = true;
    void caneWorker().backwards(worked.id, JSON.parse(key) as Wanted).then((next) => { if (current) setPlan(next); });
    return () => { current = false; };
  }, [worked, key]);
  return plan;
}

export interface Judged { readonly warnings: readonly PlainWarning[]; readonly feature: { readonly mm: number; readonly material: string } | null }

/** What will go wrong with it; while it is being worked out, what was said before. */
export function useJudged(worked: WorkedCane | null, materials: Readonly<Record<string, JudgedMaterial>>): Judged {
  const [judged, setJudged] = useState<Judged>({ warnings: [], feature: null });
  useEffect(() => {
    if (!worked) return;
    let current = true;
    void caneWorker().judge(worked.id, materials).then((next) => { if (current) setJudged(next); });
    return () => { current = false; };
  }, [worked, materials]);
  return judged;
}
