import type { MaterialKey } from '#core/cane';
import { ids, type Loose, type PatternPoint } from './point.js';

const sheets = (width: number, height: number, layers: readonly (readonly [MaterialKey, number])[]): Loose => ({
  do: 'stack',
  width,
  height,
  layers: layers.map(([of, thickness]) => ({ of, thickness })),
});
const backing = (of: MaterialKey, columns: number, rows: number, gap: number, to: number): Loose => ({
  do: 'lay',
  columns,
  rows,
  gap,
  of,
  thickness: 1.5,
  to,
  along: 'both',
});
/** Patterned sheets of layers, dented, cut and shaved. */
export const LAYER_POINTS: readonly PatternPoint[] = [
  {
    id: 'onion-skins',
    name: 'Onion skins',
    words: 'Three sheets, cut and stacked, dented in rosettes and here and there, and shaved. On top ends up below.',
    steps: ({ strong, second, light, dark }) =>
      ids([
        sheets(120, 60, [
          [second, 1.5],
          [strong, 1.5],
          [light, 1.5],
        ]),
        { do: 'pile', pieces: 2, across: 'width' },
        {
          do: 'dents',
          balls: [
            { diameter: 8, depth: 4.5 },
            { diameter: 5, depth: 3.5 },
          ],
          laid: 'rosettes',
          number: 6,
          around: 6,
          seed: 1,
        },
        { do: 'dents', balls: [{ diameter: 3, depth: 3 }], laid: 'scattered', number: 26, around: 0, seed: 2 },
        { do: 'press', percent: 2 },
        { do: 'shave', depth: 1, thickness: 1, number: 4 },
        backing(dark, 2, 2, 0, 1.6),
      ]),
  },
  {
    id: 'soil-layers',
    name: 'Soil layers',
    words: 'Layers of unequal thickness, cut through in waves and pressed together, then sliced across.',
    steps: ({ dark, second, light, strong }) =>
      ids([
        sheets(64, 48, [
          [dark, 4],
          [second, 1.2],
          [strong, 2.4],
          [light, 0.8],
          [dark, 2],
          [second, 2.8],
          [light, 0.8],
          [strong, 3],
          [second, 1],
          [dark, 3],
        ]),
        { do: 'cuts', blade: 'waves', number: 7, depth: 20, degrees: 90, size: 1.5, seed: 3 },
        { do: 'press', percent: 10 },
        { do: 'slice', degrees: 20, off: -12, thickness: 1.5, number: 8 },
        backing(dark, 1, 4, 0, 1.8),
      ]),
  },
  {
    id: 'cabbage-cut',
    name: 'Cabbage cut',
    words: 'Thin leaves of two colours, folded like a fan, pressed in folds, and sliced across.',
    steps: ({ strong, light, dark }) =>
      ids([
        sheets(120, 50, [
          [strong, 2.2],
          [light, 0.7],
        ]),
        { do: 'fan', layers: 5, across: 'width' },
        { do: 'dents', balls: [{ diameter: 9, depth: 9 }], laid: 'scattered', number: 8, around: 0, seed: 5 },
        { do: 'cuts', blade: 'waves', number: 3, depth: 12, degrees: 75, size: 2, seed: 6 },
        { do: 'press', percent: 8 },
        { do: 'slice', degrees: 90, off: -9, thickness: 1.5, number: 8 },
        backing(dark, 1, 3, 0, 1.6),
      ]),
  },
  {
    id: 'frost-on-glass',
    name: 'Frost on glass',
    words: 'Light over dark, cut crosswise with a fine blade and poked, pressed together and shaved thin.',
    steps: ({ light, dark, strong }) =>
      ids([
        sheets(70, 70, [
          [dark, 2],
          [light, 0.6],
          [strong, 1.2],
          [light, 0.6],
          [dark, 1.2],
          [light, 0.8],
        ]),
        { do: 'cuts', blade: 'crossed lines', number: 14, depth: 5, degrees: 30, size: 2, seed: 7 },
        { do: 'cuts', blade: 'lines', number: 6, depth: 5, degrees: 75, size: 2, seed: 8 },
        { do: 'dents', balls: [{ diameter: 2.4, depth: 4 }], laid: 'scattered', number: 90, around: 0, seed: 9 },
        { do: 'press', percent: 4 },
        { do: 'shave', depth: 1.2, thickness: 1.2, number: 2 },
        backing(dark, 2, 1, 0, 1.8),
      ]),
  },
  {
    id: 'compost',
    name: 'Compost',
    words: 'Sheets folded and rolled on, turned between, until the layers run like marble.',
    steps: ({ dark, second, light, strong }) =>
      ids([
        sheets(60, 60, [
          [dark, 3],
          [second, 3],
          [light, 1.5],
          [strong, 2.5],
        ]),
        { do: 'knead', times: 2, across: 'width', turned: true },
        { do: 'dents', balls: [{ diameter: 14, depth: 6 }], laid: 'scattered', number: 9, around: 0, seed: 13 },
        { do: 'cuts', blade: 'waves', number: 5, depth: 8, degrees: 40, size: 3, seed: 14 },
        { do: 'press', percent: 6 },
        { do: 'shave', depth: 2, thickness: 1.5, number: 4 },
        { do: 'lay', columns: 2, rows: 2, gap: 0, of: dark, thickness: 1, to: 1.8, along: 'both' },
      ]),
  },
  {
    id: 'radish-rings',
    name: 'Radish rings',
    words: 'A large ball pressed in rows into pale and strong layers, rings cut about it, and shaved.',
    steps: ({ light, strong, second }) =>
      ids([
        sheets(60, 60, [
          [strong, 1.5],
          [light, 2.5],
          [strong, 0.8],
          [light, 2.5],
          [second, 0.8],
          [light, 1],
        ]),
        { do: 'dents', balls: [{ diameter: 14, depth: 6 }], laid: 'rows', number: 14, around: 0, seed: 15 },
        { do: 'cuts', blade: 'rings', number: 9, depth: 7, degrees: 0, size: 8, seed: 15 },
        { do: 'press', percent: 3 },
        { do: 'shave', depth: 1.4, thickness: 1.2, number: 4 },
        backing(light, 2, 2, 0, 1.7),
      ]),
  },
  {
    id: 'leaf-mould',
    name: 'Leaf mould',
    words: 'Drops pressed in by a cutter among dents of three balls, in layers of four colours.',
    steps: ({ dark, second, strong, light }) =>
      ids([
        sheets(64, 64, [
          [dark, 1.6],
          [second, 1.2],
          [dark, 1],
          [strong, 1.2],
          [light, 0.6],
          [dark, 1.4],
        ]),
        { do: 'cuts', blade: 'shapes', shape: 'teardrop', number: 16, depth: 6, degrees: 0, size: 13, seed: 16 },
        {
          do: 'dents',
          balls: [
            { diameter: 7, depth: 4.5 },
            { diameter: 4, depth: 3.5 },
            { diameter: 2.5, depth: 3 },
          ],
          laid: 'scattered',
          number: 16,
          around: 0,
          seed: 17,
        },
        { do: 'press', percent: 3 },
        { do: 'shave', depth: 1.5, thickness: 1, number: 4 },
        backing(dark, 2, 2, 0, 1.6),
      ]),
  },
  {
    id: 'seed-bread',
    name: 'Seed bread',
    words: 'Crumb folded and rolled on a little, with seeds worked in that keep their size.',
    steps: ({ second, light, dark }) =>
      ids([
        sheets(60, 60, [
          [second, 5],
          [light, 2],
        ]),
        { do: 'knead', times: 2, across: 'width', turned: true },
        { do: 'dents', balls: [{ diameter: 12, depth: 6 }], laid: 'scattered', number: 14, around: 0, seed: 18 },
        { do: 'press', percent: 5 },
        { do: 'specks', of: dark, diameter: 1.4, perCm3: 30 },
        { do: 'shave', depth: 1, thickness: 1.5, number: 4 },
        { do: 'lay', columns: 2, rows: 2, gap: 0, of: second, thickness: 1, to: 2, along: 'both' },
      ]),
  },
];
