/** A sum; null where one of the values is not known. */
export const sumKnown = (values: readonly (number | null)[]): number | null =>
  values.reduce<number | null>((sum, value) => (sum === null || value === null ? null : sum + value), 0);
