// Kills: during writes, copies, taking up, updates of older data, and while the demo is being made.
import { mkdtempSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { root } from '../prepare.mjs';
import { chanceOf } from './chance.mjs';
import { line } from './line.mjs';
import { ask, launch, pause, up } from './sledge.mjs';

const clay = (lineId, name) => ({
  id: crypto.randomUUID(),
  version: 0,
  lineId,
  name,
  kind: 'opaque',
  rawHex: 'F1EEE4',
  bakedHex: 'F1EEE4',
  strength: null,
  retired: false,
});
const block = (clayId, leftGrams) => ({
  id: crypto.randomUUID(),
  version: 0,
  clayId,
  netGrams: 57,
  leftGrams,
  madeOn: null,
  dateCode: '',
  price: null,
});

/**
 * What was answered, to be there afterwards: blocks by what is left of them. Those that were asked and not
 * answered may be or not.
 */
class Ledger {
  sure = new Map();
  maybe = new Map();
  async put(url, dto) {
    this.maybe.set(dto.id, [...(this.maybe.get(dto.id) ?? []), dto.leftGrams]);
    const { status, body } = await ask(url, 'PUT', `/api/blocks/${dto.id}`, dto);
    if (status === 200) {
      this.sure.set(dto.id, body);
      this.maybe.delete(dto.id);
    }
    return status;
  }
  /** What is not as it has to be. */
  async faults(url) {
    const { status, body: shelf } = await ask(url, 'GET', '/api/shelf');
    if (status !== 200) return [`the shelf answers with ${status}`];
    const there = new Map(shelf.blocks.map((b) => [b.id, b]));
    const faults = [];
    for (const [id, dto] of this.sure) {
      const found = there.get(id);
      const may = [dto.leftGrams, ...(this.maybe.get(id) ?? [])];
      if (!found) faults.push(`a block that was answered is gone`);
      else if (!may.includes(found.leftGrams))
        faults.push(`a block has ${found.leftGrams} g instead of ${may.join(' or ')} g`);
      if (found) this.sure.set(id, found);
    }
    this.maybe.clear();
    return faults;
  }
}

/** Writes and asks for copies from three sides until the process is gone. */
function hurt(url, ledger, clayId, chance, copies) {
  let on = true;
  const one = async () => {
    while (on) {
      const old = chance.often(0.5) ? chance.pick([...ledger.sure.values()]) : undefined;
      const dto = old ? { ...old, leftGrams: chance.whole(57) } : block(clayId, chance.whole(57));
      if (old && ledger.maybe.has(old.id)) continue;
      if ((await ledger.put(url, dto)) === 0) return;
    }
  };
  const copying = async () => {
    while (on && copies)
      if ((await ask(url, 'POST', '/api/archive/copies', { name: `copy ${crypto.randomUUID()}` })).status === 0) return;
  };
  const all = Promise.all([one(), one(), one(), copying()]);
  return {
    stop: async () => {
      on = false;
      await all;
    },
  };
}

/** One folder whose Sledge is killed again and again while it writes. */
async function duringWrites(kills, chance, copies, found) {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-kills-'));
  let sledge = await up(folder);
  const own = line('Hearth Firm');
  await ask(sledge.url, 'PUT', `/api/lines/${own.id}`, own);
  const pea = clay(own.id, 'Pea');
  await ask(sledge.url, 'PUT', `/api/clays/${pea.id}`, pea);
  const ledger = new Ledger();
  for (let i = 0; i < kills; i++) {
    const before = ledger.sure.size;
    const hurting = hurt(sledge.url, ledger, pea.id, chance, copies);
    await pause(20 + chance.whole(260));
    await sledge.end('SIGKILL');
    await hurting.stop();
    found.answered += ledger.sure.size - before;
    sledge = await up(folder);
    for (const fault of await ledger.faults(sledge.url)) found.lost.push(`kill ${i} while writing: ${fault}`);
    const { body } = await ask(sledge.url, 'GET', '/api/archive');
    for (const notice of body.notices) found.half.push(`kill ${i} while writing: ${notice}`);
    if (copies)
      for (const name of readdirSync(join(folder, 'copies')).filter((f) => f.startsWith('copy')))
        rmSync(join(folder, 'copies', name));
    found.kills += 1;
  }
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}

/** A start that is cut off at some moment, and the next one, which has to find all of it. */
async function duringStart(kills, chance, prepare, options, whole, found, what) {
  for (let i = 0; i < kills; i++) {
    const folder = mkdtempSync(join(tmpdir(), 'sledge-kills-'));
    prepare(folder, i);
    const first = launch(folder, options);
    await pause(300 + chance.whole(options.garden ? 2500 : 900));
    await first.end('SIGKILL');
    const next = await up(folder, options);
    const { body: shelf } = await ask(next.url, 'GET', '/api/shelf');
    const { body: mixes } = await ask(next.url, 'GET', '/api/mixes');
    if (shelf.clays?.length !== whole.clays || mixes.total !== whole.mixes)
      found.half.push(`kill ${i} during ${what}: ${shelf.clays?.length} clays, ${mixes.total} mixes`);
    await next.end('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
    found.kills += 1;
  }
}

/** Taking up a copy is cut off: afterwards it is either all of the one or all of the other. */
async function duringTakingUp(kills, chance, found) {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-kills-'));
  let sledge = await up(folder, { garden: true });
  await ask(sledge.url, 'POST', '/api/archive/copies', { name: 'garden' });
  for (let i = 0; i < kills; i++) {
    const own = line(`Line ${i}`);
    await ask(sledge.url, 'PUT', `/api/lines/${own.id}`, own);
    const { body: before } = await ask(sledge.url, 'GET', '/api/shelf');
    void ask(sledge.url, 'POST', '/api/archive/take-up', { name: 'garden' });
    await pause(30 + chance.whole(500));
    await sledge.end('SIGKILL');
    sledge = await up(folder);
    const { body: after } = await ask(sledge.url, 'GET', '/api/shelf');
    const [old, copied] = [after.lines.length === before.lines.length, after.lines.length === 5];
    if (after.clays.length !== 14 || !(old || copied))
      found.half.push(`kill ${i} while taking up: ${after.lines.length} lines, ${after.clays.length} clays`);
    found.kills += 1;
  }
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}

/** How much there is in a demo that nothing disturbed. */
async function wholeDemo() {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-kills-'));
  const sledge = await up(folder, { garden: true });
  const { body: shelf } = await ask(sledge.url, 'GET', '/api/shelf');
  const { body: mixes } = await ask(sledge.url, 'GET', '/api/mixes');
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
  return { clays: shelf.clays.length, mixes: mixes.total };
}

/** What each of the kept databases of earlier versions holds. */
const IN_KEPT = { clays: 14, mixes: 21 };
const KEPT = join(root, 'server', 'test', 'kept');

/** @param kills how many in all @returns a table */
export async function kills(seed, count) {
  const chance = chanceOf(seed);
  const found = { kills: 0, answered: 0, lost: [], half: [] };
  const share = (part) => Math.max(1, Math.round(count * part));
  const versions = readdirSync(KEPT).sort();
  const older = (folder, i) => {
    mkdirSync(folder, { recursive: true });
    writeFileSync(join(folder, 'sledge.db'), gunzipSync(readFileSync(join(KEPT, versions[i % versions.length]))));
  };
  const demo = await wholeDemo();
  await Promise.all([
    duringWrites(share(0.4), chance, false, found),
    (async () => {
      await duringWrites(share(0.2), chance, true, found);
      await duringStart(share(0.15), chance, older, {}, IN_KEPT, found, 'an update');
      await duringStart(share(0.1), chance, () => undefined, { garden: true }, demo, found, 'making the demo');
      await duringTakingUp(share(0.15), chance, found);
    })(),
  ]);
  return {
    title: `Kills, seed ${seed}`,
    figures: [
      { what: 'kills', value: found.kills },
      { what: 'answered changes under way', value: found.answered },
      { what: 'answered changes lost', value: found.lost.length, most: 0 },
      { what: 'half ones', value: found.half.length, most: 0 },
    ],
    details: [...found.lost, ...found.half],
  };
}
