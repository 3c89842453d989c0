import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { request, type RequestOptions } from 'node:https';
import { connect } from 'node:tls';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { CHANGE_HEADER, type MeAnswer, type NetworkAnswer, type Problem } from '#contract';
import { serve, type Running } from '../src/app.js';
import { certificateIn } from '../src/network/certificate.js';
import { Codes } from '../src/network/codes.js';
import { mayAsk } from '../src/network/rights.js';
import { readWords, sixWords } from '../src/network/words.js';
import { line } from './api.js';

const HOST = '127.0.0.2';
const folder = mkdtempSync(join(tmpdir(), 'sledge-network-'));
const file = join(folder, 'sledge.db');
let running: Running;
const open = async (): Promise<void> => {
  running = await serve(file, 0, { host: HOST, port: 0, fixed: false });
};
beforeAll(open);
afterAll(async () => {
  await running.app.close();
  rmSync(folder, { recursive: true });
});

interface Heard {
  readonly status: number;
  readonly headers: Record<string, string | readonly string[] | undefined>;
  readonly text: string;
  readonly body: unknown;
}

function hear(send: typeof request, options: RequestOptions, body?: unknown): Promise<Heard> {
  return new Promise((resolve, reject) => {
    const sent = send({ rejectUnauthorized: false, agent: false, ...options }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => (text += chunk.toString()));
      response.on('end', () => {
        const json = /json/.test(response.headers['content-type'] ?? '');
        resolve({
          ...{ status: response.statusCode ?? 0, headers: response.headers, text },
          body: json ? (JSON.parse(text) as unknown) : undefined,
        });
      });
    });
    sent.on('error', reject);
    sent.end(body === undefined ? undefined : JSON.stringify(body));
  });
}

