import { showMass, type UnitSystem } from '#core/units';
import type { ShoppingAnswer, ShoppingRow, StandIn, WantedFinding } from '#contract';

/** Rows of one line, in its order. */
export interface OfLine {
  readonly line: string;
  readonly rows: readonly ShoppingRow[];
}

/** What is short, by line. */
export function shortByLine({ rows }: Pick<ShoppingAnswer, 'rows'>): OfLine[] {
  const lines = new Map<string, ShoppingRow[]>();
  for (const row of rows) if (row.short > 0) lines.set(row.lineName, [...(lines.get(row.lineName) ?? []), row]);
  return [...lines].map(([line, own]) => ({ line, rows: own })).sort((a, b) => a.line.localeCompare(b.line));
}

/** Findings that are short. */
export const shortFindings = ({ findings }: Pick<ShoppingAnswer, 'findings'>): readonly WantedFinding[] =>
  findings.filter((f) => f.short > 0);

/** What wants them. */
export const findingPlans = ({ plans }: Pick<WantedFinding, 'plans'>): string =>
  plans.map((p) => `${p.count} for ${p.name}`).join(', ');

export const money = (value: number, currency: string): string => `${value.toFixed(2)} ${currency}`.trim();

/** `2 blocks of 57 g` */
export function blocksWords(
  { blocksToBuy, blockGrams, blockAssumed }: Pick<ShoppingRow, 'blocksToBuy' | 'blockGrams' | 'blockAssumed'>,
  units: UnitSystem,
): string {
  const blocks = blocksToBuy === 1 ? '1 block' : `${blocksToBuy} blocks`;
  return `${blocks} of ${blockAssumed ? '~' : ''}${showMass(blockGrams, units)}`;
}

/** What wants it, most first. */
export const plansWords = ({ plans }: Pick<ShoppingRow, 'plans'>, units: UnitSystem): string =>
  plans.map((p) => `${showMass(p.grams, units)} for ${p.name}`).join(', ');

/** From this ΔE00 on a stand-in is seen to be another colour, and from that on at once. */
const [SEEN, PLAIN] = [2, 5];

/** How near something comes, in words. */
export function nearWords(deltaE: number): string {
  if (deltaE < SEEN) return 'hardly to be told apart';
  return deltaE < PLAIN ? 'a little different' : 'plainly different';
}

export const standInWords = ({ kind, name, deltaE, grams }: StandIn, units: UnitSystem): string =>
  `${kind === 'tub' ? 'scrap of ' : ''}${name}, ΔE ${deltaE.toFixed(1)}, ${nearWords(deltaE)}; ` +
  `${showMass(grams, units)} ${kind === 'tub' ? 'there' : 'possible'}`;

/** Columns of the list as a file. */
export const COLUMNS = [
  'line',
  'colour',
  'blocks or pieces',
  'block g',
  'needed g',
  'left g',
  'short g',
  'cost',
] as const;

const tenths = (grams: number): string => String(Math.round(grams * 10) / 10);

/** What is short, as rows of a table: always in grams, so that any program adds it up. */
export const tableOf = (answer: Pick<ShoppingAnswer, 'rows' | 'findings'>): string[][] => [
  ...shortByLine(answer).flatMap(({ line, rows }) =>
    rows.map((r) => [
      line,
      r.name,
      String(r.blocksToBuy),
      tenths(r.blockGrams),
      tenths(r.grams),
      tenths(r.left),
      tenths(r.short),
      r.buyCost === null ? '' : r.buyCost.toFixed(2),
    ]),
  ),
  ...shortFindings(answer).map((f) => [
    ...['findings', f.name, String(f.short), '', '', '', ''],
    f.buyCost === null ? '' : f.buyCost.toFixed(2),
  ]),
];

export const many = (count: number, one: string, more: string): string => `${count} ${count === 1 ? one : more}`;

/** What the list is for: so many batches, and so many canes and blends beside them. */
export function plansTogether(batches: number, others: number): string {
  const more = others > 0 ? ` and ${many(others, 'plan', 'plans')} more` : '';
  return `${many(batches, 'open batch', 'open batches')}${more} together`;
}
