import { readCount } from '../../../parts/readCount.js';

const readWhole = readCount(20, 400, 'The size');

/** `80 %`, `80`, `20 % smaller`: as a factor. @throws Complaint as `readCount` */
export function readPercent(text: string): number {
  const words = /^\s*(\d+)\s*%?\s*(smaller|larger|bigger)?\s*$/i.exec(text);
  if (!words) return readWhole(text.replace('%', '').trim()) / 100;
  const number = Number(words[1]);
  if (words[2] === undefined) return readWhole(String(number)) / 100;
  const smaller = words[2].toLowerCase() === 'smaller';
  return readWhole(String(smaller ? 100 - number : 100 + number)) / 100;
}