/** The computer itself. */
async function here<T = NetworkAnswer>(method: string, path: string, body?: unknown): Promise<T> {
  const answer = await fetch(`http://127.0.0.1:${running.port}${path}`, {
    method,
    headers: { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  return (await answer.json()) as T;
}

const portOf = async (): Promise<number> =>
  Number(new URL((await here('GET', '/api/network')).addresses[0] ?? '').port);

/** Somebody on the network; `cookie`: its session. */
async function there(
  method: string,
  path: string,
  { body, cookie, headers }: { body?: unknown; cookie?: string; headers?: Record<string, string> } = {},
): Promise<Heard> {
  const port = await portOf();
  return hear(
    request,
    {
      ...{ host: HOST, port, method, path, servername: '' },
      headers: {
        host: `${HOST}:${port}`,
        'content-type': 'application/json',
        [CHANGE_HEADER]: randomUUID(),
        ...(cookie === undefined ? {} : { cookie }),
        ...headers,
      },
    },
    body,
  );
}

/** A device let in. @returns its cookie */
async function letIn(name: string, rights: 'all' | 'bench' = 'all'): Promise<string> {
  const { code } = await here('POST', '/api/network/code', { rights });
  const words = code?.words.join(' ') ?? '';
  const answer = await there('POST', '/api/network/in', { body: { words, name } });
  expect(answer.status).toBe(204);
  const [cookie = ''] = answer.headers['set-cookie'] as readonly string[];
  expect(cookie).toMatch(/^__Host-sledge=[\w-]{40,};.*Path=\/;.*HttpOnly; Secure; SameSite=Strict$/);
  return cookie.split(';')[0] ?? '';
}

test('it is off until it is switched on, and off again when it is switched off', async () => {
  expect(await here('GET', '/api/network')).toMatchObject({ on: false, addresses: [], code: null, fingerprint: null });
  const on = await here('PUT', '/api/network', { on: true });
  expect(on).toMatchObject({ on: true, failed: null, devices: [] });
  expect(on.fingerprint).toMatch(/^([0-9A-F]{2}:){31}[0-9A-F]{2}$/);
  const port = await portOf();
  expect((await here('PUT', '/api/network', { on: false })).addresses).toEqual([]);
  await expect(hear(request, { host: HOST, port, path: '/' })).rejects.toThrow(/ECONNREFUSED/);
  await here('PUT', '/api/network', { on: true });
});

test('its certificate is made once, has the fingerprint that is shown, and its key is for nobody else', async () => {
  const { fingerprint } = await here('GET', '/api/network');
  const port = await portOf();
  const seen = await new Promise<string>((resolve, reject) => {
    const socket = connect({ host: HOST, port, rejectUnauthorized: false }, () => {
      resolve(socket.getPeerCertificate().fingerprint256);
      socket.destroy();
    });
    socket.on('error', reject);
  });
  expect(seen).toBe(fingerprint);
  const kept = join(folder, 'network');
  expect(statSync(join(kept, 'key.pem')).mode & 0o077).toBe(0);
  expect((await certificateIn(kept, [HOST])).fingerprint).toBe(fingerprint);
  // shortly before it ends another one is made
  const soon = new Date(Date.now() + 800 * 86_400_000);
  const another = mkdtempSync(join(tmpdir(), 'sledge-cert-'));
  const first = await certificateIn(another, [HOST]);
  expect((await certificateIn(another, [HOST], soon)).fingerprint).not.toBe(first.fingerprint);
  rmSync(another, { recursive: true });
});

test('before it is let in a device is told nothing', async () => {
  const page = await there('GET', '/shelf');
  expect([page.status, page.text.includes('six words'), page.text.includes('assets/')]).toEqual([200, true, false]);
  for (const path of ['/api/shelf', '/api/network', '/api/network/me', '/api/health', '/api/events', '/api/nowhere']) {
    const answer = await there('GET', path);
    expect([path, answer.status, (answer.body as Problem).detail]).toEqual([path, 401, 'This device is not let in.']);
  }
  expect((await there('PUT', '/api/network', { body: { on: false } })).status).toBe(401);
  expect((await there('GET', '/assets/index.js')).text).toContain('six words');
});

test('plain HTTP is sent to where it is safe, and told nothing else', async () => {
  const port = await portOf();
  const answer = await hear(plainRequest as typeof request, {
    ...{ host: HOST, port, path: '/bench?x=1', headers: { host: `${HOST}:${port}` } },
  });
  expect([answer.status, answer.headers.location, answer.text]).toEqual([301, `https://${HOST}:${port}/bench?x=1`, '']);
});

test('foreign hosts and foreign pages are refused, also with a session', async () => {
  const cookie = await letIn('Tablet');
  const port = await portOf();
  for (const headers of [
    { host: `kitchen.example:${port}` },
    { host: `127.0.0.1:${port}` },
    { origin: 'https://kitchen.example' },
    { origin: `http://${HOST}:${port}` },
    { 'sec-fetch-site': 'cross-site' },
  ] as Record<string, string>[]) {
    expect([headers, (await there('GET', '/api/shelf', { cookie, headers })).status]).toEqual([headers, 403]);
  }
  const own = { origin: `https://${HOST}:${port}`, 'sec-fetch-site': 'same-origin' };
  expect((await there('GET', '/api/shelf', { cookie, headers: own })).status).toBe(200);
});

test('a code lets in one device, once', async () => {
  const { code } = await here('POST', '/api/network/code', { rights: 'all' });
  const words = code?.words ?? [];
  const typed = words.map((word) => word.slice(0, 4).toUpperCase()).join(', ');
  const first = await there('POST', '/api/network/in', { body: { words: typed, name: 'Phone' } });
  const second = await there('POST', '/api/network/in', { body: { words: words.join(' '), name: 'Another' } });
  expect([first.status, second.status]).toEqual([204, 403]);
  const { devices, code: left } = await here('GET', '/api/network');
  expect([devices.map((d) => d.name), left]).toEqual([['Tablet', 'Phone'], null]);
  // what is kept of a session cannot be used as one
  const book = readFileSync(join(folder, 'network', 'devices.json'), 'utf8');
  const session = String((first.headers['set-cookie'] as readonly string[])[0]).split(/[=;]/)[1] ?? '';
  expect(book).toContain('hash');
  expect(book).not.toContain(session);
});

test('what is no six words is said, and not counted', async () => {
  const before = (await here('GET', '/api/network')).wrong;
  const answer = await there('POST', '/api/network/in', { body: { words: 'beet root carrot', name: 'Phone' } });
  expect([answer.status, (answer.body as Problem).fields?.[0]?.field]).toEqual([422, 'words']);
  expect((await here('GET', '/api/network')).wrong).toBe(before);
});

test('a device does what it may, and nothing that is done at the computer only', async () => {
  const [all, bench] = [await letIn('Large tablet'), await letIn('Helper', 'bench')];
  const me = async (cookie: string): Promise<MeAnswer> =>
    (await there('GET', '/api/network/me', { cookie })).body as MeAnswer;
  expect([await me(all), await me(bench), await here<MeAnswer>('GET', '/api/network/me')]).toEqual([
    { here: false, name: 'Large tablet', rights: 'all' },
    { here: false, name: 'Helper', rights: 'bench' },
    { here: true, name: null, rights: 'all' },
  ]);
  const dto = line('Kitchen line');
  const put = (cookie: string, body: object): Promise<Heard> => there('PUT', `/api/lines/${dto.id}`, { cookie, body });
  expect((await put(bench, dto)).status).toBe(403);
  expect((await put(all, dto)).status).toBe(200);
  for (const cookie of [all, bench]) {
    const asked = await Promise.all(
      [
        ['GET', '/api/network'],
        ['POST', '/api/network/code'],
        ['POST', '/api/archive/copies'],
        ['POST', '/API/Archive/take-up/'],
        ['GET', '/api/archive/copies/x'],
        ['POST', '/api/garden'],
      ].map(([method = '', path = '']) => there(method, path, { cookie, body: {} })),
    );
    expect(asked.map((a) => a.status)).toEqual([403, 403, 403, 403, 403, 403]);
  }
  // what another did is not taken back from there
  const undo = (expects: string | null): Promise<Heard> =>
    there('POST', '/api/undo', { cookie: bench, body: { expects } });
  const { undo: last } = await here<{ undo: { id: string } | null }>('GET', '/api/changes');
  expect([(await undo(last?.id ?? '')).status, (await undo(null)).status]).toEqual([403, 403]);
  expect((await there('GET', '/api/mixes', { cookie: bench })).status).toBe(403);
  expect((await there('GET', '/api/batches', { cookie: bench })).status).toBe(200);
});

test('one that is shut out is out at once, also with its stream open', async () => {
  const cookie = await letIn('Lost phone');
  const port = await portOf();
  const ended = new Promise<void>((resolve) => {
    const stream = request(
      {
        ...{ host: HOST, port, path: '/api/events', rejectUnauthorized: false, agent: false },
        headers: { host: `${HOST}:${port}`, cookie },
      },
      (response) => {
        response.once('data', () => {
          void here('GET', '/api/network').then(({ devices }) => {
            const device = devices.find((d) => d.name === 'Lost phone');
            expect(device?.there).toBe(true);
            return here('DELETE', `/api/network/devices/${device?.id ?? ''}`);
          });
        });
        response.once('close', resolve);
      },
    );
    stream.on('error', () => {
      resolve();
    });
    stream.end();
  });
  await ended;
  const after = await there('GET', '/api/shelf', { cookie });
  expect([after.status, String(after.headers['set-cookie'])]).toEqual([401, expect.stringMatching(/__Host-sledge=;/)]);
});

test('who was let in stays so when Sledge is started anew; a code does not', async () => {
  const cookie = await letIn('Old tablet');
  await here('POST', '/api/network/code', { rights: 'all' });
  await running.app.close();
  await open();
  expect(await here('GET', '/api/network')).toMatchObject({ on: true, code: null });
  expect((await there('GET', '/api/shelf', { cookie })).status).toBe(200);
});

test('a thousand wrong codes: none gets in, and the right one does after the wait', async () => {
  const { code } = await here('POST', '/api/network/code', { rights: 'all' });
  let [refusedOnes, waited] = [0, 0];
  for (let batch = 0; batch < 20; batch += 1) {
    const answers = await Promise.all(
      Array.from({ length: 50 }, () =>
        there('POST', '/api/network/in', { body: { words: sixWords().join(' '), name: 'Nobody' } }),
      ),
    );
    refusedOnes += answers.filter((a) => a.status === 403).length;
    waited += answers.filter((a) => a.status === 429).length;
  }
  expect(refusedOnes + waited).toBe(1000);
  expect(waited).toBeGreaterThan(900);
  const body = { words: code?.words.join(' ') ?? '', name: 'Right one' };
  let right = await there('POST', '/api/network/in', { body });
  const since = Date.now();
  while (right.status === 429 && Date.now() - since < 70_000) {
    await new Promise((resolve) => setTimeout(resolve, 500));
    right = await there('POST', '/api/network/in', { body });
  }
  expect(right.status).toBe(204);
  const names = (await here('GET', '/api/network')).devices.map((d) => d.name);
  expect([names.includes('Nobody'), names.includes('Right one')]).toEqual([false, true]);
}, 120_000);

describe('codes', () => {
  const now = Date.parse('2026-11-29T10:00:00Z');

  test('one is good for five minutes, and a new one takes the place of the one before', () => {
    const codes = new Codes();
    const old = codes.make('all', now);
    expect(codes.try(old.words, 'a', now + 300_000)).toEqual({ in: null, wait: 0 });
    const [first, second] = [codes.make('all', now), codes.make('bench', now)];
    expect(codes.try(first.words, 'b', now)).toMatchObject({ in: null });
    expect(codes.try(second.words, 'c', now + 299_999)).toEqual({ in: 'bench' });
  });

  test('each wrong one after the fifth doubles the wait, up to a minute; tries meanwhile make it no longer', () => {
    const codes = new Codes();
    codes.make('all', now);
    const waits: number[] = [];
    let at = now;
    for (let i = 0; i < 14; i += 1) {
      const tried = codes.try(sixWords(), 'a', at);
      const wait = tried.in === null ? tried.wait : 0;
      waits.push(wait);
      expect(codes.try(sixWords(), 'a', at + 1)).toMatchObject({ in: null });
      at += wait * 1000 + 10;
    }
    expect(Math.max(...waits)).toBe(60);
    expect(waits.slice(0, 3)).toEqual([0, 0, 1]);
    // others do not wait
    expect(codes.waits('b', at)).toBe(0);
  });

  test('six words are read as they are typed, and each differs from all others', () => {
    for (let i = 0; i < 300; i += 1) {
      const words = sixWords();
      expect(readWords(words.map((w) => ` ${w.slice(0, 4).toUpperCase()}-`).join(''))).toEqual(words);
    }
    expect(() => readWords('abandon ability able about above')).toThrow('here are 5');
    expect(() => readWords('abandonn ability able about above absent')).toThrow('“abandonn” is none of the words');
  });
});

test('rights read an address as the server does', () => {
  expect(mayAsk('bench', 'GET', '/api/shelf/list')).toBe(false);
  expect(mayAsk('bench', 'GET', '/api/shelf')).toBe(true);
  expect(mayAsk('bench', 'POST', '/api/batches/x/done')).toBe(true);
  expect(mayAsk('bench', 'DELETE', '/api/batches/x')).toBe(false);
  expect(mayAsk('all', 'POST', '/api/archive')).toBe(false);
  expect(mayAsk('all', 'GET', '/api/archive')).toBe(true);
  expect(mayAsk('bench', 'GET', '/bench')).toBe(true);
});
