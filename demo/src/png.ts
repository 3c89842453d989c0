import { deflateSync } from 'node:zlib';

const CRC = Uint32Array.from({ length: 256 }, (_, n) => {
  let c = n;
  for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1;
  return c >>> 0;
});

function crc(bytes: Uint8Array): number {
  let c = 0xffffffff;
  for (const byte of bytes) c = (CRC[(c ^ byte) & 0xff] ?? 0) ^ (c >>> 8);
  return (c ^ 0xffffffff) >>> 0;
}

function chunk(type: string, data: Uint8Array): Buffer {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const out = Buffer.alloc(body.length + 8);
  out.writeUInt32BE(data.length, 0);
  body.copy(out, 4);
  out.writeUInt32BE(crc(body), body.length + 4);
  return out;
}

/**
 * A PNG file (ISO/IEC 15948) of red, green and blue values.
 * @param rgb three values a pixel, row by row, 0..255, or 0..65535 with 16 bits
 */
export function pngOf(rgb: ArrayLike<number>, width: number, height: number, bits: 8 | 16 = 8): Buffer {
  const bytes = bits / 8;
  const raw = Buffer.alloc(height * (1 + width * 3 * bytes));
  for (let y = 0; y < height; y++)
    for (let i = 0; i < width * 3; i++) {
      const at = y * (1 + width * 3 * bytes) + 1 + i * bytes;
      const value = rgb[y * width * 3 + i] ?? 0;
      if (bits === 16) raw.writeUInt16BE(value, at);
      else raw[at] = value;
    }
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([bits, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(raw, { level: 7 })),
    chunk('IEND', new Uint8Array()),
  ]);
}
