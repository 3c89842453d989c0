import { NO_CAST } from '#core/picture';
import type { PaletteDto, PictureDto } from '#contract';
import { ask } from '../wire/ask.js';
import { change } from '../wire/save.js';
import { askPicture, openPicture } from '../workers/picture.js';
import { complaint } from '../workers/sentences.js';
import { asName } from './names.js';

/** Colours that a new palette is begun with. */
const COLOURS = 6;
/** Files larger than this are hardly photographs. */
const MOST_BYTES = 200_000_000;

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
};

/** The name of a file as the name of what is made of it. @param otherwise where it has none */
export const nameOfFile = (file: string, otherwise: string): string =>
  asName(
    file
      .replace(/\.[^.]*$/, '')
      .replace(/[_"\n\r\t]+/g, ' ')
      .trim() || otherwise,
  );

/** Photographs that this window has opened: shown from here, so that nobody waits for them to come back. */
const atHand = new Map<string, string>();

/** Opens a photograph in the worker, scaled down. @throws Complaint */
async function scaledDown(file: File): Promise<PictureDto> {
  if (file.size === 0) throw complaint('picture/empty', { name: file.name });
  if (file.size > MOST_BYTES) throw complaint('picture/heavy', { name: file.name });
  const opened = await openPicture(file);
  const { type, width, height, bytes, small } = opened;
  const data = base64(bytes);
  const picture: PictureDto = { id: crypto.randomUUID(), type, width, height, data, small: base64(small) };
  atHand.set(picture.id, URL.createObjectURL(new Blob([new Uint8Array(bytes)], { type })));
  return picture;
}

/** Opens a photograph and keeps it, scaled down, on the server. @throws Complaint */
export async function keepPhotograph(file: File): Promise<PictureDto> {
  const picture = await scaledDown(file);
  await ask('PUT', `/api/pictures/${picture.id}`, picture);
  return picture;
}

/**
 * Opens a photograph and sends it with the changes, in its turn: also where Sledge cannot be reached just now.
 * @returns its id @throws Complaint where it is none
 */
export async function keepPhotographLater(file: File): Promise<string> {
  const picture = await scaledDown(file);
  void change('PUT', `/api/pictures/${picture.id}`, picture);
  return picture.id;
}

/** Where the small one of a photograph is shown from: for a wall of them. */
export const smallSourceOf = (id: string): string => atHand.get(id) ?? `/api/pictures/${id}?size=small`;

/** Where a photograph is shown from. */
export const sourceOf = (id: string): string => atHand.get(id) ?? `/api/pictures/${id}`;

/**
 * Opens a photograph, takes a first palette from it and keeps both.
 * @returns the id of the palette @throws Complaint
 */
export async function openPhotograph(file: File): Promise<string> {
  const picture = await keepPhotograph(file);
  const colours = await askPicture((worker) => worker.palette(COLOURS, NO_CAST));
  const dto: PaletteDto = {
    id: crypto.randomUUID(),
    version: 0,
    name: nameOfFile(file.name, 'Photograph'),
    note: '',
    pictureId: picture.id,
    gainR: 1,
    gainG: 1,
    gainB: 1,
    swatches: colours.map(({ lab, share }) => ({ id: crypto.randomUUID(), name: '', ...lab, share })),
  };
  if (!(await change<PaletteDto>('PUT', `/api/palettes/${dto.id}`, dto))) throw complaint('palette/refused');
  return dto.id;
}
