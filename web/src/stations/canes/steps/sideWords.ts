import type { Landing, Side } from '#core/cane';

const COMPASS = [
  'right',
  'up and right',
  'up',
  'up and left',
  'left',
  'down and left',
  'down',
  'down and right',
] as const;

/** A direction, degrees counterclockwise from the right, in words. */
export const compassOf = (degrees: number): string => {
  const eighths = Math.round(degrees / 45);
  return COMPASS[((eighths % 8) + 8) % 8] ?? COMPASS[0];
};

const PLACES = [
  'at the right',
  'at the upper right',
  'at the top',
  'at the upper left',
  'at the left',
  'at the lower left',
  'at the bottom',
  'at the lower right',
] as const;

/** Where something lies about the middle, degrees counterclockwise from the right, in words. */
export const placeOf = (degrees: number): string => {
  const eighths = Math.round(degrees / 45);
  return PLACES[((eighths % 8) + 8) % 8] ?? PLACES[0];
};

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
