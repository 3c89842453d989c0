import { Inject, Injectable } from '@nestjs/common';
import { Fraction, attempt } from '#core/units';
import { isOf, match, materialIn, ofClay, type Material, type OfScrap } from '#core/material';
import { lookUp, type MaterialBook, type OwnColour } from '#core/stock';
import {
  benchSteps,
  materialsOfAssembly,
  leftOf,
  mostPieces,
  planBatch,
  type AssemblyOrder,
  type BatchPlan,
  type BenchStep,
  type LayerOf,
  type LeftOver,
  type LoadItem,
  type Measuring,
  type PieceOrder,
} from '#core/batch';
import { conditioningBench } from '#core/conditioning';
import { discVolume } from '#core/sheet';
import type { BenchSetupDto, FindingDemand, MostPiecesAnswer, Plain, PlanAnswer } from '#contract';
import { Studio } from '../mixes/studio.js';
import { SheetsStore } from '../sheets/sheets.store.js';
import { StockLooks, type StockBook } from '../stock/looks.js';
import { clayIn } from '../stock/clayIn.js';
import { AssemblyOrders } from './assemblyOrders.js';
import { OvensService } from '../ovens/ovens.service.js';
import { gapsOf, orderOf, type Gap } from './pieceOrder.js';
import type { KindsOfPieces } from './kindsOfPieces.js';
import { Breakage } from './breakage.js';
import { Costs, type Costed } from './costs.js';

/** What has no colour, on the screen. */
const NO_COLOUR = '999999';

/** A batch as core planned it, and as it is told. */
interface PlannedBatch {
  readonly plan: BatchPlan;
  readonly orders: readonly PieceOrder[];
  readonly assemblies: readonly AssemblyOrder[];
  readonly steps: readonly BenchStep[];
  readonly answer: PlanAnswer;
}

/** Typed arrays to lists and exact numbers to text, for the wire. */
function plain<T>(value: T): Plain<T> {
  const visit = (v: unknown): unknown => {
    if (v instanceof Float64Array) return Array.from(v, (x) => Math.round(x * 1000) / 1000);
    if (v instanceof Fraction) return v.toFraction();
    if (Array.isArray(v)) return v.map(visit);
    if (typeof v === 'object' && v !== null)
      return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, visit(x)]));
    return v;
  };
  return visit(value) as Plain<T>;
}

/** Hands a saved batch to core: settings become thicknesses, the book and the shelf are those of now. */
@Injectable()
export class Planning {
  constructor(
    @Inject(Studio) private readonly studio: Studio,
    @Inject(SheetsStore) private readonly sheets: SheetsStore,
    @Inject(StockLooks) private readonly looks: StockLooks,
    @Inject(AssemblyOrders) private readonly assembled: AssemblyOrders,
    @Inject(Costs) private readonly costs: Costs,
    @Inject(OvensService) private readonly ovens: OvensService,
    @Inject(Breakage) private readonly breakage: Breakage,
  ) {}

  async plan(kinds: KindsOfPieces): Promise<PlannedBatch> {
    const input = await this.inputOf(kinds);
    const { orders, assemblies } = input;
    const plan = planBatch({ ...input, pieces: orders });
    const today = new Date().toISOString().slice(0, 10);
    const steps = benchSteps({ ...input, pieces: orders, plan, today });
    const breakage = await this.breaks(plan);
    const costs = await this.costs.of({ kinds, plan, steps, breakage, input });
    const said = this.answer(plan, orders, plain(steps), input);
    return { plan, orders, assemblies, steps, answer: { ...said, ...costs, breakage } };
  }

  /** The share of its pieces that break, by the line that most of its clay is of; null: nobody counted. */
  private async breaks({ clays }: BatchPlan): Promise<number | null> {
    const [most] = [...clays].sort((a, b) => b.grams - a.grams);
    const line = this.studio.clay(most?.clayId ?? '')?.lineId;
    return line === undefined ? null : this.breakage.ofLine(line);
  }

