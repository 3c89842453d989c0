// npm start: Sledge on the maker's own data.
import { build, install } from './prepare.mjs';

install();
build();
const { start } = await import('../dist/server/src/main.js');
await start();
