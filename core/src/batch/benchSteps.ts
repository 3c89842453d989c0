import { ofClay } from '#core/material';
import { lookUp, type MaterialBook } from '#core/stock';
import type { PigmentSource } from '#core/colour';
import type { Block } from '#core/clay';
import { conditioningOf, type ConditioningBench } from '#core/conditioning';
import type { FinishStep } from '#core/piece';
import type { Grams } from '#core/units';
import { partOrders, type AssemblyOrder } from './assembly.js';
import type { BenchStep, Shown } from './benchStep.js';
import { ofOneSheet, toCut, type LayerOf, type LayerOrder, type PieceOrder } from './order.js';
import { assembleStep, coresOf, shapeSteps } from './partSteps.js';
import type { BatchPlan, PiecePlan } from './plan.js';
import { lotsOf } from './shelf.js';
import { inWorkingOrder } from './workingOrder.js';

export type { BenchStep, Shown } from './benchStep.js';

export interface StepsInput {
  readonly pieces: readonly PieceOrder[];
  readonly assemblies?: readonly AssemblyOrder[];
  readonly plan: BatchPlan;
  readonly book: MaterialBook;
  readonly blocks: readonly Block[];
  readonly pigments: PigmentSource;
  /** how these hands condition, and in which room */
  readonly conditioning: ConditioningBench;
  /** ISO date, for the age of the clay */
  readonly today: string;
}

type Cuttable = Extract<PiecePlan, { wrong: null }>;

/** A piece that can be cut, with its plan and its top layer. */
interface ToCut {
  readonly piece: PieceOrder;
  readonly own: Cuttable;
  readonly top: LayerOrder;
}

/** Steps of a batch, each kind of them; what things look like is worked out once. */
class Steps {
  private readonly look = new Map<string, Shown & { readonly lightness: number }>();
  constructor(private readonly input: StepsInput) {}

  private material(of: LayerOf): Shown & { readonly lightness: number } {
    const known = this.look.get(of.id);
    if (known) return known;
    const { book, pigments } = this.input;
    // of a fade the middle of it
    const { name, hexes, labs } = lookUp(of, book, { stage: 'raw', pigments });
    const middle = Math.floor(hexes.length / 2);
    const made = { of, name, hex: hexes[middle] ?? '000000', lightness: labs[middle]?.l ?? 0 };
    this.look.set(of.id, made);
    return made;
  }

  private plain(of: LayerOf): Shown {
    const { lightness: _, ...rest } = this.material(of);
    return rest;
  }

  private lightFirst<T>(items: readonly T[], source: (item: T) => LayerOf): T[] {
    return [...items].sort((a, b) => this.material(source(b)).lightness - this.material(source(a)).lightness);
  }

  condition(): BenchStep[] {
    return this.lightFirst(this.input.plan.clays, (c) => ofClay(c.clayId)).flatMap((c) => this.conditionOne(c));
  }

  private conditionOne({ clayId, grams: needed }: BatchPlan['clays'][number]): BenchStep[] {
    const { book, blocks, today, conditioning } = this.input;
    const lineId = book.clay(clayId)?.lineId ?? '';
    const firmness = book.line(lineId)?.firmness ?? 'medium';
    const own = blocks.filter((b) => b.clayId === clayId);
    const lots = lotsOf(own, needed, today);
    return lots.map(({ grams, months, bought, squeeze }) => ({
      kind: 'condition',
      clay: this.plain(ofClay(clayId)),
      grams,
      months,
      bought,
      lots: lots.length,
      how: conditioningOf({ lineId, firmness, squeeze, months, grams }, conditioning),
    }));
  }

  ready(): BenchStep[] {
    return this.lightFirst(this.input.plan.ready, ({ of }) => of).map(({ of, grams, short }) => ({
      kind: 'ready',
      what: this.plain(of),
      grams,
      short,
    }));
  }

  mix(): BenchStep[] {
    const mixes = this.input.plan.demand.mixes.filter((m) => m.of.kind === 'mix');
    return mixes.map(({ of, made, discError, portions }) => ({
      kind: 'mix',
      mix: this.plain(of),
      made,
      discError,
      portions: portions.map((p) => ({ ...this.plain(p.of), grams: p.grams, discs: p.discs?.toFraction() ?? null })),
    }));
  }

  /** Everything that is cut: pieces as they are, and parts of assembled ones. */
  private orders(): PieceOrder[] {
    const cuts = this.assembled().flatMap((order) => partOrders(order).cuts);
    return [...this.input.pieces, ...cuts];
  }

  /** Assembled pieces that can be made. */
  private assembled(): AssemblyOrder[] {
    const { assemblies = [], plan } = this.input;
    return assemblies.filter(({ id }) => plan.assemblies.some((a) => a.id === id && a.wrong === null));
  }

  /** Rolled, stacked and cut, piece by piece. */
  cutAll(): BenchStep[] {
    const { plan } = this.input;
    const pieces = this.orders();
    const cuttable = pieces.flatMap((piece): ToCut[] => {
      const own = plan.pieces.find((p): p is Cuttable => p.id === piece.id && p.wrong === null);
      const top = piece.layers.at(-1);
      return own && top ? [{ piece, own, top }] : [];
    });
    const sheets = new Set<PieceOrder>();
    return this.lightFirst(cuttable, ({ top }) => top.of).flatMap((one) => {
      const together = ofOneSheet(
        one.piece,
        cuttable.map((c) => c.piece),
      );
      const before = together.some((piece) => sheets.has(piece));
      sheets.add(one.piece);
      // what lies on one sheet is rolled and stacked once
      return before ? [this.cut(one)] : [...this.roll(one, cuttable), ...this.stack(one), this.cut(one)];
    });
  }

