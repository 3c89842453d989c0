import { Inject, Injectable, type MessageEvent } from '@nestjs/common';
import type { Observable, Subscription } from 'rxjs';
import { flatten } from '#core/mix';
import {
  DEVICES,
  GAUGES,
  type Device,
  type DeviceSays,
  type Gauge,
  type GaugeErrandDto,
  type GaugeSays,
  type ReaderErrandDto,
  type ReaderSays,
} from '#contract';
import { EventsService } from '../events/events.service.js';
import { Studio } from '../mixes/studio.js';
import { SheetsStore } from '../sheets/sheets.store.js';
import { Line, RETRY } from './line.js';
import { ProbeService } from './probe.service.js';
import { StandInGauge, hiddenGap } from './standInGauge.js';
import { StandInReader, chipOf } from './standInReader.js';

const SEED = 20261125;

/** Devices that are connected: the colour reader, the calipers and the scale that ship with Sledge. */
@Injectable()
export class DevicesService {
  private readonly reader = new StandInReader(SEED);
  private readonly readerLine = new Line<ReaderSays>('reader', () => this.reader.state());
  private readonly gauges = Object.fromEntries(
    GAUGES.map((kind, i) => {
      const gauge = new StandInGauge(kind, SEED + 1 + i);
      return [kind, { gauge, line: new Line<GaugeSays>(kind, () => gauge.state()) }];
    }),
  ) as Readonly<Record<Gauge, { readonly gauge: StandInGauge; readonly line: Line<GaugeSays> }>>;

  /** devices whose words go out on the windows' one stream */
  private readonly connected = new Map<Device, Subscription>();

  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
    @Inject(EventsService) private readonly stream: EventsService,
    @Inject(ProbeService) private readonly probe: ProbeService,
  ) {
    // a probe goes on listening: what is in the oven stays there when a window is shut
    stream.onAlone(() => {
      for (const device of DEVICES) if (device !== 'probe') this.putAway(device);
    });
  }

  /** Lets a device be heard in every window. One that is connected already says its state again. */
  connect(device: Device): void {
    this.connected.get(device)?.unsubscribe();
    const events = this.eventsOf(device);
    this.connected.set(
      device,
      events.subscribe({
        next: ({ data }) => {
          this.stream.say({ of: device, says: data } as DeviceSays);
        },
        complete: () => {
          this.lost(device);
        },
      }),
    );
  }

  private eventsOf(device: Device): Observable<MessageEvent> {
    if (device === 'probe') return this.probe.events();
    return device === 'reader' ? this.events() : this.gaugeEvents(device);
  }

  /** It is looked for again by itself, unless somebody puts it away meanwhile. */
  private lost(device: Device): void {
    this.stream.say({ of: device, says: { says: 'lost' } } as DeviceSays);
    const gone = this.connected.get(device);
    setTimeout(() => {
      if (this.connected.get(device) === gone && gone !== undefined) this.connect(device);
    }, RETRY).unref();
  }

  putAway(device: Device): void {
    this.connected.get(device)?.unsubscribe();
    this.connected.delete(device);
  }

  /** What the reader says; it ends where the connection is lost. */
  events(): Observable<MessageEvent> {
    return this.readerLine.events();
  }

  ask(errand: ReaderErrandDto): void {
    this.readerLine.mustListen();
    const recipe = errand.revisionId === null ? undefined : this.studio.recipe(errand.revisionId);
    this.readerLine.answer(
      this.reader.carryOut(errand, recipe ? chipOf(flatten(recipe, this.studio), errand.stage) : null),
    );
  }

  gaugeEvents(gauge: Gauge): Observable<MessageEvent> {
    return this.gauges[gauge].line.events();
  }

  async askGauge(kind: Gauge, errand: GaugeErrandDto): Promise<void> {
    const { gauge, line } = this.gauges[kind];
    line.mustListen();
    const machine =
      errand.settingId === null
        ? undefined
        : (await this.sheets.machines()).find((m) => m.settings.some((s) => s.id === errand.settingId));
    const at = machine?.settings.findIndex((s) => s.id === errand.settingId) ?? -1;
    line.answer(gauge.carryOut(errand, machine && at >= 0 ? hiddenGap(machine, at) : errand.about));
  }
}
