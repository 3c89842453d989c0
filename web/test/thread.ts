import { wrap, type Endpoint, type Remote } from 'comlink';

type Listener = (event: { readonly data: unknown; readonly origin: string }) => void;

/** Picture data as far as a worker makes it. */
class Picture {
  constructor(
    readonly data: Uint8ClampedArray,
    readonly width: number,
    readonly height: number,
  ) {}
}

/** The channels that functions were handed over by; they are closed at the end, or the test would never be. */
const Channel = globalThis.MessageChannel;
const opened: MessageChannel[] = [];
class Kept extends Channel {
  constructor() {
    super();
    opened.push(this);
  }
}
afterAll(() => {
  opened.forEach(({ port1, port2 }) => {
    port1.close();
    port2.close();
  });
});

/** A worker that is begun in this thread: what is posted arrives as a task of its own, as between threads. */
export async function inThread<W>(begin: () => Promise<unknown>): Promise<Remote<W>> {
  const [toWorker, toPage] = [new Set<Listener>(), new Set<Listener>()];
  const post =
    (to: Set<Listener>) =>
    (data: unknown): void => {
      setImmediate(() => {
        to.forEach((hear) => {
          hear({ data, origin: '' });
        });
      });
    };
  Object.assign(globalThis, {
    MessageChannel: Kept,
    ImageData: Picture,
    postMessage: post(toPage),
    addEventListener: (_: string, hear: Listener) => {
      toWorker.add(hear);
    },
  });
  await begin();
  const page = {
    postMessage: post(toWorker),
    addEventListener: (_: string, hear: Listener) => {
      toPage.add(hear);
    },
    removeEventListener: () => undefined,
  };
  return wrap<W>(page as unknown as Endpoint);
}
