import { UNITS_SENTENCES, complaints } from '#core/units';
import { MIX_SENTENCES } from '#core/mix';

/** What this folder can find wrong, in sentences. */
export const BLEND_SENTENCES = {
  'blend/colours': () => 'A blend has from 2 to 6 colours; a diamond and a V have three.',
  'blend/size': () => 'A blend needs a width and a height above zero.',
  'blend/pure': () => 'Pure ends this wide leave no room for a fade between them.',
  'blend/cut': (d: { which: number }) =>
    `Cut ${d.which} has to run from the bottom edge to the top, never back down, and stay on the sheet.`,
  'blend/cross': (d: { one: number; other: number }) =>
    `Cuts ${d.one} and ${d.other} cross. Draw them apart: a colour cannot have less than nothing.`,
  'blend/passes': (d: { most: number }) => `Passes are from 1 to ${d.most}.`,
  'blend/room': (d: { count: number; fits: number }) =>
    `${d.count} pieces do not fit side by side on this blend; ${d.fits} do.`,
  'blend/overlap': () =>
    'The joint has to lie within the pure ends of both blends. Make the overlap narrower, or the ends wider.',
  'blend/thick': (d: { mm: number }) =>
    `A blend cannot end ${+d.mm.toFixed(2)} mm thick when its layers are rolled thinner than half of that. Roll the ` +
    'layers thicker.',
  'blend/long': (d: { fits: number }) =>
    d.fits < 1
      ? 'A fade as long as this does not come out of sheets that go between your rollers.'
      : `A fade for that many shades does not come out of sheets that go between your rollers; for ${d.fits} it does.`,
  'blend/stack': () => 'From one to 12 tapes can be laid on each other.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...MIX_SENTENCES, ...BLEND_SENTENCES });
