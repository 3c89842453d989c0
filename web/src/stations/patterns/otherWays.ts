import type { PatternStep } from '#core/pattern';
import { volumesLaid } from './colours.js';

/** The same clays by another way: a name, and steps. */
export interface OtherWay {
  readonly name: string;
  readonly steps: readonly PatternStep[];
}

const round = (mm: number): number => Math.round(mm * 100) / 100;
/** mm: a rope, a log and a block as hands begin them. */
const [ROPE, LOG, SIDE] = [110, 32, 60];

/** A rope of the same clays, twisted and folded. */
function asRope(parts: readonly (readonly [string, number])[]): OtherWay {
  const logs = parts.map(([of, volume]) => ({ of, diameter: round(2 * Math.sqrt(volume / ROPE / Math.PI)) }));
  const thin = Math.sqrt(logs.reduce((sum, l) => sum + l.diameter ** 2, 0)) * 0.6;
  return {
    name: 'twisted, 3 folds, coiled',
    steps: [
      { id: 'w1', do: 'logs', length: ROPE, logs },
      { id: 'w2', do: 'reduce', to: round(thin) },
      { id: 'w3', do: 'fold', times: 3, turns: 4 },
      { id: 'w4', do: 'coil', to: round(thin * 0.8) },
      { id: 'w5', do: 'roll', to: 2.5, along: 'both' },
    ],
  };
}

/** Bits of the same clays, pressed to a log and cut across. */
function asBits(parts: readonly (readonly [string, number])[]): OtherWay {
  const whole = parts.reduce((sum, [, volume]) => sum + volume, 0);
  const length = round(Math.max(10, whole / ((Math.PI / 4) * LOG ** 2)));
  const bits = parts.map(([of, volume]) => ({ of, parts: Math.max(0.01, round((100 * volume) / whole)) }));
  return {
    name: 'chopped, 6 mm',
    steps: [
      { id: 'w1', do: 'chop', bits, edge: 6, diameter: LOG, length, seed: 1 },
      { id: 'w2', do: 'across', from: 2, thickness: 2, number: Math.max(1, Math.min(4, Math.floor((length - 2) / 2))) },
    ],
  };
}

/** Sheets of the same clays. */
function asLayers(parts: readonly (readonly [string, number])[]): readonly PatternStep[] {
  const layers = parts.map(([of, volume]) => ({ of, thickness: Math.max(0.05, round(volume / SIDE / SIDE)) }));
  return [{ id: 'w1', do: 'stack', width: SIDE, height: SIDE, layers: layers.slice(0, 12) }];
}

/** Up to four ways to go on with the clays that a sheet begins with. */
export function otherWays(steps: readonly PatternStep[]): readonly OtherWay[] {
  const parts = volumesLaid(steps);
  if (parts.length < 2) return [];
  const sheets = asLayers(parts);
  const marked: OtherWay = {
    name: 'dented and shaved',
    steps: [...sheets, { id: 'w2', do: 'pile', pieces: 2, across: 'width' }, { id: 'w3', do: 'press', percent: 0 }],
  };
  const folded: OtherWay = {
    name: 'folded and rolled, 3',
    steps: [
      ...sheets,
      { id: 'w2', do: 'knead', times: 3, across: 'width', turned: true },
      { id: 'w3', do: 'slice', degrees: 90, off: 0, thickness: 1.5, number: 2 },
    ],
  };
  return [asRope(parts), asBits(parts), folded, dentedAndShaved(marked, sheets)];
}

/** Dents as deep as the stack allows, and a shaving from its middle. */
function dentedAndShaved({ name, steps }: OtherWay, sheets: readonly PatternStep[]): OtherWay {
  const [stack] = sheets;
  const thick = stack?.do === 'stack' ? 2 * stack.layers.reduce((sum, l) => sum + l.thickness, 0) : 6;
  const [before, press] = [steps.slice(0, -1), steps.slice(-1)];
  return {
    name,
    steps: [
      ...before,
      {
        ...{ id: 'w4', do: 'dents', laid: 'rosettes', number: 4, around: 6, seed: 3 },
        balls: [
          { diameter: round(thick), depth: round(thick * 0.5) },
          { diameter: round(thick * 0.6), depth: round(thick * 0.4) },
        ],
      },
      ...press,
      { id: 'w5', do: 'shave', depth: round(thick * 0.3), thickness: round(thick * 0.1), number: 1 },
    ],
  };
}
