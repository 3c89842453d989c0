import { request } from 'node:http';
import { CHANGE_HEADER, type Problem } from '#contract';
import { Api, line } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
});
afterAll(() => api.close());

interface Raw {
  readonly status: number;
  readonly type: string;
  readonly text: string;
}

/** A request with headers that a browser's fetch would not let through. */
function raw(path: string, headers: Record<string, string>, method = 'GET', body = ''): Promise<Raw> {
  return new Promise((resolve, reject) => {
    const sent = request({ host: '127.0.0.1', port: api.running.port, path, method, headers }, (response) => {
      let text = '';
      response.on('data', (chunk: Buffer) => {
        text += chunk.toString();
      });
      response.on('end', () => {
        resolve({ status: response.statusCode ?? 0, type: response.headers['content-type'] ?? '', text });
      });
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

test('health answers', async () => {
  expect((await api.get('/api/health')).body).toEqual({ status: 'ok' });
});

test.each([
  [{ host: 'sledge.example' }],
  [{ host: '127.0.0.1:1' }],
  [{ host: 'localhost.example:5417' }],
  [{ origin: 'http://kitchen.example' }],
  [{ origin: 'null' }],
  [{ origin: 'https://127.0.0.1' }],
])('a foreign address is refused: %p', async (headers) => {
  const answer = await raw('/api/health', headers);
  expect([answer.status, answer.type.startsWith('application/problem+json')]).toEqual([403, true]);
  expect((JSON.parse(answer.text) as Problem).detail).toMatch(/only to its own pages/);
});

test('its own pages are let in by either name', async () => {
  for (const name of ['127.0.0.1', 'localhost']) {
    const own = `${name}:${api.running.port}`;
    expect((await raw('/api/health', { host: own, origin: `http://${own}` })).status).toBe(200);
  }
});

test('a body that is too large, or no JSON, is refused in a sentence and nothing is saved', async () => {
  const dto = line('Heavy');
  const large = await api.ask<Problem>('PUT', `/api/lines/${dto.id}`, { ...dto, name: 'x'.repeat(1_100_000) });
  expect([large.status, large.body.title]).toEqual([413, 'Too much at once']);
  const broken = await api.ask<Problem>('PUT', `/api/lines/${dto.id}`, '{"name":');
  expect([broken.status, broken.body.detail]).toEqual([400, 'What was sent cannot be read as JSON.']);
  expect((await api.get<{ lines: unknown[] }>('/api/shelf')).body.lines).toEqual([]);
});

test('a change without an id of its own, and an address that speaks of another thing, are refused', async () => {
  const dto = line('Nameless');
  const headers = { 'content-type': 'application/json', host: `127.0.0.1:${api.running.port}` };
  expect((await raw(`/api/lines/${dto.id}`, headers, 'PUT', JSON.stringify(dto))).status).toBe(400);
  expect(
    (await raw(`/api/lines/${dto.id}`, { ...headers, [CHANGE_HEADER]: 'x' }, 'PUT', JSON.stringify(dto))).status,
  ).toBe(400);
  expect((await api.ask<Problem>('PUT', `/api/lines/${line('y').id}`, dto)).body.detail).toMatch(/different things/);
});

test('what is not there is said as a problem', async () => {
  const gone = await api.get<Problem>('/api/nowhere');
  expect([gone.status, gone.type.startsWith('application/problem+json'), gone.body.detail]).toEqual([
    404,
    true,
    'There is nothing at this address.',
  ]);
});
