import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { projectRoot } from '../src/db/root.js';

interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
}

/** Bytes of script, gzipped, that the browser has to load to show a station of the built web application. */
export function pageWeight(station: string): number {
  const web = join(projectRoot(), 'dist', 'web');
  const manifest = JSON.parse(readFileSync(join(web, '.vite', 'manifest.json'), 'utf8')) as Record<string, Chunk>;
  const seen = new Set<string>();
  const visit = (name: string): void => {
    const chunk = manifest[name];
    if (!chunk || seen.has(chunk.file)) return;
    seen.add(chunk.file);
    for (const inner of chunk.imports ?? []) visit(inner);
  };
  visit('index.html');
  visit(`src/stations/${station}.tsx`);
  return [...seen]
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + gzipSync(readFileSync(join(web, file))).length, 0);
}
