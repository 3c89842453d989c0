import type { Mm } from '#core/units';
import type { MaterialKey } from '#core/cane/document';
import type { Shape } from '#core/cane/outlines';
import type { Part, Step } from '#core/cane/steps';

/** The colours of a starting point: somebody's own mixes take the place of these, dark and light, and a fade. */
export interface StartColours {
  readonly dark: MaterialKey;
  readonly light: MaterialKey;
  readonly strong: MaterialKey;
  readonly second: MaterialKey;
  readonly glass: readonly MaterialKey[];
  readonly fade: MaterialKey;
}

export interface StartingPoint {
  readonly id: string;
  readonly name: string;
  /** what it is, and how hands make it */
  readonly words: string;
  readonly steps: (colours: StartColours) => readonly Step[];
  /** it begins with translucent clay, and is nothing without */
  readonly ofGlass?: true;
}

type Loose = Step extends infer S ? (S extends { readonly id: string } ? Omit<S, 'id'> : never) : never;
const ids = (steps: readonly Loose[], prefix = 's'): Step[] =>
  steps.map((step, i) => ({ ...step, id: `${prefix}${i + 1}` }) as Step);
const log = (of: MaterialKey, diameter: Mm, length: Mm): Loose => ({ do: 'log', of, diameter, length });
const block = (of: MaterialKey, width: Mm, height: Mm, length: Mm): Loose => ({
  do: 'block',
  of,
  width,
  height,
  length,
});
const plug = (of: MaterialKey, width: Mm, length: Mm, inside: 'first' | 'last' = 'first'): Loose => ({
  do: 'plug',
  of,
  wound: 'rolled',
  inside,
  width,
  depth: width,
  length,
});
const wrap = (of: MaterialKey, thickness: Mm): Loose => ({ do: 'wrap', of, thickness });
const press = (shape: Shape['shape'], turn = 0, ratio?: number): Loose => ({
  do: 'press',
  to: ratio === undefined ? { shape } : { shape, ratio },
  turn,
});
const reduce = (value: Mm): Loose => ({ do: 'reduce', to: 'diameter', value });
const across = (pieces: number): Loose => ({ do: 'across', pieces });
const part = (name: string, steps: readonly Loose[]): Part => ({ name, steps: ids(steps, `${name} `) });

