import { create } from 'zustand';
import type { StreamSays } from '#contract/stream';

/** What the shared worker passes on: the stream's own words, or that the way to it was lost. */
export type Passed = StreamSays | { readonly of: 'way'; readonly open: boolean };

type Hear = (says: Passed) => void;
const hearers = new Set<Hear>();

interface Way {
  /** the stream is there */
  readonly open: boolean;
  /** the start of Sledge that speaks; null until it was heard */
  readonly start: string | null;
}
export const useWay = create<Way>()(() => ({ open: false, start: null }));

export const STREAM = '/api/events';

function hear(says: Passed): void {
  if (says.of === 'way') useWay.setState({ open: says.open });
  if (says.of === 'sledge') useWay.setState({ open: true, start: says.start });
  for (const one of hearers) one(says);
}

/** Opens the stream and passes on what it says; the browser asks again by itself where it is lost. */
export function openStream(pass: Hear): void {
  const stream = new EventSource(STREAM);
  stream.onmessage = (event: MessageEvent<string>) => {
    pass(JSON.parse(event.data) as StreamSays);
  };
  stream.onerror = () => {
    pass({ of: 'way', open: false });
  };
}

let begun = false;
/** One stream serves all windows, since a browser has only six connections to an address. */
function begin(): void {
  if (begun) return;
  begun = true;
  if (typeof SharedWorker === 'undefined') {
    openStream(hear);
    return;
  }
  const worker = new SharedWorker(new URL('./stream.shared.js', import.meta.url), {
    type: 'module',
    name: 'sledge stream',
  });
  worker.port.onmessage = (event: MessageEvent<Passed>) => {
    hear(event.data);
  };
  // a browser that cannot start it falls back to a stream of this window's own
  worker.onerror = () => {
    openStream(hear);
  };
  worker.port.start();
}

/** Hears what devices say and what is changed, in this window or another. @returns the way to hear no more */
export function listen(one: Hear): () => void {
  hearers.add(one);
  begin();
  return () => {
    hearers.delete(one);
  };
}
