import { readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { projectRoot } from '../src/db/root.js';

interface Chunk {
  readonly file: string;
  readonly imports?: readonly string[];
}

/** Bytes of script, compressed as it is sent, that the browser has to load to show stations of the web application. */
export function pageWeight(...stations: readonly string[]): number {
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
  for (const station of stations) visit(`src/stations/${station}.tsx`);
  return [...seen]
    .filter((file) => file.endsWith('.js'))
    .reduce((sum, file) => sum + statSync(join(web, `${file}.br`)).size, 0);
}
