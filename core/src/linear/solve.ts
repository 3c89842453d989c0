/**
 * Solves the dense system `a·x = b` in place by Gaussian elimination with
 * partial pivoting.
 * @param a n×n, row by row; destroyed
 * @param b n; holds the solution afterwards
 * @returns false where the matrix is singular
 */
export function solveInPlace(a: Float64Array, b: Float64Array): boolean {
  const n = b.length;
  const at = (row: number, col: number): number => a[row * n + col] ?? 0;
  for (let col = 0; col < n; col++) {
    let pivot = col;
    for (let row = col + 1; row < n; row++) {
      if (Math.abs(at(row, col)) > Math.abs(at(pivot, col))) pivot = row;
    }
    if (Math.abs(at(pivot, col)) < 1e-300) return false;
    if (pivot !== col) {
      for (let k = col; k < n; k++) {
        const swap = at(col, k);
        a[col * n + k] = at(pivot, k);
        a[pivot * n + k] = swap;
      }
      const swap = b[col] ?? 0;
      b[col] = b[pivot] ?? 0;
      b[pivot] = swap;
    }
    for (let row = col + 1; row < n; row++) {
      const factor = at(row, col) / at(col, col);
      if (factor === 0) continue;
      for (let k = col; k < n; k++) a[row * n + k] = at(row, k) - factor * at(col, k);
      b[row] = (b[row] ?? 0) - factor * (b[col] ?? 0);
    }
  }
  for (let row = n - 1; row >= 0; row--) {
    let sum = b[row] ?? 0;
    for (let k = row + 1; k < n; k++) sum -= at(row, k) * (b[k] ?? 0);
    b[row] = sum / at(row, row);
  }
  return true;
}
