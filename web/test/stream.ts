import type { GaugeSays, ReaderSays } from '#contract/devices';

/** The stream of what a device says, as the browser would open it. */
export class Stream {
  static readonly all: Stream[] = [];
  static newest(): Stream { return Stream.all.at(-1) as Stream; }
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  closed = false;
  constructor(readonly path: string) { Stream.all.push(this); }
  close(): void { this.closed = true; }
  says(what: GaugeSays | ReaderSays): void { this.onmessage?.({ data: JSON.stringify(what) }); }
}
