// Two windows against a plain model: what each is told, and what is there, has to be what the model says.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chanceOf } from './chance.mjs';
import { line } from './line.mjs';
import { ask, up } from './sledge.mjs';

/** @param count steps of both windows together @returns a table */
export async function windows(seed, count) {
  const chance = chanceOf(seed);
  const folder = mkdtempSync(join(tmpdir(), 'sledge-windows-'));
  const sledge = await up(folder);
  const wrong = [];
  // the model: each line's density, and the list of changes with what each took the place of
  const now = new Map();
  const done = [];
  let undone = [];
  const seen = [new Map(), new Map()];
  const told = { written: 0, refused: 0, back: 0, asked: 0 };
  const check = (good, what) => {
    if (!good) wrong.push(what);
  };
  for (let i = 0; i < 4; i++) {
    const own = line(`Line ${i}`);
    const change = crypto.randomUUID();
    const { body } = await ask(sledge.url, 'PUT', `/api/lines/${own.id}`, own, change);
    now.set(own.id, body.density);
    done.push({ change, id: own.id, was: undefined, is: body.density });
    for (const window of seen) window.set(own.id, body);
  }
  const read = async (window) => {
    const { body } = await ask(sledge.url, 'GET', '/api/shelf');
    check(body.lines.length === now.size, `the shelf has ${body.lines.length} lines, the model ${now.size}`);
    for (const l of body.lines)
      check(l.density === now.get(l.id), `${l.name} has ${l.density}, the model ${now.get(l.id)}`);
    seen[window] = new Map(body.lines.map((l) => [l.id, l]));
  };
  const stepBack = async (way, window) => {
    const list = way === 'undo' ? done : undone;
    const newest = list.at(-1);
    const expects = chance.often(0.6) ? newest?.change : chance.pick([...done, ...undone])?.change;
    const { body } = await ask(sledge.url, 'POST', `/api/${way}`, { expects: expects ?? crypto.randomUUID() });
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
  for (let i = 0; i < count; i++) {
    const window = chance.whole(2);
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
    const answer = await ask(sledge.url, 'PUT', `/api/lines/${mine.id}`, body, change);
    // sent again, as where an answer was lost: it counts once
    const again =
      chance.often(0.2) && answer.status === 200
        ? await ask(sledge.url, 'PUT', `/api/lines/${mine.id}`, body, change)
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
  await read(0);
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
  return {
    title: `Two windows against a plain model, seed ${seed}`,
    figures: [
      { what: 'steps', value: count },
      { what: 'changes written', value: told.written },
      { what: 'stale ones refused', value: told.refused },
      { what: 'taken back or done again', value: told.back },
      { what: 'not done, as another one was meant', value: told.asked },
      { what: 'differences from the model', value: wrong.length, most: 0 },
    ],
    details: wrong,
  };
}