  /** What of it goes into the oven, each kind by itself. */
  async bakes(batchId: string, kinds: KindsOfPieces): Promise<LoadItem[]> {
    const { orders, ...input } = await this.inputOf(kinds);
    const { bakes } = planBatch({ ...input, pieces: orders });
    return bakes.map((item) => ({ ...item, id: `${batchId} ${item.id}` }));
  }

  /** How many of each finding it needs. */
  async findingsFor({ assemblies }: KindsOfPieces): Promise<readonly FindingDemand[]> {
    return this.costs.findings(this.assembled.of(assemblies, undefined));
  }

  /** g of each clay that it takes, with those of what has to be made for it at a station of its own. */
  async claysFor(kinds: KindsOfPieces): Promise<readonly { clayId: string; grams: number }[]> {
    const { orders, ...input } = await this.inputOf(kinds);
    const { clays, ready } = planBatch({ ...input, pieces: orders });
    const missing = ready.filter(({ of, short }) => isOf(of, 'pattern', 'blend', 'cane') && short > 0);
    const inside = missing.flatMap(({ of, short }) =>
      clayIn(of, input.book).map(({ clayId, mass }) => ({ clayId, grams: short * mass })),
    );
    const sums = new Map<string, number>();
    for (const { clayId, grams } of [...clays, ...inside]) sums.set(clayId, (sums.get(clayId) ?? 0) + grams);
    return [...sums].map(([clayId, grams]) => ({ clayId, grams }));
  }

  /** The most pieces of one kind that the shelf and what lies there give, the others as they are. */
  async most(kinds: KindsOfPieces, pieceId: string): Promise<MostPiecesAnswer> {
    const { orders, ...input } = await this.inputOf(kinds);
    const { count, runsOut } = mostPieces({ ...input, pieces: orders }, pieceId);
    const of = runsOut && materialIn(runsOut);
    return { count, runsOut: of && this.shownAs(of, input.book).name };
  }

  /** All that core plans a batch with: settings become thicknesses, book and shelf are those of now. */
  private async inputOf({ pieces, assemblies: kinds }: KindsOfPieces) {
    const [machines, setup] = [await this.sheets.machines(), await this.sheets.setup()];
    const gaps = gapsOf(machines);
    const own = machines.find((m) => m.id === setup.machineId) ?? machines[0];
    const laid = this.assembled.of(kinds, own);
    const materials = [...pieces.flatMap((p) => p.layers.map((l) => l.of)), ...laid.flatMap(materialsOfAssembly)];
    const { book, there, fades, patterned, caned, lies } = await this.looks.book(materials);
    const orders = pieces.map((piece) => orderOf(piece, gaps, fades));
    const assemblies = laid.map((order) => ({ ...order, fades }));
    const measuring = measuringOf(setup, gaps);
    const { pigments } = this.studio;
    const tray = await this.ovens.tray(setup.ovenId ?? null);
    const conditioning = conditioningBench(setup, own ?? null, await this.sheets.conditioned());
    const known = { conditioning, book, there, patterned, caned, lies, pigments, blocks: this.studio.all('block') };
    return { orders, assemblies, measuring, setup, tray, ...known };
  }

