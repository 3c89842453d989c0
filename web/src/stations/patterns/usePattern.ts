import { useCallback, useMemo } from 'react';
import type { Lab } from '#core/colour';
import { patternMaterials, type PatternStep } from '#core/pattern';
import type { Mm } from '#core/units';
import type { PatternAnswer, ShelfAnswer } from '#contract';
import { usePigments } from '../../wire/pigments.js';
import {
  useBodies,
  type PatternColours,
  type PatternPaints,
  type PlainBody,
  type PlainPattern,
} from '../../workers/pattern.js';
import { materialsOf, type CaneMaterial } from '../canes/clay/materials.js';
import { stirredLab } from '../canes/words/scrapWords.js';
import { labsOf, volumesLaid } from './colours.js';
import { cutCanes, materialsInCanes } from './cutCanes.js';
import { patternPaints } from './sheen.js';

/** Whose hands a patterned sheet is looked at with. */
export interface Hands {
  readonly seed: number;
  /** 0: hands of a machine; 1: honest ones */
  readonly wobble: number;
}

/** A patterned sheet on the bench: worked out in the worker, with the colours it is painted in. */
export interface BenchPattern {
  readonly plain: PlainPattern;
  readonly bodies: readonly PlainBody[] | null;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly paints: PatternPaints;
  /** it is held against the light; left out: it lies there */
  readonly lit?: boolean;
  /** for what is judged at arm's length */
  readonly colours: PatternColours;
}

/** What a patterned sheet rests on. */
type RestsOn = Pick<PatternAnswer, 'canes' | 'blends' | 'referenced'>;

const GREY: Lab = { l: 50, a: 0, b: 0 };

export function usePattern(
  pattern: RestsOn,
  steps: readonly PatternStep[],
  shelf: ShelfAnswer,
  { seed, wobble }: Hands,
): BenchPattern {
  const { canes } = pattern;
  const cut = useMemo(() => cutCanes(canes), [canes]);
  const lookedUp = useLookUp(pattern, steps, shelf);
  const materials = useMemo(() => lookedUp(), [lookedUp]);
  const paints = useMemo(() => patternPaints(materials), [materials]);
  const colours = useMemo(
    (): PatternColours => ({
      labs: labsOf(materials),
      deep: paints.deep,
      mixed: stirredLab(volumesLaid(steps), materials) ?? GREY,
    }),
    [materials, steps, paints],
  );
  const plain = useMemo(
    (): PlainPattern => ({ steps, seed, wobble, ...(cut && { canes: cut }) }),
    [steps, seed, wobble, cut],
  );
  return { plain, bodies: useBodies(plain), materials, paints, colours };
}

/** Looks everything up that some steps are of: as it lies there, or held against the light, so many mm thick. */
function useLookUp({ canes, blends, referenced }: RestsOn, steps: readonly PatternStep[], shelf: ShelfAnswer) {
  const pigments = usePigments();
  const keys = [...new Set([...patternMaterials(steps), ...materialsInCanes(canes)])].join(' ');
  return useCallback(
    (through?: Mm) =>
      materialsOf(keys === '' ? [] : keys.split(' '), { blends, referenced, canes }, shelf, pigments, through),
    [keys, blends, referenced, canes, shelf, pigments],
  );
}

/** A sheet on the bench held against the light. @param thick mm of it; null: it lies there */
export function useLit(bench: BenchPattern, pattern: RestsOn, shelf: ShelfAnswer, thick: Mm | null): BenchPattern {
  const lookedUp = useLookUp(pattern, bench.plain.steps, shelf);
  const paints = useMemo(() => (thick === null ? null : patternPaints(lookedUp(thick))), [lookedUp, thick]);
  return paints ? { ...bench, paints, lit: true } : bench;
}

/** The same as large as it is made: what is wanted of it may make it larger than its steps say. */
export function useAsMade(bench: BenchPattern, steps: readonly PatternStep[]): BenchPattern {
  const plain = useMemo((): PlainPattern => ({ ...bench.plain, steps }), [bench.plain, steps]);
  return { ...bench, plain, bodies: useBodies(plain) };
}
