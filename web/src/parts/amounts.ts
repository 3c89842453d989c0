/** Less than this many grams is nothing: no scale at a bench shows it. */
export const HARDLY_ANY = 0.05;
