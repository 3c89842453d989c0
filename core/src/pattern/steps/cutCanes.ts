import {
  checkWork,
  contextOf,
  leftByHands,
  runSteps,
  type CaneState,
  type MaterialKey,
  type Program,
} from '#core/cane';
import { keyOf } from '#core/material';
import type { CutCanes, PatternContext } from './kind.js';
import { numberOf } from './measure.js';
import { complaint } from './sentences.js';

/**
 * Canes that slices are cut of, by the keys of their materials, each with all that could be in it.
 * @param canes those that are cut, and those that they take in, by their revisions
 */
export function cutCanesOf(canes: readonly { readonly revisionId: string; readonly program: Program }[]): CutCanes {
  const inside = Object.fromEntries(canes.map((c) => [c.revisionId, c.program]));
  return Object.fromEntries(
    canes.map(({ revisionId, program }) => [keyOf({ kind: 'cane', id: revisionId }), { steps: program.steps, inside }]),
  );
}

/** A cane worked out by itself, and the names of its numbers. */
interface Worked {
  readonly state: CaneState;
  readonly materials: readonly MaterialKey[];
}

/** @throws Complaint `pattern/cane`, and of the first step of the cane that cannot be done */
function workedOut(key: MaterialKey, { canes, wobble, seed }: PatternContext): Worked {
  const cane = canes[key];
  if (!cane) throw complaint('pattern/cane');
  const context = contextOf((ref) => cane.inside[ref], wobble, seed);
  checkWork(cane.steps, context.library);
  const results = runSteps(cane.steps, context);
  const wrong = results.find((r) => r.wrong)?.wrong;
  if (wrong) throw wrong;
  const state = leftByHands(results, results.length - 1, context);
  if (!state) throw complaint('pattern/cane');
  return { state, materials: context.materials };
}

/** The face of a cane with the numbers that its materials have here. */
function renumbered({ state, materials }: Worked, context: PatternContext): CaneState {
  const numbers = materials.map((key) => numberOf(context, key));
  const { sample } = state;
  return {
    ...state,
    sample: (x, y) => {
      const value = sample(x, y);
      const own = Math.floor(value);
      return (numbers[own] ?? 0) + value - own;
    },
    amounts: new Map([...state.amounts].map(([own, area]) => [numbers[own] ?? 0, area])),
  };
}

/** The face that slices of a cane show; worked out once in a context. @throws Complaint as {@link workedOut} */
export function faceOfCane(key: MaterialKey, context: PatternContext): CaneState {
  const known = context.faces.get(key) ?? renumbered(workedOut(key, context), context);
  context.faces.set(key, known);
  return known;
}
