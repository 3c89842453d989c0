// npm run demo: Sledge on the kitchen garden, in a folder of its own. SLEDGE_DATA chooses another.
import { join } from 'node:path';
import { build, install, root } from './prepare.mjs';

install();
build();
process.env.SLEDGE_DATA ??= join(root, '.demo');
const { start } = await import('../dist/served/main.js');
const { makeDemo } = await import('../dist/served/loadDemo.js');
await start(makeDemo);
