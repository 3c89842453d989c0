import { useMemo } from 'react';
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

/** @param through mm that it is held against the light as; left out: as it lies there */
export function usePattern(
  pattern: RestsOn,
  steps: readonly PatternStep[],
  shelf: ShelfAnswer,
  { seed, wobble }: Hands,
  through?: Mm,
): BenchPattern {
  const pigments = usePigments();
  const { canes, blends, referenced } = pattern;
  const cut = useMemo(() => cutCanes(canes), [canes]);
  const keys = [...new Set([...patternMaterials(steps), ...materialsInCanes(canes)])].join(' ');
  const materials = useMemo(
    () => materialsOf(keys === '' ? [] : keys.split(' '), { blends, referenced, canes }, shelf, pigments, through),
    [keys, blends, referenced, canes, shelf, pigments, through],
  );
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
