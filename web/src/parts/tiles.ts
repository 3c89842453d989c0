/** mm of a drawing; y downwards. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
/** A part of a drawing that lies on one page: which part, and its place in the row and column of pages. */
export interface Tile extends Box {
  readonly column: number;
  readonly row: number;
  readonly columns: number;
  readonly rows: number;
}

/** mm that neighbouring pages show twice, so that they can be glued. */
export const OVERLAP = 8;

const parts = (size: number, room: number): number =>
  size <= room ? 1 : Math.ceil((size - OVERLAP) / (room - OVERLAP));

/** A drawing at true size on pages with so much room: on one where it fits, else on several that overlap. */
export function tilesOf(
  width: number,
  height: number,
  room: { readonly width: number; readonly height: number },
): Tile[] {
  const [columns, rows] = [parts(width, room.width), parts(height, room.height)];
  return Array.from({ length: rows * columns }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    const [x, y] = [column * (room.width - OVERLAP), row * (room.height - OVERLAP)];
    return {
      column,
      row,
      columns,
      rows,
      x,
      y,
      width: Math.min(room.width, width - x),
      height: Math.min(room.height, height - y),
    };
  });
}

type Segment = readonly [number, number, number, number];

/** The part of a line that lies in a box (Y.-D. Liang and B. A. Barsky, 1984); null where none does. */
export function clippedLine([x1, y1, x2, y2]: Segment, box: Box): Segment | null {
  const [dx, dy] = [x2 - x1, y2 - y1];
  let [from, to] = [0, 1];
  const edges = [
    [-dx, x1 - box.x],
    [dx, box.x + box.width - x1],
    [-dy, y1 - box.y],
    [dy, box.y + box.height - y1],
  ] as const;
  for (const [towards, room] of edges) {
    if (towards === 0 && room < 0) return null;
    if (towards < 0) from = Math.max(from, room / towards);
    if (towards > 0) to = Math.min(to, room / towards);
  }
  return from > to ? null : [x1 + from * dx, y1 + from * dy, x1 + to * dx, y1 + to * dy];
}
