import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHANGE_HEADER, type MixAnswer, type MixDto } from '#contract';
import { projectRoot } from '../src/db/root.js';
import { ENTRIES, MIXES, fill, type Filled } from './fill.js';

/** Times of one kind of request, in milliseconds. */
export interface Times { readonly what: string; readonly times: readonly number[] }
export interface Load { readonly kinds: readonly Times[]; readonly requests: number; readonly megabytes: number; readonly mixes: number; readonly entries: number }

const CONNECTIONS = 8;
const PER_KIND = 400;
const REQUESTS = 10_000;
const WORDS = ['beet', 'leek', 'squash dro', 'pendant', 'romanesco', 'swede bead', 'cabbage carrot', 'radish'];

interface Child { readonly child: ChildProcess; readonly port: number }

/** Starts Sledge as `npm start` does, on a folder. */
export function started(data: string): Promise<Child> {
  const child = spawn(process.execPath, [join(projectRoot(), 'scripts', 'start.mjs')], { env: { ...process.env, SLEDGE_DATA: data, SLEDGE_PORT: '0' } });
  return new Promise((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const found = /127\.0\.0\.1:(\d+)/.exec(text);
      if (found) resolve({ child, port: Number(found[1]) });
    });
    child.on('exit', () => { reject(new Error(text)); });
  });
}

export const ended = (child: ChildProcess): Promise<void> => new Promise((resolve) => {
  child.on('exit', () => { resolve(); });
  child.kill();
});

function ask(agent: Agent, port: number, method: string, path: string, body?: unknown): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() };
    const sent = request({ host: '127.0.0.1', port, agent, method, path, headers }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => { text += chunk.toString(); });
      response.on('end', () => {
        if (response.statusCode === 200) resolve(text);
        else reject(new Error(`${method} ${path}: ${response.statusCode ?? 0} ${text}`));
      });
    });
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

type Kind = (agent: Agent, port: number, i: number) => Promise<number>;

/** How long each kind of request takes, when eight connections ask at once. */
function kindsOf({ mixIds, clayIds, entryIds }: Filled, random: () => number): Readonly<Record<string, Kind>> {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const timed = async (work: () => Promise<unknown>): Promise<number> => {
    const start = performance.now();
    await work();
    return performance.now() - start;
  };
  const get = (path: () => string): Kind => (agent, port) => timed(() => ask(agent, port, 'GET', path()));
  const page = (most: number): string => `offset=${Math.floor((random() * most) / 60) * 60}&limit=60`;
  return {
    'list of mixes': get(() => `/api/mixes?sort=${pick(['hue', 'name', 'newest'])}&${page(MIXES)}`),
    'list of the diary': get(() => `/api/diary?${page(ENTRIES)}`),
    'search in mixes': get(() => `/api/mixes?search=${encodeURIComponent(pick(WORDS))}&limit=60`),
    'search in the diary': get(() => `/api/diary?search=${encodeURIComponent(pick(WORDS))}&limit=60`),
    'open a mix': get(() => `/api/mixes/${pick(mixIds)}`),
    'open an entry': get(() => `/api/diary/${pick(entryIds)}`),
    // each connection has mixes of its own, so that no save is refused for another's
    'save a mix': async (agent, port, i) => {
      const mix = JSON.parse(await ask(agent, port, 'GET', `/api/mixes/${mixIds[i] ?? ''}`)) as MixAnswer;
      const dto: MixDto = {
        id: mix.id, version: mix.version, name: mix.name, note: '', retired: false, basis: 'volume',
        ingredients: [{ parts: String(1 + (i % 9)), clayId: pick(clayIds), revisionId: null }],
      };
      return timed(() => ask(agent, port, 'PUT', `/api/mixes/${mix.id}`, dto));
    },
  };
}

async function under8(kind: Kind, agent: Agent, port: number, count: number, from: number): Promise<number[]> {
  const times: number[] = [];
  let next = from;
  await Promise.all(Array.from({ length: CONNECTIONS }, async () => {
    while (next < from + count) times.push(await kind(agent, port, next++));
  }));
  return times;
}

const rssOf = (pid: number): number => Number(spawnSync('ps', ['-o', 'rss=', '-p', String(pid)]).stdout.toString().trim()) / 1024;

/** The API of a filled database under eight connections, and the memory of the server after 10,000 requests. */
export async function load(random: () => number): Promise<Load> {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-bench-'));
  const filled = await fill(join(folder, 'sledge.db'), random);
  const { child, port } = await started(folder);
  const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
  try {
    const kinds = Object.entries(kindsOf(filled, random));
    for (const [, kind] of kinds) await under8(kind, agent, port, 40, 0);
    const measured: Times[] = [];
    for (const [what, kind] of kinds) measured.push({ what, times: await under8(kind, agent, port, PER_KIND, 40) });
    let sent = kinds.length * (PER_KIND + 40);
    for (let round = 0; sent < REQUESTS; round++) {
      for (const [, kind] of kinds) {
        await under8(kind, agent, port, 120, 40 + PER_KIND + round * 120);
        sent += 120;
      }
    }
    return { kinds: measured, requests: sent, megabytes: rssOf(child.pid ?? 0), mixes: MIXES, entries: ENTRIES };
  } finally {
    agent.destroy();
    await ended(child);
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Milliseconds from `npm start` on an empty folder to the first answer. */
export async function coldStart(): Promise<number> {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-cold-'));
  const start = performance.now();
  const { child, port } = await started(folder);
  await ask(new Agent(), port, 'GET', '/api/health');
  const taken = performance.now() - start;
  await ended(child);
  rmSync(folder, { recursive: true, force: true });
  return taken;
}
