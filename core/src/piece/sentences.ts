import { placed } from '#core/document';
import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const PIECE_SENTENCES = {
  'piece/format': (d: { what: string; where: string }) => `This is no piece: ${placed(d)}.`,
  'piece/newer': (d: { version: string }) =>
    `This piece was written by a newer Sledge (version ${d.version}). Bring this Sledge up to date first.`,
  'piece/itself': (d: { name: string }) => `${d.name} lies on itself. Put it on another part, or on the table.`,
  'piece/on': (d: { name: string }) => `What ${d.name} lies on is not there any more.`,
  'piece/size': (d: { name: string }) => `A size that ${d.name} follows is not there any more.`,
  'piece/twice': () => 'Two parts, or two sizes, of this piece have the same id.',
  'piece/many': (d: { count: number; most: number }) =>
    `${d.count.toLocaleString('en')} parts lie on one piece; at most ${d.most} can be worked out. Take fewer of them.`,
  'piece/none': (d: { name: string }) => `Of ${d.name} there is none: say how many lie there.`,
  'piece/positive': (d: { name: string; what: string }) => `The ${d.what} of ${d.name} has to be more than 0.`,
  'piece/ratio': (d: { name: string }) => `A drop is at least as long as it is wide: mend ${d.name}.`,
  'piece/scatter': (d: { name: string; fits: number; wanted: number }) =>
    `Only ${d.fits} of ${d.wanted} of ${d.name} have room there. Give them a larger area, or let them lie closer.`,
  'piece/ring': (d: { name: string; n: number }) =>
    `${d.n} of ${d.name} do not fit side by side on this ring. Make it wider, or take fewer or narrower ones.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...PIECE_SENTENCES });
