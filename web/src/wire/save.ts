import { useEffect } from 'react';
import { create } from 'zustand';
import { faultOf, sentenceOf } from '#core/units';
import { CHANGE_HEADER, type ChangeName, type ChangesAnswer } from '#contract/changes';
import { tellFault } from '../state/faults.js';
import { NoAnswer, Refused, ask } from './ask.js';
import { same } from './join.js';
import { allSaved, send, takeClash } from './outbox.js';
import { own } from './own.js';
import { client, readAllAnew } from './queries.js';

export type Way = 'undo' | 'redo';

interface Said {
  /** the last thing that happened, in words */
  readonly sentence: string;
  /** refusals that are still on the screen, by the address of what was refused */
  readonly refused: Readonly<Record<string, Refused>>;
  /** addresses whose refusals are shown where the thing stands, with how often */
  readonly watched: Readonly<Record<string, number>>;
  /** a change that this window did not make, and that is taken back or done again only when it is meant */
  readonly question: { readonly way: Way; readonly change: ChangeName } | null;
}

export const useSaid = create<Said>()(() => ({ sentence: '', refused: {}, watched: {}, question: null }));

export function say(sentence: string): void {
  useSaid.setState({ sentence });
}

function setRefused(path: string, refused: Refused | null): void {
  useSaid.setState((s) => {
    const { [path]: _, ...others } = s.refused;
    return { refused: refused ? { ...others, [path]: refused } : others };
  });
}

/** Answers that hold many things; each of those is changed at an address of its own. */
const LISTS = [
  ...['/api/shelf', '/api/machines', '/api/sheets', '/api/cutters', '/api/ovens'],
  ...['/api/pieces/findings', '/api/pieces/models'],
];

/**
 * The answer with a thing of it as it is after a change, known by its id; the bench has none and is told by its
 * address.
 */
export function withChanged(answer: unknown, path: string, body: { readonly id?: string }): unknown {
  const inList = (list: unknown): unknown =>
    Array.isArray(list) ? list.map((x: { id?: unknown }) => (x.id === body.id ? { ...x, ...body } : x)) : list;
  if (typeof answer !== 'object' || answer === null) return answer;
  if (path === '/api/bench')
    return 'setup' in answer ? { ...answer, setup: { ...(answer.setup as object), ...body } } : answer;
  if (body.id === undefined) return answer;
  return Array.isArray(answer)
    ? inList(answer)
    : Object.fromEntries(Object.entries(answer).map(([key, value]) => [key, inList(value)]));
}

/**
 * A thing is sent whole, so the next change has to begin on what this one leaves:
 * it is shown in the lists before the server has answered.
 */
function showInLists(path: string, body: { readonly id?: string }): void {
  for (const list of LISTS) client.setQueryData([list], (before: unknown) => withChanged(before, path, body));
}

/** The state that a thing has on the screen before a change: what the change begins on. */
function shownNow(path: string, body: { readonly id?: string }): object | undefined {
  const read = client.getQueryData([path]);
  if (typeof read === 'object' && read !== null) return read;
  const all = LISTS.flatMap((list) => thingsIn(client.getQueryData([list])));
  if (path === '/api/bench') return all.find((thing) => 'discMm' in thing && 'currency' in thing);
  return body.id === undefined ? undefined : all.find((thing) => 'id' in thing && thing.id === body.id);
}

/** The things of an answer that holds many: in a list, in lists by their kind, or one by itself. */
function thingsIn(answer: unknown): object[] {
  if (typeof answer !== 'object' || answer === null) return [];
  const isThing = (value: unknown): value is object => typeof value === 'object' && value !== null;
  const lists = Array.isArray(answer) ? [answer] : (Object.values(answer) as unknown[]);
  return lists.flatMap((list) => (Array.isArray(list) ? list : [list])).filter(isThing);
}

const counted = (watched: Said['watched'], path: string, by: number): Said['watched'] => ({
  ...watched,
  [path]: (watched[path] ?? 0) + by,
});

/** The refusal of the last change of a thing, until it is mended. Whoever asks for it shows it. */
export function useRefusal(path: string): Refused | undefined {
  useEffect(() => {
    useSaid.setState((s) => ({ watched: counted(s.watched, path, 1) }));
    return () => {
      useSaid.setState((s) => ({ watched: counted(s.watched, path, -1) }));
    };
  }, [path]);
  return useSaid((s) => s.refused[path]);
}

/** Refusals that nobody shows where they happened, by their address. */
export const useElsewhere = (): readonly (readonly [string, Refused])[] => {
  const { refused, watched } = useSaid();
  return Object.entries(refused).filter(([path]) => (watched[path] ?? 0) <= 0);
};

