import { asName } from '../../../parts/names.js';
import type { ColourFile, FileContent, MixLine } from '#core/formats';
import type { PaletteDto, TakeInAnswer } from '#contract';
import { NoAnswer, askFirst } from '../../../wire/ask.js';
import { change } from '../../../wire/save.js';
import { readAside } from '../../../workers/reading.js';

/** What was read of a file, and what the server makes of its mixes. */
export interface Looked {
  readonly fileName: string;
  readonly content: FileContent;
  readonly board: TakeInAnswer | null;
}

const PATH = '/api/exchange/mixes';

/** Mixes looked at by the server, or taken in where one is sure. @throws Refused, NoAnswer */
export async function takeIn(mixes: readonly MixLine[], sure: boolean): Promise<TakeInAnswer> {
  if (!sure) return askFirst(PATH, { mixes });
  const answer = await change<TakeInAnswer>('POST', PATH, { mixes, sure });
  if (!answer) throw new NoAnswer('The mixes were not taken in.');
  return answer;
}

/** A file read and looked at; nothing of it is taken in. @throws Complaint of the file, Refused, NoAnswer */
export async function lookInto(file: File): Promise<Looked> {
  const content = await readAside(file, async (reader) => reader.read(file));
  const whole = content.holds === 'mixes' && content.faults.length === 0;
  return { fileName: file.name, content, board: whole ? await takeIn(content.mixes, false) : null };
}

/** What is in a file, in words. */
export function contentWords(content: FileContent): string {
  if (content.holds === 'colours') return `${content.file.colours.length} colours, “${content.file.name}”`;
  return content.holds === 'mixes' ? `${content.mixes.length} mixes` : 'cannot be taken in';
}

const LONGEST_NOTE = 2000;

/** The colours of a file as a palette without a picture. */
export const paletteFrom = (file: ColourFile, fileName: string): PaletteDto => ({
  id: crypto.randomUUID(),
  version: 0,
  name: asName(file.name.replaceAll('"', '')) || 'Palette',
  note: `from ${fileName}`.slice(0, LONGEST_NOTE),
  pictureId: null,
  gainR: 1,
  gainG: 1,
  gainB: 1,
  swatches: file.colours.map((c) => ({ id: crypto.randomUUID(), name: asName(c.name), ...c.lab, share: c.share })),
});
