import { NO_CAST } from '#core/picture';
import type { PaletteDto, PictureDto } from '#contract';
import { NoAnswer, Refused, ask } from '../wire/ask.js';
import { change } from '../wire/save.js';
import { pictureWorker } from '../workers/picture.js';

/** A picture that cannot be opened, in a sentence. */
export class NoPicture extends Error {}

/** Colours that a new palette is begun with. */
const COLOURS = 6;
/** Files larger than this are hardly photographs. */
const MOST_BYTES = 200_000_000;

const base64 = (bytes: Uint8Array): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
};

/** The name of a file as the name of a palette. */
const nameOf = (file: string): string =>
  (
    file
      .replace(/\.[^.]*$/, '')
      .replace(/[_"\n\r\t]+/g, ' ')
      .trim() || 'Photograph'
  ).slice(0, 80);

/** Opens a photograph in the worker and keeps it, scaled down, on the server. @throws NoPicture */
export async function keepPhotograph(file: File): Promise<PictureDto> {
  if (file.size === 0) throw new NoPicture(`${file.name} is empty.`);
  if (file.size > MOST_BYTES) throw new NoPicture(`${file.name} is larger than 200 MB. Make it smaller first.`);
  const opened = await pictureWorker().open(file);
  if (opened === 'too large')
    throw new NoPicture(
      `${file.name} has more than 200 million pixels, which is more than this machine can unpack. Make it ` +
        'smaller first.',
    );
  if (!opened)
    throw new NoPicture(
      `${file.name} cannot be read as a picture. It may be broken, or of a kind that this browser does not ` +
        'know; PNG and JPEG always work.',
    );
  const picture: PictureDto = {
    id: crypto.randomUUID(),
    type: opened.type,
    width: opened.width,
    height: opened.height,
    data: base64(opened.bytes),
  };
  try {
    await ask('PUT', `/api/pictures/${picture.id}`, picture);
  } catch (error) {
    if (error instanceof Refused || error instanceof NoAnswer) throw new NoPicture(error.message);
    throw error;
  }
  return picture;
}

/**
 * Opens a photograph, takes a first palette from it and keeps both.
 * @returns the id of the palette @throws NoPicture
 */
export async function openPhotograph(file: File): Promise<string> {
  const picture = await keepPhotograph(file);
  const colours = await pictureWorker()
    .palette(COLOURS, NO_CAST)
    .catch((error: unknown) => {
      throw new NoPicture(error instanceof Error ? error.message : 'This picture has no colours.');
    });
  const dto: PaletteDto = {
    id: crypto.randomUUID(),
    version: 0,
    name: nameOf(file.name),
    note: '',
    pictureId: picture.id,
    gainR: 1,
    gainG: 1,
    gainB: 1,
    swatches: colours.map(({ lab, share }) => ({ id: crypto.randomUUID(), name: '', ...lab, share })),
  };
  if (!(await change<PaletteDto>('PUT', `/api/palettes/${dto.id}`, dto)))
    throw new NoPicture('The palette could not be kept.');
  return dto.id;
}
