import type { AwayDto, LeftDto, SlicedDto, ThereAnswer, TubAnswer } from '#contract';
import { today } from '../../../state/today.js';

/** Where a thing goes: to the tub that fits, to one of them, or away. */
export type AwayTo = 'fits' | 'thrown' | `tub ${string}`;

export const awayChoices = (tubs: readonly TubAnswer[]): { value: AwayTo; text: string }[] => [
  { value: 'fits', text: 'to the tub that fits' },
  ...tubs.map((t) => ({ value: `tub ${t.id}` as const, text: `to ${t.name}` })),
  { value: 'thrown', text: 'away' },
];

const entry = (): { entryId: string; madeOn: string } => ({ entryId: crypto.randomUUID(), madeOn: today() });

export function awayDto({ version }: ThereAnswer, to: AwayTo): AwayDto {
  if (to === 'thrown') return { version, ...entry(), to };
  const tubId: LeftDto['tubId'] = to === 'fits' ? null : to.slice('tub '.length);
  return { version, ...entry(), to: 'tub', tubId };
}

/** mm of a slice, where nothing else was said. */
export const USUAL_SLICE = 2;

export const slicedDto = (cane: ThereAnswer, count: number, mm: number): SlicedDto => ({
  version: cane.version,
  ...entry(),
  slicesId: crypto.randomUUID(),
  name: `${cane.name}, slices`.slice(0, 80),
  count,
  mm,
  keptIn: cane.keptIn,
});

/** How many slices there are in what is left of a cane. */
export const slicesIn = ({ lengthMm }: ThereAnswer, mm: number): number =>
  mm > 0 ? Math.floor(lengthMm / mm + 1e-9) : 0;

/** What a thing was made with, when what lies there of it is weighed anew. */
export const weighedAnew = ({ grams, left }: ThereAnswer, weighed: number): number =>
  left > 0 ? (grams * weighed) / left : weighed;
