import type { Mm, Mm2 } from '#core/units';
import type { AnyPart, AnyStep, Fields, MaterialKey, SheetLayer } from '#core/cane/document';
import type { Spoilt } from './ends.js';
import type { CaneContext, CaneState, Unspoilt } from './state.js';

/** So many pieces of a cane, each so long. */
export interface Need {
  readonly count: number;
  readonly length: Mm;
}

/** The canes that a step takes in, and how much of them. */
export interface Parts<S extends AnyStep> {
  /** in its order */
  of(step: S): readonly AnyPart[];
  /** the step with one of them exchanged */
  with(step: S, at: number, part: AnyPart): AnyStep;
  /** pieces of each, in their order; left out: one of each */
  counts?(step: S): readonly number[];
  /** how many times as long as the row a piece of one is, before it is reduced to fit; left out: once */
  longer?(step: S, part: CaneState, before: CaneState | null, at: number): number;
}

/**
 * Everything a kind of step says of itself. What is left out is as for most of them.
 * These are methods, so that the table of kinds can hold them all (kinds.ts).
 */
export interface Kind<S extends AnyStep> {
  /** what it has beside its id and its name */
  readonly fields: Fields;
  readonly parts?: Parts<S>;
  /** the step with its sizes across, and the thickness of its sheets, times a factor; lengths along the cane stay */
  scaled?(step: S, factor: number): AnyStep;
  /** rods that it squeezes: that takes time with the square of them */
  rods?(step: S): number;
}

/** A kind that a cane begins with. */
export interface BeginKind<S extends AnyStep> extends Kind<S> {
  /** @param parts the other canes of the step, in its order, worked out @throws Complaint */
  begin(step: S, parts: readonly CaneState[], context: CaneContext): CaneState;
  /**
   * mm² of each clay that is laid down for one piece, by material, where that
   * is not what its face shows: clay that is cut away again counts, clay of
   * the parts does not; null: nothing, it is counted elsewhere.
   */
  laid?(step: S): readonly { readonly key: MaterialKey; readonly area: Mm2 }[] | null;
}

/** mm² of the face before a step and after it. */
export interface Faces {
  readonly before: Mm2;
  readonly after: Mm2;
}
/** What is left over at a step, along the length of what comes of it: mm² by material. */
export interface Leaving {
  readonly why: 'ends' | 'pieces' | 'hole';
  readonly amounts: ReadonlyMap<number, Mm2>;
  /** counted on a grid, so that hairs of clay may seem to be there that are not */
  readonly counted?: boolean;
  /** mm of it for each piece; left out: as long as the piece */
  readonly length?: Mm;
}

/** A kind that changes the cane there is. */
export interface ChangeKind<S extends AnyStep> extends Kind<S> {
  /** @param parts the other canes of the step, in its order, worked out @throws Complaint */
  change(state: CaneState, step: S, parts: readonly CaneState[], context: CaneContext): Unspoilt;
  /** pieces of the row that lie in one piece after it; left out: one */
  own?(step: S): number;
  /** pieces are joined: what was spoilt at their ends is summed up, and the handling spoils more */
  readonly joins?: true;
  /** it spoils ends, which are cut off after the last step that does */
  readonly spoils?: true;
  /** what is spoilt at the ends after it; left out: as before, and for a join as said there */
  spoilt?(step: S, before: CaneState, after: Unspoilt): readonly Spoilt[];
  /** a piece is cut in several: more of them are there after it, and some may be left over */
  readonly cuts?: true;
  /**
   * what is needed before it for pieces of it; left out: `own` of them for each, as long.
   * @param pieces that one is cut in
   */
  needs?(step: S, need: Need, faces: Faces, pieces: number): Need;
  /** how long a piece is after it; left out: as before */
  along?(step: S, length: Mm, faces: Faces): Mm;
  /** what is left over; `given`: amounts of the parts, each with how much of it there is */
  leaves?(
    step: S,
    before: CaneState,
    after: CaneState,
    given: readonly (readonly [ReadonlyMap<number, Mm2>, number])[],
  ): readonly Leaving[];
  /** a sheet that is laid around each piece, its width the way around; or a snake, as thick as it is wide */
  sheet?(step: S, before: CaneState, after: CaneState): SheetLayer & { readonly width: Mm; readonly snake?: true };
}
