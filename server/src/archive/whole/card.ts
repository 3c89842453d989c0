/** Bytes of a picture card. */
export const MOST_CARD = 4_000_000;
/** px of either side of it. */
const MOST_PX = 4096;
/** How every PNG begins, and where it says how wide and how high it is. */
const BEGINS = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const [WIDTH_AT, HEIGHT_AT, HEADER] = [16, 20, 24];

/** Whether bytes are a PNG of a size that a card can have. */
export function isCard(bytes: Uint8Array): boolean {
  const png = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (png.length < HEADER || png.length > MOST_CARD || !png.subarray(0, BEGINS.length).equals(BEGINS)) return false;
  return [WIDTH_AT, HEIGHT_AT].every((at) => {
    const px = png.readUInt32BE(at);
    return px > 0 && px <= MOST_PX;
  });
}
