import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const PICTURE_SENTENCES = {
  'picture/dark': () => 'That place is too dark to tell grey by. Click something light grey or white.',
  'picture/clipped': () =>
    'That place is as bright as a photograph can be, so its colour is lost. Click something a little darker.',
  'picture/coloured': () =>
    'That place is coloured under any lamp. Click something that is grey or white in the real world.',
  'picture/count': (d: { most: number }) => `A palette has from 1 to ${d.most} colours.`,
  'picture/empty': () => 'This picture is transparent all over, so it has no colours.',
} as const;

export const complaint = complaints({ ...UNITS_SENTENCES, ...PICTURE_SENTENCES });
