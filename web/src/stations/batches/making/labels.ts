import type { BatchAnswer } from '#contract';
import { money } from '../price/money.js';

/** What stands on the label of one finished piece. */
export interface Label {
  readonly name: string;
  readonly materials: string;
  readonly care: string;
  /** empty where no price was said */
  readonly price: string;
}

type ForLabels = Pick<BatchAnswer, 'pieces' | 'assemblies' | 'plan'>;

const CARE = 'Keep it dry, wipe it with a damp cloth. No toy: small parts.';

/** Of polymer clay, and with what of metal. */
function materialsOf(id: string, { assemblies, plan }: ForLabels): string {
  const piece = assemblies.find((a) => a.id === id)?.piece;
  const ids = piece?.parts.flatMap(({ shape }) =>
    shape.is === 'finding' && shape.finding !== null ? [shape.finding] : [],
  );
  const names = [...new Set(ids)].flatMap((one) => plan.findings.find((f) => f.id === one)?.name ?? []);
  return ['Polymer clay', ...names.map((n) => n.toLowerCase())].join(', ');
}

/** A label for each piece that is to be sold, kind after kind. @param currency as the maker writes it */
export function labelsOf(batch: ForLabels, currency: string): Label[] {
  return [...batch.pieces, ...batch.assemblies].flatMap(({ id, name, count, prices }) => {
    const [first] = prices ?? [];
    const price = first === undefined ? '' : `${money(first)} ${currency}`.trim();
    return Array.from({ length: count }, () => ({ name, materials: materialsOf(id, batch), care: CARE, price }));
  });
}

/** mm of a label. */
export const LABEL = { width: 58, height: 34 };

/** How many labels lie beside and below each other on a page. */
export function labelGrid(room: { readonly width: number; readonly height: number }): { across: number; down: number } {
  return {
    across: Math.max(1, Math.floor(room.width / LABEL.width)),
    down: Math.max(1, Math.floor(room.height / LABEL.height)),
  };
}

/** Labels that are printed in one go; more are several batches. */
export const MOST_LABELS = 1000;

/** One line of a price list. */
export interface PriceLine {
  readonly name: string;
  readonly count: number;
  readonly price: string;
}

/** The first price of each kind of piece; those without one are left out. */
export function pricesOf(batch: Pick<BatchAnswer, 'pieces' | 'assemblies'>, currency: string): PriceLine[] {
  return [...batch.pieces, ...batch.assemblies].flatMap(({ name, count, prices }) => {
    const [first] = prices ?? [];
    return first === undefined ? [] : [{ name, count, price: `${money(first)} ${currency}`.trim() }];
  });
}
