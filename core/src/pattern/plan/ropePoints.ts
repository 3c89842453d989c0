import type { MaterialKey } from '#core/cane';
import { ids, type Loose, type PatternPoint } from './point.js';

const logs = (length: number, all: readonly (readonly [MaterialKey, number])[]): Loose => ({
  do: 'logs',
  length,
  logs: all.map(([of, diameter]) => ({ of, diameter })),
});

/** Patterned sheets of ropes, twisted and folded, and of chopped bits. */
export const ROPE_POINTS: readonly PatternPoint[] = [
  {
    id: 'walnut-board',
    name: 'Walnut board',
    words: 'Logs twisted, folded four times, coiled and rolled. One fold more and it is mud.',
    steps: ({ dark, strong, second, light }) =>
      ids([
        logs(100, [
          [second, 14],
          [dark, 12],
          [light, 9],
          [strong, 9],
        ]),
        { do: 'reduce', to: 14 },
        { do: 'twist', turns: 5 },
        { do: 'fold', times: 4, turns: 5 },
        { do: 'coil', to: 11 },
        { do: 'roll', to: 2.5, along: 'both' },
      ]),
  },
  {
    id: 'bean-pod-veins',
    name: 'Bean-pod veins',
    words: 'A twisted rope, folded four times and flattened along: long veins, side by side.',
    steps: ({ second, light, strong }) =>
      ids([
        logs(110, [
          [second, 13],
          [light, 8],
          [strong, 10],
          [light, 6],
        ]),
        { do: 'twist', turns: 2 },
        { do: 'fold', times: 4, turns: 1.5 },
        { do: 'flatten', to: 10 },
        { do: 'roll', to: 3, along: 'length' },
      ]),
  },
  {
    id: 'barn-boards',
    name: 'Barn boards',
    words: 'Wood grain: logs of many widths, hardly twisted, folded five times, flattened along for a veneer.',
    steps: ({ dark, second, light }) =>
      ids([
        logs(120, [
          [second, 9],
          [dark, 4],
          [light, 7],
          [dark, 3],
          [second, 7],
          [light, 4],
          [dark, 2.5],
          [second, 6],
        ]),
        { do: 'twist', turns: 0.5 },
        { do: 'fold', times: 5, turns: 0.4 },
        { do: 'flatten', to: 8 },
        { do: 'roll', to: 2, along: 'both' },
        { do: 'lay', columns: 1, rows: 1, gap: 0, of: dark, thickness: 1, to: 2, along: 'width' },
      ]),
  },
  {
    id: 'turnip-terrazzo',
    name: 'Turnip terrazzo',
    words: 'Chopped bits pressed to a log and cut across, the slices side by side.',
    steps: ({ light, dark, strong, second }) =>
      ids([
        {
          do: 'chop',
          bits: [
            { of: light, parts: 5 },
            { of: strong, parts: 2 },
            { of: second, parts: 2 },
            { of: dark, parts: 1 },
          ],
          edge: 5,
          diameter: 32,
          length: 50,
          seed: 11,
        },
        { do: 'across', from: 4, thickness: 2, number: 6 },
        { do: 'lay', columns: 3, rows: 2, gap: 0, of: light, thickness: 1, to: 2.4, along: 'both' },
      ]),
  },
  {
    id: 'pumpkin-rind',
    name: 'Pumpkin rind',
    words: 'Slices of a chopped log laid overlapping like tiles of a roof, and rolled.',
    steps: ({ second, strong, light }) =>
      ids([
        {
          do: 'chop',
          bits: [
            { of: second, parts: 4 },
            { of: strong, parts: 2 },
            { of: light, parts: 1 },
          ],
          edge: 6,
          diameter: 26,
          length: 60,
          seed: 12,
        },
        { do: 'reduce', to: 20 },
        { do: 'shingle', thickness: 1.5, columns: 10, rows: 3, layers: 3, turned: true },
        { do: 'roll', to: 2, along: 'both' },
      ]),
  },
];
