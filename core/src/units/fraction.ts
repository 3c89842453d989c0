import Fraction from 'fraction.js';

/** Exact rational numbers (package fraction.js): parts of a mix are these, never floats. */
export { Fraction };
export const ZERO: Fraction = new Fraction(0);

/** The sum of any number of fractions; zero for none. */
export function sumOf(values: Iterable<Fraction>): Fraction {
  let sum = ZERO;
  for (const value of values) sum = sum.add(value);
  return sum;
}
