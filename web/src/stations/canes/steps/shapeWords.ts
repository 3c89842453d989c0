import type { ShapeKind, Turns } from '#core/cane';

export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  round: 'a round',
  square: 'a square',
  rectangle: 'a rectangle',
  triangle: 'a triangle',
  teardrop: 'a teardrop',
  petal: 'a petal',
  hexagon: 'a hexagon',
  'half round': 'a half round',
  drawn: 'a drawn outline',
};
export const TURN_WORDS: Readonly<Record<Turns, string>> = {
  none: 'all the same way',
  quarter: 'each a quarter further',
  half: 'every other one upside down',
  mirror: 'every other one mirrored',
};
