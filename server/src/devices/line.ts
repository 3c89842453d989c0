import type { MessageEvent } from '@nestjs/common';
import { Observable, Subject, map, startWith, takeUntil, tap } from 'rxjs';
import { ProblemException } from '../access/problem.js';

/** ms after which a connection that was lost is asked for again. */
export const RETRY = 400;
/** ms that a reading takes. */
const TAKES = 120;

/** What became of an errand: events to send, or the connection is gone. */
export type Outcome<Says> = { readonly says: readonly Says[] } | 'lost';

/** The line to one device: what it says goes to every window that listens, and ends where it is lost. */
export class Line<Says extends object> {
  private readonly said = new Subject<Says>();
  private readonly lost = new Subject<void>();
  private connections = 0;

  constructor(
    private readonly name: string,
    private readonly state: () => Says,
  ) {}

  events(): Observable<MessageEvent> {
    return new Observable<MessageEvent>((to) => {
      this.connections++;
      const events = this.said.pipe(
        startWith(this.state()),
        takeUntil(this.lost),
        map((data): MessageEvent => ({ data, retry: RETRY })),
        tap({
          complete: () => {
            to.complete();
          },
        }),
      );
      const subscription = events.subscribe((event) => {
        to.next(event);
      });
      return () => {
        this.connections--;
        subscription.unsubscribe();
      };
    });
  }

  /** @throws ProblemException 409 where nobody listens */
  mustListen(): void {
    if (this.connections === 0) throw new ProblemException(409, 'Not connected', `The ${this.name} is not connected.`);
  }

  answer(outcome: Outcome<Says>): void {
    setTimeout(() => {
      if (outcome === 'lost') this.lost.next();
      else
        outcome.says.forEach((s) => {
          this.said.next(s);
        });
    }, TAKES).unref();
  }
}
