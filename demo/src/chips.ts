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
  { mix: 'Radish skin', on: '2026-10-12', stage: 'baked', lab: [35.6, 47.2, -0.6], way: 'colour reader' },
  { mix: 'Radish skin', on: '2026-10-12', stage: 'raw', lab: [38.1, 50.2, -2], way: 'colour reader' },
  { mix: 'Beet ring', on: '2026-10-12', stage: 'baked', lab: [34.9, 45.4, -6], way: 'colour reader' },
  { mix: 'Outer leek', on: '2026-10-14', stage: 'baked', lab: [54.9, -26.4, 31], way: 'photograph' },
  { mix: 'Cabbage vein', on: '2026-10-14', stage: 'baked', lab: [23.9, 24.4, -20.3], way: 'by eye' },
  { mix: 'Radish flesh', on: '2026-10-18', stage: 'baked', lab: [78.7, 29.3, -0.9], way: 'colour reader' },
  { mix: 'Brass dust', on: '2026-10-18', stage: 'baked', lab: [58, 4.5, 45.2], way: 'colour reader' },
  { mix: 'Aubergine sheen', on: '2026-10-25', stage: 'baked', lab: [24.5, 22.1, -24.5], way: 'colour reader' },
  { mix: 'Old tin', on: '2026-10-25', stage: 'baked', lab: [37.4, 2.5, -3.9], way: 'colour reader' },
  { mix: 'Turnip top', on: '2026-11-02', stage: 'baked', lab: [53.6, 53.1, 4.6], way: 'colour reader' },
  // a second one, from a disc too few of Beetroot
  { mix: 'Beet ring', on: '2026-11-02', stage: 'baked', lab: [45.6, 44.1, -4.2], way: 'colour reader' },
];
