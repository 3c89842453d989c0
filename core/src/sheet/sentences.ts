import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const SHEET_SENTENCES = {
  'machine/settings': () => 'A machine needs at least two different settings.',
  'machine/duplicate': (d: { label: string }) => `The setting ${d.label} is on this dial twice.`,
  'machine/dial': (d: { text: string }) =>
    `“${d.text}” is not a dial. Give the widest and the thinnest number, and a step that leads from one to the other.`,
  'setting/unknown': (d: { label: string; machine: string; labels: string }) =>
    `${d.machine} has no setting ${d.label}. Its dial has ${d.labels}.`,
  'thickness/unreadable': (d: { text: string }) =>
    `“${d.text}” is not a thickness. Write 1.5 mm, 1/16 in, 5 cards, third thickest, four layers of my ` +
    '3, a setting as in: setting 3 of Bench roller, or one of a dial as in: 4 where 7 is widest.',
  'thickness/range': (d: { mm: string; low: string; high: string }) =>
    `No sheet is ${d.mm} thick: they are from ${d.low} to ${d.high}.`,
  'instruction/ambiguous': (d: { text: string; choices: readonly string[] }) =>
    d.choices.length === 1
      ? `“${d.text}” alone says too little. Is it ${d.choices.join('')}?`
      : `“${d.text}” has several meanings: ${d.choices.join(', or ')}. Which is it?`,
  'instruction/which': (d: { text: string; choices: readonly string[] }) =>
    `Which setting of it? “${d.text}” says what its dial is like.`,
  'instruction/last': () => 'Nothing was said before, so there is nothing to be the same as.',
  'instruction/machine': () =>
    'You have no machine of your own here yet, so nobody knows your settings. Describe it first.',
  'instruction/beyond': (d: { machine: string; end: string; label: string }) =>
    `${d.machine} goes no further: ${d.label} is its ${d.end} setting.`,
  'instruction/rank': (d: { rank: number; count: number }) => `There is no setting ${d.rank} on a dial of ${d.count}.`,
  'machine/unknown': (d: { name: string; machines: string }) =>
    `There is no machine called “${d.name}”. Yours: ${d.machines}.`,
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...SHEET_SENTENCES });
