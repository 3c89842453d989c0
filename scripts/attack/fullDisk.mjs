// The disk with the copies by rule is full: the last good one stays, it is told, and the shelf goes on.
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chanceOf } from './chance.mjs';
import { line } from './line.mjs';
import { ask, up } from './sledge.mjs';

/** Room on the small disk, in copies: one is kept, and there is none for the next. */
const ROOM = 1.5;
const WORDS = 'beetroot leek pea squash radish carrot turnip aubergine corn romanesco swede cabbage'.split(' ');

/** The command of a process that sees a small disk at a folder, which nobody else sees. */
const withSmallDisk = (folder, kilobytes) => (command) => [
  'unshare',
  '--map-root-user',
  '--mount',
  'sh',
  '-c',
  `mount -t tmpfs -o size=${kilobytes}k tmpfs "$0" && exec "$@"`,
  folder,
  ...command,
];

/** Whether this machine lets one have a disk of one's own. */
function possible(folder) {
  const [program, ...words] = withSmallDisk(folder, 64)(['true']);
  return spawnSync(program, words).status === 0;
}

const holds = (shelf, lines) => [...lines].filter(([id, density]) => shelf.get(id) !== density).length;
const shelfOf = async (url) => new Map((await ask(url, 'GET', '/api/shelf')).body.lines.map((l) => [l.id, l.density]));

/** Copies by rule go on until their disk is full and beyond, while the shelf changes. */
async function copiesOnFullDisk(chance, count, told) {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-full-'));
  const small = join(folder, 'small');
  mkdirSync(small);
  const data = join(folder, 'data');
  await (await up(data)).end('SIGTERM');
  const room = Math.ceil((ROOM * statSync(join(data, 'sledge.db')).size) / 1024);
  const sledge = await up(data, { wrapped: withSmallDisk(small, room) });
  const lines = new Map();
  // with the choice of the folder one is kept at once
  let { last } = (await ask(sledge.url, 'PUT', '/api/archive/rule', { folder: small })).body;
  if (last === null) told.wrong.push('there was room, and no copy was kept');
  else told.kept += 1;
  for (let i = 0; i < count; i++) {
    const own = { ...line(`${chance.pick(WORDS)} ${i}`), density: 1 + chance.next() };
    const { status, body } = await ask(sledge.url, 'PUT', `/api/lines/${own.id}`, own);
    if (status === 200) lines.set(own.id, body.density);
    else told.wrong.push(`a change beside a full disk of copies is answered with ${status}`);
    const { body: rule } = await ask(sledge.url, 'POST', '/api/archive/rule/now');
    if (rule.failed === null) {
      told.kept += 1;
      last = rule.last;
      continue;
    }
    told.full += 1;
    if (!/full/.test(rule.failed.why)) told.wrong.push(`a full disk is told as: ${rule.failed.why}`);
    if (last !== null && rule.last?.name !== last.name) told.wrong.push('the last good copy is forgotten');
  }
  // the last good one is there and opens
  const { status, body } = await ask(sledge.url, 'GET', `/api/archive/copies/${encodeURIComponent(last?.name ?? '')}`);
  if (status !== 200 || !String(body).startsWith('SQLite format 3'))
    told.wrong.push(`the last good copy answers with ${status}`);
  const lost = holds(await shelfOf(sledge.url), lines);
  if (lost > 0) told.wrong.push(`${lost} lines are not as they were answered`);
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}

export async function fullDisk(seed, count) {
  const chance = chanceOf(seed);
  const told = { kept: 0, full: 0, wrong: [] };
  const probe = mkdtempSync(join(tmpdir(), 'sledge-full-'));
  const can = possible(probe);
  rmSync(probe, { recursive: true });
  if (can) await copiesOnFullDisk(chance, count, told);
  return {
    title: can ? `A full disk while copies are kept, seed ${seed}` : 'A full disk: not possible to try on this machine',
    figures: [
      { what: 'copies kept', value: told.kept },
      { what: 'copies that found the disk full', value: told.full },
      { what: 'what was lost, or told wrongly', value: told.wrong.length, most: 0 },
    ],
    details: told.wrong,
  };
}
