import { deltaE, labOf, xyzOfHex } from '#core/colour';
import { scaledCutter } from '#core/cutter';
import { keyOf, materialIn, ofClay, ofMix, type MaterialKey } from '#core/material';
import { pieceMaterials, scaledPiece, withPieceMaterial } from '#core/piece';
import type {
  BatchAnswer,
  BatchDto,
  DiaryAnswer,
  MixCard,
  RevisionAnswer,
  ShelfAnswer,
  StockAnswer,
  TakenBy,
} from '#contract';
import { asName } from '../../../parts/names.js';
import { leftOf } from '../../../state/shelf.js';
import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { copyOf } from '../../batches/batchMoves.js';

type LayerOf = TakenBy<'layer'>;

/** Something that can take the place of a material. */
export interface Offered {
  readonly key: MaterialKey;
  readonly name: string;
  readonly hex: string;
  /** ΔE00 to what it would replace */
  readonly deltaE: number;
}

/** A material of what is made again. */
export interface Needed {
  readonly key: MaterialKey;
  readonly name: string;
  readonly hex: string;
  /** why it cannot be taken as it was; null: it is there */
  readonly gone: string | null;
  /** the same mix as it is by now; null: there is no newer one */
  readonly newer: MaterialKey | null;
  /** the nearest first */
  readonly near: readonly Offered[];
}

/** What there is by now. */
export interface ThereNow {
  readonly shelf: ShelfAnswer;
  readonly stock: StockAnswer;
  readonly mixes: readonly MixCard[];
}

/** Nearest ones that are offered. */
const OFFERED = 6;
/** g from which a clay counts as there. */
const SOME = 0.5;

/** Why a material cannot be taken as it was. */
function goneBecause(key: MaterialKey, { shelf, stock, mixes }: ThereNow): string | null {
  const of = materialIn(key);
  if (of?.kind === 'clay') {
    const clay = shelf.clays.find((c) => c.id === of.id);
    if (!clay || clay.retired) return 'no longer on the shelf';
    return leftOf(shelf, of.id) < SOME ? 'none of it is left' : null;
  }
  if (of?.kind === 'mix') {
    const card = mixes.find((m) => m.revisionId === of.id);
    return card && card.possibleGrams < SOME ? 'its clays are used up' : null;
  }
  if (of?.kind === 'made') return stock.things.some((t) => t.id === of.id && !t.gone) ? null : 'used up';
  if (of?.kind === 'scrap') return stock.tubs.some((t) => t.id === of.id && t.grams > SOME) ? null : 'the tub is empty';
  return null;
}

/** Clays and mixes of one colour that are there, the nearest to a colour first. */
function nearTo(hex: string, without: MaterialKey, { shelf, mixes }: ThereNow): readonly Offered[] {
  const wanted = labOf(xyzOfHex(hex));
  const off = (other: string): number => deltaE(labOf(xyzOfHex(other)), wanted);
  const clays = shelf.clays
    .filter((c) => !c.retired && leftOf(shelf, c.id) >= SOME)
    .map((c) => ({ key: keyOf(ofClay(c.id)), name: c.name, hex: c.bakedHex, deltaE: off(c.bakedHex) }));
  const mixed = mixes
    .filter((m) => !m.retired && m.possibleGrams >= SOME)
    .map((m) => ({ key: keyOf(ofMix(m.revisionId)), name: m.name, hex: m.hex, deltaE: off(m.hex) }));
  return [...clays, ...mixed]
    .filter(({ key }) => key !== without)
    .sort((a, b) => a.deltaE - b.deltaE)
    .slice(0, OFFERED);
}

/** Every material of a batch, with what there is of it by now and what comes nearest. */
export function neededFor(batch: BatchAnswer, now: ThereNow): readonly Needed[] {
  const keys = [
    ...batch.pieces.flatMap((p) => p.layers.map((l) => keyOf(l.of))),
    ...batch.assemblies.flatMap((a) => [...pieceMaterials(a.piece)]),
  ];
  return [...new Set(keys)].map((key) => neededOf(key, batch.plan.materials[materialIn(key)?.id ?? ''], now));
}

