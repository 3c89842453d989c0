import type { PlainCutter } from '#core/cutter';
import type { MaterialKey } from '#core/material';

/** A number of a part: by itself, or so many times one of the sizes of the piece. */
export type Value = number | { readonly size: string; readonly times: number };

/** A size that several parts follow: how long a petal is, how many there are. */
export interface Size {
  readonly id: string;
  readonly name: string;
  readonly unit: 'mm' | 'count';
  readonly value: number;
}

/** What a flat part is cut with; the rest of it as a cutter of the drawer. */
export interface CutOutline<V> {
  readonly shape: PlainCutter['shape'];
  readonly width: V;
  readonly height: V;
  readonly rim?: V;
  readonly points?: NonNullable<PlainCutter['points']>;
}

export const FADE_WAYS = ['out', 'in', 'across'] as const;
/** How a fade lies on a part: from the inner end to the outer, the other way round, or from side to side. */
export type FadeWay = (typeof FADE_WAYS)[number];

/** Cut of a sheet; bent up at its outer end by `cup` mm; with lines pressed along it. */
export interface CutPart<V> {
  readonly is: 'cut';
  readonly outline: CutOutline<V>;
  readonly mm: V;
  readonly cup?: V;
  readonly lines?: number;
  readonly fade?: FadeWay;
}
/** A slice of a cane, with the outline of its face. */
export interface SlicePart<V> {
  readonly is: 'slice';
  readonly outline: CutOutline<V>;
  readonly mm: V;
}

export const BALL_FORMS = ['round', 'oval', 'bicone', 'disc', 'drop'] as const;
export type BallForm = (typeof BALL_FORMS)[number];
/** Rolled by hand; `ratio` of length to width, of a disc of height to width. */
export interface BallPart<V> {
  readonly is: 'ball';
  readonly form: BallForm;
  readonly width: V;
  readonly ratio: V;
}

export const BENDS = ['straight', 'ring', 'spiral'] as const;
export type Bend = (typeof BENDS)[number];
export interface SnakePart<V> {
  readonly is: 'snake';
  readonly width: V;
  readonly length: V;
  readonly bend: Bend;
}
/** Two snakes turned round each other; `width` of both together. */
export interface TwistPart<V> {
  readonly is: 'twist';
  readonly width: V;
  readonly length: V;
  readonly bend: Bend;
  /** the other snake */
  readonly with: MaterialKey | null;
  readonly withLike: string;
}
/** A core all around which slices, or a sheet, are laid. */
export interface CoveredPart<V> {
  readonly is: 'covered';
  readonly core: V;
  readonly wall: V;
  /** across one slice, mm; left out: a sheet */
  readonly slice?: V;
  /** what the core is of, mostly scrap; baked before it is covered */
  readonly with: MaterialKey | null;
  readonly withLike: string;
  readonly bakedFirst: boolean;
}
/** A sheet over a form: over a dome, or in a hollow. */
export interface VeneerPart<V> {
  readonly is: 'veneer';
  readonly form: 'dome' | 'hollow';
  readonly width: V;
  readonly height: V;
  readonly mm: V;
}

export const FINDING_FORMS = ['pin', 'ring', 'hook', 'post', 'bezel', 'cord'] as const;
export type FindingForm = (typeof FINDING_FORMS)[number];
/** Metal, or a cord: of the findings in stock. */
export interface FindingPart<V> {
  readonly is: 'finding';
  /** null: not chosen yet */
  readonly finding: string | null;
  readonly form: FindingForm;
  readonly width: V;
  readonly length: V;
}

export type ShapeOf<V> =
  | CutPart<V>
  | SlicePart<V>
  | BallPart<V>
  | SnakePart<V>
  | TwistPart<V>
  | CoveredPart<V>
  | VeneerPart<V>
  | FindingPart<V>;
export type ShapeIs = ShapeOf<number>['is'];
/** A part's shape with its sizes as numbers. */
export type Shape = ShapeOf<number>;

/** Where a part lies on what it lies on: x to the right, y up from its middle, mm; turned counterclockwise. */
export type PlaceOf<V> =
  | { readonly lies: 'at'; readonly x: V; readonly y: V; readonly turn: number }
  /** middles on a circle, the outer end outwards; in the gaps of a ring of as many */
  | { readonly lies: 'ring'; readonly n: V; readonly radius: V; readonly turn: number; readonly gaps: boolean }
  /** by chance within a circle, middles at least so far apart */
  | { readonly lies: 'scatter'; readonly n: V; readonly radius: V; readonly apart: V; readonly seed: number }
  /** one beside the other, middles so far apart, the row turned about its own middle */
  | { readonly lies: 'row'; readonly n: V; readonly apart: V; readonly x: V; readonly y: V; readonly turn: number }
  /** at x and its mirror image at −x */
  | { readonly lies: 'pair'; readonly x: V; readonly y: V; readonly turn: number }
  | { readonly lies: 'stack'; readonly n: V; readonly x: V; readonly y: V };
export type Place = PlaceOf<number>;
export type Lies = Place['lies'];

/** A part of a piece: so many of one shape and one material. */
export interface PartOf<V> {
  readonly id: string;
  readonly name: string;
  /** null: not chosen yet, or a finding */
  readonly of: MaterialKey | null;
  /** six digits: the colour that is meant, where no material is chosen */
  readonly like: string;
  /** the part that it lies on, once on each of them; null: on the table */
  readonly on: string | null;
  /** under the piece, not on it */
  readonly under?: boolean;
  readonly shape: ShapeOf<V>;
  readonly place: PlaceOf<V>;
}
export type Part = PartOf<number>;

export const PIECE_VERSION = 1;
/** A piece of many parts as it is kept: a readable document; parts in the order they are put together. */
export interface PieceDocument {
  readonly version: typeof PIECE_VERSION;
  readonly sizes: readonly Size[];
  readonly parts: readonly PartOf<Value>[];
}

export const MOST_PARTS = 60;
export const MOST_SIZES = 20;
/** All parts of one piece, each as often as it lies there. */
export const MOST_LYING = 500;
