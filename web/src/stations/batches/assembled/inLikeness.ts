import { deltaE, labOf, readHex, xyzOfHex, type Lab } from '#core/colour';
import { keyOf, materialIn, ofBlend, ofClay, ofMix, type MaterialKey } from '#core/material';
import type { PieceDocument } from '#core/piece';
import type { BlendCard, FindingDto, NearMixAnswer, ShelfAnswer, StockAnswer } from '#contract';
import { useBlends, useFindings, useShelf, useStock } from '../../../wire/queries.js';
import { ask } from '../../../wire/ask.js';
import type { AnyPart } from './partFields.js';

/** What a piece can be made of: everything that a colour is looked for in. */
export interface Palette {
  readonly shelf: ShelfAnswer | undefined;
  readonly blends: readonly BlendCard[];
  readonly stock: StockAnswer | undefined;
  readonly findings: readonly FindingDto[];
}

const labOfHex = (hex: string): Lab => labOf(xyzOfHex(readHex(hex)));
const apart = (hex: string, lab: Lab): number => deltaE(labOfHex(hex), lab);

interface Near {
  readonly of: MaterialKey;
  readonly deltaE: number;
}

/** The clay of the shelf that looks most like a colour. */
export function nearestClay(lab: Lab, { shelf }: Pick<Palette, 'shelf'>): Near | null {
  const all = (shelf?.clays ?? [])
    .filter((clay) => !clay.retired && clay.kind !== 'translucent')
    .map((clay) => ({ of: keyOf(ofClay(clay.id)), deltaE: apart(clay.bakedHex, lab) }));
  return all.sort((a, b) => a.deltaE - b.deltaE)[0] ?? null;
}

/** ΔE00 up to which a fade is taken for a part that wants one, at one of its ends. */
const LIKE_ENOUGH = 14;

/** A fade with such a colour at one end, and whether that is its first one. */
export function nearestFade(
  lab: Lab,
  { blends }: Pick<Palette, 'blends'>,
): (Near & { readonly first: boolean }) | null {
  const ends = blends
    .filter((blend) => !blend.retired && blend.hexes.length > 1)
    .flatMap(({ revisionId, hexes }) => [
      { of: keyOf(ofBlend(revisionId)), deltaE: apart(hexes[0] ?? '', lab), first: true },
      { of: keyOf(ofBlend(revisionId)), deltaE: apart(hexes.at(-1) ?? '', lab), first: false },
    ])
    .sort((a, b) => a.deltaE - b.deltaE);
  const [best] = ends;
  return best && best.deltaE <= LIKE_ENOUGH ? best : null;
}

/** The mix of the board that looks most like a colour. */
async function nearestMix({ l, a, b }: Lab): Promise<Near | null> {
  const path = `/api/mixes/near?l=${l.toFixed(2)}&a=${a.toFixed(2)}&b=${b.toFixed(2)}`;
  const { nearest } = await ask<NearMixAnswer>('GET', path);
  return nearest && { of: keyOf(ofMix(nearest.revisionId)), deltaE: nearest.deltaE };
}

/** A clay or a mix: the nearer of the two. */
async function nearest(hex: string, palette: Palette): Promise<MaterialKey | null> {
  const lab = labOfHex(hex);
  const found = [nearestClay(lab, palette), await nearestMix(lab)].filter((n): n is Near => n !== null);
  return found.sort((x, y) => x.deltaE - y.deltaE)[0]?.of ?? null;
}

/** Scrap for a core, where there is a tub with some. */
function scrapFor({ stock }: Palette): MaterialKey | null {
  const [most] = [...(stock?.tubs ?? [])].sort((a, b) => b.grams - a.grams);
  return most && most.grams > 0 ? keyOf({ kind: 'scrap', id: most.id }) : null;
}

/** One part with what is nearest to the colours that are meant, where nothing is chosen. */
async function partInLikeness(part: AnyPart, palette: Palette): Promise<AnyPart> {
  const { shape } = part;
  if (shape.is === 'finding') {
    const one = palette.findings.find((f) => f.form === shape.form);
    return one ? { ...part, shape: { ...shape, finding: shape.finding ?? one.id } } : part;
  }
  const fade = shape.is === 'cut' && shape.fade !== undefined ? nearestFade(labOfHex(part.like), palette) : null;
  const of = part.of ?? fade?.of ?? (await nearest(part.like, palette));
  if (shape.is === 'cut' && part.of === null && fade) {
    // the colour that is meant lies at the outer end
    return { ...part, of, shape: { ...shape, fade: fade.first ? 'in' : 'out' } };
  }
  if (!('with' in shape)) return { ...part, of };
  const inner = shape.is === 'covered' ? scrapFor(palette) : null;
  return { ...part, of, shape: { ...shape, with: shape.with ?? inner ?? (await nearest(shape.withLike, palette)) } };
}

/** A piece in the colours that are meant, of what one has: nearest clays, mixes, fades, scrap and findings. */
export async function inLikeness(piece: PieceDocument, palette: Palette): Promise<PieceDocument> {
  const parts = await Promise.all(piece.parts.map((part) => partInLikeness(part, palette)));
  return { ...piece, parts };
}

/** The same with everything that is on the shelf now. */
export function useInLikeness(): {
  readonly inLikeness: (piece: PieceDocument) => Promise<PieceDocument>;
  readonly isThere: (of: MaterialKey) => boolean;
} {
  const shelf = useShelf().data;
  const blends = useBlends().data ?? [];
  const stock = useStock().data;
  const findings = useFindings().data ?? [];
  const there = new Set([
    ...(shelf?.clays ?? []).map((c) => keyOf(ofClay(c.id))),
    ...blends.map((b) => keyOf(ofBlend(b.revisionId))),
    ...(stock?.tubs ?? []).map((t) => keyOf({ kind: 'scrap', id: t.id })),
  ]);
  return {
    inLikeness: (piece) => inLikeness(piece, { shelf, blends, stock, findings }),
    // mixes keep their revisions; what lay there may be used up by now
    isThere: (of) => there.has(of) || materialIn(of)?.kind === 'mix',
  };
}
