// Lays each file of the web application beside itself once more, compressed, so that a phone loads less.
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, extname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { promisify } from 'node:util';
import { brotliCompress } from 'node:zlib';

const SHRINK = new Set(['.js', '.css', '.html', '.svg']);
const shrink = promisify(brotliCompress);

const folder = join(dirname(fileURLToPath(import.meta.url)), '..', 'dist', 'web');

async function compress() {
  const names = readdirSync(folder, { recursive: true }).filter((name) => SHRINK.has(extname(name)));
  await Promise.all(
    names.map(async (name) => {
      const path = join(folder, name);
      writeFileSync(`${path}.br`, await shrink(readFileSync(path)));
    }),
  );
}

await compress();
