import { UNITS_SENTENCES, complaints } from '#core/units';
import { CANE_SENTENCES } from '#core/cane';
import { PATTERN_STEPS_SENTENCES } from '#core/pattern';

/** What this folder can find wrong, in sentences. */
export const FORMATS_SENTENCES = {
  'svg/unreadable': () => 'This file cannot be read as an SVG drawing.',
  'svg/large': () => 'This drawing is larger than 6 MB. Simplify it first.',
  'svg/points': (d: { most: number }) =>
    `This drawing has more than ${d.most.toLocaleString('en')} points. Simplify it first.`,
  'svg/elements': (d: { most: number }) =>
    `This drawing has more than ${d.most.toLocaleString('en')} elements. Simplify it first.`,
  'svg/deep': () => 'The groups of this drawing lie too deep in each other. Ungroup it first.',
  'pattern/no cane': (d: { name: string }) =>
    `This sheet takes slices of the cane “${d.name}”, and no cane here is called so. Read that cane first, or have ` +
    'the sheet sent with all that it rests on.',
  'svg/empty': () => 'There is no filled region in this drawing. Fill its outlines with flat colours.',
} as const;

export const complaint = complaints({
  ...UNITS_SENTENCES,
  ...CANE_SENTENCES,
  ...PATTERN_STEPS_SENTENCES,
  ...FORMATS_SENTENCES,
});
