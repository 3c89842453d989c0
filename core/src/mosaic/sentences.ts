import { placed } from '#core/document';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const MOSAIC_SENTENCES = {
  'mosaic/threads': () => 'Threads of a mosaic are from 0.2 to 10 mm thick, and at least one is wanted.',
  'mosaic/lengths': () =>
    'Tesserae are from 0.2 to 60 mm long, and the longest is no shorter than the shortest. Type them again.',
  'mosaic/gap': () => 'Between tesserae there are from 0 to 2 mm.',
  'mosaic/format': (d: { what: string; where: string }) => `This is no mosaic: ${placed(d)}.`,
  'mosaic/newer': (d: { version: string }) =>
    `This mosaic was written by a newer Sledge (version ${d.version}). Bring this Sledge up to date first.`,
  'mosaic/many': (d: { about: number; most: number }) =>
    `That would be about ${d.about.toLocaleString('en')} tesserae, and at most ${d.most.toLocaleString('en')} are ` +
    'planned in one piece. Take thicker threads, longer tesserae, or a smaller bezel.',
} as const;

/** @throws never; what it returns is thrown */
export const complaint = complaints({ ...UNITS_SENTENCES, ...MOSAIC_SENTENCES });
