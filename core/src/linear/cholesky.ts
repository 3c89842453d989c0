/**
 * The lower triangle of a positive definite matrix, in place (Cholesky).
 * @param a n×n, row by row; only its lower triangle is read and written
 * @returns false where it is not positive definite
 */
export function choleskyInPlace(a: Float64Array, n: number): boolean {
  for (let j = 0; j < n; j++) {
    const row = j * n;
    let d = a[row + j] as number;
    for (let k = 0; k < j; k++) d -= (a[row + k] as number) ** 2;
    if (!(d > 0)) return false;
    const root = Math.sqrt(d);
    a[row + j] = root;
    for (let i = j + 1; i < n; i++) {
      let sum = a[i * n + j] as number;
      for (let k = 0; k < j; k++) sum -= (a[i * n + k] as number) * (a[row + k] as number);
      a[i * n + j] = sum / root;
    }
  }
  return true;
}

/** Solves `L·Lᵀ·x = b` in place, with the triangle of {@link choleskyInPlace}. */
export function choleskySolve(l: Float64Array, n: number, b: Float64Array): void {
  for (let i = 0; i < n; i++) {
    let sum = b[i] as number;
    for (let k = 0; k < i; k++) sum -= (l[i * n + k] as number) * (b[k] as number);
    b[i] = sum / (l[i * n + i] as number);
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i] as number;
    for (let k = i + 1; k < n; k++) sum -= (l[k * n + i] as number) * (b[k] as number);
    b[i] = sum / (l[i * n + i] as number);
  }
}

/** The inverse of `L·Lᵀ`, n×n. */
export function choleskyInverse(l: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  const column = new Float64Array(n);
  for (let j = 0; j < n; j++) {
    column.fill(0);
    column[j] = 1;
    choleskySolve(l, n, column);
    for (let i = 0; i < n; i++) inverse[i * n + j] = column[i] as number;
  }
  return inverse;
}
