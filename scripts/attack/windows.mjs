// The computer and two tablets against a plain model: what each is told, and what is there, has to be what the model
// says; now and then a tablet is shut out, its cookie tried, a code guessed, and another tablet let in.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chanceOf } from './chance.mjs';
import { NETWORK, networkOf } from './devices.mjs';
import { line } from './line.mjs';
import { ask, up } from './sledge.mjs';

/** Share of the steps at which a tablet is shut out, and at which a code is guessed. */
const SHUT_OUT = 0.01;
const GUESSED = 0.01;
/** So many wrong codes are free; after that one has to wait. */
const FREE_GUESSES = 4;
const BURST = 20;

/** What is done to devices in between. `read`: a device reads the shelf and holds it against the model. */
function intrusions({ network, devices, seen, chance, check, told, read }) {
  /** A tablet is shut out: with its cookie nothing is read or written any more. Another one takes its place. */
  const replace = async (place) => {
    const old = devices[place];
    await network.shutOut(old.name);
    const line = chance.pick([...seen[place].values()]);
    const tries = [await old.ask('GET', '/api/shelf'), await old.ask('POST', '/api/undo', {})];
    if (line) tries.push(await old.ask('PUT', `/api/lines/${line.id}`, { ...line, density: 1.99 }));
    for (const { status } of tries)
      check(status === 401, `the cookie of a tablet that was shut out is answered with ${status}`);
    devices[place] = await network.letIn(`Tablet ${devices.length + told.shutOut}`);
    check(devices[place] !== null, 'the right code lets nobody in');
    told.shutOut += 1;
    await read(place);
  };
  const guess = async () => {
    const words = Array.from({ length: 6 }, () => chance.pick(['abandon', 'zoo', 'garden', 'pea', 'sledge', 'oven']));
    const status = await network.guess(words);
    check(status >= 400 && status < 500, `a guessed code is answered with ${status}`);
    told.guessed += 1;
  };
  return { replace, guess };
}

/** Puts some lines on the shelf. @returns each with the id of its change */
async function firstLines(url) {
  const lines = [];
  for (let i = 0; i < 4; i++) {
    const own = line(`Line ${i}`);
    const change = crypto.randomUUID();
    lines.push({ change, body: (await ask(url, 'PUT', `/api/lines/${own.id}`, own, change)).body });
  }
  return lines;
}

/** @param count steps of all devices together @returns a table */
export async function windows(seed, count) {
  const chance = chanceOf(seed);
  const folder = mkdtempSync(join(tmpdir(), 'sledge-windows-'));
  const sledge = await up(folder, { env: NETWORK });
  const network = await networkOf(sledge.url);
  const computer = { name: 'computer', ask: (...asked) => ask(sledge.url, ...asked) };
  const devices = [computer, await network.letIn('Tablet 1'), await network.letIn('Tablet 2')];
  const wrong = [];
  // the model: each line's density, and the list of changes with what each took the place of
  const now = new Map();
  const done = [];
  let undone = [];
  const seen = [new Map(), new Map(), new Map()];
  const told = { written: 0, refused: 0, back: 0, asked: 0, shutOut: 0, guessed: 0 };
  const check = (good, what) => {
    if (!good) wrong.push(what);
  };
  for (const { change, body } of await firstLines(sledge.url)) {
    now.set(body.id, body.density);
    done.push({ change, id: body.id, was: undefined, is: body.density });
    for (const window of seen) window.set(body.id, body);
  }
  const read = async (window) => {
    const { body } = await devices[window].ask('GET', '/api/shelf');
    check(body.lines.length === now.size, `the shelf has ${body.lines.length} lines, the model ${now.size}`);
    for (const l of body.lines)
      check(l.density === now.get(l.id), `${l.name} has ${l.density}, the model ${now.get(l.id)}`);
    seen[window] = new Map(body.lines.map((l) => [l.id, l]));
  };
  const stepBack = async (way, window) => {
    const list = way === 'undo' ? done : undone;
    const newest = list.at(-1);
    const expects = chance.often(0.6) ? newest?.change : chance.pick([...done, ...undone])?.change;
    const { body } = await devices[window].ask('POST', `/api/${way}`, { expects: expects ?? crypto.randomUUID() });
    if (!newest || expects !== newest.change) {
      check(body.did === null, `${way} did “${body.did}” although another change was meant`);
      told.asked += 1;
      return;
    }
    check(body.did !== null, `${way} did nothing although the newest change was meant`);
    list.pop();
    (way === 'undo' ? undone : done).push(newest);
    const value = way === 'undo' ? newest.was : newest.is;
    if (value === undefined) now.delete(newest.id);
    else now.set(newest.id, value);
    told.back += 1;
    await read(window);
  };
  const { replace, guess } = intrusions({ network, devices, seen, chance, check, told, read });
  for (let i = 0; i < count; i++) {
    const window = chance.whole(devices.length);
    if (window > 0 && chance.often(SHUT_OUT)) await replace(window);
    if (told.guessed < FREE_GUESSES && chance.often(GUESSED)) await guess();
    const what = chance.next();
    if (what < 0.25) {
      await read(window);
      continue;
    }
    if (what < 0.4) {
      await stepBack('undo', window);
      continue;
    }
    if (what < 0.48) {
      await stepBack('redo', window);
      continue;
    }
    const mine = chance.pick([...seen[window].values()]);
    if (!mine) {
      await read(window);
      continue;
    }
    const body = { ...mine, density: Math.round((0.8 + chance.next()) * 1e6) / 1e6 };
    const change = crypto.randomUUID();
    const answer = await devices[window].ask('PUT', `/api/lines/${mine.id}`, body, change);
    // sent again, as where an answer was lost: it counts once
    const again =
      chance.often(0.2) && answer.status === 200
        ? await devices[window].ask('PUT', `/api/lines/${mine.id}`, body, change)
        : null;
    if (again)
      check(
        again.status === 200 && again.body.version === answer.body.version,
        'a change that was sent twice counts twice',
      );
    const newest =
      now.has(mine.id) && (await ask(sledge.url, 'GET', '/api/shelf')).body.lines.find((l) => l.id === mine.id);
    if (answer.status === 200) {
      check(newest?.density === body.density, 'a change that was answered is not there');
      done.push({ change, id: mine.id, was: now.get(mine.id), is: body.density });
      undone = [];
      now.set(mine.id, body.density);
      seen[window].set(mine.id, answer.body);
      told.written += 1;
    } else {
      check([404, 409].includes(answer.status), `a stale change is answered with ${answer.status}`);
      check((newest?.density ?? undefined) === now.get(mine.id), 'a refused change has changed something');
      told.refused += 1;
      await read(window);
    }
  }
  for (const place of devices.keys()) {
    await read(place);
    if (place > 0) await replace(place);
  }
  // a burst of guesses: none gets in
  for (let i = 0; i < BURST; i++) await guess();
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
  return {
    title: `The computer and two tablets against a plain model, seed ${seed}`,
    figures: [
      { what: 'steps', value: count },
      { what: 'changes written', value: told.written },
      { what: 'stale ones refused', value: told.refused },
      { what: 'taken back or done again', value: told.back },
      { what: 'not done, as another one was meant', value: told.asked },
      { what: 'tablets shut out, their cookies tried', value: told.shutOut },
      { what: 'codes guessed', value: told.guessed },
      { what: 'differences from the model', value: wrong.length, most: 0 },
    ],
    details: wrong,
  };
}
