/** What lies on the table besides the sheets: by which mix, or by which cane. */
interface ThereRow {
  readonly of: { readonly mix: string } | { readonly cane: string };
  readonly name: string;
  readonly form: 'lump' | 'cane';
  readonly grams: number;
  /** of a cane */
  readonly across?: number;
  readonly long?: number;
  readonly keptIn: string;
  readonly on: string;
  /** slices that were cut off it since */
  readonly slices?: number;
}

/** Left over from earlier evenings, and noted before the scenario begins. */
export const lyingThere: readonly ThereRow[] = [
  {
    of: { mix: 'Radish flesh' },
    name: 'Radish flesh, left over',
    form: 'lump',
    grams: 18.4,
    keptIn: 'green tin',
    on: '2026-10-18',
  },
  {
    of: { mix: 'Pea pod' },
    name: 'Pea pod, left over',
    form: 'lump',
    grams: 7.2,
    keptIn: 'green tin',
    on: '2026-11-02',
  },
  {
    of: { cane: 'Beetroot ring' },
    name: 'Beetroot ring',
    form: 'cane',
    // π/4 · 16² · 110 mm at 1.9 g/cm³
    grams: 42,
    across: 16,
    long: 110,
    keptIn: 'drawer with the canes',
    on: '2026-11-08',
    slices: 14,
  },
];
