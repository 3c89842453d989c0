interface CaneRow {
  readonly name: string;
  readonly start: string;
  readonly slices: number;
  readonly sliceMm: number;
  readonly note: string;
  readonly fade: string;
  readonly dark: string;
  readonly light: string;
  readonly strong: string;
}

/** Canes of the scenario, each from a starting point; the newest last. */
export const canes: readonly CaneRow[] = [
  {
    name: 'Garden speckle',
    start: 'speckle',
    slices: 24,
    sliceMm: 2.5,
    note: 'for the radish brooches',
    fade: 'Straw fade',
    dark: 'Soot',
    light: 'Corn',
    strong: 'Carrot',
  },
  {
    name: 'Beetroot ring',
    start: 'beetroot-ring',
    slices: 48,
    sliceMm: 2.2,
    note: 'for the drops',
    fade: 'Straw fade',
    dark: 'Aubergine',
    light: 'Radish flesh',
    strong: 'Beetroot',
  },
  {
    name: 'Woven basket, straw',
    start: 'woven-basket',
    slices: 60,
    sliceMm: 2.2,
    note: 'for the basket beads',
    fade: 'Straw fade',
    dark: 'Aubergine',
    light: 'Chalk',
    strong: 'Leek',
  },
];
