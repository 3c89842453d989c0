import { complaints } from './complaint.js';

/** What is wrong with a number, an amount or a count, whatever it is of. */
export const UNITS_SENTENCES = {
  'unit/empty': () => 'Nothing is written here yet.',
  'unit/unreadable': (d: { text: string; wanted: string }) => `“${d.text}” cannot be read as ${d.wanted}.`,
  'unit/range': (d: { what: string; low: string; high: string }) =>
    `${d.what} has to be between ${d.low} and ${d.high}.`,
  'number/ambiguous': (d: { text: string; choices: readonly string[] }) =>
    `“${d.text}” could be ${d.choices.join(' or ')}. Which is it?`,
  'parts/unreadable': (d: { text: string }) => `“${d.text}” is not a number of parts. Write 2, ½, 1/4 or 1.5.`,
  'amount/positive': (d: { what: string }) => `${d.what} has to be more than zero.`,
  'count/whole': () => 'The number of pieces has to be a whole number from 1 to 5,000.',
  'count/range': (d: { what: string; low: number; high: number }) =>
    `${d.what} has to be a whole number from ${d.low} to ${d.high}.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES });
