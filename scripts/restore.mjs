// npm run restore -- copy.db: takes a copy up in place of the data, which is kept first; also while Sledge runs.
import { build, install } from './prepare.mjs';

install();
build();
const { command, restore } = await import('../dist/served/commands.js');
const [file] = process.argv.slice(2);
if (file === undefined) {
  console.error('Say which copy: npm run restore -- "path of the copy.db"');
  process.exit(1);
}
await command(() => restore(file));
