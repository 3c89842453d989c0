/**
 * The measures of the house. Each is a plain number with a flavour, so that
 * the compiler refuses grams where millimetres belong. Inside Sledge only
 * these are used; inches, ounces and Fahrenheit exist at the edge alone.
 */
type Flavour<N extends string> = number & { readonly __measure?: N };

export type Mm = Flavour<'mm'>;
export type Mm2 = Flavour<'mm²'>;
export type Mm3 = Flavour<'mm³'>;
export type Grams = Flavour<'g'>;
export type Density = Flavour<'g/cm³'>;
export type Celsius = Flavour<'°C'>;
export type Minutes = Flavour<'min'>;

/** The two systems a person can read and write in. */
export type UnitSystem = 'metric' | 'imperial';

export const MM_PER_INCH = 25.4;
export const GRAMS_PER_OUNCE = 28.349523125;
