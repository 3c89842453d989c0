import type { SheetLayer, Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';
import type { Handle } from './view.js';

export type Range = readonly [unit: Handle['unit'], low: number, high: number, grain: number];
export const TURN: Range = ['°', -180, 180, 1];
export const THIN: Range = ['mm', 0.1, 6, 0.05];
export const SIZE: Range = ['mm', 2, 80, 0.5];
export const FIT: Range = ['×', 0.2, 4, 0.05];
/** A range so narrow is shown to a hundredth. */
const FINE = 10;

/** A value of a step to be dragged; one beyond what hands usually do is the end of its own range. */
export const handle = (
  step: Step,
  label: string,
  [unit, low, high, grain]: Range,
  value: number,
  part: (value: number) => object,
): Handle => ({
  label,
  unit,
  value,
  low: Math.min(low, value),
  high: Math.max(high, value),
  grain,
  to: (next) => ({ ...step, ...part(next) }) as Step,
});

/** Sheets of a stack that can be dragged at the most. */
const MOST_LAYERS = 3;

export const handlesOfLayers = (step: Step & { readonly layers: readonly SheetLayer[] }): Handle[] =>
  step.layers
    .slice(0, MOST_LAYERS)
    .map(({ thickness }, i) =>
      handle(step, `sheet ${i + 1}`, THIN, thickness, (next) => ({
        layers: step.layers.map((l, k) => (k === i ? { ...l, thickness: next } : l)),
      })),
    );

/** `1.5 mm`, `45°`, `1.2 ×` */
export function handleText({ unit, low, high }: Handle, value: number, units: UnitSystem): string {
  if (unit === '°') return `${Math.round(value)}°`;
  if (unit === '×') return `${Math.round(value * 100) / 100} ×`;
  return `${value < 0 ? '−' : ''}${showLength(Math.abs(value), units, high - low < FINE)}`;
}
