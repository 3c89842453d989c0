import { ofClay } from '#core/material';
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHANGE_HEADER, type MixAnswer, type MixDto } from '#contract';
import { projectRoot } from '../src/db/root.js';
import { PICTURED, VAST, fill, type Filled, type Size } from './fill.js';

/** Times of one kind of request, in milliseconds, round by round. */
export interface Times {
  readonly what: string;
  readonly rounds: readonly (readonly number[])[];
}
export interface Load extends Size {
  readonly kinds: readonly Times[];
  readonly requests: number;
  readonly megabytes: number;
}

const CONNECTIONS = 8;
const PER_KIND = 400;
const ROUNDS = 3;
const REQUESTS = 10_000;
const WORDS = ['beet', 'leek', 'squash dro', 'pendant', 'romanesco', 'swede bead', 'cabbage carrot', 'radish'];

interface Child {
  readonly child: ChildProcess;
  readonly port: number;
}

/** What `npm start` gives to Node: flags, and the script. */
function startWords(): string[] {
  const text = readFileSync(join(projectRoot(), 'package.json'), 'utf8');
  const { scripts } = JSON.parse(text) as { readonly scripts: { readonly start: string } };
  return scripts.start.split(' ').slice(1);
}

/** Starts Sledge as `npm start` does, on a folder. */
export function started(data: string): Promise<Child> {
  const child = spawn(process.execPath, startWords(), {
    cwd: projectRoot(),
    env: { ...process.env, SLEDGE_DATA: data, SLEDGE_PORT: '0' },
  });
  return new Promise((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const found = /127\.0\.0\.1:(\d+)/.exec(text);
      if (found) resolve({ child, port: Number(found[1]) });
    });
    child.on('exit', () => {
      reject(new Error(text));
    });
  });
}

export const ended = (child: ChildProcess): Promise<void> =>
  new Promise((resolve) => {
    child.on('exit', () => {
      resolve();
    });
    child.kill();
  });

