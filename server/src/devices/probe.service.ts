import { Injectable, type MessageEvent } from '@nestjs/common';
import { Observable, tap } from 'rxjs';
import { isTemperature, withPoint, type CurvePoint } from '#core/oven';
import type { ProbeErrandDto, ProbeLogAnswer, ProbeSays } from '#contract';
import { Line } from './line.js';
import { StandInProbe } from './standInProbe.js';

const SEED = 20261128;
/** ms between two readings. */
const EVERY = 250;
const MINUTE = 60_000;
/** Points that are kept; of a longer time the newest. */
const MOST = 20_000;

/** A probe in the oven: it says by itself how hot it is, and what it said is kept for windows that come later. */
@Injectable()
export class ProbeService {
  private readonly probe = new StandInProbe(SEED, Date.now());
  private readonly line = new Line<ProbeSays>('probe', () => this.probe.state());
  private heard: readonly CurvePoint[] = [];
  private listening = 0;
  private timer: NodeJS.Timeout | null = null;

  /** What it says; it ends where the connection is lost. It speaks while somebody listens. */
  events(): Observable<MessageEvent> {
    return new Observable<MessageEvent>((to) => {
      this.listen(1);
      const own = this.line
        .events()
        .pipe(
          tap(({ data }) => {
            this.keep(data as ProbeSays);
          }),
        )
        .subscribe(to);
      return () => {
        own.unsubscribe();
        this.listen(-1);
      };
    });
  }

  private listen(more: 1 | -1): void {
    this.listening += more;
    if (this.listening > 0 && !this.timer) {
      this.timer = setInterval(() => {
        this.line.answer(this.probe.says(Date.now()));
      }, EVERY);
      this.timer.unref();
    }
    if (this.listening === 0 && this.timer) {
      clearInterval(this.timer);
      this.timer = null;
    }
  }

  private keep(says: ProbeSays): void {
    if (says.says !== 'reading' || !isTemperature(says.celsius)) return;
    this.heard = withPoint(this.heard, { at: says.at / MINUTE, celsius: says.celsius }).slice(-MOST);
  }

  /** @param since ms since 1970, by the clock of the probe */
  log(since: number): ProbeLogAnswer {
    const readings = this.heard.filter(({ at }) => at * MINUTE > since);
    return { readings: readings.map(({ at, celsius }) => [Math.round(at * MINUTE), celsius] as const) };
  }

  ask(errand: ProbeErrandDto): void {
    this.line.mustListen();
    this.line.answer(this.probe.carryOut(errand, Date.now()));
  }
}
