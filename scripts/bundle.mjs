// Puts the built server and its packages together in dist/served, what runs at a maker's: in few files it starts in a
// third of the time that its thousand modules take.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { APART } from './apart.mjs';
import { root } from './prepare.mjs';

/** What is started by itself: Sledge, its garden, its commands, and what works in threads of its own. */
const ENTRIES = [
  ...['main', 'loadDemo', 'garden', 'commands', 'patterns/plan.worker', 'canes/plan.worker'],
  ...['archive/look.worker', 'archive/whole/in.worker', 'archive/whole/out.worker'],
];
/** Asked for by packages only where somebody has them. */
const MAY_BE_MISSING = ['@nestjs/microservices', '@nestjs/websockets', 'class-transformer/storage'];
/** Packages of the older kind ask for others by `require`, and for the folder they lie in. */
const OLDER_KIND = `
import { createRequire as requireFrom } from 'node:module';
import { dirname as folderOf } from 'node:path';
import { fileURLToPath as pathOf } from 'node:url';
const require = requireFrom(import.meta.url);
const __filename = pathOf(import.meta.url);
const __dirname = folderOf(__filename);
`;

const served = join(root, 'dist', 'served');
rmSync(served, { recursive: true, force: true });
await build({
  entryPoints: ENTRIES.map((name) => join(root, 'dist', 'server', 'src', `${name}.js`)),
  outbase: join(root, 'dist', 'server', 'src'),
  outdir: served,
  bundle: true,
  splitting: true,
  platform: 'node',
  format: 'esm',
  // things are known by the names of their classes
  keepNames: true,
  external: [...APART, ...MAY_BE_MISSING, ...MAY_BE_MISSING.map((name) => `${name}/*`)],
  banner: { js: OLDER_KIND },
  logLevel: 'warning',
});
