import type { Rights } from '#contract';

/** A request as the rules below read it: `PUT /api/diary/…`. */
type Rule = RegExp;

/** What only the computer itself is answered: copies, who is let in, another Sledge beside this one. */
const HERE_ONLY: readonly Rule[] = [
  /^(POST|PUT|DELETE|PATCH) \/api\/archive(?!\/thing\b)/,
  /^GET \/api\/archive\/(copies|whole)\b/,
  /^\w+ \/api\/network(?!\/me$)/,
  /^POST \/api\/garden\b/,
  /^PUT \/api\/learning\b/,
];

/** What a device reads that has only the bench and the diary. */
const READ_AT_BENCH: readonly Rule[] = [
  /^GET \/api\/(health|events|begun|network\/me|changes|garden)\b/,
  /^GET \/api\/(bench|days|batches|diary|taught|pictures|ovens|bakes|devices|glass)\b/,
  /^GET \/api\/(shelf|machines|stock|learning)$/,
  /^GET \/api\/(canes|patterns)\/revisions\//,
];

/** What such a device writes. */
const WRITTEN_AT_BENCH: readonly Rule[] = [
  /^POST \/api\/batches\/[\w-]+\/done$/,
  /^PUT \/api\/(diary|pictures)\/[\w-]+$/,
  /^POST \/api\/diary\/[\w-]+\/next$/,
  /^PUT \/api\/days\/rule$/,
  /^PUT \/api\/bench\/now\b/,
  /^POST \/api\/ovens\/[\w-]+\/baked$/,
  /^(POST|DELETE) \/api\/devices\b/,
  /^POST \/api\/(undo|redo)$/,
];

const among = (rules: readonly Rule[], asked: string): boolean => rules.some((rule) => rule.test(asked));

/**
 * Whether a device may ask for something; pages and files are no matter of rights.
 * @param path without what follows a question mark
 */
export function mayAsk(rights: Rights, method: string, path: string): boolean {
  // addresses are found whatever their capitals
  const address = path.toLowerCase();
  if (!address.startsWith('/api/')) return true;
  const asked = `${method} ${address.replace(/\/+$/, '')}`;
  if (among(HERE_ONLY, asked)) return false;
  return rights === 'all' || among(READ_AT_BENCH, asked) || among(WRITTEN_AT_BENCH, asked);
}

/** Undo at such a device takes back only what it did itself. */
export const isStep = (path: string): boolean => /^\/api\/(undo|redo)\/?$/i.test(path);
