import { expose } from 'comlink';
import { Fault } from '#core/units';
import type { Lab } from '#core/colour';
import {
  nearestOf,
  offPicture,
  planMosaic,
  readAs,
  readsDownTo,
  shadesOf,
  squaresOf,
  type Coloured,
  type Mosaic,
  type MosaicWish,
} from '#core/mosaic';
import type { Pixels } from '#core/picture';
import { beginLong, stop } from './long.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** What a mosaic is planned from; its picture is known to the worker by the id it is kept under. */
export interface PlainMosaicWish extends Omit<MosaicWish, 'picture'> {
  readonly pictureId: string;
}
/** How a mosaic looks beside its picture. */
export interface MosaicLook {
  /** share of the picture's differences that it keeps, from 30 cm */
  readonly reads: number;
  /** the middle ΔE00 to the picture, both blurred by a thread */
  readonly off: number;
  /** the same of as many squares of one colour each */
  readonly squares: number;
}

/** Pictures that are kept unpacked. */
const MOST_PICTURES = 3;
const pictures = new Map<string, Promise<Pixels>>();

async function unpacked(id: string): Promise<Pixels> {
  const bitmap = await createImageBitmap(await (await fetch(`/api/pictures/${id}`)).blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Fault('a mosaic was planned', 'This browser cannot draw in a worker.');
  pen.drawImage(bitmap, 0, 0);
  bitmap.close();
  return pen.getImageData(0, 0, canvas.width, canvas.height);
}

function pictureOf(id: string): Promise<Pixels> {
  const known = pictures.get(id) ?? unpacked(id);
  pictures.set(id, known);
  for (const old of [...pictures.keys()].slice(0, Math.max(0, pictures.size - MOST_PICTURES))) pictures.delete(old);
  return known;
}

const worker = {
  /** The colours of a picture, each with its neighbours in lightness. @throws Complaint */
  async shades(pictureId: string, colours: number, run: number): Promise<readonly Lab[]> {
    return shadesOf(await pictureOf(pictureId), colours, run);
  },
  /** @param name that it can be stopped by @returns null where it was @throws Complaint */
  async plan(
    { pictureId, ...wish }: PlainMosaicWish,
    name: string,
    tell: (share: number) => void,
  ): Promise<Mosaic | null> {
    const picture = await pictureOf(pictureId);
    const goesOn = beginLong(name);
    const planning = planMosaic({ ...wish, picture });
    for (let step = planning.next(); ; step = planning.next()) {
      if (step.done === true) return step.value;
      tell(step.value);
      if (!(await goesOn())) return null;
    }
  },
  stop,
  /** How it looks from 30 cm. @param sigma mm that the eye runs together, and that both are blurred by */
  async look(
    { pictureId, bezel, shades = [] }: PlainMosaicWish,
    shapes: readonly Coloured[],
    bed: Lab,
    [eye, thread]: readonly [number, number],
  ): Promise<MosaicLook> {
    const seen = { bezel, picture: await pictureOf(pictureId), bed };
    const squares = squaresOf(seen, shapes.length, (lab) => shades[nearestOf(lab, shades)] ?? lab);
    return {
      reads: readAs(seen, shapes, eye),
      off: offPicture(seen, shapes, thread),
      squares: offPicture(seen, squares, thread),
    };
  },
  /** The narrowest bezel of this shape at which it still reads, mm; null where it does at none that was tried. */
  async smallest({ pictureId, ...wish }: PlainMosaicWish, bed: Lab, eye: number): Promise<number | null> {
    return readsDownTo({ ...wish, picture: await pictureOf(pictureId) }, bed, eye);
  },
};
export type MosaicWorker = typeof worker;

expose(worker);
