import { create } from 'zustand';
import { CHANGE_HEADER } from '#contract/changes';
import { NoAnswer, Refused, ask } from './ask.js';

interface Versioned { readonly id?: string; readonly version?: number }

/** One change on its way. It is kept, also through a reload, until the server has answered. */
interface Letter {
  readonly changeId: string;
  readonly method: 'PUT' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body: Versioned | undefined;
}

/** Two windows changed the same thing: what this one sent, and what is there. */
export interface Clash { readonly path: string; readonly sentence: string; readonly mine: Versioned; readonly theirs: Versioned }

interface Outbox {
  readonly waiting: readonly Letter[];
  /** since when nothing gets through, and the sentence for it */
  readonly gone: string | null;
  readonly clash: Clash | null;
  readonly setClash: (clash: Clash | null) => void;
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

export const useOutbox = create<Outbox>()((set) => ({
  waiting: kept(), gone: null, clash: null, setClash: (clash) => { set({ clash }); },
}));
useOutbox.subscribe(({ waiting }) => { sessionStorage.setItem(STORE, JSON.stringify(waiting)); });

interface Waiter { readonly done: (answer: unknown) => void; readonly failed: (error: unknown) => void }
const waiters = new Map<string, Waiter[]>();
/** By address: which version a change of this window made of which. */
const made = new Map<string, Map<number, number>>();
let onSettled: (path: string, answer: unknown, more: boolean) => void = () => undefined;
let running = false;
let inFlight: string | null = null;
let wake: (() => void) | null = null;

/** Called after each answer; `more`: a newer change of the same thing is waiting. */
export function whenSettled(listener: typeof onSettled): void {
  onSettled = listener;
}

/** Tries again at once what could not be sent. */
export function tryNow(): void {
  wake?.();
}

let sent = 0;
/** Grows with every change of this window, of whatever it is: an answer may hold anything. NaN while one is on its way. */
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

/**
 * Sends a change; changes go one after the other. While the server is gone
 * they wait and are tried again. A newer state of the same thing takes the
 * place of one that has not left yet.
 * @returns the server's answer @throws Refused
 */
export function send<T>(method: Letter['method'], path: string, body?: object): Promise<T> {
  return new Promise<T>((resolve, reject) => {
    const letter: Letter = { changeId: crypto.randomUUID(), method, path, body };
    const { waiting } = useOutbox.getState();
    const overtaken = method === 'PUT'
      ? waiting.find((w) => w.path === path && w.method === 'PUT' && w.changeId !== inFlight) : undefined;
    const waiter: Waiter = { done: (answer) => { resolve(answer as T); }, failed: reject };
    waiters.set(letter.changeId, [...(overtaken ? waiters.get(overtaken.changeId) ?? [] : []), waiter]);
    useOutbox.setState({ waiting: overtaken ? waiting.map((w) => (w === overtaken ? letter : w)) : [...waiting, letter] });
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
      const answer = await ask<Versioned | undefined>(letter.method, letter.path, upToDate(letter), { [CHANGE_HEADER]: letter.changeId });
      pause = 500;
      settle(letter, answer);
      waiters.get(letter.changeId)?.forEach((w) => { w.done(answer); });
      waiters.delete(letter.changeId);
    } catch (error) {
      inFlight = null;
      if (error instanceof NoAnswer) {
        useOutbox.setState({ gone: 'Sledge does not answer. What you entered is kept here and sent as soon as it does.' });
        await new Promise<void>((resolve) => { wake = resolve; setTimeout(resolve, pause); });
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
  onSettled(letter.path, answer, waiting.some((w) => w.path === letter.path));
}

function refuse(letter: Letter, error: unknown): void {
  const waiting = useOutbox.getState().waiting.filter((w) => w.changeId !== letter.changeId);
  useOutbox.setState({ waiting, gone: null });
  if (error instanceof Refused && letter.method === 'PUT' && letter.body && error.problem.current) {
    useOutbox.setState({
      clash: { path: letter.path, sentence: error.problem.detail, mine: letter.body, theirs: error.problem.current },
    });
  }
  waiters.get(letter.changeId)?.forEach((w) => { w.failed(error); });
  waiters.delete(letter.changeId);
}

window.addEventListener('beforeunload', (event) => {
  if (!isQuiet()) event.preventDefault();
});
