/** An image at an address, once it can be drawn. @throws where there is none */
export async function imageAt(address: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = address;
  await image.decode();
  return image;
}

/** The same of a file. @throws where it is none */
export async function imageOf(file: Blob): Promise<HTMLImageElement> {
  const url = URL.createObjectURL(file);
  try {
    return await imageAt(url);
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** A canvas as a PNG file; null where it is too large for this browser. */
export const pngOf = (canvas: HTMLCanvasElement): Promise<Blob | null> =>
  new Promise((done) => {
    canvas.toBlob(done, 'image/png');
  });
