import { areasOf, fadeOf, fractionsAt, type Layout } from '#core/blend';
import type { Kind, Line } from '#core/clay';
import {
  hexOf,
  joined,
  labOf,
  lightThrough,
  mixPigments,
  xyzOfLab,
  type Lab,
  type Pigment,
  type PigmentSource,
  type Stage,
  type Xyz,
} from '#core/colour';
import { complaint, match, type Material, type Mixable } from '#core/material';
import { flatOf, nameOf, pigmentOfMix, type Book } from '#core/mix';
import type { Density, Mm } from '#core/units';

/** A blend as one of its revisions has it. */
export interface BlendInBook {
  readonly name: string;
  /** from left to right */
  readonly colours: readonly Mixable[];
  readonly layout: Layout;
}
/** A thing of several materials: slices of a cane, a patterned sheet, a tub of scrap. */
export interface Composed {
  readonly name: string;
  /** volumes in any unit */
  readonly parts: readonly { readonly of: Material; readonly volume: number }[];
}

/** Where a material is found. A book that holds no things of a kind leaves its look-up out. */
export interface MaterialBook extends Book {
  blend?(revisionId: string): BlendInBook | undefined;
  composed?(of: Extract<Material, { kind: 'cane' | 'pattern' | 'scrap' }>): Composed | undefined;
  /** a thing that lies there, by its id */
  made?(id: string): { readonly name: string; readonly of: Material } | undefined;
}

/** How a material is looked at: raw or baked, by which pigments, and a fade in how many steps. */
export interface Looking {
  readonly stage: Stage;
  readonly pigments: PigmentSource;
  readonly steps?: number;
  /** held against the light, a slice of so many mm; left out: as it lies there */
  readonly through?: Mm;
}

/** A clay in a material, by mass of the whole. */
export interface ClayShare {
  readonly clayId: string;
  readonly mass: number;
}

/** What a material is called, looks like, weighs and holds. */
export interface Known {
  readonly of: Material;
  readonly name: string;
  /** one colour, or those along a fade; where there are many in no order, the one they mix to */
  readonly labs: readonly Lab[];
  /** sRGB, six digits each, of `labs` */
  readonly hexes: readonly string[];
  /** of all of it stirred together */
  readonly pigment: Pigment;
  readonly density: Density;
  /** sum 1 */
  readonly shares: readonly ClayShare[];
  /** by mass, sum 1 */
  readonly kinds: Readonly<Partial<Record<Kind, number>>>;
  /** each once */
  readonly lines: readonly Line[];
}

/** Steps of a fade where nothing else is asked. */
const USUAL_STEPS = 17;

type Part = Pick<Known, 'labs' | 'pigment' | 'density' | 'shares'>;

/** Parts by volume as one: each weighs in with its density. @param volumes sum 1 */
function together(parts: readonly Part[], volumes: readonly number[]): Omit<Part, 'labs'> {
  const weights = parts.map((part, i) => part.density * (volumes[i] ?? 0));
  const density = weights.reduce((sum, w) => sum + w, 0);
  const masses = new Map<string, number>();
  parts.forEach(({ shares }, i) => {
    for (const { clayId, mass } of shares)
      masses.set(clayId, (masses.get(clayId) ?? 0) + (mass * (weights[i] ?? 0)) / density);
  });
  return {
    density,
    pigment: joined(
      parts.map((p) => p.pigment),
      volumes,
    ),
    shares: [...masses].map(([clayId, mass]) => ({ clayId, mass })),
  };
}

const asShares = (values: readonly number[]): number[] => {
  const whole = values.reduce((sum, v) => sum + v, 0);
  return values.map((v) => v / whole);
};

/** Looks one material up, and what it is made of. */
class Look {
  constructor(
    private readonly book: MaterialBook,
    private readonly looking: Looking,
  ) {}

  /** How some pigments look, mixed by shares. */
  private readonly xyz = (pigments: readonly Pigment[], shares: readonly number[]): Xyz => {
    const { through } = this.looking;
    return through === undefined
      ? mixPigments(pigments, shares)
      : lightThrough(joined(pigments, asShares(shares)), through);
  };

  private lab(pigment: Pigment): Lab {
    return labOf(this.xyz([pigment], [1]));
  }

  at(of: Material): Known {
    return match(of, {
      clay: (one) => this.mixable(one),
      mix: (one) => this.mixable(one),
      blend: (one) => this.blend(one),
      cane: (one) => this.composed(one),
      pattern: (one) => this.composed(one),
      scrap: (one) => this.composed(one),
      made: (one) => this.made(one),
    });
  }

  private known(of: Material, name: string, part: Part): Known {
    const kinds: Partial<Record<Kind, number>> = {};
    const lines = new Map<string, Line>();
    for (const { clayId, mass } of part.shares) {
      const clay = this.book.clay(clayId);
      const line = clay && this.book.line(clay.lineId);
      if (clay) kinds[clay.kind] = (kinds[clay.kind] ?? 0) + mass;
      if (line) lines.set(line.id, line);
    }
    const hexes = part.labs.map((lab) => hexOf(xyzOfLab(lab)));
    return { of, name, ...part, hexes, kinds, lines: [...lines.values()] };
  }

  private mixable(of: Mixable): Known {
    const flat = flatOf(of, this.book);
    const pigment = pigmentOfMix(flat, this.looking.stage, this.looking.pigments);
    const shares = flat.shares.map(({ clay, mass }) => ({ clayId: clay.id, mass: mass.valueOf() }));
    return this.known(of, nameOf(of, this.book), { labs: [this.lab(pigment)], pigment, density: flat.density, shares });
  }

  private blend(of: Extract<Material, { kind: 'blend' }>): Known {
    const blend = this.book.blend?.(of.id);
    if (!blend) throw complaint('material/missing', { name: 'A blend' });
    const colours = blend.colours.map((colour) => this.mixable(colour));
    const { layout } = blend;
    if (of.at !== undefined) {
      const part = together(colours, asShares(fractionsAt(layout, of.at * layout.width)));
      return this.known(of, blend.name, { ...part, labs: [this.lab(part.pigment)] });
    }
    const pigments = colours.map((c) => c.pigment);
    const { labs } = fadeOf(layout, pigments, this.looking.steps ?? USUAL_STEPS, this.xyz);
    return this.known(of, blend.name, { ...together(colours, asShares(areasOf(layout))), labs });
  }

  private composed(of: Extract<Material, { kind: 'cane' | 'pattern' | 'scrap' }>): Known {
    const composed = this.book.composed?.(of);
    if (!composed) throw complaint('material/missing', { name: 'Something this is of' });
    if (composed.parts.length === 0) throw complaint('material/empty', { name: composed.name });
    const parts = composed.parts.map((p) => this.at(p.of));
    const part = together(parts, asShares(composed.parts.map((p) => p.volume)));
    return this.known(of, composed.name, { ...part, labs: [this.lab(part.pigment)] });
  }

  private made(of: Extract<Material, { kind: 'made' }>): Known {
    const thing = this.book.made?.(of.id);
    if (!thing) throw complaint('material/missing', { name: 'Something that was made' });
    return { ...this.at(thing.of), of, name: thing.name };
  }
}

/**
 * Everything that is known of a material: the one look-up of names, colours,
 * densities, kinds and lines.
 * @throws Complaint `material/missing`, and as `flatten`
 */
export const lookUp = (of: Material, book: MaterialBook, looking: Looking): Known => new Look(book, looking).at(of);
