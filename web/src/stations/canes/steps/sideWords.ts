import type { Landing, Side } from '#core/cane';

/** The eight directions, counterclockwise from the right: as one looks, and as a place. */
const EIGHTHS = [
  ['right', 'at the right'],
  ['up and right', 'at the upper right'],
  ['up', 'at the top'],
  ['up and left', 'at the upper left'],
  ['left', 'at the left'],
  ['down and left', 'at the lower left'],
  ['down', 'at the bottom'],
  ['down and right', 'at the lower right'],
] as const;

/** The nearest of the eight. */
function eighthOf(degrees: number): (typeof EIGHTHS)[number] {
  const eighths = Math.round(degrees / 45);
  return EIGHTHS[((eighths % 8) + 8) % 8] ?? EIGHTHS[0];
}

/** A direction, degrees counterclockwise from the right, in words. */
export const compassOf = (degrees: number): string => eighthOf(degrees)[0];
/** Where something lies about the middle, degrees counterclockwise from the right, in words. */
export const placeOf = (degrees: number): string => eighthOf(degrees)[1];

/** More corners than this are told by nobody. */
const MOST_CORNERS = 4;

/** What becomes which corner of a shape; nothing where it has none, or too many. */
export function landingWords(landings: readonly Landing[]): string {
  if (landings.length === 0 || landings.length > MOST_CORNERS) return '';
  const moved = landings.filter(({ from, to }) => placeOf(from) !== placeOf(to));
  if (moved.length === 0) return ` Its ${landings.length === 1 ? 'corner is' : 'corners are'} what lies there now.`;
  const words = landings.map(({ from, to }) => `what lies ${placeOf(from)} to its corner ${placeOf(to)}`);
  return ` Press ${words.join(', ')}.`;
}

/** Sides shorter than this share of the longest are no sides to lay something along. */
const SHORT = 0.1;
/** More sides than this are a curve. */
const MOST = 12;

/** The sides that something can be laid along, the longest first. */
export function longSides(sides: readonly Side[]): Side[] {
  const longest = Math.max(0, ...sides.map((s) => s.length));
  const long = sides.filter((s) => s.length > SHORT * longest).sort((a, b) => b.length - a.length);
  return long.length > MOST ? [] : long;
}
