import type { SheetLayer } from '#core/cane';
import { thicknesses, translate } from '#core/sheet';
import { showLength, type UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { Beginning } from './view.js';

/** Shares of a thickness: off by less a setting is the same, off by more it is not on the machine. Assumptions. */
const [SAME, NOT_THERE] = [0.03, 0.25];

/** `(your 4)`: the setting of one's own machine for a sheet, and how far off it is. */
export function settingWords(thickness: number, own: MachineDto | undefined, units: UnitSystem): string {
  if (!own || thicknesses(own).length === 0) return '';
  const { setting, layers, errorMm } = translate({ mm: thickness, sigmaMm: 0 }, own);
  if (Math.abs(errorMm) > NOT_THERE * thickness)
    return ` (not on your machine: your ${setting.label} is ${showLength(setting.mm, units, true)})`;
  const off =
    Math.abs(errorMm) < SAME * thickness
      ? ''
      : `, ${showLength(Math.abs(errorMm), units, true)} ${errorMm > 0 ? 'thicker' : 'thinner'}`;
  return layers === 1 ? ` (your ${setting.label}${off})` : ` (${layers} of your ${setting.label}${off})`;
}

/** Sheets of a stack, each with its thickness and the setting for it. */
export const sheetsWords = (layers: readonly SheetLayer[], { names, own, units }: Beginning): string =>
  layers
    .map((l) => `${names(l.of)} ${showLength(l.thickness, units, true)}${settingWords(l.thickness, own, units)}`)
    .join(', ');
