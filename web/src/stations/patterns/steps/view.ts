import type { ReactElement } from 'react';
import type { PatternStep } from '#core/pattern';
import type { UnitSystem } from '#core/units';
import type { MachineDto } from '#contract';
import type { PlainBody } from '../../../workers/pattern.js';
import type { CaneMaterial } from '../../canes/clay/materials.js';

/** What the fields of a step work with. */
export interface EditorProps<S extends PatternStep> {
  readonly step: S;
  readonly materials: ReadonlyMap<string, CaneMaterial>;
  /** the body before it; null where it is the first, or that cannot be done */
  readonly now: PlainBody | null;
  onChange(step: S): void;
}

/** Clays to begin a step with. */
export interface Defaults {
  readonly dark: string;
  readonly light: string;
  readonly strong: string;
  /** the newest cane that slices can be cut of; left out: there is none */
  readonly cane?: string | undefined;
}

/** What hands know when they come to a step. */
export interface AtBench {
  readonly units: UnitSystem;
  readonly own: MachineDto | undefined;
  readonly name: (key: string) => string;
  readonly before: PlainBody | null;
  readonly after: PlainBody;
}

export const PATTERN_GROUPS = ['layers', 'mark', 'knife', 'rope', 'sheet'] as const;
export type PatternGroup = (typeof PATTERN_GROUPS)[number];

/** Something that is counted at the bench, and can go too far. */
export interface Counted {
  readonly about: number;
  readonly each: string;
}

/** Everything a screen says of a kind of step. These are methods, so that the table can hold them all. */
export interface StepView<S extends PatternStep> {
  /** as it is offered */
  readonly word: string;
  /** among what it is offered; null: a sheet begins with it */
  readonly group: PatternGroup | null;
  /** in a few words, under its picture */
  title(step: S, units: UnitSystem): string;
  /** as hands would most likely take it now */
  first(now: PlainBody | null, clay: Defaults): S;
  /** its values, each to be changed where it stands */
  Fields(props: EditorProps<S>): ReactElement;
  /** what hands do, and what to reach */
  line(step: S, bench: AtBench): string;
  /** how often hands do it, where that is counted */
  counted?(step: S): Counted | null;
  readonly caution?: string;
}
