import { Inject, Injectable } from '@nestjs/common';
import {
  costOf,
  minutesByKind,
  partOrderId,
  sumKnown,
  takeFrom,
  toCut,
  type AssemblyOrder,
  type BatchPlan,
  type BenchStep,
  type CostedKind,
} from '#core/batch';
import type { Block } from '#core/clay';
import type { Material } from '#core/material';
import { amountsOf, findingsOf } from '#core/piece';
import type { MaterialBook } from '#core/stock';
import type { BenchSetupDto, FindingDemand, FindingDto, PlanAnswer } from '#contract';
import { PiecesService } from '../pieces/pieces.service.js';
import { clayIn } from '../stock/clayIn.js';
import type { KindsOfPieces } from './kindsOfPieces.js';
import { StepTimes } from './stepTimes.js';

export type Costed = Pick<PlanAnswer, 'findings' | 'costs'>;

interface Planned {
  readonly kinds: KindsOfPieces;
  readonly plan: BatchPlan;
  readonly steps: readonly BenchStep[];
  /** the share of its pieces that break; null: nobody counted */
  readonly breakage: number | null;
  readonly input: {
    readonly assemblies: readonly AssemblyOrder[];
    readonly book: MaterialBook;
    readonly blocks: readonly Block[];
    readonly setup: Pick<BenchSetupDto, 'hourly' | 'overhead'>;
  };
}

/** Findings and money of a planned batch. */
@Injectable()
export class Costs {
  constructor(
    @Inject(PiecesService) private readonly pieces: PiecesService,
    @Inject(StepTimes) private readonly times: StepTimes,
  ) {}

  /** How many of each finding some pieces need, against what is there. */
  async findings(assemblies: readonly AssemblyOrder[]): Promise<FindingDemand[]> {
    return findingsNeeded(assemblies, new Map((await this.pieces.findings()).map((f) => [f.id, f])));
  }

  async of(planned: Planned): Promise<Costed> {
    const stock = new Map((await this.pieces.findings()).map((f) => [f.id, f]));
    const { hourly, overhead } = planned.input.setup;
    const rates = { hourly: hourly ?? null, overhead: overhead ?? 0 };
    const kinds = costedKinds(planned, stock);
    const minutes = minutesByKind(planned.steps, kinds, ownerAmong(planned), await this.times.learned());
    return {
      findings: findingsNeeded(planned.input.assemblies, stock),
      costs: kinds.map((kind) => costOf(kind, minutes.get(kind.id) ?? 0, rates, planned.breakage)),
    };
  }
}

/** The kind of piece that a cut part belongs to; any other is its own. */
function ownerAmong({ input: { assemblies } }: Planned): (pieceId: string) => string {
  const owners = new Map<string, string>();
  for (const { id, laid } of assemblies) for (const amount of amountsOf(laid)) owners.set(partOrderId(id, amount), id);
  return (pieceId) => owners.get(pieceId) ?? pieceId;
}

/** Money for a gram of each clay: as the plan takes it off the shelf, oldest first; of others as a gram would cost. */
function moneyForGram({ plan, input: { blocks } }: Planned): (clayId: string) => number | null {
  const taken = new Map(plan.clays.map((c) => [c.clayId, c.usedCost === null ? null : c.usedCost / c.grams]));
  return (clayId) => {
    const known = taken.get(clayId);
    if (known !== undefined) return known;
    const own = blocks.filter((b) => b.clayId === clayId);
    const [first] = takeFrom(own, 1).takings;
    const block = own.find((b) => b.id === first?.blockId) ?? own.find((b) => b.price !== null);
    return block === undefined || block.price === null ? null : block.price / block.netGrams;
  };
}

/** What so much of a material costs: by its clays. Scrap was paid before. */
function moneyFor(of: Material, grams: number, book: MaterialBook, perGram: (id: string) => number | null) {
  if (of.kind === 'scrap') return 0;
  return sumKnown(
    clayIn(of, book).map(({ clayId, mass }) => {
      const price = perGram(clayId);
      return price === null ? null : price * mass * grams;
    }),
  );
}

/** Each kind of piece that can be made, with its clay and its findings. */
function costedKinds(planned: Planned, stock: ReadonlyMap<string, FindingDto>): CostedKind[] {
  const { kinds, plan, input } = planned;
  const perGram = moneyForGram(planned);
  const ownerOf = ownerAmong(planned);
  const sheets = plan.pieces.flatMap((p) => (p.wrong === null ? p.layers.map((l) => ({ ...l, id: p.id })) : []));
  const all = [...sheets, ...plan.lumps];
  const clayOf = (id: string) => {
    const own = all.filter((a) => ownerOf(a.id) === id);
    const money = own.map(({ of, grams }) => moneyFor(of, grams, input.book, perGram));
    return { grams: own.reduce((sum, a) => sum + a.grams, 0), clay: sumKnown(money) };
  };
  const good = new Set([...plan.pieces, ...plan.assemblies].flatMap((p) => (p.wrong === null ? [p.id] : [])));
  const plain = kinds.pieces.map((piece) => ({ id: piece.id, count: piece.count, cut: toCut(piece), findings: 0 }));
  const assembled = input.assemblies.map((order) => ({
    id: order.id,
    count: order.count,
    cut: toCut(order),
    findings: moneyForFindings(order, stock),
  }));
  return [...plain, ...assembled].filter(({ id }) => good.has(id)).map((kind) => ({ ...kind, ...clayOf(kind.id) }));
}

const moneyForFindings = (order: AssemblyOrder, stock: ReadonlyMap<string, FindingDto>): number | null =>
  sumKnown(
    [...findingsOf(order.laid)].map(([id, each]) => {
      const price = stock.get(id ?? '')?.price ?? null;
      return price === null ? null : price * each * toCut(order);
    }),
  );

/** How many of each finding all pieces need, against what is there. */
function findingsNeeded(assemblies: readonly AssemblyOrder[], stock: ReadonlyMap<string, FindingDto>): FindingDemand[] {
  const counts = new Map<string, number>();
  for (const order of assemblies)
    for (const [id, each] of findingsOf(order.laid))
      if (id !== null) counts.set(id, (counts.get(id) ?? 0) + each * toCut(order));
  return [...counts].map(([id, count]) => {
    const finding = stock.get(id);
    const there = finding?.count ?? 0;
    const price = finding?.price ?? null;
    return {
      ...{ id, name: finding?.name ?? 'A finding that is gone', count, there, short: Math.max(0, count - there) },
      cost: price === null ? null : price * count,
    };
  });
}
