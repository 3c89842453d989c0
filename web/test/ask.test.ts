import { Complaint, Fault } from '#core/units';
import { NoAnswer, Refused, ask } from '../src/wire/ask.js';

interface Sent {
  readonly path: string;
  readonly init: RequestInit;
}
/** The next answer of the server, and what was sent to it. */
function answering(reply: () => Response | Promise<Response>): Sent[] {
  const sent: Sent[] = [];
  Object.assign(globalThis, {
    fetch: (path: string, init: RequestInit) => {
      sent.push({ path, init });
      return Promise.resolve().then(reply);
    },
  });
  return sent;
}
const json = (body: unknown, status = 200): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const failure = async (): Promise<unknown> => ask('PUT', '/api/mixes/a', { id: 'a' }).catch((error: unknown) => error);

test('a body goes as JSON and an answer comes as what it holds; without a body nothing is said of one', async () => {
  const sent = answering(() => json({ id: 'a', name: 'Pod mix' }));
  expect(await ask('PUT', '/api/mixes/a', { id: 'a' }, { 'x-sledge-change': 'c' })).toEqual({
    id: 'a',
    name: 'Pod mix',
  });
  await ask('GET', '/api/mixes');
  expect(sent.map(({ path, init }) => [path, init.method, init.headers, init.body])).toEqual([
    ['/api/mixes/a', 'PUT', { 'content-type': 'application/json', 'x-sledge-change': 'c' }, '{"id":"a"}'],
    ['/api/mixes', 'GET', {}, undefined],
  ]);
});

test('nothing to say is an answer too', async () => {
  answering(() => new Response(null, { status: 204 }));
  expect(await ask('DELETE', '/api/mixes/a')).toBeUndefined();
});

test('a refusal has its sentence, and one for each field', async () => {
  answering(() =>
    json(
      {
        type: 'about:blank',
        title: 'This cannot be saved',
        status: 422,
        detail: 'A mix has a name.',
        fields: [{ field: 'name', sentence: 'A mix has a name.' }],
      },
      422,
    ),
  );
  const refused = await failure();
  if (!(refused instanceof Refused)) throw new Error('it was not refused');
  expect([refused.message, refused.problem.status]).toEqual(['A mix has a name.', 422]);
  expect([refused.sentenceFor('name'), refused.sentenceFor('note')]).toEqual(['A mix has a name.', undefined]);
});

test.each<[string, () => Response]>([
  ['no JSON', () => new Response('<html>', { status: 500 })],
  ['no sentence', () => json({ message: 'no' }, 500)],
  ['nothing at all', () => json(null, 500)],
  ['a sentence that is none', () => json({ detail: 7 }, 500)],
])('a failure inside with %s is no refusal, and still has a sentence', async (_, reply) => {
  answering(reply);
  const fault = await failure();
  expect([fault instanceof Fault, fault instanceof Complaint]).toEqual([true, false]);
  expect((fault as Fault).cause).toMatchObject({ message: 'Sledge answered with 500.' });
});

test.each<[string, () => Response]>([
  [
    'the line is cut',
    () => {
      throw new TypeError('failed to fetch');
    },
  ],
  ['the way to it is gone', () => new Response('', { status: 502 })],
  ['it starts just now', () => json({ detail: 'soon' }, 503)],
  ['it takes too long', () => new Response('', { status: 504 })],
])('no answer where %s: that is no refusal', async (_, reply) => {
  answering(reply);
  const error = await failure();
  expect([error instanceof NoAnswer, error instanceof Refused, (error as Error).message]).toEqual([
    true,
    false,
    'Sledge does not answer.',
  ]);
});
