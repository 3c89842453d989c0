import { create } from 'zustand';
import type { ChangesAnswer } from '#contract/changes';
import { NoAnswer, Refused, ask } from './ask.js';
import { allSaved, send, useOutbox } from './outbox.js';
import { client } from './queries.js';

interface Said {
  /** the last thing that happened, in words */
  readonly sentence: string;
  /** refusals that are still on the screen, by the address of what was refused */
  readonly refused: Readonly<Record<string, Refused>>;
}

export const useSaid = create<Said>()(() => ({ sentence: '', refused: {} }));

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
const LISTS = ['/api/shelf', '/api/machines', '/api/sheets'];

/** The answer with a thing of it as it is after a change, known by its id; the bench has none and is told by its address. */
export function withChanged(answer: unknown, path: string, body: { readonly id?: string }): unknown {
  const inList = (list: unknown): unknown => (Array.isArray(list) ? list.map((x: { id?: unknown }) => (x.id === body.id ? { ...x, ...body } : x)) : list);
  if (typeof answer !== 'object' || answer === null) return answer;
  if (path === '/api/bench') return 'setup' in answer ? { ...answer, setup: { ...(answer.setup as object), ...body } } : answer;
  if (body.id === undefined) return answer;
  return Array.isArray(answer) ? inList(answer) : Object.fromEntries(Object.entries(answer).map(([key, value]) => [key, inList(value)]));
}

/**
 * A thing is sent whole, so the next change has to begin on what this one leaves:
 * it is shown in the lists before the server has answered.
 */
function showInLists(path: string, body: { readonly id?: string }): void {
  for (const list of LISTS) client.setQueryData([list], (before: unknown) => withChanged(before, path, body));
}

/** The refusal of the last change of a thing, until it is mended. */
export const useRefusal = (path: string): Refused | undefined => useSaid((s) => s.refused[path]);

/** Carries a change out; a refusal is shown where the thing is. @returns the answer, or null where it was refused */
export async function change<T>(method: 'PUT' | 'POST' | 'DELETE', path: string, body?: object): Promise<T | null> {
  const at = path.split('?')[0] ?? path;
  if (method === 'PUT' && body) showInLists(path, body);
  try {
    const answer = await send<T>(method, path, body);
    setRefused(at, null);
    return answer;
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    if (error.problem.current === undefined) {
      setRefused(at, error);
      say(error.problem.detail);
      // what was refused stays where it was typed; all else is as the server has it
      void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== at });
    }
    return null;
  }
}

/** Saves a thing that is read from its own address, and shows it there at once. @param shown the answer as it will be */
export function put<T extends { readonly id?: string; readonly version?: number }>(path: string, body: T, shown: object): Promise<T | null> {
  client.setQueryData([path], shown);
  return change<T>('PUT', path, body);
}

/** Settles a clash: sends this window's state over the other one's, or takes the other one's. */
export async function settleClash(keepMine: boolean): Promise<void> {
  const { clash, setClash } = useOutbox.getState();
  if (!clash) return;
  setClash(null);
  if (keepMine) await change('PUT', clash.path, { ...clash.mine, version: clash.theirs.version });
  await client.invalidateQueries();
}

async function step(path: '/api/undo' | '/api/redo', nothing: string): Promise<void> {
  // what is taken back is the last thing that was shown, so it has to be there first
  if (!await allSaved()) { say('Waiting for the last change to be saved.'); return; }
  try {
    const answer = await ask<ChangesAnswer>('POST', path);
    useSaid.setState({ refused: {} });
    say(answer.did ?? nothing);
    await client.invalidateQueries();
  } catch (error) {
    if (error instanceof Refused) say(error.problem.detail);
    else if (error instanceof NoAnswer) say('Sledge does not answer, so nothing was taken back.');
    else throw error;
  }
}

export const undo = (): Promise<void> => step('/api/undo', 'There is nothing to take back.');
export const redo = (): Promise<void> => step('/api/redo', 'There is nothing to do again.');
