import { Complaint, Fault } from '#core/units';
import { CHANGE_HEADER, type Problem } from '#contract/changes';
import { tellShutOut } from '../state/shutOut.js';

/** The server answered with a reason why not. */
export class Refused extends Complaint {
  constructor(readonly problem: Problem) {
    super('refused', problem.detail, problem.at, problem.choices ?? []);
    this.name = 'Refused';
  }

  /** The sentence for one field, where there is one. */
  sentenceFor(field: string): string | undefined {
    return this.problem.fields?.find((f) => f.field === field)?.sentence;
  }
}

/** No answer came: the server is gone, or the way to it. */
export class NoAnswer extends Complaint {
  constructor(sentence = 'Sledge does not answer.') {
    super('no answer', sentence);
    this.name = 'NoAnswer';
  }
}

/** This device is let in no more; what was sent is kept here, in case it is let in again. */
export class ShutOut extends NoAnswer {}

/** The server cannot write now (the disk is full, or read-only): what was sent is kept here and tried again. */
export class NotWritten extends NoAnswer {}

const [NOT_WRITTEN, NOT_LET_IN] = [507, 401];
/** Answers from here on are no refusals: only we can mend what they tell of. */
const FIRST_OF_OURS = 500;
const GONE = new Set([502, 503, 504]);

/** What is sent: a file as its bytes, all else as JSON. */
function written(body: unknown, headers: Record<string, string>): Pick<RequestInit, 'headers' | 'body'> {
  if (body === undefined) return { headers };
  if (body instanceof Blob) return { headers: { 'content-type': 'application/octet-stream', ...headers }, body };
  return { headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) };
}

/** The answer to a request, whatever it says. @throws NoAnswer */
async function answerTo(
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string>,
): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(path, { method, ...written(body, headers) });
  } catch {
    throw new NoAnswer();
  }
  if (GONE.has(response.status)) throw new NoAnswer();
  if (response.status === NOT_LET_IN) {
    tellShutOut();
    throw new ShutOut('This device is not let in.');
  }
  return response;
}

/** Why a request was not carried out. */
function reasonIn(method: string, status: number, answer: unknown): Error {
  if (status === NOT_WRITTEN && isProblem(answer)) return new NotWritten(answer.detail);
  const problem = isProblem(answer) ? answer : unsaid(status);
  if (status < FIRST_OF_OURS) return new Refused(problem);
  return new Fault(method === 'GET' ? 'something was read' : 'a change was carried out', new Error(problem.detail));
}

/**
 * One request to Sledge's own server.
 * @throws Refused, NoAnswer; Fault where it failed inside
 */
export async function ask<T>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<T> {
  const response = await answerTo(method, path, body, headers);
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  throw reasonIn(method, response.status, answer);
}

/** One request that is answered with a file. @throws as {@link ask} */
export async function askFile(method: string, path: string, body: Blob): Promise<Uint8Array> {
  const response = await answerTo(method, path, body, {});
  if (response.ok) return new Uint8Array(await response.arrayBuffer());
  throw reasonIn(method, response.status, await response.json().catch(() => null));
}

/** An answer without a sentence. */
const unsaid = (status: number): Problem => ({
  type: 'about:blank',
  title: 'Refused',
  status,
  detail: `Sledge answered with ${status}.`,
});

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'detail' in value && typeof value.detail === 'string';
}

/**
 * Asks what would come of something that is done only where somebody is sure. It only looks: its id is of no change.
 * @throws as {@link ask}
 */
export const askFirst = <T>(path: string, body: object): Promise<T> =>
  ask('POST', path, { ...body, sure: false }, { [CHANGE_HEADER]: crypto.randomUUID() });
