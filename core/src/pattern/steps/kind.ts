import type { Fields } from '#core/document';
import type { CaneState, MaterialKey, Program, Step } from '#core/cane';
import type { Mm, Mm3 } from '#core/units';
import type { AnyStep } from '#core/pattern/document';
import type { Body, Form } from '#core/pattern/body';

/** A cane that slices are cut of: its steps, and the canes in it by the revisions they had. */
export interface CutCane {
  readonly steps: readonly Step[];
  readonly inside: Readonly<Record<string, Program>>;
}
/** By the keys of their materials. */
export type CutCanes = Readonly<Record<MaterialKey, CutCane>>;

/** What a program is worked out with. */
export interface PatternContext {
  /** numbers of the materials, in the order they were met */
  readonly materials: MaterialKey[];
  /** 0: hands of a machine; 1: honest hands */
  readonly wobble: number;
  /** whose hands: the same seed, the same sheet */
  readonly seed: number;
  /** what lies at a place of a stack is its height there, mm, and no material: how its flakes lie follows from it */
  readonly heights?: boolean;
  readonly canes: CutCanes;
  /** faces of those that were worked out, with the numbers of `materials` */
  readonly faces: Map<MaterialKey, CaneState>;
}

/** Something to be rolled, or chopped, before the work begins: all of one material. */
export interface Start {
  readonly what: 'sheet' | 'log' | 'bits' | 'specks' | 'slices';
  readonly of: MaterialKey;
  readonly volume: Mm3;
  /**
   * mm: of a sheet its width, length and thickness, and of slices too; of a log its diameter and length; of bits their
   * edge
   */
  readonly sizes: readonly Mm[];
  /** of slices: how many */
  readonly count?: number;
}

/** Everything that a kind of step says of itself. These are methods, so that one table can hold all kinds. */
export interface Kind<S extends AnyStep> {
  /** what it has beside its id and its name */
  readonly fields: Fields;
  /**
   * what has to lie ready for it
   * @param before the body it is done to @param context the one that body was worked out in
   */
  starts?(step: S, before: Body | null, context: PatternContext): readonly Start[];
  /** the step where so many times as much of everything is made, with the same grain; left out: as it is */
  times?(step: S, factor: number): AnyStep;
}

/** A kind that a patterned sheet begins with. */
export interface BeginKind<S extends AnyStep> extends Kind<S> {
  /** @throws Complaint */
  begin(step: S, context: PatternContext): Body;
}

/** A kind that changes the body there is. */
export interface ChangeKind<S extends AnyStep> extends Kind<S> {
  /** the forms it can be done to */
  readonly to: readonly Form[];
  /** @param at its place among the steps, so that hands are not the same twice @throws Complaint */
  change(body: Body, step: S, context: PatternContext, at: number): Body;
}
