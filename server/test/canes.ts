import { randomUUID } from 'node:crypto';
import { PROGRAM_VERSION, type Step } from '#core/cane';
import type { CaneDto } from '#contract';

/** What the tests of canes share. */
export const log = (of: string): Step => ({ id: 'a', do: 'log', of, diameter: 20, length: 60 });
export const caneOf = (name: string, ...steps: Step[]): CaneDto => ({
  id: randomUUID(),
  version: 0,
  name,
  note: '',
  retired: false,
  program: { version: PROGRAM_VERSION, steps },
  slices: 20,
  sliceMm: 2,
  trimming: 'once at the end',
  ends: null,
});
