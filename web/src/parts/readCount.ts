import { complaint, readNumber } from '#core/units';

/** Reads a whole number in a range. @throws Complaint `count/range`, `parts/unreadable` */
export const readCount =
  (low: number, high: number, what: string) =>
  (text: string): number => {
    const n = readNumber(text).valueOf();
    if (!Number.isInteger(n) || n < low || n > high) throw complaint('count/range', { what, low, high });
    return n;
  };
