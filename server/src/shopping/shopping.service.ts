import { Inject, Injectable } from '@nestjs/common';
import { sumKnown, wantedBy, type OpenPlan, type Wanted } from '#core/batch';
import { deltaE, hexOf, xyzOfLab, type Lab } from '#core/colour';
import { isOf, ofClay } from '#core/material';
import { ASSUMED_LAYER, areasOf, layerSetting, layersToRoll } from '#core/blend';
import { thicknesses } from '#core/sheet';
import { lookUp, type OwnColour } from '#core/stock';
import type { ShoppingAnswer, ShoppingRow, StandIn } from '#contract';
import { BatchesService } from '../batches/batches.service.js';
import { BlendsService } from '../blends/blends.service.js';
import { layoutIn } from '../blends/shape.js';
import { CanesTold } from '../canes/canes.told.js';
import { Board } from '../mixes/board.js';
import { Studio } from '../mixes/studio.js';
import { SheetsStore } from '../sheets/sheets.store.js';
import { StockLooks } from '../stock/looks.js';

/** What is further off stands in for nothing. */
const MOST_APART = 12;
/** Stand-ins that are told of each clay. */
const MOST_TOLD = 3;

/** What all open plans need together, and what could stand in for what is short. */
@Injectable()
export class ShoppingService {
  constructor(
    @Inject(BatchesService) private readonly batches: BatchesService,
    @Inject(Studio) private readonly studio: Studio,
    @Inject(Board) private readonly board: Board,
    @Inject(StockLooks) private readonly looks: StockLooks,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
    @Inject(CanesTold) private readonly canes: CanesTold,
    @Inject(BlendsService) private readonly blends: BlendsService,
  ) {}

  /** @param also canes and blends that are to be made too, by their ids */
  async list(also: { readonly canes: readonly string[]; readonly blends: readonly string[] }): Promise<ShoppingAnswer> {
    const canes = await Promise.all(also.canes.map((id) => this.ofCane(id)));
    const blends = await Promise.all(also.blends.map((id) => this.ofBlend(id)));
    const plans = [...(await this.batches.openPlans()), ...canes, ...blends];
    const wanted = wantedBy(plans, this.studio.all('block'));
    const tubs = await this.tubs();
    const rows = wanted.map((w) => this.row(w, tubs));
    const findings = [...(await this.batches.openFindings())].sort((a, b) => b.short - a.short);
    const cost = sumKnown([...rows, ...findings].filter((r) => r.short > 0).map((r) => r.buyCost));
    const { currency } = await this.sheets.setup();
    return { rows, findings, plans: plans.map(({ id, name }) => ({ id, name })), cost, currency };
  }

  /** The clay that a cane takes as it is planned now. */
  private async ofCane(id: string): Promise<OpenPlan> {
    const { name, volumes } = await this.canes.wanted(id);
    const own = [...volumes].flatMap(([of, volume]) => (isOf(of, 'clay', 'mix', 'blend') ? [{ of, volume }] : []));
    return { id, name, clays: await this.claysOf(own) };
  }

  /** The clay that a blend takes as it is planned now, with the halves that stay over. */
  private async ofBlend(id: string): Promise<OpenPlan> {
    const { name, plan } = await this.blends.open(id);
    const { machineId } = await this.sheets.setup();
    const own = (await this.sheets.machines()).find((m) => m.id === machineId);
    const mm = layerSetting(own ? thicknesses(own) : [], plan.settingId)?.mm ?? ASSUMED_LAYER;
    const layers = layersToRoll(plan.layers * (plan.stack ?? 1));
    const areas = areasOf(layoutIn(plan));
    const parts = plan.colours.map((of, i) => ({ of, volume: (areas[i] ?? 0) * layers * mm }));
    return { id, name, clays: await this.claysOf(parts) };
  }

  /** g of each clay in so much of some materials, mm³. */
  private async claysOf(
    own: readonly { readonly of: OwnColour; readonly volume: number }[],
  ): Promise<OpenPlan['clays']> {
    const { book } = await this.looks.book(own.map((o) => o.of));
    const grams = new Map<string, number>();
    for (const { of, volume } of own) {
      const { density, shares } = lookUp(of, book, { stage: 'baked', pigments: this.studio.pigments });
      for (const { clayId, mass } of shares)
        grams.set(clayId, (grams.get(clayId) ?? 0) + (mass * volume * density) / 1000);
    }
    return [...grams].map(([clayId, g]) => ({ clayId, grams: g }));
  }

  private row(wanted: Wanted, tubs: readonly (StandIn & { readonly lab: Lab })[]): ShoppingRow {
    const clay = this.studio.clay(wanted.clayId);
    const line = this.studio.line(clay?.lineId ?? '');
    const lab = this.labOf(wanted.clayId);
    return {
      ...wanted,
      name: clay?.name ?? '',
      lineName: line?.name ?? '',
      hex: clay?.bakedHex ?? '000000',
      standIns: wanted.short > 0 && lab ? this.standIns(wanted, lab, tubs) : [],
    };
  }

  private labOf(clayId: string): Lab | undefined {
    return lookUp(ofClay(clayId), this.studio.asBook(), { stage: 'baked', pigments: this.studio.pigments }).labs[0];
  }

  private standIns(
    { clayId, short }: Wanted,
    lab: Lab,
    tubs: readonly (StandIn & { readonly lab: Lab })[],
  ): readonly StandIn[] {
    const mixes = this.board.near(lab, { without: clayId, grams: short, most: MOST_TOLD });
    const scrap = tubs
      .filter((t) => t.grams >= short)
      .map(({ lab: own, ...tub }): StandIn => ({ ...tub, deltaE: deltaE(lab, own) }));
    return [...mixes, ...scrap]
      .filter((s) => s.deltaE <= MOST_APART)
      .sort((a, b) => a.deltaE - b.deltaE)
      .slice(0, MOST_TOLD);
  }

  /** Tubs with something in them, in the colour that mixing them through gives. */
  private async tubs(): Promise<(StandIn & { readonly lab: Lab })[]> {
    const { tubs, book } = await this.looks.allTubs();
    return tubs.flatMap(({ row: { id, name }, grams, clays }) => {
      if (clays.length === 0) return [];
      const known = lookUp({ kind: 'scrap', id }, book, { stage: 'baked', pigments: this.studio.pigments });
      const [lab] = known.labs;
      if (!lab) return [];
      return [{ kind: 'tub' as const, id, name, hex: hexOf(xyzOfLab(lab)), deltaE: 0, grams, lab }];
    });
  }
}
