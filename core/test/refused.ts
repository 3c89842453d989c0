import { Complaint } from '#core/units';

/** The complaint that some work ends with. */
export function refused(work: () => unknown): Complaint {
  try {
    work();
  } catch (error) {
    if (error instanceof Complaint) return error;
    throw error;
  }
  throw new Error('nothing was refused');
}

/** The code of what was refused. */
export const refusal = (work: () => unknown): string => refused(work).code;
