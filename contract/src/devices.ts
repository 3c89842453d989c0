import { STAGES, type Stage } from '#core/colour';
import { IsIn } from 'class-validator';
import { Id, Optional } from './rules.js';

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

/** What a reader says, each as one server-sent event. */
export type ReaderSays =
  | { readonly says: 'state'; readonly standIn: boolean; readonly calibrated: boolean; /** since it was calibrated */ readonly readings: number; readonly readingsLeft: number }
  | { readonly says: 'reading'; readonly errand: string; readonly l: number; readonly a: number; readonly b: number }
  | { readonly says: 'refused'; readonly errand: string; readonly why: string };
