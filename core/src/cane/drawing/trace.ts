import { contours } from 'd3-contour';
import { deltaE, hexOf, labOfLinear, xyzOfLab, type Lab } from '#core/colour';
import { LINEAR, NO_CAST, paletteOf, type Pixels } from '#core/picture';
import type { Mm } from '#core/units';
import { drawnOf, type Drawn, type DrawnRegion } from './drawn.js';
import { signedArea, type Point } from '#core/cane/outlines';

/** Longest side of the grid that is traced. */
const LONGEST = 220;
const MOST_REGIONS = 120;
/** Share of the picture below which a patch is noise. */
const LEAST = 0.0008;

/** Every place of a small grid with the number of the colour nearest to it. */
function labelled(
  pixels: Pixels,
  colours: readonly Lab[],
): { readonly width: number; readonly height: number; readonly labels: Uint8Array } {
  const scale = Math.min(1, LONGEST / Math.max(pixels.width, pixels.height));
  const [width, height] = [
    Math.max(2, Math.round(pixels.width * scale)),
    Math.max(2, Math.round(pixels.height * scale)),
  ];
  const labels = new Uint8Array(width * height);
  for (let j = 0; j < height; j++) {
    for (let i = 0; i < width; i++) {
      const [x0, x1] = [Math.floor(i / scale), Math.max(Math.floor(i / scale) + 1, Math.floor((i + 1) / scale))];
      const [y0, y1] = [Math.floor(j / scale), Math.max(Math.floor(j / scale) + 1, Math.floor((j + 1) / scale))];
      let [r, g, b, n] = [0, 0, 0, 0];
      for (let y = y0; y < Math.min(pixels.height, y1); y++) {
        for (let x = x0; x < Math.min(pixels.width, x1); x++, n++) {
          const at = 4 * (y * pixels.width + x);
          r += LINEAR[pixels.data[at] as number] as number;
          g += LINEAR[pixels.data[at + 1] as number] as number;
          b += LINEAR[pixels.data[at + 2] as number] as number;
        }
      }
      const lab = labOfLinear([r / n, g / n, b / n]);
      let [best, least] = [0, Infinity];
      colours.forEach((c, k) => {
        const off = deltaE(lab, c);
        if (off < least) [best, least] = [k, off];
      });
      labels[j * width + i] = best;
    }
  }
  return { width, height, labels };
}

/**
 * Traces a picture into so many flat colours (its palette, then the edges of
 * each colour as contour lines), simplified.
 * @param count colours, 2 to 12 @param width of the template @throws Complaint as {@link paletteOf}
 */
export function tracePicture(pixels: Pixels, count: number, width: Mm): Drawn {
  const colours = paletteOf(pixels, count, NO_CAST).map((c) => c.lab);
  const grid = labelled(pixels, colours);
  const counts = colours.map((_, k) => grid.labels.reduce((sum, l) => sum + (l === k ? 1 : 0), 0));
  const most = counts.indexOf(Math.max(...counts));
  const hex = (k: number): string => hexOf(xyzOfLab(colours[k] as Lab));
  const whole = grid.width * grid.height;
  const edges = contours().size([grid.width, grid.height]).thresholds([0.5]);
  const patches = colours
    .flatMap((_, k): DrawnRegion[] => {
      if (k === most) return [];
      const [shape] = edges(Array.from(grid.labels, (l) => (l === k ? 1 : 0)));
      // holes of a patch are covered by the patches that lie in them, which are smaller and come later
      return (shape?.coordinates ?? []).map(([outer = []]): DrawnRegion => ({
        name: `patch of ${hex(k)}`,
        hex: hex(k),
        points: outer.slice(0, -1).map(([x = 0, y = 0]): Point => [x, y]),
      }));
    })
    .filter((p) => Math.abs(signedArea(p.points)) > LEAST * whole)
    .sort((a, b) => Math.abs(signedArea(b.points)) - Math.abs(signedArea(a.points)));
  const ground: DrawnRegion = {
    name: 'ground',
    hex: hex(most),
    points: [
      [0, 0],
      [grid.width, 0],
      [grid.width, grid.height],
      [0, grid.height],
    ],
  };
  const notes =
    patches.length > MOST_REGIONS
      ? [`Only the ${MOST_REGIONS} largest of ${patches.length} patches were taken. Fewer colours give larger ones.`]
      : [];
  return drawnOf([ground, ...patches.slice(0, MOST_REGIONS)], width, (0.6 * width) / grid.width, notes);
}
