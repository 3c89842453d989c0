import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const CLAY_SENTENCES = {
  'date/unreadable': (d: { text: string }) =>
    `“${d.text}” cannot be read as a date code. Write 2024-09, 15.09.2024, 240915, 24W37 or 24-259.`,
  'date/ambiguous': (d: { text: string; month: string; week: string }) =>
    `“${d.text}” could be ${d.month} or ${d.week}. Write 20${d.text.slice(0, 2)}-${d.text.slice(2)} for ` +
    `the month, ${d.text.slice(0, 2)}W${d.text.slice(2)} for the week.`,
  'date/ahead': (d: { text: string; month: string }) =>
    `“${d.text}” is ${d.month}, which is still to come. Write when it was made, not until when it keeps.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...CLAY_SENTENCES });
