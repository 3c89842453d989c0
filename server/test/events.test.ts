import { randomUUID } from 'node:crypto';
import type { Problem, StreamSays } from '#contract';
import { Api, line } from './api.js';

let api: Api;
beforeAll(async () => {
  api = await Api.open();
});
afterAll(() => api.close());

/** Listens on the one stream until `enough`; `then` is called after each thing that is said. */
async function listen(
  enough: (heard: readonly StreamSays[]) => boolean,
  then: (heard: readonly StreamSays[]) => Promise<unknown>,
): Promise<StreamSays[]> {
  const stop = new AbortController();
  const response = await fetch(`http://127.0.0.1:${api.running.port}/api/events`, { signal: stop.signal });
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  const heard: StreamSays[] = [];
  let text = '';
  while (!enough(heard)) {
    const { value } = await (reader as NonNullable<typeof reader>).read();
    text += value ?? '';
    const events = text.split('\n\n');
    text = events.pop() ?? '';
    for (const event of events) {
      const data = /^data: (.*)$/m.exec(event)?.[1];
      if (!data) continue;
      heard.push(JSON.parse(data) as StreamSays);
      await then(heard);
    }
  }
  stop.abort();
  return heard;
}

test('every change is told with the id that it came with, also when it is taken back', async () => {
  const [change, back] = [randomUUID(), randomUUID()];
  const heard = await listen(
    (h) => h.length === 3,
    async (h) => {
      if (h.length === 1) await api.put('lines', line('Brook Soft'), change);
      if (h.length === 2) await api.ask('POST', '/api/undo', { expects: change }, back);
    },
  );
  expect(heard).toEqual([
    { of: 'sledge', start: expect.any(String) as string },
    { of: 'change', change },
    { of: 'change', change: back },
  ]);
});

test('all devices speak on it; one that loses its connection says so and comes back by itself', async () => {
  expect((await api.ask('POST', '/api/devices/kettle/connection')).status).toBe(404);
  const read = (): Promise<unknown> =>
    api.ask('POST', '/api/devices/scale/ask', { id: randomUUID(), errand: 'read', about: 20, settingId: null });
  const says = (h: readonly StreamSays[]): string[] => h.flatMap((s) => (s.of === 'scale' ? [s.says.says] : []));
  const heard = await listen(
    (h) => says(h).includes('lost') && says(h).at(-1) === 'state',
    async (h) => {
      if (h.length === 1) {
        await api.ask('POST', '/api/devices/scale/connection');
        await api.ask('POST', '/api/devices/calipers/connection');
      }
      const last = h.at(-1);
      if (last?.of === 'scale' && last.says.says === 'state' && !says(h).includes('lost')) await read();
    },
  );
  expect(says(heard).filter((s) => s === 'reading')).toHaveLength(11);
  expect(heard.some((s) => s.of === 'calipers')).toBe(true);
});

test('a device that was put away is not connected any more', async () => {
  await api.ask('POST', '/api/devices/scale/connection');
  await api.ask('DELETE', '/api/devices/scale/connection');
  const { status, body } = await api.ask<Problem>('POST', '/api/devices/scale/ask', {
    id: randomUUID(),
    errand: 'read',
    about: 20,
    settingId: null,
  });
  expect([status, body.detail]).toEqual([409, 'The scale is not connected.']);
});

test('what is nested without end, not there, or said twice is refused, and nothing falls', async () => {
  const cases: readonly (readonly [string, string, unknown, number])[] = [
    ['PUT', `/api/lines/${randomUUID()}`, `{"a":${'['.repeat(5000)}${']'.repeat(5000)}}`, 400],
    ['PUT', `/api/lines/${randomUUID()}`, undefined, 422],
    ['POST', '/api/notation', undefined, 422],
    ['POST', '/api/notation', '{', 400],
    ['POST', `/api/sheets/${randomUUID()}/rolled`, { clayId: null }, 422],
    ['GET', '/api/mixes?search=a&search=b&limit=1&limit=x', undefined, 200],
    ['GET', '/api/diary?search[a]=b', undefined, 200],
    ['GET', '/api/mixes/%00', undefined, 404],
    [
      'PUT',
      `/api/chips/${randomUUID()}`,
      {
        ...{
          id: randomUUID(),
          version: 0,
          revisionId: randomUUID(),
          madeOn: '2026-02-31',
          stage: 'baked',
          l: 1,
          a: 1,
          b: 1,
          way: 'by eye',
        },
      },
      422,
    ],
  ];
  for (const [method, path, body, status] of cases)
    expect([path.slice(0, 30), (await api.ask(method, path, body)).status]).toEqual([path.slice(0, 30), status]);
  const foreign = await fetch(`http://127.0.0.1:${api.running.port}/api/shelf`, {
    headers: { 'sec-fetch-site': 'cross-site' },
  });
  expect([foreign.status, foreign.headers.get('x-content-type-options')]).toEqual([403, 'nosniff']);
});