  private answer(
    plan: BatchPlan,
    orders: readonly PieceOrder[],
    steps: PlanAnswer['steps'],
    { measuring, book, patterned, caned, lies, assemblies }: PlannedWith,
  ): Omit<PlanAnswer, keyof Costed | 'breakage'> {
    const { studio } = this;
    const left = leftOf(plan).map(({ why, parts }) => ({ why, parts: parts.flatMap((part) => saidAs(part, book)) }));
    const layers = orders.flatMap((o) => o.layers.map((l): Material => l.of));
    const inLeft = left.flatMap((l) => l.parts.map((part): Material => part.of));
    const all = [...layers, ...assemblies.flatMap(materialsOfAssembly), ...inLeft];
    const shown = new Map(all.map((of) => [of.id, of]));
    return {
      pieces: plain(plan.pieces),
      lumps: plan.lumps,
      assemblies: plan.assemblies,
      loads: plan.loads,
      steps,
      mixes: plan.demand.mixes.map((mix) => ({ ...plain(mix), name: studio.called(mix.of) })),
      clays: plan.clays.map((demand) => {
        const clay = studio.clay(demand.clayId);
        const line = studio.line(clay?.lineId ?? '');
        const quarters =
          measuring.discVolume === null || !line
            ? null
            : Math.ceil((demand.grams * 4000) / (line.density * measuring.discVolume) - 1e-6);
        return {
          ...demand,
          name: clay?.name ?? '',
          lineName: line?.name ?? '',
          kind: clay?.kind ?? 'opaque',
          hex: clay?.bakedHex ?? '000000',
          discs: quarters === null ? null : new Fraction(quarters, 4).toFraction(),
        };
      }),
      totalGrams: plan.totalGrams,
      scrapGrams: plan.scrapGrams,
      usedCost: plan.usedCost,
      buyCost: plan.buyCost,
      ready: plan.ready.map((demand) => ({ ...demand, name: this.shownAs(demand.of, book).name })),
      left,
      materials: Object.fromEntries(
        [...shown].map(([id, of]) => [
          id,
          {
            ...this.shownAs(of, book),
            lies: lies.get(id) ?? null,
            pattern: patterned.get(id) ?? null,
            cane: caned.get(id) ?? null,
          },
        ]),
      ),
    };
  }

  /** Of a fade the middle of it; of an empty tub no colour, since it has none. */
  private shownAs(
    of: Material,
    book: MaterialBook,
  ): Omit<PlanAnswer['materials'][string], 'lies' | 'pattern' | 'cane'> {
    const newer = of.kind === 'mix' ? (this.studio.newerThan(of.id)?.id ?? null) : null;
    return attempt(
      () => {
        const { name, hexes, density } = lookUp(of, book, { stage: 'baked', pigments: this.studio.pigments });
        return { name, hex: hexes[Math.floor(hexes.length / 2)] ?? NO_COLOUR, hexes, density, newer };
      },
      () => ({
        name: book.composed?.(of as OfScrap)?.name ?? 'Something that was there',
        hex: NO_COLOUR,
        hexes: [],
        density: null,
        newer,
      }),
    );
  }
}

function measuringOf({ discMm, discSettingId }: BenchSetupDto, gaps: ReadonlyMap<string, Gap>): Measuring {
  const gap = gaps.get(discSettingId ?? '');
  return { discVolume: gap ? discVolume(discMm, gap.setting.mm) : null };
}

/** What an answer is put into words with. */
type PlannedWith = Pick<StockBook, 'book' | 'patterned' | 'caned' | 'lies'> & {
  readonly measuring: Measuring;
  readonly assemblies: readonly AssemblyOrder[];
};

/** What is left over, by clays, mixes and blends: a thing that lies there by what it is of, scrap by its clays. */
function saidAs({ of, grams }: LeftOver['parts'][number], book: MaterialBook): { of: OwnColour; grams: number }[] {
  const byClay = (all: Material): { of: OwnColour; grams: number }[] =>
    clayIn(all, book).map(({ clayId, mass }) => ({ of: ofClay(clayId), grams: grams * mass }));
  return match<LayerOf, { of: OwnColour; grams: number }[]>(of, {
    clay: (clay) => [{ of: clay, grams }],
    mix: (mix) => [{ of: mix, grams }],
    made: ({ id }) => {
      const inner = book.made?.(id)?.of;
      if (!inner) return [];
      return isOf(inner, 'clay', 'mix', 'blend') ? [{ of: inner, grams }] : byClay(inner);
    },
    scrap: byClay,
    pattern: byClay,
    cane: byClay,
    blend: (blend) => [{ of: blend, grams }],
  });
}
