// npm start: Sledge on the maker's own data.
import module from 'node:module';
import { build, install } from './prepare.mjs';

install();
build();
// what was compiled once is compiled the next time: Node 22 and later
module.enableCompileCache?.();
const { start } = await import('../dist/served/main.js');
await start();
