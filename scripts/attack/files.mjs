// Files that somebody brings: every format changed by chance, and bombs.
import { Worker } from 'node:worker_threads';
import * as formats from '../../dist/core/src/formats/index.js';
import { STARTING_POINTS } from '../../dist/core/src/cane/index.js';
import { BOMBS } from './bombs.mjs';
import { chanceOf } from './chance.mjs';

const bytes = (text) => (typeof text === 'string' ? new TextEncoder().encode(text) : text);
const NAMES = ['Beetroot', 'Leek leaf', '=Pea', 'Corn, ripe', '“Swede”', '紅心大根'];

/** One good file of each format. */
function good() {
  const colours = NAMES.map((name, i) => ({
    name,
    lab: { l: 20 + 10 * i, a: 5 * i - 10, b: 30 - 8 * i },
    share: i % 2 ? 0.1 : null,
  }));
  const palette = { name: 'Cut for the stock pot', colours };
  const mixes = NAMES.map((name, i) => ({
    name: `Mix ${name.replace(/"/g, '')}`,
    recipe: `${i + 1} Chalk + ½ Soot`,
    basis: 'volume',
    note: 'a note',
    lab: colours[i].lab,
  }));
  const paints = {
    dark: 'clay:d',
    light: 'clay:l',
    strong: 'clay:s',
    second: 'clay:t',
    glass: ['clay:g'],
    fade: 'blend:f',
  };
  const canes = STARTING_POINTS.map((start) => [
    'x.cane',
    bytes(
      formats.writeCane({
        name: start.name,
        program: { version: 1, steps: start.steps(paints) },
        canes: {},
        materials: {},
        slices: 20,
        sliceMm: 2,
      }),
    ),
  ]);
  const drawing =
    '<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" width="40mm" viewBox="0 0 100 ' +
    '80"><style>.a{fill:#7b1e4b}</style><g transform="translate(2 3)"><rect class="a" width="96" ' +
    'height="70"/><path fill="rgb(10,200,30)" d="M20 20C40 0 60 40 80 20L70 60Q50 80 30 60z"/><circle ' +
    'cx="50" cy="40" r="9" style="fill:orange"/></g></svg>';
  return [
    ['x.csv', bytes(formats.writeMixCsv(mixes))],
    ['x.csv', bytes(formats.writeColourCsv(palette))],
    ['x.json', bytes(formats.writeMixJson(mixes))],
    ['x.json', bytes(formats.writeColourJson(palette))],
    ['x.gpl', bytes(formats.writeGpl(palette))],
    ['x.ase', formats.writeAse(palette)],
    ['x.css', bytes(formats.writeCss(palette))],
    ['x.svg', bytes(drawing)],
    ['x.svg', bytes(drawing)],
    ...canes,
  ];
}

const SPLINTERS = [
  '{',
  '}',
  '[',
  ']',
  '"',
  "'",
  '<',
  '>',
  '/*',
  '*/',
  '--',
  '\u0000',
  '1e999',
  '-1',
  'NaN',
  'null',
  '__proto__',
  'constructor',
  ',',
  ';',
  '\n',
  '999999999',
  '\ufeff',
  '💥',
  '%',
  '&a;',
  ':',
];

/** Changes some places: bytes turned over, cut out, doubled, put in. */
function changed(from, chance) {
  let now = [...from];
  for (let n = 1 + chance.whole(6); n > 0 && now.length > 0; n--) {
    const at = chance.whole(now.length);
    const length = chance.often(0.7) ? chance.whole(8) : chance.whole(now.length - at);
    const way = chance.whole(5);
    if (way === 0) now[at] = chance.whole(256);
    if (way === 1) now.splice(at, length);
    if (way === 2) now.splice(at, 0, ...now.slice(at, at + length));
    if (way === 3) now.splice(at, 0, ...bytes(chance.pick(SPLINTERS)));
    if (way === 4) {
      const digit = now.findIndex((b, i) => i >= at && b >= 48 && b <= 57);
      if (digit >= 0) now[digit] = 48 + chance.whole(10);
    }
    if (now.length > 2_000_000) now = now.slice(0, 2_000_000);
  }
  return Uint8Array.from(now);
}

