import type { ReaderSays } from '#contract';
import type * as Reader from '../src/wire/reader.js';
import { Stream } from './stream.js';

let reader: typeof Reader;
let errands: { readonly id: string; readonly errand: string }[];
let taken: { readonly status: number; readonly detail?: string } | 'gone';

beforeEach(async () => {
  [errands, taken] = [[], { status: 204 }];
  Object.assign(globalThis, {
    EventSource: Stream,
    fetch: async (_: string, { body }: { body?: string }) => {
      if (body === undefined) return new Response(null, { status: 204 });
      if (taken === 'gone') throw new TypeError('no answer');
      errands.push(JSON.parse(body) as (typeof errands)[number]);
      return new Response(
        taken.status === 204 ? null : JSON.stringify({ detail: taken.detail, status: taken.status }),
        { status: taken.status },
      );
    },
  });
  import.meta.jest.resetModules();
  reader = await import('../src/wire/reader.js');
  reader.connectReader();
});
afterEach(() => {
  reader.letReaderGo();
});

const says = (what: ReaderSays | { readonly says: 'lost' }): void => {
  Stream.newest().says({ of: 'reader', says: what });
};
const read = (): { readonly answer: Promise<unknown>; readonly sent: Promise<string> } => {
  const answer = reader.readOnce('r', 'baked').catch((error: Error) => error.message);
  return {
    answer,
    sent: new Promise((resolve) => {
      setTimeout(() => {
        resolve(errands.at(-1)?.id ?? '');
      }, 5);
    }),
  };
};

test('a reading goes to the one who asked for it, in whatever order they come', async () => {
  const [one, two] = [read(), read()];
  await one.sent;
  const [a, b] = errands.map((e) => e.id);
  says({ says: 'reading', errand: b ?? '', l: 20, a: 1, b: 2 });
  says({ says: 'reading', errand: 'another window’s', l: 99, a: 0, b: 0 });
  says({ says: 'reading', errand: a ?? '', l: 60, a: 3, b: 4 });
  expect(await Promise.all([one.answer, two.answer])).toEqual([
    { l: 60, a: 3, b: 4 },
    { l: 20, a: 1, b: 2 },
  ]);
});

test('what it says of itself is kept; a refusal is its own sentence', async () => {
  expect(reader.useReader.getState()).toEqual({ link: 'looking', state: null });
  says({ says: 'state', standIn: true, calibrated: false, readings: 0, readingsLeft: 20 });
  expect(reader.useReader.getState()).toMatchObject({ link: 'there', state: { calibrated: false } });
  const one = read();
  says({ says: 'refused', errand: await one.sent, why: 'Calibrate it first.' });
  expect(await one.answer).toBe('Calibrate it first.');
});

test('nobody waits for a reader that has lost its connection, was put away, or cannot be asked', async () => {
  const one = read();
  await one.sent;
  says({ says: 'lost' });
  expect(await one.answer).toMatch(/lost its connection/);
  expect(reader.useReader.getState().link).toBe('away');
  taken = 'gone';
  expect(await read().answer).toBe('Sledge does not answer.');
  taken = { status: 422, detail: 'A chip is baked or raw.' };
  expect(await read().answer).toBe('A chip is baked or raw.');
  taken = { status: 204 };
  const last = read();
  await last.sent;
  reader.letReaderGo();
  expect(await last.answer).toBe('The reader was put away.');
  says({ says: 'state', standIn: true, calibrated: true, readings: 0, readingsLeft: 20 });
  expect(reader.useReader.getState().link).toBe('none');
});

test('a reader that says nothing is given up after a while, and what it says later is nobody’s', async () => {
  import.meta.jest.useFakeTimers();
  const answer = reader.readOnce('r', 'raw').catch((error: Error) => error.message);
  await import.meta.jest.advanceTimersByTimeAsync(5000);
  import.meta.jest.useRealTimers();
  expect(await answer).toBe('The reader did not answer. Read again.');
  says({ says: 'reading', errand: errands[0]?.id ?? '', l: 1, a: 0, b: 0 });
});
