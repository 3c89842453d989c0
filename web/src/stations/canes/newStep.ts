import type { Do, Part, Step } from '#core/cane';
import type { PlainStep } from '../../workers/cane.worker.js';

export interface Defaults {
  readonly dark: string;
  readonly light: string;
  readonly blend: string | null;
}

const id = (): string => crypto.randomUUID();
const log = (of: string, diameter: number, length: number): Part => ({
  name: 'a rod',
  steps: [{ id: id(), do: 'log', of, diameter: tenth(diameter), length: tenth(length) }],
});
const block = (of: string, width: number, height: number, length: number): Part => ({
  name: 'a block',
  steps: [{ id: id(), do: 'block', of, width: tenth(width), height: tenth(height), length: tenth(length) }],
});
const tenth = (mm: number): number => Math.max(0.1, Math.round(mm * 10) / 10);

/** A step as hands would most likely take it now. `now`: the cane before it; null where it is the first. */
export function newStep(kind: Do, now: PlainStep | null, { dark, light, blend }: Defaults): Step {
  const { across: diameter, width, height, length } = now ?? { across: 24, width: 24, height: 24, length: 60 };
  switch (kind) {
    case 'log':
      return { id: id(), do: 'log', of: light, diameter: 24, length: 60 };
    case 'block':
      return { id: id(), do: 'block', of: light, width: 30, height: 20, length: 60 };
    case 'plug':
      return blend === null
        ? newStep('log', now, { dark, light, blend })
        : { id: id(), do: 'plug', of: blend, wound: 'rolled', inside: 'first', width: 24, depth: 24, length: 60 };
    case 'roll':
      return {
        id: id(),
        do: 'roll',
        layers: [
          { of: light, thickness: 1.5 },
          { of: dark, thickness: 1 },
        ],
        rolled: 220,
        length: 50,
      };
    case 'loaf':
      return {
        id: id(),
        do: 'loaf',
        layers: [
          { of: light, thickness: 2 },
          { of: dark, thickness: 2 },
        ],
        times: 4,
        width: 30,
        length: 60,
      };
    case 'template':
      return {
        id: id(),
        do: 'template',
        length: 40,
        regions: [
          {
            id: id(),
            name: 'ground',
            points: [
              [-20, -15],
              [20, -15],
              [20, 15],
              [-20, 15],
            ],
            fill: { of: light },
          },
        ],
      };
    case 'cane':
      return { id: id(), do: 'cane', part: log(light, 20, 60) };
    case 'wrap':
      return { id: id(), do: 'wrap', of: dark, thickness: tenth(diameter * 0.05) };
    case 'press':
      return { id: id(), do: 'press', to: { shape: 'square' }, turn: 0 };
    case 'squeeze':
      return { id: id(), do: 'squeeze', factor: 1.5 };
    case 'turn':
      return { id: id(), do: 'turn', degrees: 90 };
    case 'mirror':
      return { id: id(), do: 'mirror' };
    case 'split':
      return { id: id(), do: 'split', parts: 4, degrees: 0 };
    case 'across':
      return { id: id(), do: 'across', pieces: 4 };
    case 'grid':
      return { id: id(), do: 'grid', rows: 2, columns: 2, turns: 'none' };
    case 'pie':
      return { id: id(), do: 'pie', count: 6, mirrored: true, corner: 0 };
    case 'pair':
      return { id: id(), do: 'pair', turned: 'mirror' };
    case 'ring':
      return {
        id: id(),
        do: 'ring',
        count: Math.max(3, Math.min(60, now?.count ?? 6)),
        middle: log(light, diameter * 1.6, length),
      };
    case 'bundle':
      return {
        id: id(),
        do: 'bundle',
        count: Math.max(2, Math.min(300, now?.count ?? 7)),
        to: { shape: 'round' },
        seed: 1,
      };
    case 'stack':
      return { id: id(), do: 'stack', side: 'right', part: block(dark, height * 0.3, height, length) };
    case 'insert':
      return {
        id: id(),
        do: 'insert',
        x: 0,
        y: 0,
        diameter: tenth(Math.min(width, height) * 0.3),
        degrees: 0,
        part: log(dark, Math.min(width, height) * 0.3, length),
      };
    case 'reduce':
      return { id: id(), do: 'reduce', to: 'diameter', value: tenth(diameter * 0.7) };
    case 'trim':
      return { id: id(), do: 'trim', each: tenth(Math.min(diameter, length / 4)) };
    case 'slice':
      return { id: id(), do: 'slice', thickness: 2 };
  }
}

/**
 * A step as it was edited. Reduced by another measure it stays as it is, told
 * by that measure, so that what stands there at once can be done.
 * @param now the cane after the step as it was
 */
export function withUsualValue(before: Step, next: Step, now: PlainStep | undefined): Step {
  if (before.do !== 'reduce' || next.do !== 'reduce' || before.to === next.to || !now?.there) return next;
  if (next.to === 'diameter') return { ...next, value: Math.floor(now.across * 10) / 10 };
  return { ...next, value: Math.ceil(now.length * 10) / 10 };
}

/** The steps of a part of a part, down a path. */
export type Path = readonly { readonly step: number; readonly part: number }[];
