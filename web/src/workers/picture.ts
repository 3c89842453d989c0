import type { Remote } from 'comlink';
import type { Lab } from '#core/colour';
import type { Gains } from '#core/picture';
import { numberOf, useAnswer, type Answer } from './answers.js';
import { bridgeTo } from './bridge.js';
import type { Opened, PictureWorker } from './picture.worker.js';
import { complaint } from './sentences.js';

/** The picture that the worker holds, for a worker that comes after it. */
let held: Blob | null = null;

const bridge = bridgeTo<PictureWorker>(
  'a photograph was looked at',
  () => new Worker(new URL('./picture.worker.js', import.meta.url), { type: 'module' }),
  (worker) => held && worker.takeUp(held),
);

/** Asks the worker that holds the picture at hand. @throws Complaint */
export const askPicture = <T>(question: (worker: Remote<PictureWorker>) => Promise<T>): Promise<T> =>
  bridge.ask(question);

/** Begins the worker, so that a photograph can be opened also where the network is gone by then. */
export const wakePictures = (): Promise<boolean> => askPicture((worker) => worker.ready());

/** Photographs as some phones keep them, which most browsers cannot read. */
const isHeic = ({ name, type }: File): boolean => /\.hei[cf]$/i.test(name) || /^image\/hei[cf]/.test(type);

/** Opens a file as the picture at hand. @throws Complaint where it is none, or too large */
export async function openPicture(file: File): Promise<Opened> {
  const opened = await askPicture<Opened | 'too large' | null>((worker) => worker.open(file));
  if (opened === 'too large') throw complaint('picture/large', { name: file.name });
  if (!opened) throw complaint(isHeic(file) ? 'picture/heic' : 'picture/unreadable', { name: file.name });
  held = file;
  return opened;
}

/** A picture that is on the screen, as its worker has taken it up. */
export interface TakenUp {
  /** another one for each picture that was taken up */
  readonly id: number | string;
  readonly width: number;
  readonly height: number;
}

/** Takes a picture up, by the id it is kept under or as a file; null until it is. */
export function useTakenUp(source: string | Blob): TakenUp | null {
  const id = typeof source === 'string' ? source : numberOf(source);
  const { value, fresh } = useAnswer(['picture', id], async (): Promise<TakenUp> => {
    const file = typeof source === 'string' ? await (await fetch(`/api/pictures/${source}`)).blob() : source;
    held = file;
    return { id, ...(await askPicture((worker) => worker.takeUp(file))) };
  });
  return fresh ? (value ?? null) : null;
}

/** The picture without its cast, to be drawn. */
export const useShown = (picture: TakenUp | null, gains: Gains): Answer<ImageData | null> =>
  useAnswer(['shown', picture?.id ?? null, ...gains], picture && (() => askPicture((worker) => worker.shown(gains))));

/** The mean colour of a patch, without the cast; null outside, and where nothing is pointed at. */
export function useColourAt(
  picture: TakenUp | null,
  at: { readonly x: number; readonly y: number } | null,
  patch: number,
  gains: Gains,
): Lab | null {
  const pointed = picture && at;
  const { value } = useAnswer(
    ['colour at', picture?.id ?? null, at?.x ?? null, at?.y ?? null, patch, ...gains],
    pointed && (() => askPicture((worker) => worker.colourAt(pointed.x, pointed.y, patch, gains))),
  );
  return pointed ? (value ?? null) : null;
}
