import type { Entry, ZipFile } from 'yauzl';
import { UnusableDatabase } from '../../db/unusable.js';

/** Bytes of one line: far beyond any row. */
const MOST_LINE = 8_000_000;
const NEW_LINE = 0x0a;

/** A file of an archive, whole. @throws UnusableDatabase where it is longer than `most` bytes */
export async function textOf(zip: ZipFile, entry: Entry, most: number): Promise<Buffer> {
  const parts: Buffer[] = [];
  let bytes = 0;
  for await (const part of (await zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>) {
    bytes += part.length;
    if (bytes > most) throw new UnusableDatabase('This archive is damaged: a part of it is larger than it can be.');
    parts.push(part);
  }
  return Buffer.concat(parts);
}

/** Lines of a file of an archive, one after the other; empty ones are left out. */
export async function* linesOf(zip: ZipFile, entry: Entry): AsyncGenerator<string> {
  let rest = Buffer.alloc(0);
  for await (const part of (await zip.openReadStreamPromise(entry)) as AsyncIterable<Buffer>) {
    let from = 0;
    for (let end = part.indexOf(NEW_LINE); end >= 0; end = part.indexOf(NEW_LINE, from)) {
      const line = Buffer.concat([rest, part.subarray(from, end)]).toString('utf8');
      rest = Buffer.alloc(0);
      from = end + 1;
      if (line.trim() !== '') yield line;
    }
    rest = Buffer.concat([rest, part.subarray(from)]);
    if (rest.length > MOST_LINE)
      throw new UnusableDatabase('This archive is damaged: a line of it is longer than any row.');
  }
  const last = rest.toString('utf8');
  if (last.trim() !== '') yield last;
}
