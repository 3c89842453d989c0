interface PatternRow {
  readonly name: string;
  /** a starting point by its id */
  readonly start: string;
  readonly note: string;
  readonly dark: string;
  readonly light: string;
  readonly strong: string;
  readonly second: string;
  /** a sheet or lids that are covered with it, mm */
  readonly lids?: { readonly pieces: number; readonly size: readonly [number, number] };
  /** days on which it was made, the folds at which one stopped, and the veins then, mm */
  readonly made?: readonly {
    readonly on: string;
    readonly folds: number;
    readonly veinMm: number;
    readonly note: string;
  }[];
}

interface SlabRow {
  readonly name: string;
  readonly note: string;
  /** the cane that its slices are cut of */
  readonly cane: string;
  readonly columns: number;
  readonly rows: number;
  readonly sliceMm: number;
  readonly rolledMm: number;
}

/** Sheets of slices, laid edge to edge and rolled. */
export const slabs: readonly SlabRow[] = [
  {
    name: 'Cold-frame pane',
    note: 'for the window: rosettes and hoops',
    cane: 'Cold-frame lace',
    ...{ columns: 4, rows: 3, sliceMm: 1.5, rolledMm: 1 },
  },
];

/** Patterned sheets of the scenario, in their colours; the newest last. */
export const patterns: readonly PatternRow[] = [
  {
    name: 'Frosted pane',
    start: 'frost-on-glass',
    note: 'for the winter market',
    dark: 'Aubergine',
    light: 'Chalk',
    strong: 'Turnip',
    second: 'Pea',
  },
  {
    name: 'Soil under the beets',
    start: 'soil-layers',
    note: '',
    dark: 'Soot',
    light: 'Corn',
    strong: 'Beetroot',
    second: 'Carrot',
  },
  {
    name: 'Walnut board',
    start: 'walnut-board',
    note: 'for the lids of the seed boxes',
    dark: 'Soot',
    light: 'Corn',
    strong: 'Aubergine',
    second: 'Carrot',
    lids: { pieces: 3, size: [62, 62] },
    made: [
      { on: '2026-10-12', folds: 4, veinMm: 1.9, note: 'one more and the corn is gone' },
      { on: '2026-11-02', folds: 4, veinMm: 1.8, note: 'cut for two lids' },
    ],
  },
  {
    name: 'Onion skins, beet and corn',
    start: 'onion-skins',
    note: 'light on top, so that it lies in the dents',
    dark: 'Soot',
    light: 'Chalk',
    strong: 'Beetroot',
    second: 'Squash',
  },
];
