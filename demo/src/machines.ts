import { SIGMA_OF_WAY, dialLabels, type ReadingWay } from '#core/sheet';
import type { BenchSetupDto, MachineDto } from '#contract';
import { idOf } from './id.js';

type Measured = Readonly<Record<string, readonly [number, ReadingWay]>>;

function machine(name: string, dial: readonly [string, string], rollerWidthMm: number, measured: Measured, note: string): MachineDto {
  const settings = dialLabels(dial[0], dial[1], '1').map((label) => ({ id: idOf(`${name} ${label}`), label }));
  const readings = Object.entries(measured).map(([label, [mm, way]]) => ({
    id: idOf(`${name} ${label} ${mm}`), settingId: idOf(`${name} ${label}`), mm, sigmaMm: SIGMA_OF_WAY[way], way,
  }));
  return { id: idOf(`machine ${name}`), version: 0, name, note, rollerWidthMm, settings, readings };
}

export const machines: readonly MachineDto[] = [
  machine('Bench roller', ['0', '9'], 145, {
    0: [3.2, 'calipers'], 3: [2.06, 'calipers'], 4: [1.52, 'stack'], 6: [0.94, 'stack'], 9: [0.42, 'weighed'],
  }, 'clamped to the table, 0 is widest'),
  machine('Blue travel crank', ['7', '1'], 140, { 7: [2.9, 'calipers'], 4: [1.5, 'cards'] }, 'for the market, 7 is widest'),
];

export const setup: BenchSetupDto = {
  version: 2, machineId: idOf('machine Bench roller'), discMm: 20, discSettingId: idOf('Bench roller 3'), currency: '€',
};
