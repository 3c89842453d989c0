import { UNITS_SENTENCES, complaints } from '#core/units';

/** What this folder can find wrong, in sentences. */
export const MICA_SENTENCES = {
  'relief/flat': () => 'This relief is of one level: nothing of it would be seen. Take one with heights and depths.',
  'relief/levels': () => 'The picture of this relief is not whole. Press it with another one.',
  'relief/pitch': (d: { low: number; high: number }) =>
    `From one rise to the next it is from ${d.low} to ${d.high} mm.`,
  'relief/fine': (d: { low: string }) =>
    `So fine a texture cannot be shown on a sheet that large: take ${d.low} from rise to rise, or a smaller sheet.`,
  'relief/size': (d: { low: number; high: number }) => `A sheet that is pressed has sides of ${d.low} to ${d.high} mm.`,
  'relief/deep': (d: { depth: string; left: string; thick: string }) =>
    `A relief ${d.depth} deep leaves ${d.left} below it in a sheet of ${d.thick}. Press it less deep, or begin with ` +
    'a thicker sheet.',
  'shave/none': (d: { top: string }) => `There the blade takes nothing: the highest places stand at ${d.top}.`,
  'shave/all': () => 'There the blade takes the whole sheet.',
  'mica/rolled': () => 'A sheet is rolled to more than nothing. Say how thick it is then.',
} as const;

/** @throws never; what it returns is thrown */
export const complaint = complaints({ ...UNITS_SENTENCES, ...MICA_SENTENCES });
