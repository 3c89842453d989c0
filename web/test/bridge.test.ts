import { expose } from 'comlink';
import { Complaint, Fault } from '#core/units';
import { faultText, putFaultAside, tellFault, useFaults } from '../src/state/faults.js';
import { Crash, bridgeTo, type Bridge } from '../src/workers/bridge.js';
import { beginLong, stop } from '../src/workers/long.js';

/** What the workers of these tests can do. */
interface Mixer {
  told: (what: string) => void;
  add: (a: number, b: number) => number;
  complain: () => never;
  stumble: () => never;
  wait: () => Promise<string>;
  stop: () => void;
}

/** A worker in this thread, with the errors of one that ends by itself. */
class Thread {
  readonly told: string[] = [];
  readonly channel = new MessageChannel();
  ended = false;
  private hearError: (event: { readonly message: string; preventDefault: () => void }) => void = () => undefined;
  private letGo: (how: string) => void = () => undefined;

  constructor() {
    const own: Mixer = {
      told: (what) => this.told.push(what),
      add: (a, b) => a + b,
      complain: () => {
        throw new Complaint('colour/none', 'There is no colour here.', 3, ['leek', 'beetroot']);
      },
      stumble: () => {
        throw new TypeError('parts is undefined');
      },
      wait: () =>
        new Promise((resolve) => {
          this.letGo = resolve;
        }),
      stop: () => {
        this.letGo('stopped');
      },
    };
    expose(own, this.channel.port2);
  }
  postMessage(message: unknown, transfer: Transferable[]): void {
    this.channel.port1.postMessage(message, transfer);
  }
  addEventListener(type: string, hear: (event: never) => void): void {
    if (type === 'error') this.hearError = hear as Thread['hearError'];
    if (type !== 'message') return;
    this.channel.port1.addEventListener('message', hear as unknown as EventListener);
    this.channel.port1.start();
  }
  removeEventListener(type: string, hear: (event: never) => void): void {
    this.channel.port1.removeEventListener(type, hear as unknown as EventListener);
  }
  terminate(): void {
    this.ended = true;
    this.channel.port1.close();
  }
  crash(): void {
    this.hearError({ message: 'out of memory', preventDefault: () => undefined });
  }
}

let threads: Thread[];
let bridge: Bridge<Mixer>;
beforeEach(() => {
  threads = [];
  useFaults.setState({ told: [] });
  import.meta.jest.spyOn(console, 'error').mockImplementation(() => undefined);
  bridge = bridgeTo<Mixer>(
    'clay was added up',
    () => {
      threads.push(new Thread());
      return threads.at(-1) as unknown as Worker;
    },
    (worker) => worker.told('what the one before knew'),
  );
});
afterEach(() => {
  threads.forEach((thread) => {
    thread.terminate();
  });
});

const failure = (work: Promise<unknown>): Promise<unknown> => work.catch((error: unknown) => error);
/** A question that never gets its answer by itself. */
const waiting = (): Promise<string> => bridge.ask((worker) => worker.wait());
/** Once the question has reached the worker. */
const reached = async (): Promise<void> => {
  await bridge.ask((worker) => worker.add(0, 0));
};

test('a worker is begun with the first question, and once', async () => {
  expect(threads).toHaveLength(0);
  const sums = await Promise.all([1, 2, 3].map((n) => bridge.ask((worker) => worker.add(n, 10))));
  expect([sums, threads.length, threads[0]?.told]).toEqual([[11, 12, 13], 1, []]);
});

test('a complaint stays a complaint, with its place and its choices', async () => {
  const wrong = await failure(bridge.ask((worker) => worker.complain()));
  expect(wrong).toBeInstanceOf(Complaint);
  expect(wrong).toMatchObject({
    code: 'colour/none',
    message: 'There is no colour here.',
    at: 3,
    choices: ['leek', 'beetroot'],
  });
});

test('all else is a fault: it is no sentence for the person, and says where it happened', async () => {
  const fault = await failure(bridge.ask((worker) => worker.stumble()));
  expect([fault instanceof Fault, fault instanceof Complaint]).toEqual([true, false]);
  expect(faultText(fault as Fault)).toMatch(/parts is undefined[\s\S]*bridge\.test/);
});

test('after a crash it begins again, is told what it has to know, and answers; that is said once', async () => {
  const first = waiting();
  await reached();
  threads[0]?.crash();
  await reached();
  threads[1]?.channel.port2.postMessage('nothing');
  await bridge.ask((worker) => worker.stop());
  expect(await first).toBe('stopped');
  expect([threads.map((t) => t.ended), threads[1]?.told]).toEqual([[true, false], ['what the one before knew']]);
  expect(useFaults.getState().told.map((f) => [f instanceof Crash, f.doing])).toEqual([[true, 'clay was added up']]);
});

test('a question that ends the worker twice is given up, and the next one is answered', async () => {
  const first = failure(waiting());
  await reached();
  threads[0]?.crash();
  await reached();
  threads[1]?.crash();
  expect(await first).toBeInstanceOf(Crash);
  expect(await bridge.ask((worker) => worker.add(2, 3))).toBe(5);
  expect([threads.length, useFaults.getState().told.length]).toEqual([3, 1]);
});

test('where it is ended, those who wait get the reason, and nothing is asked twice', async () => {
  const all = [failure(waiting()), failure(waiting())];
  await reached();
  const why = new Complaint('file/slow', 'Reading took too long.');
  bridge.end(why);
  expect(await Promise.all(all)).toEqual([why, why]);
  expect(await bridge.ask((worker) => worker.add(1, 1))).toBe(2);
  expect([threads.length, useFaults.getState().told]).toEqual([2, []]);
});

test('what is not wanted any more is stopped', async () => {
  const own = new AbortController();
  const answer = bridge.ask((worker) => worker.wait(), { signal: own.signal, stop: (worker) => void worker.stop() });
  await reached();
  own.abort();
  expect(await answer).toBe('stopped');
});

test('long work goes on until it is stopped, or newer work has its name', async () => {
  const [older, other] = [beginLong('faces'), beginLong('files')];
  expect([await older(), await other()]).toEqual([true, true]);
  const newer = beginLong('faces');
  expect([await older(), await newer(), await other()]).toEqual([false, true, true]);
  stop('files');
  stop('nothing of that name');
  expect([await newer(), await other()]).toEqual([true, false]);
});

test('a fault is told once for each thing that was done, the oldest first, until it is put aside', () => {
  const [one, two] = [new Fault('a cane was worked out'), new Fault('a file was read')];
  [one, two, new Fault('a cane was worked out')].forEach(tellFault);
  expect(useFaults.getState().told).toEqual([one, two]);
  putFaultAside(one);
  expect(useFaults.getState().told).toEqual([two]);
});
