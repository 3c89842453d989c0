import type { Fields } from '#core/document';
import type { AnyStep, ProgramOf } from '#core/pattern/document';
import { chop, type Chop } from './chop.js';
import { coil, flatten, type Coil, type Flatten } from './coil.js';
import { cuts, type Cuts } from './cuts.js';
import { dents, type Dents } from './dents.js';
import type { BeginKind, ChangeKind, Kind } from './kind.js';
import { across, shave, slice, type Across, type Shave, type Slice } from './knife.js';
import { inlay, type Inlay } from './inlay.js';
import { lay, type Lay } from './lay.js';
import { logs, type Logs } from './logs.js';
import { fan, knead, pile, type Fan, type Knead, type Pile } from './pile.js';
import { over, press, quarter, trim, type Over, type Press, type Quarter, type Trim } from './plain.js';
import { relief, skim, type PressRelief, type Skim } from './relief.js';
import { roll, type Roll } from './roll.js';
import { fold, reduce, twist, type Fold, type Reduce, type Twist } from './rope.js';
import { shingle, type Shingle } from './shingle.js';
import { slab, type Slab } from './slab.js';
import { specks, type SpecksIn } from './specks.js';
import { stack, type Stack } from './stack.js';

/** What a patterned sheet begins with. */
export type Begin = Stack | Logs | Chop | Slab;
/** What can follow. */
export type Then =
  | Roll
  | Pile
  | Fan
  | Knead
  | Over
  | Quarter
  | Trim
  | Press
  | Dents
  | Cuts
  | Shave
  | Slice
  | Lay
  | Twist
  | Reduce
  | Fold
  | Coil
  | Flatten
  | Across
  | Shingle
  | SpecksIn
  | PressRelief
  | Inlay
  | Skim;
/** Steps of a patterned sheet. Sizes are those of the one piece that is made. */
export type PatternStep = Begin | Then;
export type PatternDo = PatternStep['do'];
export type PatternStepOf<K extends PatternDo> = Extract<PatternStep, { readonly do: K }>;
export type PatternProgram = ProgramOf<PatternStep>;

/** The kinds by what they do: one that stands in the types above and not here does not compile. */
const BEGIN: { readonly [K in Begin['do']]: BeginKind<PatternStepOf<K>> } = { stack, logs, chop, slab };
const CHANGE: { readonly [K in Then['do']]: ChangeKind<PatternStepOf<K>> } = {
  ...{ roll, pile, fan, knead, over, quarter, trim, press, dents, cuts },
  ...{ shave, slice, lay, twist, reduce, fold, coil, flatten, across, shingle, specks, relief, skim, inlay },
};

export const isBegin = (step: AnyStep): step is Begin => Object.hasOwn(BEGIN, step.do);
export const isKnown = (kind: string): kind is PatternDo => Object.hasOwn(BEGIN, kind) || Object.hasOwn(CHANGE, kind);
export const beginOf = (step: Begin): BeginKind<Begin> => BEGIN[step.do];
export const changeOf = (step: Then): ChangeKind<Then> => CHANGE[step.do];
export const kindOf = (step: PatternStep): Kind<PatternStep> => (isBegin(step) ? beginOf(step) : changeOf(step));
/** What a kind reads, by its name. */
export const fieldsOf = (kind: PatternDo): Fields => ({ ...BEGIN, ...CHANGE })[kind].fields;
/** The forms that a kind is done to; none for one that begins. */
export const formsFor = (kind: PatternDo): ChangeKind<Then>['to'] => ({ ...CHANGE })[kind as Then['do']]?.to ?? [];

/** The step where so many times as much of everything is made. */
export const timesStep = (step: PatternStep, factor: number): PatternStep =>
  (kindOf(step).times?.(step, factor) ?? step) as PatternStep;
