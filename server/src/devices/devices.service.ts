import { Inject, Injectable, type MessageEvent } from '@nestjs/common';
import type { Observable } from 'rxjs';
import { flatten } from '#core/mix';
import { GAUGES, type Gauge, type GaugeErrandDto, type GaugeSays, type ReaderErrandDto, type ReaderSays } from '#contract';
import { Studio } from '../mixes/studio.js';
import { SheetsStore } from '../sheets/sheets.store.js';
import { Line } from './line.js';
import { StandInGauge, hiddenGap } from './standInGauge.js';
import { StandInReader, chipOf } from './standInReader.js';

const SEED = 20261125;

/** Devices that are connected: the colour reader, the calipers and the scale that ship with Sledge. */
@Injectable()
export class DevicesService {
  private readonly reader = new StandInReader(SEED);
  private readonly readerLine = new Line<ReaderSays>('reader', () => this.reader.state());
  private readonly gauges = Object.fromEntries(GAUGES.map((kind, i) => {
    const gauge = new StandInGauge(kind, SEED + 1 + i);
    return [kind, { gauge, line: new Line<GaugeSays>(kind, () => gauge.state()) }];
  })) as Readonly<Record<Gauge, { readonly gauge: StandInGauge; readonly line: Line<GaugeSays> }>>;

  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
  ) {}

  /** What the reader says; it ends where the connection is lost. */
  events(): Observable<MessageEvent> {
    return this.readerLine.events();
  }

  ask(errand: ReaderErrandDto): void {
    this.readerLine.mustListen();
    const recipe = errand.revisionId === null ? undefined : this.studio.recipe(errand.revisionId);
    this.readerLine.answer(this.reader.carryOut(errand, recipe ? chipOf(flatten(recipe, this.studio), errand.stage) : null));
  }

  gaugeEvents(gauge: Gauge): Observable<MessageEvent> {
    return this.gauges[gauge].line.events();
  }

  async askGauge(kind: Gauge, errand: GaugeErrandDto): Promise<void> {
    const { gauge, line } = this.gauges[kind];
    line.mustListen();
    const machine = errand.settingId === null ? undefined : (await this.sheets.machines()).find((m) => m.settings.some((s) => s.id === errand.settingId));
    const at = machine?.settings.findIndex((s) => s.id === errand.settingId) ?? -1;
    line.answer(gauge.carryOut(errand, machine && at >= 0 ? hiddenGap(machine, at) : errand.about));
  }
}
