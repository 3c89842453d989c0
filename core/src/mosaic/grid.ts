import { cutterOutline, type Cutter } from '#core/cutter';
import type { Point } from '#core/outline';
import { labOfLinear, type Lab } from '#core/colour';
import { LINEAR, type Pixels } from '#core/picture';
import type { Mm } from '#core/units';

/**
 * A bezel on a grid, row by row from the upper left corner of its box; x to the right and y down, mm. A picture covers
 * its box, the middle on the middle, cut off at the longer sides.
 */
export interface Grid {
  readonly columns: number;
  readonly rows: number;
  /** side of a cell */
  readonly cell: Mm;
  /** 1 within the bezel */
  readonly inside: Uint8Array;
  /** linear light of the picture, three numbers a cell */
  readonly light: Float32Array;
}

/** The edge of a bezel as the grid has it. */
export function bezelEdge(bezel: Cutter): readonly Point[] {
  return cutterOutline(bezel).map(([x, y]): Point => [x + bezel.width / 2, bezel.height / 2 - y]);
}

/** Which cells lie within an outline: whole rows at once, between the crossings of its sides. */
export function filled(points: readonly Point[], columns: number, rows: number, cell: Mm): Uint8Array {
  const inside = new Uint8Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    const y = (j + 0.5) * cell;
    const crossings = crossingsAt(points, y);
    for (let k = 0; k + 1 < crossings.length; k += 2) {
      const from = Math.max(0, Math.ceil((crossings[k] as number) / cell - 0.5));
      const to = Math.min(columns - 1, Math.floor((crossings[k + 1] as number) / cell - 0.5));
      if (from <= to) inside.fill(1, j * columns + from, j * columns + to + 1);
    }
  }
  return inside;
}

function crossingsAt(points: readonly Point[], y: Mm): number[] {
  const crossings: number[] = [];
  for (let k = 0; k < points.length; k++) {
    const [x0, y0] = points[k] as Point;
    const [x1, y1] = points[(k + 1) % points.length] as Point;
    if (y0 > y !== y1 > y) crossings.push(x0 + ((y - y0) / (y1 - y0)) * (x1 - x0));
  }
  return crossings.sort((a, b) => a - b);
}

/** The picture as it lies below the cells: where it has more pixels than there are cells, their mean. */
function lightOf(picture: Pixels, columns: number, rows: number): Float32Array {
  const scale = Math.min(picture.width / columns, picture.height / rows);
  const [left, top] = [(picture.width - columns * scale) / 2, (picture.height - rows * scale) / 2];
  const light = new Float32Array(3 * columns * rows);
  const steps = Math.max(1, Math.min(8, Math.round(scale)));
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) {
      const at = 3 * (j * columns + i);
      for (let v = 0; v < steps; v++)
        for (let u = 0; u < steps; u++) {
          const x = Math.min(picture.width - 1, Math.floor(left + (i + (u + 0.5) / steps) * scale));
          const y = Math.min(picture.height - 1, Math.floor(top + (j + (v + 0.5) / steps) * scale));
          const from = 4 * (y * picture.width + x);
          for (let c = 0; c < 3; c++)
            light[at + c] = (light[at + c] as number) + (LINEAR[picture.data[from + c] ?? 0] ?? 0) / (steps * steps);
        }
    }
  return light;
}

/** A bezel with a picture in it. @param cell side of a cell */
export function gridOf(bezel: Cutter, picture: Pixels, cell: Mm): Grid {
  const [columns, rows] = [Math.ceil(bezel.width / cell), Math.ceil(bezel.height / cell)];
  const edge = bezelEdge(bezel);
  return {
    ...{ columns, rows, cell },
    inside: filled(edge, columns, rows, cell),
    light: lightOf(picture, columns, rows),
  };
}

export const labAt = ({ light }: Pick<Grid, 'light'>, at: number): Lab =>
  labOfLinear([light[3 * at] ?? 0, light[3 * at + 1] ?? 0, light[3 * at + 2] ?? 0]);
