import type { Problem } from '#contract/changes';

/** The server answered with a reason why not. */
export class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
    this.name = 'Refused';
  }

  /** The sentence for one field, where there is one. */
  sentenceFor(field: string): string | undefined {
    return this.problem.fields?.find((f) => f.field === field)?.sentence;
  }
}

/** No answer came: the server is gone, or the way to it. */
export class NoAnswer extends Error {}

/** The server cannot write now (the disk is full, or read-only): what was sent is kept here and tried again. */
export class NotWritten extends NoAnswer {}

const NOT_WRITTEN = 507;
const GONE = new Set([502, 503, 504]);

/** What is sent: a file as its bytes, all else as JSON. */
function written(body: unknown, headers: Record<string, string>): Pick<RequestInit, 'headers' | 'body'> {
  if (body === undefined) return { headers };
  if (body instanceof Blob) return { headers: { 'content-type': 'application/octet-stream', ...headers }, body };
  return { headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) };
}

/**
 * One request to Sledge's own server.
 * @throws Refused, NoAnswer
 */
export async function ask<T>(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {},
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, { method, ...written(body, headers) });
  } catch {
    throw new NoAnswer('Sledge does not answer.');
  }
  if (GONE.has(response.status)) throw new NoAnswer('Sledge does not answer.');
  if (response.status === 204) return undefined as T;
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as T;
  if (response.status === NOT_WRITTEN && isProblem(answer)) throw new NotWritten(answer.detail);
  throw new Refused(
    isProblem(answer)
      ? answer
      : {
          type: 'about:blank',
          title: 'Refused',
          status: response.status,
          detail: `Sledge answered with ${response.status}.`,
        },
  );
}

function isProblem(value: unknown): value is Problem {
  return typeof value === 'object' && value !== null && 'detail' in value && typeof value.detail === 'string';
}
