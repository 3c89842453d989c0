import { Inject, Injectable } from '@nestjs/common';
import { ASSUMED_BREAKAGE } from '#core/batch';
import { ASSUMED_PASSES, blendsLearned } from '#core/blend';
import { ASSUMED_ENDS, endsLearned } from '#core/cane';
import { learnedPasses, passesFresh, type CountedConditioning } from '#core/conditioning';
import type { LearnedFigure } from '#core/learned';
import { EVEN_AFTER, evenAfter } from '#core/mica';
import { ASSUMED_STOP, usualStop } from '#core/pattern';
import {
  BLENDS_KEY,
  ENDS_KEY,
  SHEEN_KEY,
  STOP_KEY,
  breakageKey,
  minutesKey,
  passesKey,
  type AsideDto,
  type TaughtAnswer,
  type TaughtFigure,
} from '#contract';
import { notThere } from '../access/problem.js';
import { BlendsService } from '../blends/blends.service.js';
import { CanesTold } from '../canes/canes.told.js';
import { Breakage } from '../batches/breakage.js';
import { StepTimes } from '../batches/stepTimes.js';
import { Journal } from '../db/journal.js';
import { SetAside } from '../db/setAside.module.js';
import { Studio } from '../mixes/studio.js';
import { PatternsTold, stoppedIn } from '../patterns/patterns.told.js';
import { SheetsStore } from '../sheets/sheets.store.js';

type Figure = Omit<TaughtFigure, 'aside'>;

/** Of a figure that is known from so many countings another one teaches little. */
const KNOWN_FROM = 8;
/** What is named as teaching most next. */
const NEXT = 3;
/** How far a sheen may be off: its counts are whole passes, the middle of them is taken. */
const SHEEN_OFF = 0.5;

const told = ({ from, odd, off }: LearnedFigure): Pick<Figure, 'from' | 'odd' | 'off'> => ({
  ...{ from, off, odd: odd.length },
});

/** What the bench taught: every figure beside what is assumed; each can be set aside. */
@Injectable()
export class TaughtService {
  constructor(
    @Inject(Journal) private readonly journal: Journal,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
    @Inject(Breakage) private readonly breakage: Breakage,
    @Inject(StepTimes) private readonly times: StepTimes,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(PatternsTold) private readonly patterns: PatternsTold,
    @Inject(BlendsService) private readonly blends: BlendsService,
    @Inject(SetAside) private readonly aside: SetAside,
  ) {}

  async all(): Promise<TaughtAnswer> {
    const aside = await this.aside.keys();
    const figures = (await this.figures()).map((figure) => ({ ...figure, aside: aside.has(figure.key) }));
    const open = figures
      .filter((f) => !f.aside && f.from < KNOWN_FROM)
      .sort((a, b) => b.off - a.off || a.from - b.from);
    // of each kind the one that is known least, and only then others of the kind
    const first = open.filter((f, i) => open.findIndex(({ kind }) => kind === f.kind) === i);
    const next = [...first, ...open.filter((f) => !first.includes(f))].slice(0, NEXT);
    return { figures, next: next.map(({ key }) => key) };
  }

  /** @throws ProblemException where there is no such figure */
  async setAside(changeId: string, key: string, { aside }: AsideDto): Promise<TaughtAnswer> {
    const figure = (await this.figures()).find((f) => f.key === key);
    if (!figure) throw notThere('This figure');
    await this.journal.change(changeId, async (draft) => {
      const stored = await draft.find('setAside', key);
      if (aside && !stored) await draft.put('setAside', { id: key, version: draft.version });
      if (!aside && stored) draft.remove('setAside', [stored]);
      draft.summary = aside ? 'set a learned figure aside' : 'a learned figure is used again';
    });
    return this.all();
  }

  private async figures(): Promise<readonly Figure[]> {
    return [
      ...(await this.passes()),
      ...(await this.minutes()),
      await this.ends(),
      await this.sheen(),
      await this.stop(),
      await this.blended(),
      ...(await this.breaking()),
    ];
  }

  /** Passes for half a block of each line that clay is there of, or was counted of. */
  private async passes(): Promise<Figure[]> {
    const counted = await this.sheets.allConditioned();
    const used = new Set([...this.studio.all('clay').map((c) => c.lineId), ...counted.map((c) => c.lineId)]);
    const { conditionPasses } = await this.sheets.setup();
    const own = conditionPasses ?? null;
    const lying = (lineId: string): number =>
      this.studio
        .all('clay')
        .filter((c) => c.lineId === lineId)
        .reduce((sum, c) => sum + this.studio.gramsLeft(c.id), 0);
    return [...this.studio.all('line')]
      .filter(({ id }) => used.has(id))
      .sort((a, b) => lying(b.id) - lying(a.id))
      .map(({ id, name, firmness }) => {
        const of = learnedOfLine(id, counted, own);
        const assumed = own ?? passesFresh(firmness);
        return { key: passesKey(id), kind: 'passes', name, assumed, learned: assumed * of.factor, ...told(of) };
      });
  }

  private async minutes(): Promise<Figure[]> {
    return [...(await this.times.all())].map(([step, of]) => ({
      ...{ key: minutesKey(step), kind: 'minutes', name: step, assumed: 1, learned: of.factor },
      ...told(of),
    }));
  }

  private async ends(): Promise<Figure> {
    const of = endsLearned(await this.canes.trims());
    const figures = { assumed: ASSUMED_ENDS, learned: ASSUMED_ENDS * of.factor };
    return { key: ENDS_KEY, kind: 'ends', name: '', ...figures, ...told(of) };
  }

  private async sheen(): Promise<Figure> {
    const stops = await this.patterns.allStops();
    const { passes, counts } = evenAfter(stops.filter((s) => s.kind === 'sheen').map((s) => s.times));
    const off = SHEEN_OFF / Math.sqrt(1 + counts);
    return { key: SHEEN_KEY, kind: 'sheen', name: '', assumed: EVEN_AFTER, learned: passes, from: counts, odd: 0, off };
  }

  private async breaking(): Promise<Figure[]> {
    return [...(await this.breakage.all())].map(([lineId, of]) => ({
      ...{ key: breakageKey(lineId), kind: 'breakage', name: this.studio.line(lineId)?.name ?? '' },
      ...{ assumed: ASSUMED_BREAKAGE, learned: ASSUMED_BREAKAGE * of.factor, ...told(of) },
    }));
  }

  private async stop(): Promise<Figure> {
    const of = usualStop(stoppedIn(await this.patterns.allStops()));
    const figures = { assumed: ASSUMED_STOP, learned: ASSUMED_STOP * of.factor };
    return { key: STOP_KEY, kind: 'stop', name: '', ...figures, ...told(of) };
  }

  private async blended(): Promise<Figure> {
    const of = blendsLearned(await this.blends.allCounted());
    const figures = { assumed: ASSUMED_PASSES, learned: ASSUMED_PASSES / of.factor };
    return { key: BLENDS_KEY, kind: 'blends', name: '', ...figures, ...told(of) };
  }
}

/** Of all clay of a line, whatever its age. */
const learnedOfLine = (id: string, counted: readonly CountedConditioning[], own: number | null): LearnedFigure =>
  learnedPasses(id, 'any', counted, own);
