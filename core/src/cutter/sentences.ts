import { OUTLINE_SENTENCES } from '#core/outline';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const CUTTER_SENTENCES = {
  'cutter/larger': (d: { cutter: string; sheet: string }) =>
    `A cutter of ${d.cutter} does not fit on a sheet of ${d.sheet}.`,
  'cutter/shape': (d: { said: string; known: string }) => `"${d.said}" is no shape of a cutter. They are: ${d.known}.`,
  'cutter/crosses': () => 'The outline of this cutter crosses itself. Draw it as one closed line around the piece.',
  'cutter/points': (d: { most: number }) => `The outline of a cutter has 3 to ${d.most} points.`,
  'cutter/rim': (d: { rim: string; most: string }) =>
    `A rim of ${d.rim} leaves no opening in this cutter: it has to be thinner than ${d.most}.`,
  'cutter/outside': (d: { which: number }) =>
    `Piece ${d.which} lies over the edge of what is left of the sheet. Move it in, or take it away.`,
  'cutter/overlap': (d: { which: number; other: number }) =>
    `Piece ${d.which} lies on piece ${d.other}. Move one of them.`,
  'sheet/room': (d: { count: number; fits: number }) =>
    `${d.count} of these do not fit on what is left of the sheet; ${d.fits} do.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...OUTLINE_SENTENCES, ...CUTTER_SENTENCES });