/** What is known of a material; `newer`: the newest revision of its mix. */
type Known = Readonly<{ name: string; hex: string; newer: string | null }>;

function neededOf(key: MaterialKey, told: Known | undefined, now: ThereNow): Needed {
  const hex = told?.hex ?? UNKNOWN_HEX;
  const newer = told?.newer && materialIn(key)?.kind === 'mix' ? keyOf(ofMix(told.newer)) : null;
  return { key, name: told?.name ?? '', hex, gone: goneBecause(key, now), newer, near: nearTo(hex, key, now) };
}

/** Clays and mixes of a plan at a station of its own. @param referenced revisions that it rests on */
export const neededIn = (
  keys: readonly MaterialKey[],
  referenced: readonly RevisionAnswer[],
  now: ThereNow,
): readonly Needed[] => keys.map((key) => neededOf(key, knownOf(key, referenced, now), now));

function knownOf(
  key: MaterialKey,
  referenced: readonly RevisionAnswer[],
  { shelf, mixes }: ThereNow,
): Known | undefined {
  const of = materialIn(key);
  if (of?.kind === 'clay') {
    const clay = shelf.clays.find((c) => c.id === of.id);
    return clay && { name: clay.name, hex: clay.bakedHex, newer: null };
  }
  const revision = referenced.find((r) => r.id === of?.id);
  const card = mixes.find((m) => m.revisionId === of?.id || m.id === revision?.mixId);
  const newer = card && card.revisionId !== of?.id ? card.revisionId : null;
  return card && { name: card.name, hex: card.hex, newer };
}

/** What takes the place of what, by their keys. */
export type Swaps = ReadonlyMap<MaterialKey, MaterialKey>;

/** What is gone is replaced by the nearest until somebody says otherwise. */
export const usualSwaps = (needed: readonly Needed[]): Swaps =>
  new Map(
    needed.flatMap(({ key, gone, near: [first] }): [MaterialKey, MaterialKey][] =>
      gone !== null && first ? [[key, first.key]] : [],
    ),
  );

const swappedLayer = (of: LayerOf, swaps: Swaps): LayerOf => {
  const other = swaps.get(keyOf(of));
  return other === undefined ? of : (materialIn(other) as LayerOf);
};

/** So many of a kind as an entry tells, where it tells of it. */
const countIn = (entry: Pick<DiaryAnswer, 'pieces'>, name: string, otherwise: number): number =>
  entry.pieces.find((p) => p.name === name)?.count ?? otherwise;

interface Again {
  readonly batch: BatchAnswer;
  readonly entry: Pick<DiaryAnswer, 'pieces'>;
  readonly swaps: Swaps;
  /** 0.8 is a fifth smaller */
  readonly factor: number;
}

/** The batch of an entry once more: in another size, with other materials; thicknesses and finishes as they were. */
export function againDto({ batch, entry, swaps, factor }: Again): BatchDto {
  const copy = copyOf(batch);
  const pieces = copy.pieces.map((piece) => ({
    // where it is cut of a patterned sheet belongs to that sheet, and stays as large
    ...(piece.placed ? piece : scaledCutter(piece, factor)),
    count: countIn(entry, piece.name, piece.count),
    layers: piece.layers.map((layer) => ({ ...layer, of: swappedLayer(layer.of, swaps) })),
  }));
  const assemblies = (copy.assemblies ?? []).map((one) => ({
    ...one,
    count: countIn(entry, one.name, one.count),
    piece: scaledPiece(
      withPieceMaterial(one.piece, (key) => swaps.get(key) ?? key),
      factor,
    ),
  }));
  const size = factor === 1 ? '' : `, ${Math.round(100 * factor)} %`;
  return { ...copy, name: asName(`${batch.name}${size}, again`), pieces, assemblies };
}
