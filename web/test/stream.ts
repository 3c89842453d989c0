import type { StreamSays } from '#contract/stream';

/** The one stream that windows listen to, as the browser would open it. */
export class Stream {
  static readonly all: Stream[] = [];
  static newest(): Stream {
    return Stream.all.at(-1) as Stream;
  }
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  constructor(readonly path: string) {
    Stream.all.push(this);
  }
  says(what: StreamSays): void {
    this.onmessage?.({ data: JSON.stringify(what) });
  }
}
