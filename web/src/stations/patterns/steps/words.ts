import { showLength, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import { settingWords } from '../../canes/steps/sheetWords.js';

/** A thickness with the setting of one's own machine. */
export const wordsOfSheet = (mm: number, own: MachineDto | undefined, units: UnitSystem): string =>
  `${showLength(mm, units, true)}${settingWords(mm, own, units)}`;

export const timesWords = (n: number): string => (n === 1 ? 'once' : `${n} times`);
