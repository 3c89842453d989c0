import type { Mm } from '#core/units';
import type { Point } from './outline.js';

/** What clay is meant, as core/material writes it: `clay:<id>`, `mix:<id of the revision>`, `blend:<id of it>`. */
export type MaterialKey = string;

export const SHAPES = [
  'round',
  'square',
  'rectangle',
  'triangle',
  'teardrop',
  'petal',
  'hexagon',
  'half round',
  'drawn',
] as const;
export type ShapeKind = (typeof SHAPES)[number];
/** A shape of any size; `ratio`: width for a height of 1, of those that have one; `points`: of a drawn one. */
export interface Shape {
  readonly shape: ShapeKind;
  readonly ratio?: number;
  readonly points?: readonly Point[];
}

export interface SheetLayer {
  readonly of: MaterialKey;
  readonly thickness: Mm;
}
/** Another cane, by the revision it had, or copied with all its steps. */
export type Part =
  { readonly ref: string; readonly name?: string } | { readonly name?: string; readonly steps: readonly Step[] };
/** What fills a region of a template. */
export type Fill =
  | { readonly of: MaterialKey }
  /** a blend whose fade runs in a direction, degrees counterclockwise from the right */
  | { readonly blend: MaterialKey; readonly degrees: number }
  | { readonly cane: Part; readonly degrees: number };
export interface Region {
  readonly id: string;
  readonly name: string;
  readonly points: readonly Point[];
  readonly fill: Fill;
}

interface Named {
  readonly id: string;
  readonly name?: string;
}

/** Steps that begin a cane. Lengths are those of the piece of clay one begins with. `made`: a plug or a sheet that lies there already, by its id in the sheet book. */
export type Begin = Named &
  (
    | { readonly do: 'log'; readonly of: MaterialKey; readonly diameter: Mm; readonly length: Mm }
    | { readonly do: 'block'; readonly of: MaterialKey; readonly width: Mm; readonly height: Mm; readonly length: Mm }
    | {
        readonly do: 'plug';
        readonly of: MaterialKey;
        readonly wound: 'rolled' | 'fan';
        readonly inside: 'first' | 'last';
        readonly width: Mm;
        readonly depth: Mm;
        readonly length: Mm;
        readonly made?: string;
      }
    /** `rolled`: length of the sheets that are rolled up */
    | {
        readonly do: 'roll';
        readonly layers: readonly SheetLayer[];
        readonly rolled: Mm;
        readonly length: Mm;
        readonly made?: string;
      }
    /** sheets stacked so many times over */
    | {
        readonly do: 'loaf';
        readonly layers: readonly SheetLayer[];
        readonly times: number;
        readonly width: Mm;
        readonly length: Mm;
      }
    | { readonly do: 'template'; readonly regions: readonly Region[]; readonly length: Mm }
    | { readonly do: 'cane'; readonly part: Part }
  );

export const TURNS = ['none', 'quarter', 'half', 'mirror'] as const;
/** How neighbours differ: not at all, each a quarter or half further, or every other one mirrored. */
export type Turns = (typeof TURNS)[number];

export type Then = Named &
  (
    | { readonly do: 'wrap'; readonly of: MaterialKey; readonly thickness: Mm }
    | { readonly do: 'press'; readonly to: Shape; readonly turn: number }
    /** one way: so many times as wide, and as much less high */
    | { readonly do: 'squeeze'; readonly factor: number }
    | { readonly do: 'turn'; readonly degrees: number }
    | { readonly do: 'mirror' }
    /** lengthwise in equal parts through the middle; from a direction on, degrees. `keep`: which of them goes on, from 1, where they are not alike */
    | { readonly do: 'split'; readonly parts: number; readonly degrees: number; readonly keep?: number }
    /** across in equal lengths */
    | { readonly do: 'across'; readonly pieces: number }
    | {
        readonly do: 'grid';
        readonly rows: number;
        readonly columns: number;
        readonly turns: Turns;
        readonly others?: readonly Part[];
      }
    /** wedges around the middle, each pressed to one; `corner`: degrees of what comes to lie in the middle */
    | { readonly do: 'pie'; readonly count: number; readonly mirrored: boolean; readonly corner: number }
    /** two along the flat bottom side */
    | { readonly do: 'pair'; readonly turned: 'mirror' | 'half' }
    /** rods around one in the middle, squeezed without gaps */
    | { readonly do: 'ring'; readonly count: number; readonly middle: Part | null }
    /** rods squeezed together without gaps, to a shape */
    | {
        readonly do: 'bundle';
        readonly count: number;
        readonly others?: readonly { readonly part: Part; readonly count: number }[];
        readonly to: Shape;
        readonly seed: number;
      }
    | { readonly do: 'stack'; readonly part: Part; readonly side: 'right' | 'top' }
    /** another cane set into a hole of that size */
    | {
        readonly do: 'insert';
        readonly part: Part;
        readonly x: Mm;
        readonly y: Mm;
        readonly diameter: Mm;
        readonly degrees: number;
      }
    /** to so much across, as `acrossOf` measures it, or to a length: without its spoilt ends, or with them */
    | { readonly do: 'reduce'; readonly to: 'diameter' | 'length'; readonly value: Mm; readonly withEnds?: boolean }
    /** cut off each end */
    | { readonly do: 'trim'; readonly each: Mm }
    | { readonly do: 'slice'; readonly thickness: Mm }
  );

export type Step = Begin | Then;
export type Do = Step['do'];

/** A cane as it is kept: a readable document. */
export interface Program {
  readonly version: typeof PROGRAM_VERSION;
  readonly steps: readonly Step[];
}
export const PROGRAM_VERSION = 1;
export const MOST_STEPS = 80;

export const BEGINS = ['log', 'block', 'plug', 'roll', 'loaf', 'template', 'cane'] as const;
export const isBegin = (step: Step): step is Begin => (BEGINS as readonly string[]).includes(step.do);
