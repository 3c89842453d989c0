import { showLength, type UnitSystem } from '#core/units';

/** Cutting the ends off. @param each mm off each end @param left mm of the cane that are left */
export const cutLine = (each: number, left: number, units: UnitSystem): string =>
  `Cut ${showLength(each, units)} off each end, to the scrap of its colours: ${showLength(left, units)} are left.`;
