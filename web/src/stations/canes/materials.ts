import { flatOf } from '#core/batch';
import { areasOf, fadeOf } from '#core/blend';
import type { JudgedMaterial, Paint } from '#core/cane';
import { ageInMonths } from '#core/clay';
import {
  hexOf,
  hidingThickness,
  joined,
  labOf,
  mixPigments,
  xyzOfLab,
  type Lab,
  type Pigment,
  type PigmentSource,
} from '#core/colour';
import { pigmentOfMix } from '#core/mix';
import { attempt } from '#core/units';
import type { CaneAnswer, ShelfAnswer } from '#contract';
import { bookOf } from '../../state/book.js';
import { today } from '../../state/today.js';
import { layoutIn } from '../blends/workedBlend.js';

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
  /** by mass, sum 1 */
  readonly shares: readonly { readonly clayId: string; readonly mass: number }[];
}

const bytes = (hex: string): readonly [number, number, number] => {
  const n = parseInt(hex, 16);
  return [n >> 16, (n >> 8) & 255, n & 255];
};
const OLD_MONTHS = 48;
const FADE_STEPS = 256;

interface Plain {
  readonly name: string;
  readonly pigment: Pigment;
  readonly density: number;
  readonly shares: CaneMaterial['shares'];
}

/** Everything a cane is made of, by its key; what is not there any more is left out. */
export function materialsOf(
  keys: readonly string[],
  cane: Pick<CaneAnswer, 'blends' | 'referenced'>,
  shelf: ShelfAnswer,
  pigments: PigmentSource,
): Map<string, CaneMaterial> {
  const book = bookOf(shelf, cane.referenced);
  const plainOf = (of: { clay: string } | { revision: string }): Plain => {
    const flat = flatOf(of, book);
    return {
      name: 'clay' in of ? (book.clay(of.clay)?.name ?? '') : book.nameOf(of.revision),
      pigment: pigmentOfMix(flat, 'baked', pigments),
      density: flat.density,
      shares: flat.shares.map((s) => ({ clayId: s.clay.id, mass: s.mass.valueOf() })),
    };
  };
  const judged = (shares: CaneMaterial['shares'], pigment: Pigment, lab: Lab): JudgedMaterial => {
    const lines = shares.flatMap(({ clayId }) => shelf.lines.find((l) => l.id === book.clay(clayId)?.lineId) ?? []);
    const ages = shares.flatMap(({ clayId }) =>
      shelf.blocks
        .filter((b) => b.clayId === clayId && b.leftGrams > 0 && b.madeOn !== null)
        .map((b) => ageInMonths(b.madeOn ?? '', today())),
    );
    return {
      lab,
      hides: hidingThickness(pigment),
      bakeC: lines.length > 0 ? Math.min(...lines.map((l) => l.bakeC)) : null,
      old: ages.length > 0 && Math.max(...ages) >= OLD_MONTHS,
      crumbly: lines.some((l) => l.firmness === 'crumbly'),
    };
  };
  const shimmers = (shares: CaneMaterial['shares']): boolean =>
    shares.reduce((sum, s) => sum + (book.clay(s.clayId)?.kind === 'mica' ? s.mass : 0), 0) > 0.5;
  const one = (key: string): CaneMaterial | null => {
    const [kind, id = ''] = key.split(':');
    if (kind !== 'blend') {
      const plain = plainOf(kind === 'clay' ? { clay: id } : { revision: id });
      const lab = labOf(mixPigments([plain.pigment], [1]));
      const hex = hexOf(xyzOfLab(lab));
      return {
        key,
        name: plain.name,
        hexes: [hex],
        paint: Uint8Array.from(bytes(hex)),
        density: plain.density,
        pigment: plain.pigment,
        mica: shimmers(plain.shares),
        shares: plain.shares,
        ...judged(plain.shares, plain.pigment, lab),
      };
    }
    const blend = cane.blends.find((b) => b.revisionId === id);
    if (!blend) return null;
    const colours = blend.plan.colours.map((c) =>
      plainOf(c.clayId === null ? { revision: c.revisionId ?? '' } : { clay: c.clayId }),
    );
    const layout = layoutIn(blend.plan);
    const { labs } = fadeOf(
      layout,
      colours.map((c) => c.pigment),
      FADE_STEPS,
    );
    const hexes = labs.map((lab) => hexOf(xyzOfLab(lab)));
    const all = areasOf(layout);
    const size = all.reduce((a, b) => a + b, 0);
    const areas = all.map((a) => a / size);
    const weights = colours.map((c, i) => (areas[i] ?? 0) * c.density);
    const whole = weights.reduce((a, b) => a + b, 0);
    const shares = colours.flatMap((c, i) =>
      c.shares.map((s) => ({ clayId: s.clayId, mass: (s.mass * (weights[i] ?? 0)) / whole })),
    );
    const middle = labs[Math.floor(labs.length / 2)] ?? { l: 50, a: 0, b: 0 };
    const pigment = joined(
      colours.map((c) => c.pigment),
      areas,
    );
    return {
      key,
      name: blend.name,
      hexes: hexes.filter((_, i) => i % 15 === 0),
      paint: Uint8Array.from(hexes.flatMap((h) => [...bytes(h)])),
      density: whole,
      pigment,
      mica: shimmers(shares),
      shares,
      ...judged(shares, pigment, middle),
    };
  };
  return new Map(
    keys.flatMap((key): [string, CaneMaterial][] => {
      // a mix that was just picked is not known yet; it comes with the answer
      return attempt(
        () => {
          const material = one(key);
          return material ? [[key, material]] : [];
        },
        () => [],
      );
    }),
  );
}

/** `linear-gradient(…)` or one colour, for a swatch. */
export const swatchOf = (material: CaneMaterial | undefined): string => {
  const colours = (material?.hexes ?? ['999999']).map((h) => `#${h}`);
  return colours.length === 1 ? (colours[0] ?? '#999') : `linear-gradient(to right, ${colours.join(', ')})`;
};
