import type * as Outbox from '../src/wire/outbox.js';

type Sent = {
  readonly method: string;
  readonly path: string;
  readonly change: string;
  readonly body: { version?: number; note?: string };
};
type Reply = (sent: Sent) => { readonly status: number; readonly body?: unknown } | 'gone';

/** A browser as far as the outbox needs one, and a server that answers as it is told. */
export class World {
  readonly sent: Sent[] = [];
  readonly kept = new Map<string, string>();
  reply: Reply = ({ body }) => ({ status: 200, body: { ...body, version: (body.version ?? 0) + 1 } });

  constructor() {
    const storage = {
      getItem: (key: string) => this.kept.get(key) ?? null,
      setItem: (key: string, value: string) => {
        this.kept.set(key, value);
      },
    };
    Object.assign(globalThis, {
      sessionStorage: storage,
      window: { addEventListener: () => undefined },
      fetch: async (
        path: string,
        { method, headers, body }: { method: string; headers: Record<string, string>; body?: string },
      ) => {
        const sent = {
          method,
          path,
          change: headers['x-sledge-change'] ?? '',
          body: body === undefined ? {} : (JSON.parse(body) as Sent['body']),
        };
        this.sent.push(sent);
        await new Promise((resolve) => {
          setTimeout(resolve, 5);
        });
        const reply = this.reply(sent);
        if (reply === 'gone') throw new TypeError('no answer');
        return new Response(reply.body === undefined ? null : JSON.stringify(reply.body), { status: reply.status });
      },
    });
  }

  /** The page as it comes up: a fresh outbox on what was kept. */
  async page(): Promise<typeof Outbox> {
    import.meta.jest.resetModules();
    return import('../src/wire/outbox.js');
  }
}

/** Looks again and again until something is so. */
export async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) {
    await new Promise((resolve) => {
      setTimeout(resolve, 1);
    });
  }
}