function ask(agent: Agent, port: number, method: string, path: string, body?: unknown): Promise<string> {
  return new Promise((resolve, reject) => {
    const headers = { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() };
    const sent = request({ host: '127.0.0.1', port, agent, method, path, headers }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => {
        text += chunk.toString();
      });
      response.on('end', () => {
        if (response.statusCode === 200) resolve(text);
        else reject(new Error(`${method} ${path}: ${response.statusCode ?? 0} ${text}`));
      });
    });
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

/** Colours that are looked for: as vegetables have them. */
const COLOURS: readonly string[] = ['7B1E4B', '4E7A33', 'E08A1E', 'F1EEE4', '2B2B2B', 'C23B5A', 'D8C04A', '6A4A8C'];

/** `prepare` reads what the requests from `from` to `to` need, before the clock runs. */
interface Kind {
  readonly prepare?: (agent: Agent, port: number, from: number, to: number) => Promise<void>;
  readonly request: (agent: Agent, port: number, i: number) => Promise<unknown>;
}

/** How long each kind of request takes, when eight connections ask at once. */
function kindsOf({ mixIds, clayIds, entryIds }: Filled, random: () => number): Readonly<Record<string, Kind>> {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const get = (path: () => string): Kind => ({ request: (agent, port) => ask(agent, port, 'GET', path()) });
  const read = new Map<number, MixAnswer>();
  const page = (most: number): string => `offset=${Math.floor((random() * most) / 60) * 60}&limit=60`;
  return {
    'health, as a baseline': get(() => '/api/health'),
    'list of mixes': get(() => `/api/mixes?sort=${pick(['hue', 'name', 'newest'])}&${page(mixIds.length)}`),
    'list of the diary': get(() => `/api/diary?${page(entryIds.length)}`),
    'search in mixes': get(() => `/api/mixes?search=${encodeURIComponent(pick(WORDS))}&limit=60`),
    'search in the diary': get(() => `/api/diary?search=${encodeURIComponent(pick(WORDS))}&limit=60`),
    'made near a colour': get(() => `/api/diary?near=${pick(COLOURS)}&limit=60`),
    'wall of photographs': get(() => `/api/diary/wall?${page(entryIds.length)}`),
    'open a mix': get(() => `/api/mixes/${pick(mixIds)}`),
    'open an entry': get(() => `/api/diary/${pick(entryIds)}`),
    // each request saves a mix of its own, so that none is refused for another's
    'save a mix': {
      prepare: async (agent, port, from, to) => {
        for (let i = from; i < to; i++)
          read.set(i, JSON.parse(await ask(agent, port, 'GET', `/api/mixes/${mixIds[i] ?? ''}`)) as MixAnswer);
      },
      request: (agent, port, i) => {
        const mix = read.get(i);
        if (!mix) throw new Error('This mix was not read.');
        const dto: MixDto = {
          id: mix.id,
          version: mix.version,
          name: mix.name,
          note: '',
          retired: false,
          basis: 'volume',
          ingredients: [{ parts: String(1 + (i % 9)), of: ofClay(pick(clayIds)) }],
        };
        return ask(agent, port, 'PUT', `/api/mixes/${mix.id}`, dto);
      },
    },
  };
}

async function under8(kind: Kind, agent: Agent, port: number, count: number, from: number): Promise<number[]> {
  const times: number[] = [];
  let next = from;
  await kind.prepare?.(agent, port, from, from + count);
  await Promise.all(
    Array.from({ length: CONNECTIONS }, async () => {
      while (next < from + count) {
        const start = performance.now();
        await kind.request(agent, port, next++);
        times.push(performance.now() - start);
      }
    }),
  );
  return times;
}

const rssOf = (pid: number): number =>
  Number(
    spawnSync('ps', ['-o', 'rss=', '-p', String(pid)])
      .stdout.toString()
      .trim(),
  ) / 1024;

/** What is asked of a diary, with its photographs. */
function diaryKinds({ entryIds, pictureIds }: Filled, random: () => number): Readonly<Record<string, Kind>> {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const get = (path: () => string): Kind => ({ request: (agent, port) => ask(agent, port, 'GET', path()) });
  const page = (most: number): string => `offset=${Math.floor((random() * most) / 60) * 60}&limit=60`;
  return {
    'health, as a baseline': get(() => '/api/health'),
    'list of the diary': get(() => `/api/diary?${page(entryIds.length)}`),
    'search by a word': get(() => `/api/diary?search=${encodeURIComponent(pick(WORDS))}&limit=60`),
    'search by a colour': get(() => `/api/diary?near=${pick(COLOURS)}&limit=60`),
    'by a word and a colour': get(() => `/api/diary?search=${pick(['beet', 'leek'])}&near=${pick(COLOURS)}&limit=60`),
    'wall of photographs': get(() => `/api/diary/wall?${page(pictureIds.length)}`),
    'a small photograph': get(() => `/api/pictures/${pick(pictureIds)}?size=small`),
    'a large photograph': get(() => `/api/pictures/${pick(pictureIds)}`),
    'open an entry': get(() => `/api/diary/${pick(entryIds)}`),
    'its descent': get(() => `/api/diary/${pick(entryIds)}/descent`),
    'month by month': get(() => '/api/diary/months'),
  };
}

type Kinds = (filled: Filled, random: () => number) => Readonly<Record<string, Kind>>;

/** The diary of some years with its photographs. */
export const diaryLoad = (random: () => number): Promise<Load> => loadOf(random, PICTURED, diaryKinds);

/** The API of a filled database under eight connections, and the memory of the server after 10,000 requests. */
export const load = (random: () => number): Promise<Load> => loadOf(random, VAST, kindsOf);

async function loadOf(random: () => number, size: Size, kindsOfRequests: Kinds): Promise<Load> {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-bench-'));
  const filled = await fill(join(folder, 'sledge.db'), random, size);
  const { child, port } = await started(folder);
  const agent = new Agent({ keepAlive: true, maxSockets: CONNECTIONS });
  try {
    const kinds = Object.entries(kindsOfRequests(filled, random));
    for (const [, kind] of kinds) await under8(kind, agent, port, 40, 0);
    const measured: Times[] = [];
    let at = 40;
    let sent = kinds.length * at;
    const rounds: number[][][] = kinds.map(() => []);
    for (let round = 0; round < ROUNDS || sent < REQUESTS; round++) {
      for (const [k, [, kind]] of kinds.entries()) rounds[k]?.push(await under8(kind, agent, port, PER_KIND, at));
      at += PER_KIND;
      sent += kinds.length * PER_KIND;
    }
    kinds.forEach(([what], k) => {
      measured.push({ what, rounds: rounds[k] ?? [] });
    });
    return { kinds: measured, requests: sent, megabytes: rssOf(child.pid ?? 0), ...size };
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
