import type { AnyStep, Fields, PartOf, ProgramOf, RegionOf } from '#core/cane/document';
import { across, type Across } from './across.js';
import { block, type Block } from './block.js';
import { bundle, type Bundle } from './bundle.js';
import { cane, type Cane } from './cane.js';
import { grid, type Grid } from './grid.js';
import { halve, type Halve } from './halve.js';
import { insert, type Insert } from './insert.js';
import { edge, type Edge } from './edge.js';
import { fan, type Fan } from './fan.js';
import type { BeginKind, ChangeKind, Kind } from './kind.js';
import { loaf, type Loaf } from './loaf.js';
import { log, type Log } from './log.js';
import { mirror, type Mirror } from './mirror.js';
import { pair, type Pair } from './pair.js';
import { pie, type Pie } from './pie.js';
import { plug, type Plug } from './plug.js';
import { press, type PressTo } from './press.js';
import { reduce, type Reduce } from './reduce.js';
import { ring, type Ring } from './ring.js';
import { roll, type Roll } from './roll.js';
import { slice, type Slice } from './slice.js';
import { split, type Split } from './split.js';
import { squeeze, type Squeeze } from './squeeze.js';
import { stack, type Stack } from './stack.js';
import { template, type Template } from './template.js';
import { thin, type Thin } from './thin.js';
import { trim, type Trim } from './trim.js';
import { turn, type Turn } from './turn.js';
import { wrap, type Wrap } from './wrap.js';

/** What begins a cane. */
export type Begin = Log | Block | Plug | Roll | Loaf | Template<Step> | Cane<Step>;
/** What can follow. */
export type Then =
  | Wrap
  | Edge
  | PressTo
  | Squeeze
  | Turn
  | Mirror
  | Split
  | Across
  | Halve
  | Grid<Step>
  | Pie<Step>
  | Fan<Step>
  | Pair
  | Ring<Step>
  | Bundle<Step>
  | Stack<Step>
  | Insert<Step>
  | Reduce
  | Thin
  | Trim
  | Slice;
/** Steps of a cane. Lengths are those of the piece of clay one begins with. */
export type Step = Begin | Then;
export type Do = Step['do'];
export type StepOf<K extends Do> = Extract<Step, { readonly do: K }>;
export type Part = PartOf<Step>;
export type Region = RegionOf<Part>;
export type Fill = Region['fill'];
export type Program = ProgramOf<Step>;

/** The kinds by what they do: one that stands in the types above and not here does not compile. */
const BEGIN: { readonly [K in Begin['do']]: BeginKind<StepOf<K>> } = {
  ...{ log, block, plug, roll, loaf, template, cane },
};
const CHANGE: { readonly [K in Then['do']]: ChangeKind<StepOf<K>> } = {
  ...{ wrap, edge, press, squeeze, turn, mirror, split, across, halve },
  ...{ grid, pie, fan, pair, ring, bundle, stack, insert },
  ...{ reduce, thin, trim, slice },
};

export const isBegin = (step: AnyStep): step is Begin => Object.hasOwn(BEGIN, step.do);
export const isKnown = (kind: string): kind is Do => Object.hasOwn(BEGIN, kind) || Object.hasOwn(CHANGE, kind);

/** What a kind that begins a cane says of itself. */
export const beginOf = (step: Begin): BeginKind<Begin> => BEGIN[step.do];
/** What a kind that changes the cane there is says of itself. */
export const changeOf = (step: Then): ChangeKind<Then> => CHANGE[step.do];
export const kindOf = (step: Step): Kind<Step> => (isBegin(step) ? beginOf(step) : changeOf(step));
/** What a kind reads, by its name. */
export const fieldsOf = (kind: Do): Fields => ({ ...BEGIN, ...CHANGE })[kind].fields;

/** A document that was read: `readProgram` knows all its kinds. */
export const asProgram = (document: ProgramOf<AnyStep>): Program => document as Program;

/** The canes that a step takes in, in its order. */
export const partsOf = (step: Step): readonly Part[] => (kindOf(step).parts?.of(step) ?? []) as readonly Part[];

/** A step with one of the canes it takes in exchanged. */
export const withPart = (step: Step, at: number, part: Part): Step =>
  (kindOf(step).parts?.with(step, at, part) ?? step) as Step;

/** A step with its sizes across, and the thickness of its sheets, times a factor. */
export const scaledStep = (step: Step, factor: number): Step => (kindOf(step).scaled?.(step, factor) ?? step) as Step;

export const isJoin = (step: Step): boolean => !isBegin(step) && changeOf(step).joins === true;
