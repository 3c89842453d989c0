import { dialLabels, type Machine, type Reading } from '#core/sheet';

/** A machine with readings in mm by its labels, each perhaps with how sure it is. */
export const machine = (
  name: string,
  labels: readonly string[],
  readings: readonly (readonly [string, number, number?])[],
): Machine => ({
  id: name,
  name,
  rollerWidthMm: 145,
  settings: labels.map((label) => ({ id: `${name}${label}`, label })),
  readings: readings.map(([label, mm, sigmaMm = 0.05], i): Reading => ({
    id: `${i}`,
    settingId: `${name}${label}`,
    mm,
    sigmaMm,
    way: 'calipers',
  })),
});
export const bench = machine('Bench roller', dialLabels('0', '9', '1'), [
  ['0', 3.2],
  ['3', 2.06],
  ['4', 1.52],
  ['6', 0.94],
  ['9', 0.42],
]);
export const blue = machine('Blue travel crank', dialLabels('7', '1', '1'), [
  ['7', 2.9],
  ['4', 1.5],
]);

/** Settings and readings of a machine from 0 to 9, each reading by calipers: mm by its label. */
export const dialOf = (
  ...readings: readonly (readonly [string, number])[]
): Pick<Machine, 'settings' | 'readings'> => ({
  settings: dialLabels('0', '9', '1').map((label) => ({ id: label, label })),
  readings: readings.map(([settingId, mm]) => ({ id: `r${settingId}`, settingId, mm, sigmaMm: 0.05, way: 'calipers' })),
});
