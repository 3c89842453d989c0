import type { RescuedFrom } from '#core/conditioning';

const HARD: readonly string[] = [
  'Warm it wrapped in a pocket for 20 minutes, and knock it flat while it is still wrapped.',
  'Break it in crumbs, or slice it as thin as it lets you.',
  'Half of what is worked in first: softener as drops between the crumbs, clay as thin slices between them.',
  'Press it together in a bag and let it lie for an hour, over night where it still crumbles.',
  'Feed it at the thinnest setting, gather what falls, and step up one setting at a time.',
  'Squeeze it again; work the other half in only where it needs it.',
];
const SOFT: readonly string[] = [
  'Roll it to a sheet of at most 3 mm (⅛ in).',
  'Roll the firmer clay as thin, lay one on the other, fold and pass until no streak is left.',
  'Let it rest on a cold tile for 20 minutes, then squeeze it again.',
];

/** What to do, in the order to do it. */
export const handsWords = (from: RescuedFrom): readonly string[] => (from === 'too soft' ? SOFT : HARD);

/** What helps without anything worked in. */
export const otherWayWords = (from: RescuedFrom): string =>
  from === 'too soft'
    ? 'A sheet between two sheets of paper under a book, 20 minutes to an hour, looked at in between; then 15 ' +
      'minutes on a cold tile. It loses softener to the paper, and no colour changes.'
    : 'Wrapped tightly and laid by for a week beside softer clay it takes some softener up by itself. Warmed, sliced ' +
      'thin and passed longer most stiff clay folds without anything worked in.';
