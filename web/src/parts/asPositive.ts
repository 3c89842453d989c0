import { complaint } from '#core/units';

/** A number that has to be more than 0, given on. @throws Complaint `amount/positive` */
export function asPositive(what: string, value: number): number {
  if (!(value > 0)) throw complaint('amount/positive', { what });
  return value;
}
