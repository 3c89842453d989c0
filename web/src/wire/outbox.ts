import { create } from 'zustand';
import { CHANGE_HEADER } from '#contract/changes';
import { NoAnswer, NotWritten, Refused, ask } from './ask.js';
import { asSent, join, type Fields, type Joined } from './join.js';
import { own } from './own.js';

interface Versioned {
  readonly id?: string;
  readonly version?: number;
}

/** One change on its way. It is kept, also through a reload, until the server has answered. */
interface Letter {
  readonly changeId: string;
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body: Versioned | undefined;
  /** the state that the change began on, as it was read */
  readonly base?: object | undefined;
}

/** Two windows changed the same field of the same thing: what this one sent, what is there, and what both agree on. */
export interface Clash {
  readonly path: string;
  readonly sentence: string;
  readonly mine: Fields;
  readonly theirs: Fields;
  readonly joined: Joined;
}

interface Outbox {
  readonly waiting: readonly Letter[];
  /** since when nothing gets through, and the sentence for it */
  readonly gone: string | null;
  /** one after the other, the oldest first */
  readonly clashes: readonly Clash[];
}

const STORE = 'sledge-outbox';
const kept = (): Letter[] => {
  try {
    const letters: unknown = JSON.parse(sessionStorage.getItem(STORE) ?? '[]');
    return Array.isArray(letters) ? (letters as Letter[]) : [];
  } catch {
    return [];
  }
};

function keep(waiting: readonly Letter[]): void {
  try {
    sessionStorage.setItem(STORE, JSON.stringify(waiting));
  } catch {
    // more than the browser keeps: the change is still sent, and leaving the page warns
  }
}

export const useOutbox = create<Outbox>()(() => ({ waiting: kept(), gone: null, clashes: [] }));
useOutbox.subscribe(({ waiting }, before) => {
  if (waiting !== before.waiting) keep(waiting);
});

interface Waiter {
  readonly done: (answer: unknown) => void;
  readonly failed: (error: unknown) => void;
}
const waiters = new Map<string, Waiter[]>();
/** By address: which version a change of this window made of which. */
const made = new Map<string, Map<number, number>>();
/** What was sent, the answer to it, and whether a newer change of the same thing is waiting. */
export interface Settled {
  readonly method: Letter['method'];
  readonly path: string;
  readonly answer: unknown;
  readonly more: boolean;
}
let onSettled: (settled: Settled) => void = () => undefined;
let running = false;
let inFlight: string | null = null;
let wake: (() => void) | null = null;

/** Called after each answer. */
export function whenSettled(listener: typeof onSettled): void {
  onSettled = listener;
}

/** Tries again at once what could not be sent. */
export function tryNow(): void {
  wake?.();
}

let sent = 0;
/**
 * Grows with every change of this window, of whatever it is: an answer may hold anything. NaN while one is on its
 * way.
 */
export const changesMade = (): number => (isQuiet() ? sent : NaN);

export const isQuiet = (): boolean => useOutbox.getState().waiting.length === 0;

/** Once all is saved: true; where nothing gets through: false. */
export function allSaved(): Promise<boolean> {
  return new Promise((resolve) => {
    const look = (): void => {
      const { gone } = useOutbox.getState();
      if (!isQuiet() && gone === null) return;
      stop();
      resolve(isQuiet());
    };
    const stop = useOutbox.subscribe(look);
    look();
  });
}

/** A letter under its own id, known as one of this window. */
function write(method: Letter['method'], path: string, body: object | undefined, base: object | undefined): Letter {
  const changeId = crypto.randomUUID();
  own.add(changeId);
  return { changeId, method, path, body, base };
}

/**
 * Sends a change; changes go one after the other. While the server is gone
 * they wait and are tried again. A newer state of the same thing takes the
 * place of one that has not left yet.
 * @param base the state that the change began on, so that what another window changed meanwhile can be joined
 * @returns the server's answer @throws Refused
 */
export function send<T>(method: Letter['method'], path: string, body?: object, base?: object): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const { waiting } = useOutbox.getState();
    const overtaken =
      method === 'PUT'
        ? waiting.find((w) => w.path === path && w.method === 'PUT' && w.changeId !== inFlight)
        : undefined;
    const letter = write(method, path, body, overtaken?.base ?? base);
    const waiter: Waiter = {
      done: (answer) => {
        resolve(answer as T);
      },
      failed: reject,
    };
    waiters.set(letter.changeId, [...(overtaken ? (waiters.get(overtaken.changeId) ?? []) : []), waiter]);
    useOutbox.setState({
      waiting: overtaken ? waiting.map((w) => (w === overtaken ? letter : w)) : [...waiting, letter],
    });
    sent += 1;
    void work();
  });
}