/** The person has read it. */
export const putAside = (path: string): void => {
  setRefused(path, null);
};

/** Carries a change out; a refusal is shown where the thing is. @returns the answer, or null where it was refused */
export function change<T>(method: 'PUT' | 'POST' | 'DELETE', path: string, body?: object): Promise<T | null> {
  const base = method === 'PUT' && body ? shownNow(path, body) : undefined;
  return changeOf<T>(method, path, body, base);
}

async function changeOf<T>(
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: object,
  base?: object,
): Promise<T | null> {
  const at = path.split('?')[0] ?? path;
  if (method === 'PUT' && body) showInLists(path, body);
  try {
    const answer = await send<T>(method, path, body, base);
    setRefused(at, null);
    return answer;
  } catch (error) {
    if (error instanceof Refused) refusedAt(at, method, error);
    else failed(error);
    return null;
  }
}

/** It failed inside: nothing was saved, so what is there is shown again. */
function failed(error: unknown): void {
  tellFault(faultOf('a change was carried out', error));
  void readAllAnew();
}

function refusedAt(at: string, method: 'PUT' | 'POST' | 'DELETE', error: Refused): void {
  const elsewhere = error.problem.current !== undefined;
  // where two windows changed the same field, the person is asked which it is to be
  if (elsewhere && method === 'PUT') return;
  setRefused(at, error);
  say(error.problem.detail);
  // what was refused stays where it was typed, unless it is another window's that has to be seen first
  void client.invalidateQueries({ predicate: (query) => elsewhere || query.queryKey[0] !== at });
}

/**
 * Saves a thing that is read from its own address, and shows it there at once.
 * @param shown the answer as it will be
 */
export function put<T extends { readonly id?: string; readonly version?: number }>(
  path: string,
  body: T,
  shown: object,
): Promise<T | null> {
  const base = shownNow(path, body);
  client.setQueryData([path], shown);
  return changeOf<T>('PUT', path, body, base);
}

/**
 * Settles the oldest clash: in the fields that both changed, this window's values or the other one's. All else is
 * joined.
 */
export async function settleClash(keepMine: boolean): Promise<void> {
  const clash = takeClash();
  if (!clash) return;
  const { joined, theirs, path } = clash;
  const chosen = Object.fromEntries(joined.touching.map((field) => [field, theirs[field]]));
  const body = keepMine ? joined.body : { ...joined.body, ...chosen };
  if (!same({ ...theirs, ...body }, theirs)) await changeOf('PUT', path, body, theirs);
  await readAllAnew();
}

const NOTHING: Readonly<Record<Way, string>> = {
  undo: 'There is nothing to take back.',
  redo: 'There is nothing to do again.',
};
/** How often the newest change may have become another one while it was asked for. */
const MOST_TRIES = 4;

/** @returns what was done in words; null where the person is asked first, or where there is nothing */
async function stepBack(way: Way, meant: string | null): Promise<string | null> {
  const shown = client.getQueryData<ChangesAnswer>(['/api/changes']);
  let next = shown?.[way] ?? (await ask<ChangesAnswer>('GET', '/api/changes'))[way];
  for (let tries = 0; tries < MOST_TRIES && next !== null; tries++) {
    if (next.id !== meant && !own.has(next.id)) {
      useSaid.setState({ question: { way, change: next } });
      return null;
    }
    const id = crypto.randomUUID();
    own.add(id);
    const answer: ChangesAnswer = await ask<ChangesAnswer>(
      'POST',
      `/api/${way}`,
      { expects: next.id },
      { [CHANGE_HEADER]: id },
    );
    if (answer.did !== null) return answer.did;
    next = answer[way];
  }
  return next === null ? NOTHING[way] : 'Other windows are changing things just now. Try again.';
}

async function step(way: Way, meant: string | null = null): Promise<void> {
  // what is taken back is the last thing that was shown, so it has to be there first
  if (!(await allSaved())) {
    say('Waiting for the last change to be saved.');
    return;
  }
  try {
    const did = await stepBack(way, meant);
    if (did === null) return;
    useSaid.setState({ refused: {}, question: null });
    say(did);
    await readAllAnew();
  } catch (error) {
    say(error instanceof NoAnswer ? 'Sledge does not answer, so nothing was taken back.' : sentenceOf(error));
  }
}

export const undo = (): Promise<void> => step('undo');
export const redo = (): Promise<void> => step('redo');

/** The answer to the question whether another window's change is meant. */
export async function answerQuestion(yes: boolean): Promise<void> {
  const { question } = useSaid.getState();
  useSaid.setState({ question: null });
  if (!question || !yes) return;
  own.add(question.change.id);
  await step(question.way, question.change.id);
}
