import type { ReactElement } from 'react';
import type { Landing, Stage, Step, StepOf } from '#core/cane';
import type { Mm, UnitSystem } from '#core/units';
import type { CaneInside, MachineDto, ShelfAnswer } from '#contract';
import type { PlainStep } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';

/** A kept cane or blend that can be taken, by its revision. */
export interface CaneChoice {
  readonly revisionId: string;
  readonly name: string;
}

/** What the fields of a step work with. */
export interface EditorProps<S extends Step> {
  readonly step: S;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  readonly blends: readonly CaneChoice[];
  readonly canes: readonly CaneChoice[];
  /** those that are taken in already, with their steps */
  readonly insides: readonly CaneInside[];
  readonly shelf: ShelfAnswer;
  /** of the cane */
  readonly name: string;
  /** the steps before it, and the cane after them; null where it is the first, or they cannot be done */
  readonly before: readonly Step[];
  readonly now: PlainStep | null;
  onChange(step: S): void;
  /** opens one of the canes that the step takes in */
  onOpen(part: number): void;
}

/** A value of a step that can be dragged, and the step with another one. */
export interface Handle {
  readonly label: string;
  readonly unit: 'mm' | '°' | '×';
  readonly value: number;
  readonly low: number;
  readonly high: number;
  readonly grain: number;
  readonly to: (value: number) => Step;
}

/**
 * What of a step is said on the face that it begins with, in mm or degrees about its middle: a straight side (null:
 * the one at the bottom), a stretch of the outline, counterclockwise, or a place.
 */
export type Marks =
  | { readonly kind: 'side'; readonly towards: number | null; readonly with: (towards: number) => Step }
  | { readonly kind: 'stretch'; readonly from: number; readonly to: number; with(from: number, to: number): Step }
  | { readonly kind: 'place'; readonly x: number; readonly y: number; with(x: number, y: number): Step };

/** Clay to begin a step with. */
export interface Defaults {
  readonly dark: string;
  readonly light: string;
  readonly blend: string | null;
}

/**
 * What hands know when they come to a step: how long the cane has to be before it and after it, and how thick it
 * is.
 */
export interface AtBench {
  readonly units: UnitSystem;
  readonly own: MachineDto | undefined;
  readonly before: Stage | undefined;
  readonly stage: Stage | undefined;
  /** mm across before the step and after it */
  readonly from: Mm;
  readonly to: Mm;
  /** the sheet that is laid around, in words; empty where none is */
  readonly sheet: string;
  /** where the corners of a shape come from that it is pressed to */
  readonly landings: readonly Landing[];
}

/** A drawing while it is built: what stands by then, and what is laid now, by the ids of its regions. */
export interface Drawing {
  readonly step: StepOf<'template'>;
  readonly standing: readonly string[];
  readonly now: string;
}

/** A piece that a beginning is built of, as the bench says it. */
export interface Laid {
  readonly title: string;
  readonly line: string;
  readonly figure: string;
  readonly of: string;
  readonly drawing: Drawing;
}

/** What one begins with, to be put in words. */
export interface Beginning {
  readonly names: (key: string) => string;
  /** g/cm³ of materials by their keys; left out: as is assumed */
  readonly densities?: ((key: string) => number | undefined) | undefined;
  readonly own: MachineDto | undefined;
  readonly units: UnitSystem;
  /** of the piece */
  readonly length: Mm;
}

export const GROUPS = ['cover', 'shape', 'cut', 'join', 'finish'] as const;
export type StepGroup = (typeof GROUPS)[number];

/**
 * Everything a screen says of a kind of step. What is left out is as for most
 * of them. These are methods, so that the table can hold them all.
 */
export interface StepView<S extends Step> {
  /** as it is offered */
  readonly word: string;
  /** among what it is offered; null: a cane begins with it */
  readonly group: StepGroup | null;
  /** in a few words, under its face */
  title(step: S, units: UnitSystem): string;
  /** as hands would most likely take it now. @param now the cane before it; null where it is the first */
  first(now: PlainStep | null, clay: Defaults): Step;
  /** its values, each to be changed where it stands */
  Fields(props: EditorProps<S>): ReactElement;
  /** what of it changes its face and can be dragged */
  handles?(step: S): readonly Handle[];
  /** what of it is said on the face that it begins with */
  marks?(step: S): Marks;
  /** what hands do, and what to reach; left out: it is no step at the bench */
  line?(step: S, bench: AtBench): string;
  /** what a piece of another cane is drawn to for it, in words; left out: only as long as it fits */
  takes?(step: S, units: UnitSystem): string;
  readonly caution?: string;
  /** what one begins with */
  begins?(step: S, beginning: Beginning): string;
  /** what that is built of, piece by piece; left out: it is one piece */
  laid?(step: S, beginning: Beginning): readonly Laid[];
  /** the step as it was edited, its values made to fit. @param now the cane after the step as it was */
  mended?(before: S, next: S, now: PlainStep): S;
}
