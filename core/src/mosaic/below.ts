import type { Convex } from './convex.js';
import { filled, type Grid } from './grid.js';

/** The cells below a tessera, each told by its number. */
export function below(grid: Pick<Grid, 'columns' | 'rows' | 'cell'>, points: Convex, tell: (at: number) => void): void {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [left, top] = [Math.floor(Math.min(...xs) / grid.cell), Math.floor(Math.min(...ys) / grid.cell)];
  const columns = Math.ceil(Math.max(...xs) / grid.cell) - left + 1;
  const rows = Math.ceil(Math.max(...ys) / grid.cell) - top + 1;
  const moved = points.map(([x, y]) => [x - left * grid.cell, y - top * grid.cell] as const);
  filled(moved, columns, rows, grid.cell).forEach((inside, k) => {
    const [i, j] = [left + (k % columns), top + Math.floor(k / columns)];
    if (inside === 1 && i >= 0 && j >= 0 && i < grid.columns && j < grid.rows) tell(j * grid.columns + i);
  });
}
