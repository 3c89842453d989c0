import { STAGES, type Stage } from '#core/colour';
import { IsIn } from 'class-validator';
import { Between, Id, Optional, Text } from './rules.js';

export const READER_ERRANDS = ['calibrate', 'read'] as const;

/**
 * POST /api/devices/reader/ask: an errand for the colour reader; its answer
 * comes as an event (docs/devices.md). `revisionId` and `stage` say what lies
 * under the stand-in, which has no eye of its own; a real reader ignores them.
 */
export class ReaderErrandDto {
  @Id() id!: string;
  @IsIn(READER_ERRANDS, { message: 'A reader can calibrate or read.' }) errand!: (typeof READER_ERRANDS)[number];
  @Optional() @Id() revisionId!: string | null;
  @IsIn(STAGES, { message: 'A chip is baked or raw.' }) stage!: Stage;
}

export const GAUGES = ['calipers', 'scale'] as const;
export type Gauge = (typeof GAUGES)[number];
export const GAUGE_ERRANDS = ['read', 'zero', 'unit', 'hold'] as const;

/**
 * POST /api/devices/:gauge/ask: its buttons (docs/devices.md). `about` and
 * `settingId` say what lies between the jaws of the stand-in or on its pan;
 * a real one ignores them.
 */
export class GaugeErrandDto {
  @Id() id!: string;
  @IsIn(GAUGE_ERRANDS, { message: 'Calipers and scales read, are set to zero, change their unit, or hold.' })
  errand!: (typeof GAUGE_ERRANDS)[number];
  /** mm or g */
  @Optional() @Between('What lies there', 0, 100_000, '') about!: number | null;
  @Optional() @Id() settingId!: string | null;
}

/** What calipers and a scale say, each as one server-sent event. A reading is in the unit that they are switched to. */
export type GaugeSays =
  | {
      readonly says: 'state';
      readonly standIn: boolean;
      readonly unit: 'mm' | 'in' | 'g' | 'oz';
      readonly held: boolean;
      /** readings since it was set to zero; null: never */ readonly sinceZero: number | null;
    }
  | {
      readonly says: 'reading';
      /** null: its own button was pressed */ readonly errand: string | null;
      readonly value: number;
      readonly unit: 'mm' | 'in' | 'g' | 'oz';
    }
  | { readonly says: 'refused'; readonly errand: string; readonly why: string };

export const PROBE_ERRANDS = ['on', 'off', 'door', 'pace'] as const;

/**
 * POST /api/devices/probe/ask: what a person does to the oven that the stand-in hangs in (docs/devices.md): switched on
 * at a dial, off, its door opened or shut, its time let run faster. A real probe only listens, and refuses them.
 */
export class ProbeErrandDto {
  @Id() id!: string;
  @IsIn(PROBE_ERRANDS, { message: 'An oven is switched on or off, and its door opened and shut.' })
  errand!: (typeof PROBE_ERRANDS)[number];
  /** where it is set; only to switch it on */
  @Optional() @Between('The dial', 30, 300, '°C') dial!: number | null;
  /** the name of the oven, which the stand-in has manners of its own for */
  @Optional() @Text(80) oven!: string | null;
}

/** What a probe says, each as one server-sent event. */
export type ProbeSays =
  | {
      readonly says: 'state';
      readonly standIn: boolean;
      /** null: it is off, or nobody can tell */ readonly dial: number | null;
      readonly doorOpen: boolean;
      /** how often faster than the clock its time runs */ readonly pace: number;
    }
  | {
      readonly says: 'reading';
      /** ms since 1970, by its own clock */ readonly at: number;
      /** null: it says nothing, as where its plug is out */ readonly celsius: number | null;
    }
  | { readonly says: 'refused'; readonly errand: string; readonly why: string };

/** GET /api/devices/probe/log?since=: what was heard since then: ms since 1970 by its own clock, and °C. */
export interface ProbeLogAnswer {
  readonly readings: readonly (readonly [number, number])[];
}

/** What a reader says, each as one server-sent event. */
export type ReaderSays =
  | {
      readonly says: 'state';
      readonly standIn: boolean;
      readonly calibrated: boolean;
      /** since it was calibrated */ readonly readings: number;
      readonly readingsLeft: number;
    }
  | { readonly says: 'reading'; readonly errand: string; readonly l: number; readonly a: number; readonly b: number }
  | { readonly says: 'refused'; readonly errand: string; readonly why: string };
