import { Inject, Injectable, type MessageEvent, type OnModuleInit } from '@nestjs/common';
import { randomUUID } from 'node:crypto';
import { Observable, Subject, map, startWith } from 'rxjs';
import type { StreamSays } from '#contract';
import { Journal } from '../db/journal.js';

/** ms after which a window asks for its connection again. */
const RETRY = 400;

/** The one stream that windows listen to: what was changed, and what devices say. */
@Injectable()
export class EventsService implements OnModuleInit {
  private readonly said = new Subject<StreamSays>();
  private readonly start = randomUUID();
  private listeners = 0;
  private readonly whenAlone: (() => void)[] = [];

  constructor(@Inject(Journal) private readonly journal: Journal) {}

  onModuleInit(): void {
    this.journal.onWritten((change) => {
      this.say({ of: 'change', change });
    });
  }

  say(what: StreamSays): void {
    this.said.next(what);
  }

  /** Calls `listener` when the last window has gone. */
  onAlone(listener: () => void): void {
    this.whenAlone.push(listener);
  }

  events(): Observable<MessageEvent> {
    return new Observable<MessageEvent>((to) => {
      this.listeners += 1;
      const hello: StreamSays = { of: 'sledge', start: this.start };
      const events = this.said.pipe(
        startWith(hello),
        map((data): MessageEvent => ({ data, retry: RETRY })),
      );
      const subscription = events.subscribe(to);
      return () => {
        subscription.unsubscribe();
        this.listeners -= 1;
        if (this.listeners === 0) for (const listener of this.whenAlone) listener();
      };
    });
  }
}
