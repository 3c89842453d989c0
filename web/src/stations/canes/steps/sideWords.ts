import type { Side } from '#core/cane';

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
