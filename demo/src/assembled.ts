import type { FindingDto } from '#contract';
import { idOf } from './id.js';

const finding = (
  name: string,
  form: FindingDto['form'],
  [widthMm, lengthMm]: readonly [number, number],
  count: number,
  price: number | null,
): FindingDto => ({
  ...{ id: idOf(`finding ${name}`), version: 0, name, form, widthMm, lengthMm, count, price },
  keptIn: 'the tin with the lid',
});

/** Metal parts that lie there. */
export const findings: readonly FindingDto[] = [
  finding('Pin back, 25 mm', 'pin', [5, 25], 20, 0.35),
  finding('Ear wire', 'hook', [9, 18], 36, 0.22),
  finding('Jump ring, 6 mm', 'ring', [6, 6], 60, 0.04),
  finding('Ear post', 'post', [5, 5], 24, 0.18),
];

/** What an hour is worth to this maker, and what comes on top for everything else. */
export const rates = { hourly: 15, overhead: 0.1 };

interface AssembledRow {
  readonly batch: string;
  readonly dueOn: string;
  readonly note: string;
  /** the model of the garden it is begun with */
  readonly model: string;
  readonly name: string;
  readonly count: number;
  readonly spare: number;
  /** by the names of the parts: a clay, a mix, a blend or a cane by its name; `scrap`: of the fullest tub */
  readonly of: Readonly<Record<string, string>>;
  /** what is inside of a part */
  readonly inside?: Readonly<Record<string, string>>;
  readonly finding?: string;
  readonly prices: readonly number[];
}

/** Batches of pieces of many parts. */
export const assembled: readonly AssembledRow[] = [
  {
    ...{ batch: 'Radish blossoms', dueOn: '2026-12-11', note: 'brooches for the market', model: 'Radish blossom' },
    ...{ name: 'Radish blossom', count: 12, spare: 1, finding: 'Pin back, 25 mm', prices: [18, 24] },
    of: {
      ...{ leaf: 'Pea pod', base: 'Chalk', 'outer petal': 'Beet fade', 'inner petal': 'Beet fade' },
      ...{ heart: 'Squash', seed: 'Corn' },
    },
  },
  {
    ...{ batch: 'Basket beads', dueOn: '2026-12-18', note: '', model: 'Basket bead', name: 'Basket bead' },
    ...{ count: 20, spare: 2, of: { bead: 'Woven basket, straw' }, inside: { bead: 'scrap' }, prices: [] },
  },
];
