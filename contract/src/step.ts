import { Id, Omittable } from './rules.js';

/**
 * POST /api/undo and /api/redo: the change that is meant, so that no other one is taken back; left out: whichever
 * is the newest.
 */
export class StepDto {
  @Omittable() @Id() expects?: string | null;
}
