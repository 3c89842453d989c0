import { Fraction, readNumber, showNumber, type Mm } from '#core/units';
import { complaint } from './sentences.js';

export const READING_WAYS = ['calipers', 'cards', 'stack', 'weighed'] as const;
export type ReadingWay = (typeof READING_WAYS)[number];

/** One number on the dial. Settings stand in dial order from the widest gap to the thinnest. */
export interface Setting {
  readonly id: string;
  readonly label: string;
  /** what the maker calls it; left out: nothing */
  readonly called?: string | null | undefined;
}

/** A thickness that somebody measured, with its standard uncertainty. */
export interface Reading {
  readonly id: string;
  readonly settingId: string;
  readonly mm: Mm;
  readonly sigmaMm: Mm;
  readonly way: ReadingWay;
  /** ISO date; null or left out: nobody noted it */
  readonly takenOn?: string | null | undefined;
}

export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly rollerWidthMm: Mm;
  readonly settings: readonly Setting[];
  readonly readings: readonly Reading[];
}

/** Standard uncertainty of a way of measuring, in mm: assumptions. */
export const SIGMA_OF_WAY: Readonly<Record<ReadingWay, Mm>> = {
  calipers: 0.05,
  cards: 0.1,
  stack: 0.04,
  weighed: 0.06,
};

const MOST_SETTINGS = 40;

/**
 * The labels of a dial from its widest to its thinnest number, either way
 * round and from any start, half clicks too: `dialLabels('7', '1', '1')`.
 * @throws Complaint `machine/dial`, `machine/settings`, `parts/unreadable`
 */
export function dialLabels(widest: string, thinnest: string, step: string): string[] {
  const [from, to, by] = [readNumber(widest), readNumber(thinnest), readNumber(step)];
  const text = `${widest} to ${thinnest} by ${step}`;
  if (by.equals(0)) throw complaint('machine/dial', { text });
  const clicks = to.sub(from).abs().div(by);
  if (clicks.d !== 1n || clicks.compare(MOST_SETTINGS) >= 0) throw complaint('machine/dial', { text });
  const count = Number(clicks.n) + 1;
  if (count < 2) throw complaint('machine/settings');
  const direction = to.compare(from) > 0 ? by : by.neg();
  return Array.from({ length: count }, (_, i) => showNumber(from.add(direction.mul(new Fraction(i)))));
}

/** @throws Complaint `machine/settings`, `machine/duplicate` */
export function checkDial(labels: readonly string[]): void {
  if (labels.length < 2) throw complaint('machine/settings');
  const seen = new Set<string>();
  for (const label of labels) {
    if (seen.has(label)) throw complaint('machine/duplicate', { label });
    seen.add(label);
  }
}
