import { useMemo } from 'react';
import { usedIn, type EndsRule, type JudgedMaterial, type Paint, type Program, type Step } from '#core/cane';
import type { CaneAnswer, ShelfAnswer } from '#contract';
import { usePigments } from '../../../wire/pigments.js';
import type { PlainCane } from '../../../workers/canePlain.js';
import { useWorkedCane, type WorkedCane } from '../../../workers/cane.js';
import { materialsOf, type CaneMaterial } from './materials.js';

export const WOBBLES = ['off', 'steady', 'honest'] as const;
export type Wobble = (typeof WOBBLES)[number];
const WOBBLE: Readonly<Record<Wobble, number>> = { off: 0, steady: 0.35, honest: 1 };

/** How many steps there are in all other canes, copied in: their colours count too. */
const allSteps = (steps: readonly Step[], library: Readonly<Record<string, Program>>): readonly Step[] => [
  ...steps,
  ...Object.values(library).flatMap((p) => p.steps),
];

export interface BenchCane {
  /** as it went to the worker */
  readonly plain: PlainCane;
  readonly worked: WorkedCane | null;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly paints: Readonly<Record<string, Paint>>;
  readonly judged: Readonly<Record<string, JudgedMaterial>>;
}

/** How its ends are lost: as was typed for it, or as was learned. */
export const endsOf = ({
  ends,
  learnedEnds,
  trimming,
}: Pick<CaneAnswer, 'ends' | 'learnedEnds' | 'trimming'>): EndsRule => ({ share: ends ?? learnedEnds.ends, trimming });

/** How faces are seen: by which hands they are made, and whether they are held against the light. */
export interface HowSeen {
  readonly wobble: Wobble;
  readonly lit?: boolean;
}

/** What the judgement calls need of each material. */
const judgedBy = (materials: ReadonlyMap<string, CaneMaterial>): Readonly<Record<string, JudgedMaterial>> =>
  Object.fromEntries(
    [...materials].map(([key, { lab, hides, bakes, old, crumbly }]) => [key, { lab, hides, bakes, old, crumbly }]),
  );

/** A cane on the bench: worked out in the worker, with the colours it is painted in. */
export function useCane(
  cane: CaneAnswer,
  steps: readonly Step[],
  shelf: ShelfAnswer,
  { wobble, lit = false }: HowSeen,
): BenchCane {
  const pigments = usePigments();
  const library = useMemo(() => Object.fromEntries(cane.canes.map((c) => [c.revisionId, c.program])), [cane.canes]);
  const keys = usedIn(allSteps(steps, library)).materials.join(' ');
  const { blends, referenced } = cane;
  const materials = useMemo(
    () => materialsOf(keys === '' ? [] : keys.split(' '), { blends, referenced }, shelf, pigments),
    [keys, blends, referenced, shelf, pigments],
  );
  const glass = cane.program.meant === 'glass';
  const { sliceMm } = cane;
  const against = useMemo(
    () =>
      lit || glass
        ? materialsOf(keys === '' ? [] : keys.split(' '), { blends, referenced }, shelf, pigments, sliceMm)
        : materials,
    [lit, glass, materials, keys, blends, referenced, shelf, pigments, sliceMm],
  );
  const paints = useMemo(
    () => Object.fromEntries([...(lit ? against : materials)].map(([key, m]) => [key, m.paint])),
    [lit, against, materials],
  );
  const judged = useMemo(() => judgedBy(glass ? against : materials), [glass, against, materials]);
  const { share, trimming } = endsOf(cane);
  const plain = useMemo(
    (): PlainCane => ({ steps, library, wobble: WOBBLE[wobble], seed: 7, ends: { share, trimming } }),
    [steps, library, wobble, share, trimming],
  );
  return { plain, worked: useWorkedCane(cane.id, plain), materials, paints, judged };
}