/** A thread that reads; one that hangs is ended and counted. */
class Reader {
  #worker = null;
  #most;
  constructor(most) {
    this.#most = most;
  }
  read(name, content) {
    this.#worker ??= new Worker(new URL('./read.worker.mjs', import.meta.url));
    const worker = this.#worker;
    return new Promise((resolve) => {
      const began = performance.now();
      const end = (outcome, broken) => {
        clearTimeout(late);
        worker.removeAllListeners('message').removeAllListeners('error').removeAllListeners('exit');
        if (broken) {
          void worker.terminate();
          this.#worker = null;
        }
        resolve({ ...outcome, ms: performance.now() - began });
      };
      const late = setTimeout(() => {
        end({ hung: true }, true);
      }, this.#most);
      worker.once('message', (outcome) => {
        end(outcome, false);
      });
      worker.once('error', (error) => {
        end({ crashed: String(error) }, true);
      });
      worker.once('exit', () => {
        end({ crashed: 'the thread ended' }, true);
      });
      worker.postMessage({ name, bytes: content });
    });
  }
  async warm(name, content) {
    for (let n = 0; n < 2; n++) await this.read(name, content);
  }
  close() {
    return this.#worker?.terminate();
  }
}

/** What was read has to be whole: colours that are finite, mixes with names, or a sentence. */
function wrongIn({ read }) {
  if (
    read?.holds === 'colours' &&
    read.faults.length === 0 &&
    !read.file.colours.every((c) => [c.lab.l, c.lab.a, c.lab.b].every(Number.isFinite))
  )
    return 'a colour that is not finite';
  if (read?.holds === 'mixes' && read.faults.length === 0 && !read.mixes.every((m) => m.name !== '' && m.recipe !== ''))
    return 'a mix without a name or a recipe';
  if (read?.bytes > 1_000_000) return 'it can be read, but is too large to be saved';
  return null;
}

/** @param count changed files beside the bombs @param most ms that one may take @returns a table */
export async function files(seed, count, most) {
  const chance = chanceOf(seed);
  const all = good();
  const reader = new Reader(most);
  await reader.warm(...all[0]);
  const found = { hung: [], crashed: [], half: [], read: 0, said: 0 };
  let slowest = { ms: 0, told: '' };
  const judge = (name, outcome, content) => {
    const told = `${name}, ${content.length} bytes`;
    if (outcome.hung) {
      found.hung.push(told);
      return;
    }
    if (outcome.crashed) {
      found.crashed.push(`${told}: ${outcome.crashed}`);
      return;
    }
    if (outcome.ms > slowest.ms) slowest = { ms: outcome.ms, told };
    const wrong = wrongIn(outcome);
    if (wrong) found.half.push(`${told}: ${wrong}`);
    if (outcome.read) found.read += 1;
    else found.said += 1;
  };
  for (const [name, content] of BOMBS) judge(name, await reader.read(name, content), content);
  for (let i = 0; i < count; i++) {
    const [name, content] = chance.pick(all);
    const other = changed(content, chance);
    judge(`${name} (${i})`, await reader.read(name, other), other);
  }
  await reader.close();
  return {
    title: `Files, seed ${seed}`,
    figures: [
      { what: 'bombs', value: BOMBS.length },
      { what: 'changed files', value: count },
      { what: 'read, with or without faults', value: found.read },
      { what: 'refused with a sentence', value: found.said },
      { what: `hangs over ${most / 1000} s`, value: found.hung.length, most: 0 },
      { what: 'crashes', value: found.crashed.length, most: 0 },
      { what: 'half ones', value: found.half.length, most: 0 },
      { what: `slowest, ms (${slowest.told})`, value: Math.round(slowest.ms) },
    ],
    details: [...found.hung.map((h) => `hung: ${h}`), ...found.crashed, ...found.half],
  };
}
