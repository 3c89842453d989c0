// npm run attack: hurts Sledge in every way we know and prints what came of it. Words pick tables: npm run attack
// -- files kills
// --short is the form within npm test; --seed N takes other chances.
import { build, install } from './prepare.mjs';

install();
build();
const { files } = await import('./attack/files.mjs');
const { fullDisk } = await import('./attack/fullDisk.mjs');
const { kills } = await import('./attack/kills.mjs');
const { load } = await import('./attack/load.mjs');
const { requests } = await import('./attack/requests.mjs');
const { windows } = await import('./attack/windows.mjs');

const TABLES = {
  requests: { run: requests, long: 10_000, short: 1500 },
  files: { run: files, long: 2000, short: 100 },
  windows: { run: windows, long: 3000, short: 250 },
  fullDisk: { run: fullDisk, long: 60, short: 6 },
  kills: { run: kills, long: 1000, short: 8 },
  load: { run: load, long: 60, short: 0 },
};
const given = process.argv.slice(2);
const short = given.includes('--short');
/** ms that one request or one file may take; within npm test nothing hangs on the speed of a machine. */
const patience = short ? 20_000 : 2000;
const seedAt = given.indexOf('--seed');
const seed = seedAt < 0 ? 1 : Number(given[seedAt + 1]);
const wanted = given.filter((word) => Object.hasOwn(TABLES, word));

let missed = 0;
for (const [name, { run, ...counts }] of Object.entries(TABLES)) {
  const count = short ? counts.short : counts.long;
  if (count === 0 || (wanted.length > 0 && !wanted.includes(name))) continue;
  const began = performance.now();
  const { title, figures, details } = await run(seed, count, patience);
  console.log(`\n${title} (${Math.round((performance.now() - began) / 1000)} s)`);
  const width = Math.max(...figures.map((f) => f.what.length));
  for (const { what, value, most } of figures) {
    const good = most === undefined || value <= most;
    if (!good) missed += 1;
    console.log(
      `  ${what.padEnd(width)}  ${String(value).padStart(10)}  ` +
        `${most === undefined ? '' : `at most ${most}: ${good ? 'kept' : 'NOT KEPT'}`}`,
    );
  }
  for (const detail of details.slice(0, 30)) console.log(`    ${detail.slice(0, 900)}`);
}
process.exit(missed === 0 ? 0 : 1);
