import type { Conditioner, Conditioning } from '#core/conditioning';
import { showMinutes } from '#core/units';
import { SQUEEZE_WORDS } from './squeezeWords.js';

const WORK: Readonly<Record<Conditioner, (at: string | null) => string>> = {
  'thin slices': (at) =>
    `Thin slices at ${at === null ? 'a middle setting' : `your ${at}`}, sides folded to the middle`,
  'thick slices': (at) => `Thick slices at ${at === null ? 'the widest setting' : `your ${at}`}, folded edge first`,
  'by hand': () => 'Rolled to a rope and folded, by hand',
};

/** How clay is conditioned, in sentences: at a card, on paper, in a list. */
export const howWords = (how: Conditioning): string[] => [
  ...(how.squeeze === null ? [] : [`Between the fingers it ${SQUEEZE_WORDS[how.squeeze]}.`]),
  ...(how.warmFirst ? [`Warm it wrapped, ${showMinutes(how.warms)} in a pocket.`] : []),
  ...(how.hot ? ['Cool it on a tile first: the room is warm.'] : []),
  ...(how.softener ? ['Work in a little softener.'] : []),
  `${WORK[how.school](how.at?.label ?? null)}, about ${how.passes} times${each(how)}, until a fold does not crack.`,
  ...(how.useSameDay ? ['Use it the same day: it goes back to crumbs.'] : []),
];

const each = ({ portions }: Conditioning): string => (portions > 1 ? ` for each of ${portions} portions` : '');
