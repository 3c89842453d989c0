import type { JudgedMaterial, Paint } from '#core/cane';
import { hidingThickness, type Pigment, type PigmentSource } from '#core/colour';
import { materialIn, readMaterial } from '#core/material';
import { EDGE_LIGHT, edgeLightOf } from '#core/mica';
import { lookUp, type ClayShare, type Known, type Looking, type MaterialBook } from '#core/stock';
import { attempt, type Mm } from '#core/units';
import type { CaneAnswer, CutCaneInside, ShelfAnswer } from '#contract';
import { swatch } from '../../../parts/swatch.js';
import { bookOf } from '../../../state/book.js';
import { today } from '../../../state/today.js';
import { blendsInBook } from '../../blends/workedBlend.js';
import { isCrumbly, isOld } from './clayState.js';

/** A clay, mix or blend of a cane: how it is painted, weighed and judged. */
export interface CaneMaterial extends JudgedMaterial {
  readonly key: string;
  readonly name: string;
  /** one colour, or those along the fade */
  readonly hexes: readonly string[];
  readonly paint: Paint;
  readonly density: number;
  readonly pigment: Pigment;
  /** mostly mica clay: scrap of it is kept apart */
  readonly mica: boolean;
  /** how much of it is mica clay, by mass */
  readonly micaShare: number;
  /** light of the edges of its flakes, as a share of that of their faces */
  readonly edgeLight: number;
  /** by mass, sum 1 */
  readonly shares: readonly ClayShare[];
}

/** Colours that a fade is painted with, and of which so many are shown in a swatch. */
const [FADE_STEPS, EVERY] = [256, 15];
/** From this share on a material shimmers. */
const MOSTLY = 0.5;
const GREY = { l: 50, a: 0, b: 0 };

/** Red, green and blue of six digits. */
export function bytes(hex: string): readonly number[] {
  const n = parseInt(hex, 16);
  return [n >> 16, (n >> 8) & 255, n & 255];
}

/** Light of the edges of flakes in some clays: of each mica clay as it was measured, by how much of it there is. */
export function edgeLightIn(shares: readonly ClayShare[], { clays }: ShelfAnswer): number {
  const mica = shares.flatMap(({ clayId, mass }) => {
    const clay = clays.find((c) => c.id === clayId);
    return clay?.kind === 'mica' ? [{ mass, light: edgeLightOf(clay.bakedHex, clay.edgeHex) }] : [];
  });
  const whole = mica.reduce((sum, { mass }) => sum + mass, 0);
  return whole > 0 ? mica.reduce((sum, { mass, light }) => sum + mass * light, 0) / whole : EDGE_LIGHT;
}

function judged({ labs, pigment, lines, shares }: Known, shelf: ShelfAnswer): JudgedMaterial {
  return {
    lab: labs[Math.floor(labs.length / 2)] ?? GREY,
    hides: hidingThickness(pigment),
    bakes: lines.map(({ bakeC, maxC, ownC }) => ({ bakeC, maxC, ownC })),
    old: isOld(shares, shelf, today()),
    crumbly: isCrumbly(shares, shelf, today()),
  };
}

function caneMaterial(key: string, known: Known, shelf: ShelfAnswer): CaneMaterial {
  const { name, hexes, density, pigment, kinds, shares } = known;
  return {
    key,
    name,
    hexes: hexes.length === 1 ? hexes : hexes.filter((_, i) => i % EVERY === 0),
    paint: Uint8Array.from(hexes.flatMap(bytes)),
    density,
    pigment,
    mica: (kinds.mica ?? 0) > MOSTLY,
    micaShare: kinds.mica ?? 0,
    edgeLight: edgeLightIn(shares, shelf),
    shares,
    ...judged(known, shelf),
  };
}

/** Canes that slices are cut of, by what is in them. */
const cutIn =
  (canes: readonly Partial<CutCaneInside>[]): NonNullable<MaterialBook['composed']> =>
  ({ id }) => {
    const { name = '', parts = [] } = canes.find((cane) => cane.revisionId === id) ?? {};
    const read = parts.flatMap(({ of, volume }) => {
      const material = materialIn(of);
      return material ? [{ of: material, volume }] : [];
    });
    return read.length > 0 ? { name, parts: read } : undefined;
  };

/**
 * Everything a cane is made of, by its key; what is not there any more is left out.
 * @param through mm of a slice that it is held against the light as; left out: as it lies there
 */
export function materialsOf(
  keys: readonly string[],
  cane: Pick<CaneAnswer, 'blends' | 'referenced'> & { readonly canes?: readonly Partial<CutCaneInside>[] },
  shelf: ShelfAnswer,
  pigments: PigmentSource,
  through?: Mm,
): Map<string, CaneMaterial> {
  const book: MaterialBook = {
    ...bookOf(shelf, cane.referenced),
    blend: blendsInBook(cane.blends),
    composed: cutIn(cane.canes ?? []),
  };
  const looking: Looking = {
    ...{ stage: 'baked', pigments, steps: FADE_STEPS },
    ...(through === undefined ? {} : { through }),
  };
  return new Map(
    keys.flatMap((key) =>
      // a mix that was just picked is not known yet; it comes with the answer
      attempt(
        () => [[key, caneMaterial(key, lookUp(readMaterial(key), book, looking), shelf)] as const],
        () => [],
      ),
    ),
  );
}

/** A swatch of a material; grey where it is not there any more. */
export const swatchOf = (material: CaneMaterial | undefined): string => swatch(material?.hexes ?? []);
