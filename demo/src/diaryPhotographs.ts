import { PHOTOGRAPH, blend, onTable, rgb, type Rgb, type Slice } from './photograph.js';
import { idOf } from './id.js';
import { pngOf } from './png.js';

/** A photograph of what was made, as it is kept. */
interface DiaryPhotograph {
  readonly id: string;
  readonly data: () => Buffer;
}

const [CORN, SQUASH, SOOT, AUBERGINE, CARROT] = [
  rgb('F0CB55'),
  rgb('E29A2E'),
  rgb('26242A'),
  rgb('3E2450'),
  rgb('E7712C'),
];
const [FLESH, RIM] = [rgb('F7AFC6'), rgb('922953')];

const photographOf = (name: string, slices: readonly Slice[]): DiaryPhotograph => ({
  id: idOf(`photograph of ${name}`),
  data: () => pngOf(onTable(slices), PHOTOGRAPH.width, PHOTOGRAPH.height),
});

/** A radish cut through: its rim around its flesh. */
const brooch = (t: number): Rgb => (t > 0.82 ? RIM : blend(FLESH, RIM, 0.06 * t));
/** Seven brooches, a hand apart. */
const BROOCHES: readonly Slice[] = [
  [130, 120],
  [270, 105],
  [410, 125],
  [545, 110],
  [195, 270],
  [345, 285],
  [490, 265],
].map(([x = 0, y = 0]) => ({ x, y, r: 58, colour: brooch }));

/** A fade wound up from its light end, and a slice that was cut off it to look. */
const straw = (t: number): Rgb => blend(CORN, SQUASH, Math.min(1, t * 1.05));
const PLUG: readonly Slice[] = [
  { x: 270, y: 200, r: 150, colour: straw },
  { x: 530, y: 290, r: 74, colour: straw },
];

/** Four colours wound around each other, coiled and rolled flat. */
const GRAIN = [SOOT, CORN, AUBERGINE, CARROT] as const;
function grain(t: number, angle: number): Rgb {
  const along = angle / (2 * Math.PI) + 2.4 * t + 0.12 * Math.sin(5 * angle + 9 * t) + 0.05 * Math.sin(23 * t);
  const at = (((GRAIN.length * along) % GRAIN.length) + GRAIN.length) % GRAIN.length;
  return GRAIN[Math.floor(at)] ?? SOOT;
}
const LIDS: readonly Slice[] = [
  { x: 190, y: 210, r: 145, colour: grain },
  { x: 490, y: 215, r: 130, colour: (t, angle) => grain(t, angle + 2) },
];

/** Photographs of the diary by what they are of. */
export const diaryPhotographs: ReadonlyMap<string, DiaryPhotograph> = new Map([
  ['Radish-slice brooches, trial', photographOf('the brooches', BROOCHES)],
  ['Straw fade', photographOf('the straw fade', PLUG)],
  ['Walnut board', photographOf('the lids', LIDS)],
]);
