interface SheetRow {
  readonly of: string;
  readonly setting: string;
  readonly mm: number;
  readonly size: readonly [number, number];
  readonly on: string;
  readonly grams: number;
  readonly note: string;
  readonly cuts: readonly { readonly size: readonly [number] | readonly [number, number]; readonly count: number }[];
}

/** Sheets that lie there since the trials, rolled from what those left over. */
export const sheetBook: readonly SheetRow[] = [
  {
    of: 'Pea pod',
    setting: '4',
    mm: 1.52,
    size: [96, 170],
    on: '2026-11-02',
    grams: 47.1,
    note: 'from the trial',
    cuts: [{ size: [14, 60], count: 4 }],
  },
  {
    of: 'Radish flesh',
    setting: '4',
    mm: 1.52,
    size: [110, 120],
    on: '2026-10-18',
    grams: 38.1,
    note: 'from the trial',
    cuts: [{ size: [28], count: 7 }],
  },
  {
    of: 'Corn',
    setting: '6',
    mm: 0.94,
    size: [120, 140],
    on: '2026-11-15',
    grams: 30,
    note: 'for the hoops',
    cuts: [],
  },
];

/** Clay that was conditioned, and what it took. */
export const conditionings = [
  { clay: 'Beetroot', months: 14, roomC: 19, passes: 22, grams: 57, on: '2026-10-18', note: 'in a cold kitchen' },
] as const;

/** The blend that was made already, for the woven basket. */
export const MADE_BLEND = {
  name: 'Straw fade',
  on: '2026-11-20',
  passes: 13,
  diameter: 26,
  height: 30,
  grams: 30.6,
} as const;
