// npm run backup [-- folder]: a whole copy of the data, checked; also while Sledge runs.
import { build, install } from './prepare.mjs';

install();
build();
const { backup, command } = await import('../dist/served/commands.js');
await command(() => backup(process.argv[2] ?? null));
