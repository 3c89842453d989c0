import { UNITS_SENTENCES, complaints } from '#core/units';

/** What can be wrong with a file that somebody brings, in sentences. */
const FILE_SENTENCES = {
  'file/large': (d: { name: string }) => `${d.name} is larger than 20 MB. It is no file that Sledge reads.`,
  'file/slow': (d: { name: string }) =>
    `${d.name}: Reading took longer than 10 seconds and was stopped. Nothing was taken in.`,
  'file/stopped': (d: { name: string }) => `${d.name}: It was stopped. Nothing was taken in.`,
  'file/unreadable': (d: { name: string }) => `${d.name}: It cannot be read. Nothing was taken in.`,
  'file/wrong': (d: { name: string; sentence: string; at?: number | undefined }) => `${d.name}: ${d.sentence}`,
  'picture/empty': (d: { name: string }) => `${d.name} is empty.`,
  'picture/heavy': (d: { name: string }) => `${d.name} is larger than 200 MB. Make it smaller first.`,
  'picture/large': (d: { name: string }) =>
    `${d.name} has more than 200 million pixels, which is more than this machine can unpack. Make it smaller first.`,
  'picture/unreadable': (d: { name: string }) =>
    `${d.name} cannot be read as a picture. It may be broken, or of a kind that this browser does not know; ` +
    'PNG and JPEG always work.',
  'picture/heic': (d: { name: string }) =>
    `${d.name} is a HEIC photograph, which this browser cannot read. Choose JPEG among the formats of the camera ` +
    '(often called the most compatible one), or export it as JPEG.',
  'picture/none': () => 'No picture is open.',
  'palette/refused': () => 'The palette could not be kept.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...FILE_SENTENCES });
