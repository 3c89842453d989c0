import { sameMaterial } from '#core/material';
import type { Grams } from '#core/units';
import type { BatchPlan, PiecePlan } from './plan.js';
import type { LayerOf } from './order.js';

/** What a batch leaves over, as planned. */
export interface LeftOver {
  /** between and around what is cut, of all layers of the stack together; or what the discs gave too much */
  readonly why: 'cut' | 'mixed';
  readonly parts: readonly { readonly of: LayerOf; readonly grams: Grams }[];
}

type Cuttable = Extract<PiecePlan, { wrong: null }>;

/** Crumbs that nobody gathers. */
const HARDLY_ANY: Grams = 0.3;

/** Each material once. */
function together(parts: LeftOver['parts']): LeftOver['parts'] {
  return parts.reduce<{ of: LayerOf; grams: Grams }[]>((sum, { of, grams }) => {
    const same = sum.find((s) => sameMaterial(s.of, of));
    if (same) same.grams += grams;
    else sum.push({ of, grams });
    return sum;
  }, []);
}

const scrapOf = ({ layout, layers }: Cuttable): LeftOver['parts'] =>
  together(layers.map(({ of, grams }) => ({ of, grams: grams * layout.scrap })));

/** The materials of a left-over, whatever their weight. */
const sortOf = (parts: LeftOver['parts']): string =>
  parts
    .map(({ of }) => `${of.kind} ${of.id}`)
    .sort()
    .join(', ');

/** What is left over when a batch is cut: of each sort of stack together, and of each mix that was made too much of. */
export function leftOf({ pieces, demand }: Pick<BatchPlan, 'pieces' | 'demand'>): LeftOver[] {
  const sorts = new Map<string, LeftOver['parts']>();
  for (const piece of pieces) {
    if (piece.wrong !== null) continue;
    const parts = scrapOf(piece);
    sorts.set(sortOf(parts), together([...(sorts.get(sortOf(parts)) ?? []), ...parts]));
  }
  const cut = [...sorts.values()].map((parts): LeftOver => ({ why: 'cut', parts }));
  const mixed = demand.mixes.map(({ of, needed, made }): LeftOver => ({
    why: 'mixed',
    parts: [{ of, grams: made - needed }],
  }));
  return [...cut, ...mixed].filter(({ parts }) => parts.reduce((sum, p) => sum + p.grams, 0) > HARDLY_ANY);
}