  private roll({ piece, own }: ToCut, all: readonly ToCut[]): BenchStep[] {
    const { sheets } = own.layout;
    const together = ofOneSheet(
      piece,
      all.map((c) => c.piece),
    );
    const sharing = all.filter((c) => together.includes(c.piece));
    const width = Math.max(...sharing.map((c) => c.own.layout.width));
    const length = Math.max(...sharing.map((c) => c.own.layout.length));
    const gramsOf = (i: number): Grams => sharing.reduce((sum, c) => sum + (c.own.layers[i]?.grams ?? 0), 0);
    const layers = piece.layers
      .map((layer, i) => ({ layer, grams: gramsOf(i) }))
      .filter(({ layer }) => layer.asItLies !== true);
    return this.lightFirst(layers, ({ layer }) => layer.of).map(({ layer, grams }) => ({
      kind: 'roll',
      sheet: this.plain(layer.of),
      pieceId: piece.id,
      pieceName: piece.name,
      machineName: layer.machineName,
      settingLabel: layer.settingLabel,
      mm: layer.mm,
      assumed: layer.assumed,
      width,
      length,
      sheets,
      grams,
      more: [],
    }));
  }

  private stack({ piece, own }: ToCut): BenchStep[] {
    if (piece.layers.length < 2) return [];
    const layers = piece.layers.map((l) => this.plain(l.of));
    return [{ kind: 'stack', pieceId: piece.id, pieceName: piece.name, layers, sheets: own.layout.sheets }];
  }

  private cut({ piece, own, top }: ToCut): BenchStep {
    return {
      kind: 'cut',
      pieceId: piece.id,
      pieceName: piece.name,
      cutter: piece.cutter,
      count: toCut(piece),
      spare: piece.spare,
      sheet: this.plain(top.of),
      layout: own.layout,
      bridge: piece.bridgeMm,
      film: piece.film ?? false,
      pairs: piece.pairs ?? false,
    };
  }

  /** Cores are shaped and baked before anything lies on them. */
  cores(): BenchStep[] {
    const { cores } = coresOf(this.assembled());
    return [...this.shaped(cores), ...this.bake(true)];
  }

  /** The other parts that are shaped by hand, light before dark, and then all of it put together. */
  together(): BenchStep[] {
    const { others } = coresOf(this.assembled());
    return [...this.shaped(others), ...this.assembled().flatMap(assembleStep)];
  }

  private shaped(lumps: ReturnType<typeof coresOf>['cores']): BenchStep[] {
    const steps = shapeSteps(lumps, this.input.plan, (of) => this.plain(of));
    return this.lightFirst(steps, ({ clay }) => clay.of);
  }

  bake(cores = false): BenchStep[] {
    const { plan, book } = this.input;
    const loads = plan.loads.filter((load) => load.cores === cores);
    return loads.map(({ lineIds, pieces, share: _, ...load }) => ({
      kind: 'bake',
      ...load,
      lines: lineIds.map((id) => book.line(id)?.name ?? ''),
      pieces: pieces.map(({ pieceId, count }) => ({ id: pieceId, count, name: this.called(pieceId) })),
    }));
  }

  private called(pieceId: string): string {
    const { pieces, assemblies = [] } = this.input;
    return [...pieces, ...assemblies].find(({ id }) => id === pieceId)?.name ?? '';
  }

  /** What is done to each kind of piece after the oven. */
  finish(): BenchStep[] {
    const { pieces, plan } = this.input;
    const good = pieces.filter(({ id }) => plan.pieces.some((p) => p.id === id && p.wrong === null));
    const all: readonly Finished[] = [...good, ...this.assembled()];
    return all.flatMap(({ id, name, finish = [], ...counts }) =>
      finish.map((step) => ({ kind: 'finish', pieceId: id, pieceName: name, count: toCut(counts), step }) as const),
    );
  }

  readonly lightness = ({ of }: Shown): number => this.material(of).lightness;
}

/** What of a kind of piece its finish needs. */
interface Finished {
  readonly id: string;
  readonly name: string;
  readonly count: number;
  readonly spare: number;
  readonly finish?: readonly FinishStep[];
}

/**
 * The steps of a batch in working order: condition, mix, fetch what lies there, roll and cut, shape and put together,
 * bake, finish; light colours before dark within each, since a trace of dark on the rollers spoils light clay and not
 * the other way round. What is of one clay at one setting is rolled once, crumbly clay is conditioned just before its
 * use, and hands are cleaned where dark goes before light after all.
 */
export function benchSteps(input: StepsInput): BenchStep[] {
  const steps = new Steps(input);
  return inWorkingOrder(
    [
      ...steps.condition(),
      ...steps.mix(),
      ...steps.ready(),
      ...steps.cutAll(),
      ...steps.cores(),
      ...steps.together(),
      ...steps.bake(),
      ...steps.finish(),
    ],
    steps.lightness,
  );
}
