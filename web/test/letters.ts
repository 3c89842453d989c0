import { waitFor } from '@testing-library/react';

/** What a page sent to its server. */
export interface Letter {
  readonly method: string;
  /** the address, without what stands after a question mark */
  readonly path: string;
  readonly query: string;
  /** what is to be there, without its version: that follows from what was sent before */
  readonly body: Readonly<Record<string, unknown>>;
}

interface Reply {
  readonly status: number;
  readonly body: unknown;
}

/** The server's side of a page: what came in, and how it answers. */
export interface Post {
  /** all changes in their order */
  readonly letters: readonly Letter[];
  /** the newest, once it is there */
  next(): Promise<Letter>;
  /** answers every change with a refusal from now on */
  refuse(detail: string, fields?: readonly { readonly field: string; readonly sentence: string }[]): void;
  /** answers every change in a way of its own from now on */
  answer(with_: (body: Sent) => unknown): void;
}

type Sent = Readonly<Record<string, unknown>>;
const taken = (body: Sent): Reply => ({ status: 200, body: { ...body, version: Number(body.version ?? 0) + 1 } });

/** What a page reads is given to it before: it is not asked for. */
const NEVER = new Promise<never>(() => undefined);

const letters: Letter[] = [];
let read = 0;
let reply: (body: Sent) => Reply = taken;

/** Answers what a page asks for. */
function answer(address: string, { method = 'GET', body }: RequestInit): Promise<unknown> {
  const [path = '', query = ''] = address.split('?');
  if (method === 'GET') return NEVER;
  const sent = (typeof body === 'string' ? JSON.parse(body) : {}) as Sent;
  const { version: _, ...content } = sent;
  letters.push({ method, path, query, body: content });
  const { status, body: says } = reply(sent);
  return Promise.resolve({ status, ok: status < 400, json: () => Promise.resolve(says) });
}

beforeEach(() => {
  letters.length = 0;
  read = 0;
  reply = taken;
  Object.assign(globalThis, { fetch: answer });
  sessionStorage.clear();
});

/** The server behind the pages of a test: it takes every change unless it is told not to. */
export const post: Post = {
  letters,
  next: async () => {
    await waitFor(() => {
      if (letters.length <= read) throw new Error('Nothing was sent.');
    });
    read += 1;
    return letters[read - 1]!;
  },
  answer: (with_) => {
    reply = (body) => ({ status: 200, body: with_(body) });
  },
  refuse: (detail, fields) => {
    reply = () => ({ status: 422, body: { type: 'about:blank', title: 'Refused', status: 422, detail, fields } });
  },
};
