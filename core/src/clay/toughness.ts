import type { Line, Toughness } from './clay.js';

/** What a line is like after baking, where nobody has said: soft and crumbly lines break, an assumption. */
const USUAL: Readonly<Record<Line['firmness'], Toughness>> = {
  soft: 'brittle',
  crumbly: 'brittle',
  medium: 'flexible',
  firm: 'flexible',
};

/** Whether a line is brittle or flexible after baking, and whether that is only assumed. */
export function toughnessOf({ toughness, firmness }: Pick<Line, 'toughness' | 'firmness'>): {
  readonly toughness: Toughness;
  readonly assumed: boolean;
} {
  return { toughness: toughness ?? USUAL[firmness], assumed: toughness == null };
}
