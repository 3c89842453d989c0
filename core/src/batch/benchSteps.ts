import { ofClay, type Mixable } from '#core/material';
import type { PigmentSource } from '#core/colour';
import { conditioningOf, type Block, type Conditioning } from '#core/clay';
import { colourOf, nameOf, type Book, flatOf } from '#core/mix';
import type { Celsius, Grams, Minutes, Mm } from '#core/units';
import type { Cutter } from './cutter.js';
import { type Portion } from './demand.js';
import type { Layout } from './layout.js';
import { toCut, type LayerOrder, type PieceOrder } from './order.js';
import type { BatchPlan, PiecePlan } from './plan.js';
import { lotsOf } from './shelf.js';

/** What a step works on: its name and its raw colour, as it lies on the bench. */
export interface Shown {
  readonly of: Mixable;
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
  readonly book: Book;
  readonly blocks: readonly Block[];
  readonly pigments: PigmentSource;
  /** ISO date, for the age of the clay */
  readonly today: string;
}

type Cuttable = Extract<PiecePlan, { wrong: null }>;

/**
 * The steps of a batch in working order: condition, mix, roll and cut,
 * bake; light colours before dark within each, since a trace of dark on the
 * rollers spoils light clay and not the other way round.
 */
export function benchSteps(input: StepsInput): BenchStep[] {
  const { plan, book } = input;
  const look = new Map<string, Shown & { lightness: number }>();
  const material = (of: Mixable): Shown & { lightness: number } => {
    const known = look.get(of.id);
    if (known) return known;
    const { hex, lab } = colourOf(flatOf(of, book), 'raw', input.pigments);
    const made = { of, name: nameOf(of, book), hex, lightness: lab.l };
    look.set(of.id, made);
    return made;
  };
  const plain = (of: Mixable): Shown => {
    const { lightness: _, ...rest } = material(of);
    return rest;
  };
  const lightFirst = <T>(items: readonly T[], source: (item: T) => Mixable): T[] =>
    [...items].sort((a, b) => material(source(b)).lightness - material(source(a)).lightness);

  const condition = lightFirst(plan.clays, (c) => ofClay(c.clayId)).flatMap((c): BenchStep[] => {
    const firmness = book.line(book.clay(c.clayId)?.lineId ?? '')?.firmness ?? 'medium';
    const lots = lotsOf(
      input.blocks.filter((b) => b.clayId === c.clayId),
      c.grams,
      input.today,
    );
    return lots.map(({ grams, months, bought }) => ({
      kind: 'condition',
      clay: plain(ofClay(c.clayId)),
      grams,
      months,
      bought,
      lots: lots.length,
      how: conditioningOf(firmness, months, grams),
    }));
  });
  const mix = plan.demand.mixes
    .filter((m) => m.of.kind === 'mix')
    .map((m): BenchStep => ({
      kind: 'mix',
      mix: plain(m.of),
      made: m.made,
      discError: m.discError,
      portions: m.portions.map((p) => ({ ...plain(p.of), grams: p.grams, discs: p.discs?.toFraction() ?? null })),
    }));
  const cuttable = input.pieces.flatMap((piece) => {
    const own = plan.pieces.find((p): p is Cuttable => p.id === piece.id && p.wrong === null);
    const top = piece.layers.at(-1);
    return own && top ? [{ piece, own, top }] : [];
  });
  const shape = lightFirst(cuttable, ({ top }) => top.of).flatMap(({ piece, own, top }): BenchStep[] => {
    const { layout } = own;
    const roll = (layer: LayerOrder, i: number): BenchStep => ({
      kind: 'roll',
      sheet: plain(layer.of),
      pieceId: piece.id,
      pieceName: piece.name,
      machineName: layer.machineName,
      settingLabel: layer.settingLabel,
      mm: layer.mm,
      assumed: layer.assumed,
      width: layout.width,
      length: layout.length,
      sheets: layout.sheets,
      grams: own.layers[i]?.grams ?? 0,
    });
    const rolls = lightFirst(
      piece.layers.map((layer, i) => ({ layer, i })),
      ({ layer }) => layer.of,
    ).map(({ layer, i }) => roll(layer, i));
    const stack: BenchStep[] =
      piece.layers.length > 1
        ? [
            {
              kind: 'stack',
              pieceId: piece.id,
              pieceName: piece.name,
              layers: piece.layers.map((l) => plain(l.of)),
              sheets: layout.sheets,
            },
          ]
        : [];
    return [
      ...rolls,
      ...stack,
      {
        kind: 'cut',
        pieceId: piece.id,
        pieceName: piece.name,
        cutter: piece.cutter,
        count: toCut(piece),
        spare: piece.spare,
        sheet: plain(top.of),
        layout,
        bridge: piece.bridgeMm,
      },
    ];
  });
  const bake = plan.loads.map((load): BenchStep => ({
    kind: 'bake',
    celsius: load.celsius,
    minutes: load.minutes,
    maxC: load.maxC,
    compromise: load.compromise,
    lines: load.lineIds.map((id) => book.line(id)?.name ?? ''),
    pieces: load.pieces.map(({ pieceId, count }) => ({
      count,
      name: input.pieces.find((p) => p.id === pieceId)?.name ?? '',
    })),
  }));
  return [...condition, ...mix, ...shape, ...bake];
}
