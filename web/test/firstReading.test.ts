import { client, readAllAnew, readUnlessChanged } from '../src/wire/queries.js';

/** Answers that are given one by one, to what was asked. */
class Server {
  readonly asked: string[] = [];
  private readonly open: ((answer: unknown) => void)[] = [];

  constructor() {
    globalThis.fetch = ((path: string) => {
      this.asked.push(path);
      return new Promise<Response>((resolve) => {
        this.open.push((answer) => {
          resolve(new Response(JSON.stringify(answer), { headers: { 'content-type': 'application/json' } }));
        });
      });
    }) as typeof fetch;
  }

  /** Answers the oldest that is open, and lets what follows from it happen. */
  async answer(answer: unknown): Promise<void> {
    this.open.shift()?.(answer);
    await new Promise((resolve) => {
      setTimeout(resolve, 0);
    });
  }
}

const ofPath = (server: Server, path: string): number => server.asked.filter((one) => one === path).length;
const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
  client.clear();
});

test('what is read for the first time while all is read anew is asked once more', async () => {
  const server = new Server();
  const read = readUnlessChanged<string>('/api/mosaics');
  await readAllAnew();
  await server.answer('before');
  expect(ofPath(server, '/api/mosaics')).toBe(2);
  await server.answer('after');
  expect(await read).toBe('after');
});

test('otherwise one reading is enough', async () => {
  const server = new Server();
  const read = readUnlessChanged<string>('/api/mosaics');
  await server.answer('there');
  expect(await read).toBe('there');
  expect(ofPath(server, '/api/mosaics')).toBe(1);
});

test('where all is read anew again and again it ends all the same', async () => {
  const server = new Server();
  const read = readUnlessChanged<number>('/api/mosaics');
  for (let i = 0; i < 4; i++) {
    await readAllAnew();
    await server.answer(i);
  }
  expect(await read).toBe(3);
});
