import { Inject, Injectable } from '@nestjs/common';
import { Fraction } from '#core/units';
import { benchSteps, cutterOf, planBatch, type BatchPlan, type Measuring, type PieceOrder } from '#core/batch';
import { colourOf, flatOf } from '#core/mix';
import { discVolume, thicknesses, type SettingThickness } from '#core/sheet';
import type { MachineDto, PieceDto, Plain, PlanAnswer } from '#contract';
import { Studio } from '../mixes/studio.js';
import { SheetsStore } from '../sheets/sheets.store.js';

interface Gap {
  readonly machine: MachineDto;
  readonly setting: SettingThickness;
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
  ) {}

  async plan(pieces: readonly PieceDto[]): Promise<{ plan: BatchPlan; orders: PieceOrder[]; answer: PlanAnswer }> {
    const gaps = await this.gaps();
    const orders = pieces.map((piece) => orderOf(piece, gaps));
    const measuring = await this.measuring(gaps);
    const { studio } = this;
    const blocks = studio.all('block');
    const plan = planBatch({ pieces: orders, book: studio, blocks, measuring, pigments: studio.pigments });
    const steps = benchSteps({
      pieces: orders,
      plan,
      book: studio,
      blocks,
      pigments: studio.pigments,
      today: new Date().toISOString().slice(0, 10),
    });
    return { plan, orders, answer: this.answer(plan, orders, plain(steps), measuring) };
  }

  private answer(
    plan: BatchPlan,
    orders: readonly PieceOrder[],
    steps: PlanAnswer['steps'],
    measuring: Measuring,
  ): PlanAnswer {
    const { studio } = this;
    const shown = new Map(orders.flatMap((o) => o.layers.map((l) => [l.of.id, l.of])));
    return {
      pieces: plain(plan.pieces),
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
      materials: Object.fromEntries(
        [...shown].map(([id, of]) => [
          id,
          {
            name: studio.called(of),
            hex: colourOf(flatOf(of, studio), 'baked', studio.pigments).hex,
            newer: of.kind === 'clay' ? null : (studio.newerThan(of.id)?.id ?? null),
          },
        ]),
      ),
    };
  }

  private async gaps(): Promise<Map<string, Gap>> {
    const machines = await this.sheets.machines();
    return new Map(
      machines.flatMap((machine) => thicknesses(machine).map((setting) => [setting.id, { machine, setting }])),
    );
  }

  private async measuring(gaps: ReadonlyMap<string, Gap>): Promise<Measuring> {
    const setup = await this.sheets.setup();
    const gap = gaps.get(setup.discSettingId ?? '');
    return { discVolume: gap ? discVolume(setup.discMm, gap.setting.mm) : null };
  }
}

function orderOf(piece: PieceDto, gaps: ReadonlyMap<string, Gap>): PieceOrder {
  return {
    id: piece.id,
    name: piece.name,
    count: piece.count,
    spare: piece.spare,
    cutter: cutterOf(piece.widthMm, piece.shape === 'round' ? null : (piece.heightMm ?? piece.widthMm)),
    bridgeMm: piece.bridgeMm,
    edgeMm: piece.edgeMm ?? 0,
    sheetWidthMm: piece.sheetWidthMm,
    sheetLengthMm: piece.sheetLengthMm,
    layers: piece.layers.flatMap((layer) => {
      const gap = gaps.get(layer.settingId);
      return gap
        ? [
            {
              of: layer.of,
              machineName: gap.machine.name,
              settingLabel: gap.setting.label,
              mm: gap.setting.mm,
              assumed: gap.setting.knowledge === 'assumed',
              rollerWidthMm: gap.machine.rollerWidthMm,
            },
          ]
        : [];
    }),
  };
}
