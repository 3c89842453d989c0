import { layoutOf, type LayoutKind } from '#core/blend';

interface BlendRow {
  readonly name: string;
  readonly colours: readonly string[];
  readonly kind: LayoutKind;
  readonly width: number;
  readonly height: number;
  readonly pure: number;
  readonly setting: string;
  readonly note: string;
}

const ROWS: readonly BlendRow[] = [
  {
    name: 'Straw fade',
    colours: ['Corn', 'Squash'],
    kind: 'pure ends',
    width: 100,
    height: 40,
    pure: 10,
    setting: '3',
    note: 'for the woven basket',
  },
  {
    name: 'Beet fade',
    colours: ['Beetroot', 'Radish flesh'],
    kind: 'pure ends',
    width: 110,
    height: 60,
    pure: 10,
    setting: '3',
    note: 'for the bullseyes of the drops',
  },
  {
    name: 'Pod fade',
    colours: ['Leek', 'Corn', 'Radish'],
    kind: 'V',
    width: 140,
    height: 60,
    pure: 14,
    setting: '3',
    note: '',
  },
];

/** Blends of the scenario, with their cuts. */
export const blends = ROWS.map((row) => ({
  ...row,
  cuts: layoutOf(row.kind, row.colours.length, row.width, row.height, row.pure).cuts.map((points) => ({
    points: [...points],
  })),
}));