/** Twelve canes of the kitchen garden to begin with, each as hands would build it. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'beetroot-ring',
    name: 'Beetroot ring',
    words: 'a bullseye: a fade inside, rings wrapped around it',
    steps: (c) =>
      ids([
        plug(c.fade, 22, 60),
        wrap(c.light, 1.5),
        wrap(c.strong, 2),
        wrap(c.light, 1.2),
        wrap(c.strong, 2.4),
        reduce(16),
      ]),
  },
  {
    id: 'cabbage-roll',
    name: 'Cabbage jelly roll',
    words: 'a dark and a light sheet rolled up together',
    steps: (c) =>
      ids([
        {
          do: 'roll',
          layers: [
            { of: c.light, thickness: 1.4 },
            { of: c.dark, thickness: 1 },
          ],
          rolled: 260,
          length: 50,
        },
        wrap(c.dark, 1.2),
        reduce(20),
      ]),
  },
  {
    id: 'squash-loaf',
    name: 'Squash stripe loaf',
    words: 'two sheets stacked, halved and stacked again',
    steps: (c) =>
      ids([
        {
          do: 'loaf',
          layers: [
            { of: c.light, thickness: 3 },
            { of: c.strong, thickness: 3 },
          ],
          times: 2,
          width: 48,
          length: 60,
        },
        across(4),
        { do: 'grid', rows: 4, columns: 1, turns: 'none' },
        reduce(19),
      ]),
  },
  {
    id: 'checkerboard',
    name: 'Sowing board',
    words: 'a checkerboard of two colours, in a thin frame',
    steps: (c) =>
      ids([
        block(c.dark, 12, 12, 72),
        across(8),
        {
          do: 'grid',
          rows: 4,
          columns: 4,
          turns: 'none',
          others: [part('the light squares', [block(c.light, 12, 12, 9)])],
        },
        wrap(c.dark, 1.6),
        reduce(19),
      ]),
  },
  {
    id: 'leek-leaf',
    name: 'Leek leaf',
    words: 'a fade split by veins, pressed to a petal',
    steps: (c) =>
      ids([
        plug(c.fade, 30, 60),
        { do: 'split', parts: 2, degrees: 0 },
        press('rectangle', 0, 1.5),
        { do: 'stack', side: 'top', part: part('a vein', [block(c.light, 23.03, 0.9, 60)]) },
        across(5),
        { do: 'grid', rows: 5, columns: 1, turns: 'none' },
        { do: 'turn', degrees: 35 },
        press('rectangle', 0, 0.5),
        across(2),
        { do: 'grid', rows: 1, columns: 2, turns: 'mirror' },
        press('petal', 0, 0.42),
        wrap(c.light, 2),
        reduce(14),
      ]),
  },
  {
    id: 'pea-petal',
    name: 'Pea petal',
    words: 'quarters of a plug pressed square, joined, squared again, pressed to a petal',
    steps: (c) =>
      ids([
        plug(c.fade, 34, 70),
        wrap(c.dark, 1.4),
        { do: 'split', parts: 4, degrees: 0 },
        press('triangle', 45),
        { do: 'pair', turned: 'mirror' },
        press('square', 45),
        reduce(18),
        across(2),
        press('triangle', 45),
        { do: 'pair', turned: 'mirror' },
        press('petal', 0, 0.55),
      ]),
  },
  {
    id: 'woven-basket',
    name: 'Woven basket',
    words: 'a wrapped plug quartered into bands, each quarter turned against its neighbour',
    steps: (c) =>
      ids([
        plug(c.fade, 26, 60),
        wrap(c.dark, 1.5),
        press('rectangle', 0, 3.2),
        across(3),
        { do: 'grid', rows: 3, columns: 1, turns: 'none' },
        press('square'),
        reduce(22),
        across(4),
        { do: 'grid', rows: 2, columns: 2, turns: 'quarter' },
        reduce(18),
        across(4),
        { do: 'grid', rows: 2, columns: 2, turns: 'none' },
      ]),
  },
  {
    id: 'romanesco',
    name: 'Romanesco kaleidoscope',
    words: 'a wedge of many parts, mirrored around the middle',
    steps: (c) =>
      ids([
        plug(c.fade, 20, 80),
        wrap(c.light, 1.2),
        press('square'),
        {
          do: 'stack',
          side: 'right',
          part: part('the stripes', [
            {
              do: 'loaf',
              layers: [
                { of: c.light, thickness: 1.985 },
                { of: c.strong, thickness: 1.985 },
              ],
              times: 5,
              width: 12,
              length: 80,
            },
          ]),
        },
        { do: 'stack', side: 'right', part: part('the dark half', [block(c.dark, 10, 19.85, 80)]) },
        {
          do: 'insert',
          x: 6,
          y: 3,
          diameter: 7,
          degrees: 0,
          part: part('the eye', [log(c.light, 6, 50.6), wrap(c.strong, 1.4)]),
        },
        press('triangle', 20),
        across(8),
        { do: 'pie', count: 8, mirrored: true, corner: 0 },
        reduce(22),
      ]),
  },
  {
    id: 'speckle',
    name: 'Soil speckle',
    words: 'wrapped snakes bundled, reduced, bundled again',
    steps: (c) =>
      ids([
        log(c.light, 8, 90),
        wrap(c.dark, 0.7),
        across(7),
        {
          do: 'bundle',
          count: 7,
          to: { shape: 'hexagon' },
          seed: 3,
          others: [{ part: part('seeds', [log(c.strong, 5, 90 / 7), wrap(c.dark, 0.7)]), count: 5 }],
        },
        reduce(12),
        across(7),
        { do: 'bundle', count: 7, to: { shape: 'round' }, seed: 5 },
        reduce(18),
      ]),
  },
  {
    id: 'lace',
    name: 'Frost lace',
    words: 'tinted translucent snakes in thin white walls, bundled',
    ofGlass: true,
    steps: (c) => {
      const [first = c.light, ...rest] = c.glass;
      const snake = (of: MaterialKey, long: Mm): Loose[] => [log(of, 8, long), wrap(c.light, 0.5)];
      return ids([
        ...snake(first, 60),
        across(7),
        {
          do: 'bundle',
          count: 7,
          seed: 11,
          to: { shape: 'round' },
          others: rest.map((of, i) => ({ part: part(`tint ${i + 2}`, snake(of, 60 / 7)), count: 6 })),
        },
        wrap(c.light, 0.6),
        reduce(21),
      ]);
    },
  },
  {
    id: 'radish',
    name: 'Radish with rim',
    words: 'pale flesh with rays of glass, a bright rim',
    steps: (c) =>
      ids([
        plug(c.fade, 30, 60, 'last'),
        { do: 'split', parts: 8, degrees: 0 },
        press('triangle', 0),
        wrap(c.glass[0] ?? c.light, 0.25),
        { do: 'pie', count: 8, mirrored: false, corner: 0 },
        press('round'),
        wrap(c.light, 0.8),
        wrap(c.strong, 1.6),
        reduce(20),
      ]),
  },
  {
    id: 'corn-bundle',
    name: 'Corn bundle',
    words: 'grains around a pith, in their husk',
    steps: (c) =>
      ids([
        log(c.strong, 7, 70),
        wrap(c.light, 0.5),
        press('teardrop', 0, 0.8),
        across(14),
        { do: 'ring', count: 14, middle: part('the pith', [log(c.light, 14, 5)]) },
        wrap(c.dark, 1),
        reduce(22),
      ]),
  },
];
