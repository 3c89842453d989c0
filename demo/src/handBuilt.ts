import type { Point, StartColours, Step } from '#core/cane';

type Loose = Step extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;
const ids = (prefix: string, steps: readonly Loose[]): Step[] =>
  steps.map((step, i) => ({ ...step, id: `${prefix} ${i + 1}` }) as Step);

/** Reduced to 80 mm without its ends, cut in half, both halves pressed the same way round and joined. */
const joinedAgain = (to: 'square' | 'petal'): Loose[] => [
  { do: 'reduce', to: 'length', value: 80 },
  { do: 'across', pieces: 2 },
  { do: 'press', to: { shape: 'triangle' }, turn: 0 },
  { do: 'pair', turned: 'mirror' },
  { do: 'press', to: { shape: to }, turn: 0 },
];

/** mm of a snake of glass, of the wall around it, and how long the first one is. */
const [PANE, PANE_WALL, FIRST_PANE] = [6, 0.5, 280];
/** Snakes of the first tint, and of each other one. */
const [OWN_PANES, OTHER_PANES] = [7, 6];

/** A lace of tinted glass in white walls, one snake after the other bundled, stopped where the walls begin to bleed. */
export const lace = ({ glass: [first = '', ...tints], light }: StartColours): Step[] => {
  const pane = (of: string, length: number): Loose[] => [
    { do: 'log', of, diameter: PANE, length },
    { do: 'wrap', of: light, thickness: PANE_WALL },
  ];
  return ids('lace', [
    ...pane(first, FIRST_PANE),
    { do: 'across', pieces: OWN_PANES },
    {
      do: 'bundle',
      count: OWN_PANES,
      seed: 11,
      to: { shape: 'round' },
      others: tints.map((of, i) => ({
        part: { name: `tint ${i + 2}`, steps: ids(`tint ${i + 2}`, pane(of, FIRST_PANE / OWN_PANES)) },
        count: OTHER_PANES,
      })),
    },
    { do: 'wrap', of: light, thickness: 0.8 },
    { do: 'reduce', to: 'diameter', value: 28 },
  ]);
};

/** A petal from one blend: quarters, tips up, a triangle, a diamond, a square, twice joined again, a petal. */
export const petal = ({ fade }: StartColours): Step[] =>
  ids('petal', [
    { do: 'plug', of: fade, wound: 'rolled', inside: 'first', width: 30, depth: 30, length: 60 },
    { do: 'across', pieces: 2 },
    { do: 'split', parts: 4, degrees: 0 },
    { do: 'fan', count: 4, mirrored: false, ratio: 1.15 },
    { do: 'pair', turned: 'mirror' },
    { do: 'press', to: { shape: 'square' }, turn: 0 },
    ...joinedAgain('square'),
    ...joinedAgain('petal'),
    { do: 'reduce', to: 'diameter', value: 18 },
  ]);

/** mm: half the width and half the height of the drawn leaf, and corners of its edge. */
const [HALF, HIGH, CORNERS] = [24, 30, 72];
const round = (mm: number): number => Math.round(mm * 100) / 100;

/** The edge of a leaf: curled, a point at the top. */
const leaf: readonly Point[] = Array.from({ length: CORNERS }, (_, i): Point => {
  const t = (2 * Math.PI * i) / CORNERS;
  const curl = 1 + 0.05 * Math.cos(9 * t);
  return [round(HALF * curl * Math.sin(t) * Math.sin(t / 2) ** 0.5), round(HIGH * curl * Math.cos(t))];
});

/** A band from the rib outwards on one side of the leaf. */
const band = (side: 1 | -1, y: number): readonly Point[] =>
  [
    [1.6, y],
    [1.6, y - 2.6],
    [15, y + 6.4],
    [15, y + 8],
  ].map(([x = 0, up = 0]): Point => [side * x, up]);

/** Where the spots lie, and how large each is, mm. */
const SPOTS: readonly (readonly [x: number, y: number, across: number])[] = [
  [-9, 9, 5],
  [9, 8, 4.5],
  [-10, -2, 4],
  [10, -4, 3.5],
  [-8, -13, 3],
  [8, -15, 2.5],
];

const spot = ({ light, strong }: StartColours): Step[] =>
  ids('spot', [
    { do: 'log', of: light, diameter: 6, length: 60 },
    { do: 'wrap', of: strong, thickness: 1 },
  ]);
const fanPlug = ({ fade }: StartColours): Step[] =>
  ids('fan plug', [{ do: 'plug', of: fade, wound: 'fan', inside: 'first', width: 30, depth: 20, length: 60 }]);

/** A savoy leaf after a drawing: its rib a fan plug, bands, one spot drawn to six sizes, an edge along a stretch. */
export function savoy(colours: StartColours): Step[] {
  const { dark, light, strong } = colours;
  const rib: readonly Point[] = [
    [-1.6, -26],
    [1.6, -26],
    [1.2, 18],
    [-1.2, 18],
  ];
  const bands = ([1, -1] as const).flatMap((side) => [12, 0, -12].map((y) => band(side, y)));
  return ids('savoy', [
    {
      do: 'template',
      length: 60,
      regions: [
        { id: 'ground', name: 'leaf', points: leaf, fill: { of: strong } },
        ...bands.map((points, i) => ({ id: `band ${i + 1}`, name: `band ${i + 1}`, points, fill: { of: light } })),
        {
          id: 'rib',
          name: 'rib',
          points: rib,
          fill: { cane: { name: 'the rib', steps: fanPlug(colours) }, degrees: 90 },
        },
      ],
    },
    ...SPOTS.map(([x, y, diameter]): Loose => ({
      do: 'insert',
      part: { name: 'the spot', steps: spot(colours) },
      x,
      y,
      diameter,
      degrees: 0,
    })),
    { do: 'edge', of: dark, thickness: 1.2, from: 20, to: 160, form: 'sheet' },
    { do: 'reduce', to: 'diameter', value: 26 },
  ]);
}
