// Lays each file of the web application beside itself once more, compressed, so that a phone loads less.
import { readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import { brotliCompressSync, constants } from 'node:zlib';

const SHRINK = new Set(['.js', '.css', '.html', '.svg']);
const QUALITY = 9;

/** @param folder of the built web application */
export function compress(folder) {
  for (const name of readdirSync(folder)) {
    const path = join(folder, name);
    if (statSync(path).isDirectory()) compress(path);
    else if (SHRINK.has(extname(name)))
      writeFileSync(
        `${path}.br`,
        brotliCompressSync(readFileSync(path), { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } }),
      );
  }
}
