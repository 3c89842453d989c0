import type { Step } from '#core/cane';
import { showLength, type UnitSystem } from '#core/units';

/** A value of a step that can be dragged, and the step with another one. */
export interface Handle {
  readonly label: string;
  readonly unit: 'mm' | '°' | '×';
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly grain: number;
  readonly to: (value: number) => Step;
}

type Range = readonly [unit: Handle['unit'], low: number, high: number, grain: number];
const TURN: Range = ['°', -180, 180, 1];
const THIN: Range = ['mm', 0.1, 6, 0.05];
const SIZE: Range = ['mm', 2, 80, 0.5];
const FIT: Range = ['×', 0.2, 4, 0.05];

/** What of a step changes its face and can be dragged: reducing to a size across has a taper of its own. */
export function handlesOf(step: Step): Handle[] {
  const handle = (
    label: string,
    [unit, low, high, grain]: Range,
    value: number,
    part: (value: number) => object,
  ): Handle =>
    // a value beyond what hands usually do is the end of its own range
    ({
      label,
      unit,
      value,
      low: Math.min(low, value),
      high: Math.max(high, value),
      grain,
      to: (next) => ({ ...step, ...part(next) }) as Step,
    });
  switch (step.do) {
    case 'log':
      return [handle('across', SIZE, step.diameter, (diameter) => ({ diameter }))];
    case 'block':
      return [
        handle('wide', SIZE, step.width, (width) => ({ width })),
        handle('high', SIZE, step.height, (height) => ({ height })),
      ];
    case 'plug':
      return [
        handle(step.wound === 'fan' ? 'wide' : 'across', SIZE, step.width, (width) => ({ width })),
        ...(step.wound === 'fan' ? [handle('deep', SIZE, step.depth, (depth) => ({ depth }))] : []),
      ];
    case 'roll':
      return [
        handle('sheet rolled up', ['mm', 20, 600, 1], step.rolled, (rolled) => ({ rolled })),
        ...layersOf(step.layers, handle),
      ];
    case 'loaf':
      return [handle('wide', SIZE, step.width, (width) => ({ width })), ...layersOf(step.layers, handle)];
    case 'wrap':
      return [handle('thick', THIN, step.thickness, (thickness) => ({ thickness }))];
    case 'press':
      return [
        handle('turned', TURN, step.turn, (turn) => ({ turn })),
        ...(step.to.ratio === undefined
          ? []
          : [handle('wide for its height', FIT, step.to.ratio, (ratio) => ({ to: { ...step.to, ratio } }))]),
      ];
    case 'squeeze':
      return [handle('times as wide', FIT, step.factor, (factor) => ({ factor }))];
    case 'turn':
      return [handle('turned', TURN, step.degrees, (degrees) => ({ degrees }))];
    case 'split':
      return [handle('first cut', TURN, step.degrees, (degrees) => ({ degrees }))];
    case 'pie':
      return [handle('wedges turned', TURN, step.corner, (corner) => ({ corner }))];
    case 'insert':
      return [
        handle('hole across', SIZE, step.diameter, (diameter) => ({ diameter })),
        handle('to the right', ['mm', -40, 40, 0.25], step.x, (x) => ({ x })),
        handle('up', ['mm', -40, 40, 0.25], step.y, (y) => ({ y })),
        handle('turned', TURN, step.degrees, (degrees) => ({ degrees })),
      ];
    case 'reduce':
      return step.to === 'length' ? [handle('long', ['mm', 10, 900, 1], step.value, (value) => ({ value }))] : [];
    default:
      return [];
  }
}

const MOST_LAYERS = 3;
const layersOf = (
  layers: Extract<Step, { do: 'loaf' }>['layers'],
  handle: (label: string, range: Range, value: number, part: (value: number) => object) => Handle,
): Handle[] =>
  layers
    .slice(0, MOST_LAYERS)
    .map(({ thickness }, i) =>
      handle(`sheet ${i + 1}`, THIN, thickness, (next) => ({
        layers: layers.map((l, k) => (k === i ? { ...l, thickness: next } : l)),
      })),
    );

export const handleText = ({ unit, low, high }: Handle, value: number, units: UnitSystem): string =>
  unit === 'mm'
    ? `${value < 0 ? '−' : ''}${showLength(Math.abs(value), units, high - low < 10)}`
    : unit === '°'
      ? `${Math.round(value)}°`
      : `${Math.round(value * 100) / 100} ×`;
