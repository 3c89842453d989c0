import type { OvenDto } from '#contract';
import { idOf } from './id.js';

/** Dial, thermometer, and minutes since it was switched on. */
const READ: readonly (readonly [string, number, number, number])[] = [
  ['2026-09-12', 130, 117, 18],
  ['2026-09-12', 130, 125, 45],
  ['2026-10-03', 110, 104, 50],
  ['2026-10-20', 140, 134, 40],
  ['2026-11-02', 130, 123, 60],
];

/** The oven of the kitchen garden: it runs a little low. */
export const oven: OvenDto = {
  id: idOf('oven'),
  version: 0,
  name: 'Small oven',
  trayWidthMm: 300,
  trayLengthMm: 220,
  readings: READ.map(([readOn, dial, celsius, minutes]) => ({
    id: idOf(`reading ${readOn} ${minutes}`),
    ...{ readOn, dial, celsius, minutes },
  })),
};
