import { UNITS_SENTENCES, complaints } from '#core/units';

/** What can be wrong with typed hours, in sentences. */
export const DAYS_SENTENCES = {
  'hours/unreadable': (d: { text: string }) =>
    `“${d.text}” says no free hours. Write 18:30 to 22, or 9-12, 14-17, or not.`,
  'hours/backwards': (d: { from: string; to: string }) =>
    `${d.to} is not after ${d.from}. What goes past midnight are two days.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...DAYS_SENTENCES });
