// npm run bench: the figures of this machine, as tables and as dist/bench.json. A word picks tables: npm run bench
// -- mixes
import { writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { archiveFigures } from './benchArchive.mjs';
import { listFigures } from './benchLists.mjs';
import { build, install, root } from './prepare.mjs';

install();
build();
const { median, percentile } = await import('../dist/core/bench/measure.js');
const { seeded } = await import('../dist/core/src/units/index.js');
const { blending } = await import('../dist/core/bench/blending.js');
const { caning } = await import('../dist/core/bench/caning.js');
const { patterns } = await import('../dist/core/bench/patterns.js');
const { days } = await import('../dist/core/bench/days.js');
const { relighting } = await import('../dist/core/bench/relighting.js');
const { mosaics } = await import('../dist/core/bench/mosaics.js');
const { slices } = await import('../dist/core/bench/slices.js');
const { troubles } = await import('../dist/core/bench/troubles.js');
const { teaching } = await import('../dist/core/bench/teaching.js');
const { ovens } = await import('../dist/core/bench/ovens.js');
const { creases } = await import('../dist/core/bench/creases.js');
const { layouts } = await import('../dist/core/bench/layouts.js');
const { dials } = await import('../dist/core/bench/dials.js');
const { upsampling } = await import('../dist/core/bench/upsampling.js');
const { learning } = await import('../dist/core/bench/learning.js');
const { finding } = await import('../dist/core/bench/finding.js');
const { predictions } = await import('../dist/core/bench/predictions.js');
const { coldStart, diaryLoad, ended, load, started } = await import('../dist/server/bench/api.js');
const { fill } = await import('../dist/server/bench/fill.js');
const { boardFigures } = await import('./benchBoard.mjs');
const { fillPlans } = await import('../dist/server/bench/plans.js');
const { stockFigures } = await import('./benchStock.mjs');
const { CHANGE_HEADER } = await import('../dist/contract/src/index.js');
const { pageWeight } = await import('../dist/server/bench/pageWeight.js');

const below = (what, value, unit, most) => ({ what, value, unit, goal: `< ${most}`, met: value < most });

const percentiles = (kinds) =>
  kinds.flatMap(({ what, rounds }) => [
    { what: `${what}, p50`, value: median(rounds.map(median)), unit: 'ms' },
    below(`${what}, p99`, median(rounds.map((times) => percentile(times, 0.99))), 'ms', 50),
  ]);

async function ofDiary() {
  const { kinds, entries, photographs } = await diaryLoad(seeded(11));
  return {
    title:
      `The diary with ${entries.toLocaleString('en')} entries and ${photographs.toLocaleString('en')} photographs, 8 ` +
      `connections, medians of ${kinds[0].rounds.length} rounds`,
    figures: percentiles(kinds),
  };
}

async function ofApi() {
  const { kinds, requests, megabytes, mixes, entries } = await load(seeded(7));
  return {
    title:
      `API with ${mixes.toLocaleString('en')} mixes and ${entries.toLocaleString('en')} diary rows, 8 ` +
      `connections, medians of ${kinds[0].rounds.length} rounds`,
    figures: [
      ...percentiles(kinds),
      below(`memory of the server after ${requests.toLocaleString('en')} requests`, megabytes, 'MB', 200),
    ],
  };
}

async function ofStart() {
  const starts = [];
  for (let i = 0; i < 5; i++) starts.push(await coldStart());
  return {
    title: 'Start',
    figures: [
      below('npm start to the first answer, empty folder', median(starts) / 1000, 's', 1.5),
      below('script of the start station, as it is sent', pageWeight('shelf/Shelf') / 1000, 'kB', 250),
      below('script of bench and shelf on a phone', pageWeight('bench/Bench', 'shelf/Shelf') / 1000, 'kB', 250),
    ],
  };
}

async function ofBoard() {
  const { first, again, atTop, atEnd, drawn } = await boardFigures({ fill, started, ended, seeded, median });
  return {
    title: 'Board of 10,000 mixes in the browser, medians',
    figures: [
      below('first chip, right after the start of Sledge and of the browser', first, 'ms', 1000),
      below('first chip after that', again, 'ms', 1000),
      below('a word typed to chips found', atTop, 'ms', 300),
      below('the same at the end of the board', atEnd, 'ms', 300),
      { what: 'chips drawn', value: drawn, unit: '' },
    ],
  };
}

async function ofStock() {
  const tools = { fill, started, ended, seeded, header: CHANGE_HEADER };
  const { things, list, change, after, keys, shown } = await stockFigures(tools);
  return {
    title: `${things.toLocaleString('en')} things that lie there`,
    figures: [
      { what: 'the whole list, p50', value: median(list), unit: 'ms' },
      below('the whole list, p99', percentile(list, 0.99), 'ms', 50),
      { what: 'the whole list right after a change, p50', value: median(after), unit: 'ms' },
      { what: 'the whole list right after a change, p99', value: percentile(after, 0.99), unit: 'ms' },
      below('one of them changed, p99', percentile(change, 0.99), 'ms', 50),
      below('picker: from a key to its list, median', median(keys), 'ms', 50),
      { what: 'picker: from a key to its list, p99', value: percentile(keys, 0.99), unit: 'ms' },
      below('the page with all of them drawn, median', median(shown), 'ms', 1000),
    ],
  };
}

async function ofLists() {
  const { count, health, lists } = await listFigures({ fillPlans, started, ended });
  return {
    title: `Lists of ${count.toLocaleString('en')}, medians of ${health.length} rounds`,
    figures: [
      { what: 'an answer that does nothing, as a baseline', value: median(health), unit: 'ms' },
      ...lists.flatMap(({ what, served, drawn }) => [
        { what: `${what}, from the server`, value: median(served), unit: 'ms' },
        below(`${what}, from a click to the first card`, median(drawn), 'ms', 300),
      ]),
    ],
  };
}

async function ofArchive() {
  const { out, taken, rows, megabytes, peakOut, peakIn } = await archiveFigures({ fill, started, ended, seeded });
  return {
    title: `The archive: ${rows.toLocaleString('en')} rows and photographs`,
    figures: [
      below('out', out, 's', 20),
      below('in, with every document read', taken, 's', 60),
      below('memory of the server that writes it, at the most', peakOut, 'MB', 400),
      below('memory of the server that reads it, at the most', peakIn, 'MB', 400),
      { what: 'the file', value: megabytes, unit: 'MB' },
    ],
  };
}

const spectral = await import('spectral.js');
/** Mixes sRGB colours as the package spectral.js does. */
const bySpectral = (hexes, parts) =>
  spectral
    .mix(...hexes.map((hex, i) => [new spectral.Color(`#${hex}`), parts[i]]))
    .toString({ format: 'hex' })
    .slice(1);
/** The same as a function that only mixes: the colours are made before. */
const spectralMixer = (hexes, parts) => {
  const colours = hexes.map((hex, i) => [new spectral.Color(`#${hex}`), parts[i]]);
  return () => spectral.mix(...colours).sRGB[0];
};

const TABLES = {
  learn: () => learning(() => performance.now(), bySpectral),
  mixes: () => predictions(() => performance.now(), spectralMixer),
  curves: () => upsampling(() => performance.now()),
  blend: () => blending(() => performance.now()),
  dials: () => dials(),
  canes: () => caning(() => performance.now()),
  patterns: () => patterns(() => performance.now()),
  mica: () => relighting(() => performance.now()),
  slices: () => slices(() => performance.now()),
  mosaics: () => mosaics(() => performance.now()),
  troubles: () => troubles(),
  teaching: () => teaching(),
  ovens: () => ovens(),
  days: () => days(() => performance.now()),
  creases: () => creases(() => performance.now()),
  layouts: () => layouts(() => performance.now()),
  find: () => finding(() => performance.now()),
  start: ofStart,
  api: ofApi,
  diary: ofDiary,
  board: ofBoard,
  stock: ofStock,
  lists: ofLists,
  archive: ofArchive,
};
const wanted = process.argv.slice(2);
const shown = (value) => (value >= 1000 ? Math.round(value).toLocaleString('en') : value.toPrecision(3));
const tables = [];
console.log(`${cpus()[0]?.model ?? 'this machine'}, ${cpus().length} cores, Node ${process.versions.node}`);
for (const [name, make] of Object.entries(TABLES)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const table = await make();
  tables.push(table);
  console.log(`\n${table.title}`);
  const width = Math.max(...table.figures.map((f) => f.what.length));
  for (const { what, value, unit, goal, met } of table.figures) {
    console.log(
      `  ${what.padEnd(width)}  ${shown(value).padStart(10)} ${unit.padEnd(8)}  ` +
        `${goal ? `goal ${goal}: ${met ? 'met' : 'missed'}` : ''}`,
    );
  }
}
writeFileSync(join(root, 'dist', 'bench.json'), JSON.stringify(tables, null, 2));
