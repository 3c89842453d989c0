import { expose } from 'comlink';
import {
  judge,
  mostSlices,
  planBackwards,
  tracedFace,
  type JudgedMaterial,
  type Have,
  type Meant,
  type Most,
  type StopLine,
  type TracedArea,
  type Wanted,
} from '#core/cane';
import { keep, load, workedOf } from './caneLoaded.js';
import { face, faceFile, type Wish } from './canePaint.js';
import {
  plainPlan,
  plainStep,
  plainWarning,
  type PlainCane,
  type PlainPlan,
  type PlainStep,
  type PlainWarning,
  type PlainHave,
} from './canePlain.js';
import { stop } from './long.js';
import { keepComplaints } from './thrown.js';

keepComplaints();

/** The edges of one thing in a face. */
interface Traced {
  readonly key: string;
  readonly place: number | null;
  readonly rings: TracedArea['rings'];
}

/** What will go wrong with a cane, and the narrowest thing in its face. */
export interface Judged {
  readonly warnings: readonly PlainWarning[];
  readonly feature: { readonly mm: number; readonly material: string } | null;
  /** of a cane that is meant as glass: where its walls begin to bleed */
  readonly stop: (Omit<StopLine, 'material'> & { readonly material: string }) | null;
}
const NOTHING_WRONG: Judged = { warnings: [], feature: null, stop: null };

const worker = {
  keep,
  load(id: string, cane: PlainCane): PlainStep[] {
    const { results, context, stamps } = load(id, cane);
    return results.map((result, i) => plainStep(result, context, stamps[i] ?? 0, results[i - 1]));
  },
  face: (id: string, at: number, size: number, every: number, paints: Wish['paints']): Promise<ImageData | null> =>
    face({ id, at, size, paints }, every),
  faceFile,
  stop,

  /** The edges of everything in the face after a step. */
  traced(id: string, at: number): Traced[] {
    const cane = workedOf(id);
    const state = cane?.results[at]?.state;
    if (!cane || !state) return [];
    return tracedFace(state).map(({ material, place, rings }) => ({
      key: cane.context.materials[material] ?? '',
      place,
      rings,
    }));
  },

  /** From slices to what to begin with; null where the cane was not sent. @throws Complaint where it cannot be */
  backwards(id: string, wanted: Wanted): PlainPlan | null {
    const cane = workedOf(id);
    return cane ? plainPlan(planBackwards(cane.cane.steps, wanted, cane.context), cane.context) : null;
  },

  /** The most slices that what one has gives; null where the cane was not sent. @throws Complaint where it cannot be */
  most(id: string, thickness: number, { volumes, made, all }: PlainHave): Most | null {
    const cane = workedOf(id);
    const have: Have = { volumes: new Map(volumes), made: new Map(made), ...(all === undefined ? {} : { all }) };
    return cane ? mostSlices(cane.cane.steps, thickness, have, cane.context) : null;
  },

  judge(id: string, materials: Readonly<Record<string, JudgedMaterial>>, meant?: Meant): Judged {
    const cane = workedOf(id);
    if (!cane) return NOTHING_WRONG;
    const { context, results } = cane;
    const known = context.materials.map((key) => materials[key]);
    const { warnings, features, stop } = judge(results, known, context, meant);
    // of one clay alone nothing is narrow
    const isNarrow = features && Number.isFinite(features.least) && features.byMaterial.size > 1;
    return {
      feature: isNarrow ? { mm: features.least, material: context.materials[features.material] ?? '' } : null,
      warnings: warnings.map((w) => plainWarning(w, context)),
      stop: stop && { ...stop, material: context.materials[stop.material] ?? '' },
    };
  },
};
export type CaneWorker = typeof worker;

expose(worker);
