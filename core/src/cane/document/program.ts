import type { Mm } from '#core/units';
import type { Point } from '#core/cane/outlines';

/** What clay is meant, as core/material writes it: `clay:<id>`, `mix:<id of the revision>`, `blend:<id of it>`. */
export type MaterialKey = string;

/** A step as a document holds it, of whatever kind. */
export interface AnyStep {
  readonly id: string;
  readonly name?: string;
  readonly do: string;
}
/** A step of one kind: its id, perhaps a name, and what it does. */
export interface Doing<K extends string> extends AnyStep {
  readonly do: K;
}

export interface SheetLayer {
  readonly of: MaterialKey;
  readonly thickness: Mm;
}

/** Another cane by the revision it had. */
export interface CaneRef {
  readonly ref: string;
  readonly name?: string;
}
/** Another cane, by the revision it had, or copied with all its steps. */
export type PartOf<S> = CaneRef | { readonly name?: string; readonly steps: readonly S[] };
export type AnyPart = PartOf<AnyStep>;

/** What fills a region of a template. */
export type FillOf<P> =
  | { readonly of: MaterialKey }
  /** a blend whose fade runs in a direction, degrees counterclockwise from the right */
  | { readonly blend: MaterialKey; readonly degrees: number }
  | { readonly cane: P; readonly degrees: number };
export interface RegionOf<P> {
  readonly id: string;
  readonly name: string;
  readonly points: readonly Point[];
  readonly fill: FillOf<P>;
}

/** What its slices are meant for, where that is not to lie on a ground: glass is looked at against the light. */
export const MEANT = ['glass'] as const;
export type Meant = (typeof MEANT)[number];

/** A cane as it is kept: a readable document. */
export interface ProgramOf<S> {
  readonly version: typeof PROGRAM_VERSION;
  readonly steps: readonly S[];
  readonly meant?: Meant;
}
export const PROGRAM_VERSION = 1;
export const MOST_STEPS = 80;
/** Canes inside canes inside canes: so many are followed. */
export const MOST_CANES_DEEP = 12;
/** Points of all outlines of a cane: with more it could not be saved. */
export const MOST_POINTS = 20_000;