/** Sends what an earlier visit could not. */
export function resume(): void {
  void work();
}

const LONGEST_WAIT = 10_000;

async function work(): Promise<void> {
  if (running) return;
  running = true;
  let pause = 500;
  for (let [letter] = useOutbox.getState().waiting; letter; [letter] = useOutbox.getState().waiting) {
    inFlight = letter.changeId;
    try {
      const answer = await ask<Versioned | undefined>(letter.method, letter.path, upToDate(letter), {
        [CHANGE_HEADER]: letter.changeId,
      });
      pause = 500;
      settle(letter, answer);
      waiters.get(letter.changeId)?.forEach((w) => {
        w.done(answer);
      });
      waiters.delete(letter.changeId);
    } catch (error) {
      inFlight = null;
      if (error instanceof NoAnswer) {
        useOutbox.setState({
          gone:
            error instanceof NotWritten
              ? error.message
              : 'Sledge does not answer. What you entered is kept here and sent as soon as it does.',
        });
        await new Promise<void>((resolve) => {
          wake = resolve;
          setTimeout(resolve, pause);
        });
        wake = null;
        pause = Math.min(LONGEST_WAIT, pause * 2);
        continue;
      }
      refuse(letter, error);
    }
  }
  inFlight = null;
  running = false;
}

/** A change may have begun on a state that this window itself has changed since: it means the state of now. */
function upToDate({ path, body }: Letter): Versioned | undefined {
  if (body?.version === undefined) return body;
  const steps = made.get(path);
  let { version } = body;
  for (let next = steps?.get(version); next !== undefined; next = steps?.get(version)) version = next;
  return { ...body, version };
}

function settle(letter: Letter, answer: Versioned | undefined): void {
  const before = upToDate(letter)?.version;
  if (before !== undefined && answer?.version !== undefined && answer.version > before) {
    made.set(letter.path, (made.get(letter.path) ?? new Map()).set(before, answer.version));
  }
  const waiting = useOutbox.getState().waiting.filter((w) => w.changeId !== letter.changeId);
  useOutbox.setState({ waiting, gone: null });
  const { method, path } = letter;
  onSettled({ method, path, answer, more: waiting.some((w) => w.path === path) });
}

function refuse(letter: Letter, error: unknown): void {
  const others = useOutbox.getState().waiting.filter((w) => w.changeId !== letter.changeId);
  const theirs = error instanceof Refused && letter.method === 'PUT' ? error.problem.current : undefined;
  if (error instanceof Refused && letter.body && typeof theirs === 'object' && theirs !== null)
    meet(letter, error, theirs, others);
  else {
    useOutbox.setState({ waiting: others, gone: null });
    answer(letter.changeId, (w) => {
      w.failed(error);
    });
  }
}

function answer(changeId: string, tell: (waiter: Waiter) => void): void {
  waiters.get(changeId)?.forEach(tell);
  waiters.delete(changeId);
}

/** Another window has changed the thing. What does not touch is joined and sent; for the rest the person chooses. */
function meet(letter: Letter, error: Refused, current: object, others: readonly Letter[]): void {
  // a newer state of the same thing that waits holds all that this one has
  const newer = others.find((w) => w.path === letter.path && w.method === 'PUT');
  const mine = (newer ?? letter).body as Fields;
  const theirs = asSent(current);
  const joined = join(letter.base && asSent(letter.base), mine, theirs);
  const waiting = others.filter((w) => w !== newer);
  const waiter = [...(waiters.get(letter.changeId) ?? []), ...(newer ? (waiters.get(newer.changeId) ?? []) : [])];
  for (const { changeId } of newer ? [letter, newer] : [letter]) waiters.delete(changeId);
  if (joined.touching.length === 0) {
    const again = write('PUT', letter.path, joined.body, current);
    waiters.set(again.changeId, waiter);
    useOutbox.setState({ waiting: [again, ...waiting], gone: null });
    return;
  }
  const clash: Clash = { path: letter.path, sentence: error.problem.detail, mine, theirs, joined };
  useOutbox.setState(({ clashes }) => ({ waiting, gone: null, clashes: [...clashes, clash] }));
  waiter.forEach((w) => {
    w.failed(error);
  });
}

/** Takes the oldest clash out of the queue. */
export function takeClash(): Clash | undefined {
  const [clash, ...clashes] = useOutbox.getState().clashes;
  useOutbox.setState({ clashes });
  return clash;
}
