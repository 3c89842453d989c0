/** A colour of six digits as a canvas holds it: bytes in memory are red, green, blue, opaque. */
export function dotOf(hex: string): number {
  const rgb = parseInt(hex.replace('#', ''), 16);
  return (0xff000000 | ((rgb & 255) << 16) | (rgb & 0xff00) | (rgb >> 16)) >>> 0;
}

/** Paints a grid, cell by cell. @param dotAt the colour of a cell, as {@link dotOf} gives it */
export function paintCells(
  canvas: HTMLCanvasElement | null,
  { columns, rows }: { readonly columns: number; readonly rows: number },
  dotAt: (at: number) => number,
): void {
  const pen = canvas?.getContext('2d');
  if (!pen) return;
  const image = pen.createImageData(columns, rows);
  const dots = new Uint32Array(image.data.buffer);
  for (let at = 0; at < dots.length; at++) dots[at] = dotAt(at);
  pen.putImageData(image, 0, 0);
}
