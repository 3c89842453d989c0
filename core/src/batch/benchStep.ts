import type { Celsius, Grams, Minutes, Mm } from '#core/units';
import type { Conditioning } from '#core/conditioning';
import type { Cutter, Layout } from '#core/cutter';
import type { CutInBalls, FinishStep, Lies, Shape } from '#core/piece';
import type { Rolling } from './assembly.js';
import type { Portion } from './demand.js';
import type { Alone } from './ovenLoads.js';
import type { LayerOf } from './order.js';

/** A sheet for another piece out of the same roll. */
export interface RolledFor {
  readonly pieceName: string;
  readonly width: Mm;
  readonly length: Mm;
  readonly sheets: number;
}

/** How many of a part go where on one piece. */
export interface AssembledPart {
  readonly name: string;
  readonly count: number;
  readonly lies: Lies;
  /** in the gaps of the ring before */
  readonly gaps: boolean;
  /** name of the part that it lies on; null: on the table */
  readonly on: string | null;
  readonly under: boolean;
}

/** What a step works on: its name and its raw colour, as it lies on the bench. */
export interface Shown {
  readonly of: LayerOf;
  readonly name: string;
  readonly hex: string;
}

/** One step at the bench. Words and units are put to it where it is shown. */
export type BenchStep =
  | {
      readonly kind: 'condition';
      readonly clay: Shown;
      readonly grams: Grams;
      readonly months: number | null;
      /** it has to be bought first */ readonly bought: boolean;
      /** of so many lots of this clay */ readonly lots: number;
      readonly how: Conditioning;
    }
  | { readonly kind: 'ready'; readonly what: Shown; readonly grams: Grams; readonly short: Grams }
  | {
      readonly kind: 'mix';
      readonly mix: Shown;
      readonly made: Grams;
      readonly discError: number;
      readonly portions: readonly (Shown & Pick<Portion, 'grams'> & { readonly discs: string | null })[];
    }
  | {
      readonly kind: 'roll';
      readonly sheet: Shown;
      readonly pieceId: string;
      readonly pieceName: string;
      readonly machineName: string;
      readonly settingLabel: string;
      readonly mm: Mm;
      readonly assumed: boolean;
      readonly width: Mm;
      readonly length: Mm;
      readonly sheets: number;
      /** of all of it, for other pieces too */
      readonly grams: Grams;
      /** other pieces that the same clay is rolled for at the same setting */
      readonly more: readonly RolledFor[];
    }
  | {
      readonly kind: 'stack';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly layers: readonly Shown[];
      readonly sheets: number;
    }
  | {
      readonly kind: 'cut';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly cutter: Cutter;
      readonly count: number;
      readonly spare: number;
      readonly sheet: Shown;
      readonly layout: Layout;
      readonly bridge: Mm;
      readonly film: boolean;
      readonly pairs: boolean;
    }
  | {
      readonly kind: 'shape';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly partName: string;
      readonly clay: Shown;
      /** of all pieces */
      readonly count: number;
      readonly grams: Grams;
      readonly shape: Shape;
      /** it goes inside: a core, or the second snake of a twist */
      readonly inside: boolean;
      /** the snake that small balls are cut of */
      readonly balls: CutInBalls | null;
      /** what punches the clay of one of them */
      readonly punch: (Pick<Rolling, 'machineName' | 'settingLabel' | 'mm'> & { readonly across: Mm }) | null;
      readonly slices: number | null;
    }
  | {
      readonly kind: 'assemble';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly count: number;
      readonly thickest: Mm;
      /** in their order, on one piece */
      readonly parts: readonly AssembledPart[];
    }
  | { readonly kind: 'clean'; readonly after: Shown; readonly before: Shown }
  | {
      readonly kind: 'finish';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly count: number;
      readonly step: FinishStep;
    }
  | {
      readonly kind: 'bake';
      /** they are covered afterwards */
      readonly cores: boolean;
      readonly lines: readonly string[];
      readonly celsius: Celsius;
      /** at the least */
      readonly low: Celsius;
      readonly minutes: Minutes;
      readonly maxC: Celsius;
      readonly compromise: boolean;
      /** below the packet's temperature, by the maker's own figures */
      readonly below: boolean;
      readonly alone: Alone | null;
      /** it lies on forms, which are warmed through first */
      readonly onForm: boolean;
      /** larger than the tray */
      readonly tooLarge: boolean;
      /** so many trays of just this, one after the other */
      readonly times: number;
      readonly pieces: readonly { readonly id: string; readonly name: string; readonly count: number }[];
    };
