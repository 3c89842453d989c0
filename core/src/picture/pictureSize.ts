/** Width and height that a picture says it has, before anything of it is unpacked. */
export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

const PNG = [0x89, 0x50, 0x4e, 0x47];
const begins = (bytes: Uint8Array, with_: readonly number[]): boolean => with_.every((b, i) => bytes[i] === b);

/** The header of a PNG has both right behind its mark (PNG, third edition, 11.2.2). */
function pngSize(view: DataView): PictureSize | null {
  return view.byteLength < 24 ? null : { width: view.getUint32(16), height: view.getUint32(20) };
}

/** Segments of a JPEG that hold its size: SOF0 to SOF15 without DHT, JPG and DAC (ITU-T T.81, table B.1). */
const isFrame = (marker: number): boolean => marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker);

function jpegSize(view: DataView): PictureSize | null {
  for (let at = 2; at + 9 < view.byteLength;) {
    if (view.getUint8(at) !== 0xff) return null;
    const marker = view.getUint8(at + 1);
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (isFrame(marker)) return { width: view.getUint16(at + 7), height: view.getUint16(at + 5) };
    at += 2 + view.getUint16(at + 2);
  }
  return null;
}

/**
 * Reads the size of a PNG or JPEG out of its first bytes.
 * @returns null for any other kind, and where it does not say
 */
export function pictureSize(bytes: Uint8Array): PictureSize | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (begins(bytes, PNG)) return pngSize(view);
  return begins(bytes, [0xff, 0xd8]) ? jpegSize(view) : null;
}

/** Pixels of the largest picture that is unpacked: twice what the largest cameras give. */
export const MOST_PIXELS = 200_000_000;
