import { readNumber } from '#core/units';

/** Money to read, without its currency; nothing where it is not known. */
export const money = (value: number | null): string => (value === null ? '' : value.toFixed(2));

/** @throws Complaint where it is no number; nothing typed: nobody said */
export function readMoney(text: string): number | null {
  const typed = text.replace(/[^\d.,/½¼¾\s-]/g, '').trim();
  return typed === '' && text.trim() === '' ? null : readNumber(typed === '' ? text : typed).valueOf();
}

/** `12 %` of a share. */
export const percentWords = (share: number): string => `${Math.round(share * 1000) / 10} %`;

/** @throws Complaint where it is no number */
export const readPercent = (text: string): number => readNumber(text.replace('%', '').trim()).valueOf() / 100;
