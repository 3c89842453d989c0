import { Inject, Injectable, type MessageEvent } from '@nestjs/common';
import { Observable, Subject, map, startWith, takeUntil, tap } from 'rxjs';
import { flatten } from '#core/mix';
import type { ReaderErrandDto, ReaderSays } from '#contract';
import { ProblemException } from '../access/problem.js';
import { Studio } from '../mixes/studio.js';
import { StandInReader, chipOf } from './standInReader.js';

const SEED = 20261125;
/** ms after which a window asks for its connection again. */
const RETRY = 400;
/** ms that a reading takes. */
const TAKES = 120;

/** Devices that are connected; for now the colour reader that ships with Sledge. */
@Injectable()
export class DevicesService {
  private readonly reader = new StandInReader(SEED);
  private readonly said = new Subject<ReaderSays>();
  private readonly lost = new Subject<void>();
  private connections = 0;

  constructor(@Inject(Studio) private readonly studio: Studio) {}

  /** What the reader says; it ends where the connection is lost. */
  events(): Observable<MessageEvent> {
    return new Observable<MessageEvent>((to) => {
      this.connections++;
      const events = this.said.pipe(startWith(this.reader.state()), takeUntil(this.lost), map((data): MessageEvent => ({ data, retry: RETRY })), tap({ complete: () => { to.complete(); } }));
      const subscription = events.subscribe((event) => { to.next(event); });
      return () => { this.connections--; subscription.unsubscribe(); };
    });
  }

  ask(errand: ReaderErrandDto): void {
    if (this.connections === 0) throw new ProblemException(409, 'Not connected', 'The reader is not connected.');
    const recipe = errand.revisionId === null ? undefined : this.studio.recipe(errand.revisionId);
    const outcome = this.reader.carryOut(errand, recipe ? chipOf(flatten(recipe, this.studio), errand.stage) : null);
    setTimeout(() => {
      if (outcome === 'lost') this.lost.next();
      else outcome.says.forEach((s) => { this.said.next(s); });
    }, TAKES).unref();
  }
}
