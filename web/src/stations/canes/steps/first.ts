import type { Part } from '#core/cane';
import type { PlainStep } from '../../../workers/canePlain.js';

export const newId = (): string => crypto.randomUUID();

/** A size to a tenth of a millimetre. */
export const tenth = (mm: number): number => Math.max(0.1, Math.round(mm * 10) / 10);

/** What a step is made to fit where nothing stands before it, mm. */
export const USUAL = { across: 24, width: 24, height: 24, length: 60 };
export const sizeOf = (now: PlainStep | null): typeof USUAL => now ?? USUAL;

export const rodOf = (of: string, diameter: number, length: number): Part => ({
  name: 'a rod',
  steps: [{ id: newId(), do: 'log', of, diameter: tenth(diameter), length: tenth(length) }],
});
export const blockOf = (of: string, width: number, height: number, length: number): Part => ({
  name: 'a block',
  steps: [{ id: newId(), do: 'block', of, width: tenth(width), height: tenth(height), length: tenth(length) }],
});
