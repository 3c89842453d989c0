import { proxy } from 'comlink';
import { useState } from 'react';
import { EYE_SIGMA, type Lab } from '#core/colour';
import type { Coloured, Mosaic } from '#core/mosaic';
import { useAnswer, type Answer } from './answers.js';
import { bridgeTo } from './bridge.js';
import type { MosaicLook, MosaicWorker, PlainMosaicWish } from './mosaic.worker.js';

export type { MosaicLook, PlainMosaicWish } from './mosaic.worker.js';

const bridge = bridgeTo<MosaicWorker>(
  'a mosaic was planned',
  () => new Worker(new URL('./mosaic.worker.js', import.meta.url), { type: 'module' }),
);

/** The colours of a picture, each with its neighbours in lightness. @throws Complaint */
export const mosaicShades = (pictureId: string, colours: number, run: number): Promise<readonly Lab[]> =>
  bridge.ask((worker) => worker.shades(pictureId, colours, run));

const keyOf = (wish: PlainMosaicWish): string => JSON.stringify(wish);

/** A plan on its way: how far it is, what it is, and how it is stopped and begun anew. */
export interface PlannedMosaic extends Answer<Mosaic | null> {
  /** 0 to 1 */
  readonly share: number;
  readonly stop: () => void;
  readonly again: () => void;
}

/** The plan of a mosaic; null where it was stopped, and undefined until it is known. */
export function useMosaicPlan(wish: PlainMosaicWish | null): PlannedMosaic {
  const [share, setShare] = useState(0);
  const [round, setRound] = useState(0);
  const key = wish && keyOf(wish);
  const name = `mosaic ${round} ${key ?? ''}`;
  const answer = useAnswer<Mosaic | null>(
    ['mosaic', key, round],
    wish &&
      (() => {
        setShare(0);
        return bridge.ask((worker) => worker.plan(wish, name, proxy(setShare)));
      }),
  );
  return {
    ...answer,
    share,
    stop: () => void bridge.ask((worker) => worker.stop(name)),
    again: () => {
      setRound(round + 1);
    },
  };
}

/** How a mosaic looks from 30 cm; null until it is known. @param thread mm of its thickest thread */
export function useMosaicLook(
  wish: PlainMosaicWish | null,
  shapes: readonly Coloured[] | null,
  bed: Lab,
  thread: number,
): MosaicLook | null {
  const asked = wish && shapes;
  const { value } = useAnswer(
    ['mosaic look', wish && keyOf(wish), JSON.stringify(bed), shapes?.length ?? 0],
    asked && (() => bridge.ask((worker) => worker.look(wish, asked, bed, [EYE_SIGMA, thread]))),
  );
  return value ?? null;
}

/** The narrowest bezel at which it still reads. @throws Complaint */
export const smallestMosaic = (wish: PlainMosaicWish, bed: Lab): Promise<number | null> =>
  bridge.ask((worker) => worker.smallest(wish, bed, EYE_SIGMA));
