import type { Pixels } from '#core/picture';
import { pngOf } from './png.js';

export type Rgb = readonly [number, number, number];
export const rgb = (hex: string): Rgb => [0, 2, 4].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as Rgb;

/** A slice on the table: its middle, its radius, and its colour from the middle (0) to the rim (1). */
export interface Slice {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly colour: (t: number, angle: number) => Rgb;
}

const rings =
  (dark: Rgb, light: Rgb, count: number) =>
  (t: number): Rgb => {
    const wave = (1 + Math.cos(t * count * 2 * Math.PI)) / 2;
    return blend(light, dark, t > 0.9 ? 1 : wave * wave);
  };
export const blend = (a: Rgb, b: Rgb, t: number): Rgb => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

const beet = rings(rgb('7B1E4B'), rgb('C06A92'), 3);
const radish = (t: number): Rgb => (t > 0.87 ? rgb('D23B5E') : blend(rgb('F1EEE4'), rgb('F3DDE0'), t));
const carrot = (t: number, angle: number): Rgb =>
  t < 0.45 + 0.05 * Math.cos(9 * angle) ? rgb('EE9A52') : rgb('E7712C');
const leek = (t: number): Rgb =>
  blend(rgb('DCE6A8'), rgb('4F7F45'), t > 0.86 ? 1 : (0.35 * (1 + Math.cos(t * 30))) / 2 + 0.3 * t);
const pea = (t: number): Rgb => blend(rgb('A9C96D'), rgb('93B84C'), t);

const SLICES: readonly Slice[] = [
  { x: 150, y: 150, r: 112, colour: beet },
  { x: 335, y: 255, r: 92, colour: beet },
  { x: 420, y: 96, r: 70, colour: radish },
  { x: 520, y: 190, r: 58, colour: radish },
  { x: 96, y: 330, r: 52, colour: radish },
  { x: 560, y: 330, r: 78, colour: carrot },
  { x: 225, y: 345, r: 46, colour: carrot },
  { x: 290, y: 66, r: 44, colour: carrot },
  { x: 445, y: 350, r: 54, colour: leek },
  { x: 590, y: 70, r: 40, colour: leek },
  ...[
    [40, 60],
    [62, 84],
    [30, 96],
    [610, 210],
    [588, 228],
    [330, 392],
    [352, 398],
  ].map(([x = 0, y = 0]): Slice => ({ x, y, r: 15, colour: pea })),
];
const CARD = { x: 14, y: 372, width: 62, height: 40, grey: 158 };
/** The lamp of a kitchen: what it does to red, green and blue. */
const LAMP: Rgb = [1.02, 0.93, 0.76];

export const PHOTOGRAPH = { width: 640, height: 420 } as const;

/**
 * A photograph of cut vegetables under a warm lamp, with a grey card in the corner: drawn, so that it can be
 * shipped.
 */
export const photograph = (): Buffer => pngOf(onTable(SLICES), PHOTOGRAPH.width, PHOTOGRAPH.height);

/** The same as pixels, with their opacity. */
export function photographPixels(): Pixels {
  const rgb = onTable(SLICES);
  const { width, height } = PHOTOGRAPH;
  const data = Uint8ClampedArray.from({ length: 4 * width * height }, (_, k) =>
    k % 4 === 3 ? 255 : (rgb[3 * Math.floor(k / 4) + (k % 4)] ?? 0),
  );
  return { data, width, height };
}

/** Things on the table under that lamp, the grey card in its corner: red, green and blue of the pixels, row by row. */
export function onTable(slices: readonly Slice[]): Uint8Array {
  const { width, height } = PHOTOGRAPH;
  const out = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const weave = 3 * Math.sin(x * 0.9) * Math.sin(y * 0.9);
      let colour: Rgb = [205 + weave, 203 + weave, 196 + weave];
      for (const slice of slices) {
        if ((x - slice.x) ** 2 + (y - slice.y) ** 2 > (slice.r * 1.3 + 9) ** 2) continue;
        // a soft shadow down to the right, then the slice itself
        const shade = Math.hypot(x - slice.x - 5, y - slice.y - 7) / slice.r;
        if (shade < 1.05) colour = blend(colour, [90, 86, 84], 0.55 * Math.min(1, (1.05 - shade) * 8));
        const t = Math.hypot(x - slice.x, y - slice.y) / slice.r;
        if (t < 1)
          colour = blend(
            slice.colour(t, Math.atan2(y - slice.y, x - slice.x)),
            [255, 255, 255],
            0.05 * Math.max(0, 1 - Math.hypot(x - slice.x + slice.r / 3, y - slice.y + slice.r / 3) / slice.r),
          );
      }
      if (x >= CARD.x && x < CARD.x + CARD.width && y >= CARD.y && y < CARD.y + CARD.height)
        colour = [CARD.grey, CARD.grey, CARD.grey];
      const light = 0.86 + 0.14 * (1 - (x + y) / (width + height));
      for (let c = 0; c < 3; c++)
        out[3 * (y * width + x) + c] = Math.max(
          0,
          Math.min(255, Math.round((colour[c] ?? 0) * (LAMP[c] ?? 1) * light)),
        );
    }
  return out;
}
