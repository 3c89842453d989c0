import { SIGMA_OF_WAY, dialLabels, type ReadingWay } from '#core/sheet';
import type { BenchSetupDto, MachineDto } from '#contract';
import { idOf } from './id.js';

type Measured = Readonly<Record<string, readonly [number, ReadingWay]>>;

function machine(
  name: string,
  dial: readonly [string, string],
  rollerWidthMm: number,
  measured: Measured,
  note: string,
  before: Readonly<Record<string, number>> = {},
): MachineDto {
  const settings = dialLabels(dial[0], dial[1], '1').map((label) => ({ id: idOf(`${name} ${label}`), label }));
  const readings: MachineDto['readings'] = Object.entries(measured).map(([label, [mm, way]]) => ({
    id: idOf(`${name} ${label} ${mm}`),
    settingId: idOf(`${name} ${label}`),
    mm,
    sigmaMm: SIGMA_OF_WAY[way],
    way,
    takenOn: '2026-10-04',
  }));
  for (const [label, mm] of Object.entries(before))
    readings.push({
      id: idOf(`${name} ${label} before`),
      settingId: idOf(`${name} ${label}`),
      mm,
      sigmaMm: 0.02,
      way: 'calipers',
      takenOn: '2024-11-16',
    });
  return { id: idOf(`machine ${name}`), version: 0, name, note, rollerWidthMm, settings, readings };
}

export const machines: readonly MachineDto[] = [
  machine(
    'Bench roller',
    ['0', '9'],
    145,
    { 0: [3.2, 'calipers'], 3: [2.06, 'calipers'], 4: [1.52, 'stack'], 6: [0.94, 'stack'], 9: [0.42, 'weighed'] },
    'clamped to the table, 0 is widest',
    { 3: 1.98, 4: 1.46 },
  ),
  machine(
    'Blue travel crank',
    ['7', '1'],
    140,
    { 7: [2.9, 'calipers'], 4: [1.5, 'cards'] },
    'for the market, 7 is widest',
  ),
];

export const setup: BenchSetupDto = {
  version: 2,
  machineId: idOf('machine Bench roller'),
  discMm: 20,
  discSettingId: idOf('Bench roller 3'),
  cardMm: 0.29,
  roomC: 20,
  guides: [1.5, 2, 3, 4, 6],
  currency: '€',
};
