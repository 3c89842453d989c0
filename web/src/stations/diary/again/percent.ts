import { readCount } from '../../../parts/readCount.js';

const readWhole = readCount(20, 400, 'The size');

/** Sizes in a word. */
const WORDS: Readonly<Record<string, number>> = {
  half: 0.5,
  'half as large': 0.5,
  double: 2,
  'twice as large': 2,
  'the same': 1,
  'as it was': 1,
};

/** `80 %`, `80`, `20 % smaller`, `half`: as a factor. @throws Complaint as `readCount` */
export function readPercent(text: string): number {
  const said = WORDS[text.trim().toLowerCase()];
  if (said !== undefined) return said;
  const words = /^\s*(\d+)\s*%?\s*(smaller|larger|bigger)?\s*$/i.exec(text);
  if (!words) return readWhole(text.replace('%', '').trim()) / 100;
  const number = Number(words[1]);
  if (words[2] === undefined) return readWhole(String(number)) / 100;
  const smaller = words[2].toLowerCase() === 'smaller';
  return readWhole(String(smaller ? 100 - number : 100 + number)) / 100;
}
