import { UNITS_SENTENCES, complaints } from '#core/units';
import { PATTERN_DOCUMENT_SENTENCES } from '#core/pattern/document';

/** What this folder can find wrong, in sentences. */
export const PATTERN_STEPS_SENTENCES = {
  ...PATTERN_DOCUMENT_SENTENCES,
  'pattern/begin': () =>
    'A patterned sheet begins with a stack of sheets, logs laid together, chopped bits, or slices of canes.',
  'pattern/begin again': (d: { step: number }) => `Step ${d.step} begins anew. Take it out, or begin another sheet.`,
  'pattern/long': (d: { most: number }) => `A patterned sheet has at most ${d.most} steps.`,
  'pattern/form': (d: { word: string; wanted: string; is: string }) =>
    `${d.word} is done to ${d.wanted}; here is ${d.is}.`,
  'pattern/positive': (d: { what: string }) => `${d.what} has to be more than zero.`,
  'pattern/count': (d: { what: string; low: number; high: number }) =>
    `${d.what} has to be a whole number from ${d.low} to ${d.high.toLocaleString('en')}.`,
  'pattern/thicker': (d: { now: string; wanted: string }) =>
    `It is ${d.now} thick by then, so rolling it to ${d.wanted} does nothing. Take a thinner setting.`,
  'pattern/too deep': (d: { what: string; depth: string; thick: string }) =>
    `${d.what} would go ${d.depth} deep, and the block is ${d.thick} thick. Go less deep, or stack more.`,
  'pattern/below': (d: { depth: string; thick: string }) =>
    `The knife would come out ${d.depth} below the top, and the block is ${d.thick} thick. Shave less ` +
    `deep, thinner, or fewer.`,
  'pattern/slice': (d: { thickness: string; across: string }) =>
    `Slices so thick need ${d.thickness}, and the block is ${d.across} across there. Cut fewer, or thinner ones.`,
  'pattern/beside': () => 'The knife does not meet the block there. Move it towards the middle.',
  'pattern/layers': (d: { most: number }) =>
    `That makes more than ${d.most.toLocaleString('en')} layers, and nobody sees them any more. Cut or ` +
    `fold less often.`,
  'pattern/together': (d: { pieces: number }) =>
    `Cut right through so often, nothing holds together: ${d.pieces} cuts right through in so small a ` +
    `block. Leave more between them, or cut less deep.`,
  'pattern/trimmed': () => 'So much trimmed off leaves nothing. Trim less.',
  'pattern/larger': (d: { now: string; wanted: string }) =>
    `The rope is ${d.now} across by now, so it cannot be reduced to ${d.wanted}. Reducing makes it thinner.`,
  'pattern/flat': (d: { wanted: string; now: string }) =>
    `The rope is ${d.now} across; flattened to ${d.wanted} it would be higher than before. Take less.`,
  'pattern/straight': (d: { word: string }) =>
    `${d.word} wants straight sides; this sheet is round. Trim or cut it first.`,
  'pattern/enough': (d: { there: number; wanted: number }) =>
    `So many rows and columns take ${d.wanted} pieces, and there are ${d.there}. Lay fewer, or cut more.`,
  'pattern/coil': (d: { length: string; across: string }) =>
    `A rope ${d.length} long and ${d.across} wide when it is flattened does not go once around. Make it ` +
    `longer, or thinner.`,
  'pattern/cane': () => 'A cane that slices are cut of is not there any more. Choose another one in its place.',
  'pattern/slices': (d: { most: number }) => `So many slices are more than ${d.most}. Lay fewer, or larger ones.`,
  'pattern/over': (d: { size: string; sheet: string }) =>
    `A slice of ${d.size} would hang over the edge of the sheet, which is ${d.sheet}. Put it further in, or lay it ` +
    'on a larger sheet.',
  'pattern/crowded': (d: { slices: number }) =>
    `${d.slices} slices have no room side by side on this sheet when they are rolled in. Lay fewer, or take a larger ` +
    'sheet.',
  'pattern/specks': () => 'So many specks would touch each other. Take fewer, or smaller ones.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...PATTERN_DOCUMENT_SENTENCES, ...PATTERN_STEPS_SENTENCES });
