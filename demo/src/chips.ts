import type { ChipDto } from '#contract';

interface ChipRow {
  readonly mix: string;
  readonly on: string;
  readonly stage: ChipDto['stage'];
  readonly lab: readonly [number, number, number];
  readonly way: ChipDto['way'];
}

/** Chips that hang on the board already, as they read. */
export const chips: readonly ChipRow[] = [
  { mix: 'Radish skin', on: '2026-10-12', stage: 'baked', lab: [39.4, 49.8, 5.2], way: 'colour reader' },
  { mix: 'Radish skin', on: '2026-10-12', stage: 'raw', lab: [43.1, 51.5, 2.9], way: 'colour reader' },
  { mix: 'Outer leek', on: '2026-10-14', stage: 'baked', lab: [55.2, -25.1, 32.6], way: 'photograph' },
  { mix: 'Cabbage vein', on: '2026-10-14', stage: 'baked', lab: [23.9, 21.4, -20.3], way: 'by eye' },
];
