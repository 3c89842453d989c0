import { keyOf, ofBlend, ofClay, ofMix, type Material } from '#core/material';
import {
  takes,
  type BlendCard,
  type CaneCard,
  type MixCard,
  type PatternCard,
  type Place,
  type ShelfAnswer,
  type StockAnswer,
  type TakenBy,
} from '#contract';
import { isMix, type Carried } from '../state/tile.js';

/** A thing that can be picked, with what is shown of it. */
export interface Picked<M extends Material = Material> {
  readonly of: M;
  readonly name: string;
  /** one colour, or those along a fade */
  readonly hexes: readonly string[];
}
export interface MaterialChoice<M extends Material = Material> extends Picked<M> {
  readonly key: string;
  readonly hint: string;
}

/** Everything that can be picked from. `mixes`: those that the server found for what was typed. */
export interface MaterialStock {
  readonly carried: readonly Carried[];
  readonly shelf: ShelfAnswer | undefined;
  readonly mixes: readonly MixCard[];
  readonly blends: readonly BlendCard[];
  /** what lies there, and tubs of scrap */
  readonly there?: StockAnswer | undefined;
  readonly patterns?: readonly PatternCard[];
  readonly canes?: readonly CaneCard[];
}

const MOST_SHOWN = 40;

/** What a thing on the tile is as a material: of a blend, its newest revision. */
function materialOf(item: Carried, blends: readonly BlendCard[]): Material | null {
  if (isMix(item)) return ofMix(item.revisionId);
  if (item.kind === 'sheet') return { kind: 'made', id: item.id };
  const blend = blends.find((b) => b.id === item.id);
  return blend ? ofBlend(blend.revisionId) : null;
}

const onTile = (carried: readonly Carried[], blends: readonly BlendCard[]): MaterialChoice[] =>
  carried.flatMap((item) => {
    const of = materialOf(item, blends);
    return of ? [{ key: `tile ${item.id}`, of, name: item.name, hexes: item.hexes, hint: 'on the tile' }] : [];
  });

function onShelf(shelf: ShelfAnswer | undefined): MaterialChoice[] {
  const lines = new Map(shelf?.lines.map((l) => [l.id, l.name]));
  return (shelf?.clays ?? [])
    .filter((clay) => !clay.retired)
    .map((clay) => ({
      key: clay.id,
      of: ofClay(clay.id),
      name: clay.name,
      hexes: [clay.bakedHex],
      hint: lines.get(clay.lineId) ?? '',
    }));
}

const onBoard = (cards: readonly MixCard[]): MaterialChoice[] =>
  cards.map(({ id, revisionId, name, hex, notation }) => ({
    key: id,
    of: ofMix(revisionId),
    name,
    hexes: [hex],
    hint: notation,
  }));

const amongBlends = (blends: readonly BlendCard[]): MaterialChoice[] =>
  blends
    .filter((blend) => !blend.retired)
    .map(({ id, revisionId, name, hexes, names }) => ({
      key: id,
      of: ofBlend(revisionId),
      name,
      hexes,
      hint: names.join(' to '),
    }));

const amongPatterns = (patterns: readonly PatternCard[]): MaterialChoice[] =>
  patterns
    .filter((pattern) => !pattern.retired)
    .map(({ id, revisionId, name, hexes }) => ({
      key: id,
      of: { kind: 'pattern', id: revisionId },
      name,
      hexes,
      hint: 'a patterned sheet, to be made',
    }));

const amongCanes = (canes: readonly CaneCard[]): MaterialChoice[] =>
  canes
    .filter((cane) => !cane.retired)
    .map(({ id, revisionId, name }) => ({
      key: id,
      of: { kind: 'cane', id: revisionId },
      name,
      hexes: [],
      hint: 'slices of a cane, to be made',
    }));

/** What of all that lies there can be rolled to a layer. */
const ROLLED: ReadonlySet<string> = new Set(['sheet', 'lump']);
const gramsOf = (grams: number): string => `${Math.round(grams)} g`;

/** What lies there and nobody counts on, and tubs with something in them: named, with what there is. */
function lyingThere(there: StockAnswer | undefined, place: Place): MaterialChoice[] {
  const things = (there?.things ?? [])
    .filter((t) => place === 'part' || ROLLED.has(t.form))
    .map((t): MaterialChoice => {
      const reserved = t.reservedFor.map((r) => r.name).join(', ');
      const hint = `${t.form}, ${gramsOf(t.left)} left${reserved === '' ? '' : `, reserved for ${reserved}`}`;
      return { key: t.id, of: { kind: 'made', id: t.id }, name: t.name, hexes: t.hexes, hint };
    });
  const tubs = (there?.tubs ?? []).flatMap((t): MaterialChoice[] =>
    t.hex === null
      ? []
      : [
          {
            key: t.id,
            of: { kind: 'scrap', id: t.id },
            name: t.name,
            hexes: [t.hex],
            hint: `scrap, ${gramsOf(t.grams)}`,
          },
        ],
  );
  return [...things, ...tubs];
}

/** How well a name answers what was typed: 0 is it, 3 only holds something called so. */
function rankOf(name: string, typed: string): number {
  const called = name.toLowerCase();
  if (called === typed) return 0;
  if (called.startsWith(typed)) return 1;
  return called.includes(typed) ? 2 : 3;
}

/**
 * What a place can be made of and what was typed fits: the tile first, then
 * what is called so, before what only holds something called so.
 * @param without the id of a thing that cannot be picked: itself
 */
export function choicesFor<P extends Place>(
  place: P,
  typed: string,
  stock: MaterialStock,
  without?: string,
): MaterialChoice<TakenBy<P>>[] {
  const wanted = typed.trim().toLowerCase();
  const named = [
    ...onTile(stock.carried, stock.blends),
    ...onShelf(stock.shelf),
    ...amongBlends(stock.blends),
    ...lyingThere(stock.there, place),
    ...amongCanes(stock.canes ?? []),
    ...amongPatterns(stock.patterns ?? []),
  ].filter((c) => c.name.toLowerCase().includes(wanted));
  // a thing on the tile stands there once, not again among the others
  const seen = new Set<string>();
  return [...named, ...onBoard(stock.mixes)]
    .filter((c): c is MaterialChoice<TakenBy<P>> => takes(place, c.of))
    .filter(({ key }) => key.replace('tile ', '') !== without)
    .filter(({ of }) => !seen.has(keyOf(of)) && seen.add(keyOf(of)))
    .map((choice, at) => ({ choice, at, rank: rankOf(choice.name, wanted) }))
    .sort((a, b) => a.rank - b.rank || a.at - b.at)
    .map(({ choice }) => choice)
    .slice(0, MOST_SHOWN);
}
