// Eight clients on a large database for a minute.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chanceOf } from './chance.mjs';
import { CHANGE, up } from './sledge.mjs';

const CLIENTS = 8;
const WORDS = ['beet', 'leek', 'squash dro', 'pendant', 'romanesco', 'swede bead', 'cabbage carrot', 'radish'];

/** @param seconds how long @returns a table */
export async function load(seed, seconds) {
  const { fill, MIXES, ENTRIES } = await import('../../dist/server/bench/fill.js');
  const chance = chanceOf(seed);
  const folder = mkdtempSync(join(tmpdir(), 'sledge-load-'));
  const { mixIds, clayIds, entryIds } = await fill(join(folder, 'sledge.db'), chance.next);
  const sledge = await up(folder);
  const { port } = new URL(sledge.url);
  const agent = new Agent({ keepAlive: true, maxSockets: CLIENTS });
  const ask = (method, path, body) =>
    new Promise((resolve, reject) => {
      const sent = request(
        {
          host: '127.0.0.1',
          port,
          agent,
          method,
          path,
          headers: { 'content-type': 'application/json', [CHANGE]: crypto.randomUUID() },
        },
        (response) => {
          let text = '';
          response.on('data', (chunk) => {
            text += chunk;
          });
          response.on('end', () => {
            resolve({ status: response.statusCode, text });
          });
        },
      );
      sent.on('error', reject);
      sent.end(body === undefined ? undefined : JSON.stringify(body));
    });
  const times = [];
  let faults = 0;
  let most = 0;
  const memory = () =>
    Number(
      spawnSync('ps', ['-o', 'rss=', '-p', String(sledge.child.pid)])
        .stdout.toString()
        .trim(),
    ) / 1024;
  const page = (of) => `offset=${Math.floor((chance.next() * of) / 60) * 60}&limit=60`;
  const reads = [
    () => `/api/mixes?sort=${chance.pick(['hue', 'name', 'newest'])}&${page(MIXES)}`,
    () => `/api/diary?${page(ENTRIES)}`,
    () => `/api/mixes?search=${encodeURIComponent(chance.pick(WORDS))}&limit=60`,
    () => `/api/diary?search=${encodeURIComponent(chance.pick(WORDS))}&limit=60`,
    () => `/api/mixes/${chance.pick(mixIds)}`,
    () => `/api/diary/${chance.pick(entryIds)}`,
    () => '/api/shelf',
    () => '/api/changes',
  ];
  const timed = async (...of) => {
    const began = performance.now();
    const answer = await ask(...of);
    times.push(performance.now() - began);
    if (answer.status >= 500) faults += 1;
    return answer;
  };
  for (let i = 0; i < 40; i++) await ask('GET', chance.pick(reads)());
  const end = performance.now() + seconds * 1000;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, client) => {
      for (let n = 0; performance.now() < end; n++) {
        if (chance.often(0.85)) {
          await timed('GET', chance.pick(reads)());
          continue;
        }
        // each client saves mixes of its own
        const mix = JSON.parse((await ask('GET', `/api/mixes/${mixIds[(n * CLIENTS + client) % mixIds.length]}`)).text);
        await timed('PUT', `/api/mixes/${mix.id}`, {
          id: mix.id,
          version: mix.version,
          name: mix.name,
          note: '',
          retired: false,
          basis: 'volume',
          ingredients: [{ parts: String(1 + (n % 9)), of: { kind: 'clay', id: chance.pick(clayIds) } }],
        });
        if (n % 50 === 0) most = Math.max(most, memory());
      }
    }),
  );
  most = Math.max(most, memory());
  agent.destroy();
  await sledge.end('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
  times.sort((a, b) => a - b);
  const at = (share) => Math.round(times[Math.floor(share * (times.length - 1))] * 10) / 10;
  return {
    title:
      `${CLIENTS} clients on ${MIXES.toLocaleString('en')} mixes and ${ENTRIES.toLocaleString('en')} ` +
      `entries for ${seconds} s, seed ${seed}`,
    figures: [
      { what: 'requests', value: times.length },
      { what: 'p50, ms', value: at(0.5) },
      { what: 'p99, ms', value: at(0.99), most: 150 },
      { what: 'slowest, ms', value: at(1) },
      { what: 'memory at most, MB', value: Math.round(most), most: 250 },
      { what: '500 and above', value: faults, most: 0 },
    ],
    details: [],
  };
}
