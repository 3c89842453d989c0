/** Farther than anything on a grid. */
const FAR = 1e20;

/** Squares of distances along one row, from those of its cells (P. Felzenszwalb and D. Huttenlocher, 2012). */
function along(values: Float64Array, count: number, into: Float64Array, at: Int32Array, from: Float64Array): void {
  let k = 0;
  at[0] = 0;
  from[0] = -FAR;
  from[1] = FAR;
  const meets = (q: number, p: number): number =>
    ((values[q] as number) + q * q - ((values[p] as number) + p * p)) / (2 * q - 2 * p);
  for (let q = 1; q < count; q++) {
    let s = meets(q, at[k] as number);
    while (s <= (from[k] as number)) {
      k--;
      s = meets(q, at[k] as number);
    }
    k++;
    at[k] = q;
    from[k] = s;
    from[k + 1] = FAR;
  }
  k = 0;
  for (let q = 0; q < count; q++) {
    while ((from[k + 1] as number) < q) k++;
    const p = at[k] as number;
    into[q] = (q - p) ** 2 + (values[p] as number);
  }
}

/**
 * How far every cell of a mask is from the nearest one beside it, in cells, from its middle to their edge; 0 outside.
 * What lies beyond the grid is outside.
 */
export function distanceWithin(mask: Uint8Array, columns: number, rows: number): Float64Array {
  // a row of outside all around
  const [wide, high] = [columns + 2, rows + 2];
  const squares = new Float64Array(wide * high);
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++) if (mask[j * columns + i] === 1) squares[(j + 1) * wide + i + 1] = FAR;
  const most = Math.max(wide, high);
  const [row, into, from] = [new Float64Array(most), new Float64Array(most), new Float64Array(most + 1)];
  const at = new Int32Array(most);
  for (let i = 0; i < wide; i++) {
    for (let j = 0; j < high; j++) row[j] = squares[j * wide + i] as number;
    along(row, high, into, at, from);
    for (let j = 0; j < high; j++) squares[j * wide + i] = into[j] as number;
  }
  const found = new Float64Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < wide; i++) row[i] = squares[(j + 1) * wide + i] as number;
    along(row, wide, into, at, from);
    for (let i = 0; i < columns; i++) found[j * columns + i] = Math.max(0, Math.sqrt(into[i + 1] as number) - 0.5);
  }
  return found;
}
