import { ofClay } from '#core/material';
import { lookUp, type MaterialBook } from '#core/stock';
import type { PigmentSource } from '#core/colour';
import { conditioningOf, type Block, type Conditioning } from '#core/clay';
import type { Celsius, Grams, Minutes, Mm } from '#core/units';
import type { Cutter } from '#core/cutter';
import { type Portion } from './demand.js';
import type { Layout } from '#core/cutter';
import { ofOneSheet, toCut, type LayerOf, type LayerOrder, type PieceOrder } from './order.js';
import type { BatchPlan, PiecePlan } from './plan.js';
import { lotsOf } from './shelf.js';

/** What a step works on: its name and its raw colour, as it lies on the bench. */
export interface Shown {
  readonly of: LayerOf;
  readonly name: string;
  readonly hex: string;
}

/** One step at the bench. Words and units are put to it where it is shown. */
export type BenchStep =
  | {
      readonly kind: 'condition';
      readonly clay: Shown;
      readonly grams: Grams;
      readonly months: number | null;
      /** it has to be bought first */ readonly bought: boolean;
      /** of so many lots of this clay */ readonly lots: number;
      readonly how: Conditioning;
    }
  | { readonly kind: 'ready'; readonly what: Shown; readonly grams: Grams; readonly short: Grams }
  | {
      readonly kind: 'mix';
      readonly mix: Shown;
      readonly made: Grams;
      readonly discError: number;
      readonly portions: readonly (Shown & Pick<Portion, 'grams'> & { readonly discs: string | null })[];
    }
  | {
      readonly kind: 'roll';
      readonly sheet: Shown;
      readonly pieceId: string;
      readonly pieceName: string;
      readonly machineName: string;
      readonly settingLabel: string;
      readonly mm: Mm;
      readonly assumed: boolean;
      readonly width: Mm;
      readonly length: Mm;
      readonly sheets: number;
      readonly grams: Grams;
    }
  | {
      readonly kind: 'stack';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly layers: readonly Shown[];
      readonly sheets: number;
    }
  | {
      readonly kind: 'cut';
      readonly pieceId: string;
      readonly pieceName: string;
      readonly cutter: Cutter;
      readonly count: number;
      readonly spare: number;
      readonly sheet: Shown;
      readonly layout: Layout;
      readonly bridge: Mm;
      readonly film: boolean;
      readonly pairs: boolean;
    }
  | {
      readonly kind: 'bake';
      readonly lines: readonly string[];
      readonly celsius: Celsius;
      readonly minutes: Minutes;
      readonly maxC: Celsius;
      readonly compromise: boolean;
      readonly pieces: readonly { readonly name: string; readonly count: number }[];
    };

export interface StepsInput {
  readonly pieces: readonly PieceOrder[];
  readonly plan: BatchPlan;
  readonly book: MaterialBook;
  readonly blocks: readonly Block[];
  readonly pigments: PigmentSource;
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
    const { book, blocks, today } = this.input;
    const firmness = book.line(book.clay(clayId)?.lineId ?? '')?.firmness ?? 'medium';
    const own = blocks.filter((b) => b.clayId === clayId);
    const lots = lotsOf(own, needed, today);
    return lots.map(({ grams, months, bought }) => ({
      kind: 'condition',
      clay: this.plain(ofClay(clayId)),
      grams,
      months,
      bought,
      lots: lots.length,
      how: conditioningOf(firmness, months, grams),
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

  /** Rolled, stacked and cut, piece by piece. */
  shape(): BenchStep[] {
    const { pieces, plan } = this.input;
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

  bake(): BenchStep[] {
    const { plan, book, pieces } = this.input;
    return plan.loads.map(({ celsius, minutes, maxC, compromise, lineIds, pieces: load }) => ({
      kind: 'bake',
      celsius,
      minutes,
      maxC,
      compromise,
      lines: lineIds.map((id) => book.line(id)?.name ?? ''),
      pieces: load.map(({ pieceId, count }) => ({ count, name: pieces.find((p) => p.id === pieceId)?.name ?? '' })),
    }));
  }
}

/**
 * The steps of a batch in working order: condition, mix, fetch what lies there, roll and cut,
 * bake; light colours before dark within each, since a trace of dark on the
 * rollers spoils light clay and not the other way round.
 */
export function benchSteps(input: StepsInput): BenchStep[] {
  const steps = new Steps(input);
  return [...steps.condition(), ...steps.mix(), ...steps.ready(), ...steps.shape(), ...steps.bake()];
}
