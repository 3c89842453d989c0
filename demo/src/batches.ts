import type { CutterShape } from '#core/cutter';
import type { OwnCutterDto } from '#contract';
import { idOf } from './id.js';

interface PieceRow {
  readonly name: string;
  /** one number: round; two: width and height */
  readonly size: readonly [number] | readonly [number, number];
  /** of two numbers: left out, a rectangle */
  readonly shape?: CutterShape;
  /** around an opening */
  readonly rim?: number;
  readonly count: number;
  readonly spare: number;
  /** bottom first: name of a mix or a clay, setting of the Bench roller */
  readonly layers: readonly (readonly [string, string])[];
}

interface BatchRow {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly dueOn: string | null;
  readonly pieces: readonly PieceRow[];
  /** made already: when, and what was written down */
  readonly done: { readonly on: string; readonly note: string } | null;
}

const batch = (
  name: string,
  dueOn: string | null,
  note: string,
  pieces: readonly PieceRow[],
  done: BatchRow['done'] = null,
): BatchRow => ({ id: idOf(`batch ${name}`), name, note, dueOn, pieces, done });

export const batches: readonly BatchRow[] = [
  batch(
    'Radish-slice brooches, trial',
    '2026-10-20',
    '',
    [
      {
        name: 'Slice',
        size: [28],
        count: 6,
        spare: 1,
        layers: [
          ['Radish skin', '6'],
          ['Radish flesh', '4'],
        ],
      },
    ],
    { on: '2026-10-18', note: 'Edges a little soft. Cut through film next time.' },
  ),
  batch(
    'Pea-pod ornaments, trial',
    '2026-11-05',
    '',
    [
      { name: 'Pod half', size: [14, 60], count: 4, spare: 0, layers: [['Pea pod', '4']] },
      { name: 'Pea', size: [9], count: 12, spare: 2, layers: [['Young leek', '0']] },
    ],
    { on: '2026-11-02', note: 'Five peas look better than three.' },
  ),
  batch('Beetroot-ring drop earrings', '2026-12-11', 'twelve pairs for the midwinter market', [
    {
      name: 'Drop',
      size: [18],
      count: 24,
      spare: 2,
      layers: [
        ['Radish skin', '6'],
        ['Beet ring', '4'],
      ],
    },
    { name: 'Stud', size: [8], count: 24, spare: 2, layers: [['Beetroot', '3']] },
  ]),
  batch('Leek-leaf hoops', '2026-12-11', '', [
    {
      name: 'Leaf',
      size: [24, 58],
      shape: 'leaf',
      rim: 6,
      count: 16,
      spare: 2,
      layers: [
        ['Corn milk', '7'],
        ['Outer leek', '6'],
      ],
    },
  ]),
  batch('Red-cabbage pendants', '2026-12-11', 'the lace comes later', [
    {
      name: 'Pendant',
      size: [32],
      count: 10,
      spare: 1,
      layers: [
        ['Cabbage vein', '4'],
        ['Cabbage leaf', '6'],
      ],
    },
  ]),
  batch('Squash-stripe baubles', null, '', [
    { name: 'Stripe', size: [8, 95], count: 24, spare: 0, layers: [['Squash flesh', '6']] },
    { name: 'Dark stripe', size: [8, 95], count: 12, spare: 0, layers: [['Swede', '6']] },
  ]),
];

export const CUTTING = { bridgeMm: 2, sheetWidthMm: 110, sheetLengthMm: 200 };

/** The drawer: name, shape, width, height, rim. */
const DRAWER: readonly (readonly [string, CutterShape, number, number, number?])[] = [
  ['Pea', 'round', 9, 9],
  ['Radish', 'round', 18, 18],
  ['Pendant', 'round', 32, 32],
  ['Ring', 'round', 26, 26, 6],
  ['Carrot drop', 'teardrop', 18, 32],
  ['Pea leaf', 'leaf', 14, 36],
  ['Leek hoop', 'leaf', 24, 58, 6],
  ['Cabbage petal', 'petal', 18, 26],
  ['Turnip heart', 'heart', 20, 20],
  ['Bean oval', 'oval', 18, 25],
  ['Comb', 'hexagon', 20, 17.3],
  ['Squash slice', 'half round', 36, 18],
  ['Bookmark', 'rectangle', 12, 40],
];

export const drawer: readonly OwnCutterDto[] = DRAWER.map(([name, shape, widthMm, heightMm, rimMm]) => ({
  id: idOf(`cutter ${name}`),
  version: 0,
  name,
  shape,
  widthMm,
  heightMm: shape === 'round' ? null : heightMm,
  rimMm: rimMm ?? null,
  points: null,
}));
