import { MOST_LIGHTNESS_SCALE, ciede2000, labOf, mixPigments, mixThree, type Lab, type Pigment } from '#core/colour';
import type { Grams } from '#core/units';
import { unitsOf, type Ratio } from './ratios.js';

/** A clay that may go into the mix. */
export interface Candidate {
  readonly id: string;
  readonly pigment: Pigment;
  /** g/cm³ */
  readonly density: number;
  /** grams that are there */
  readonly left: Grams;
}

export interface FindInput {
  readonly target: Lab;
  readonly clays: readonly Candidate[];
  /** only mixes of which so much can be made; 0: however much there is */
  readonly grams: Grams;
  /** ids of clays that have to be in the mix */
  readonly locked: readonly string[];
  readonly mostClays: 1 | 2 | 3;
}

/** A mix that comes near the target. `units` are whole, without a common divisor, in the order of `clayIds`. */
export interface Found {
  readonly clayIds: readonly string[];
  readonly units: Ratio;
  readonly deltaE: number;
  readonly lab: Lab;
}

/** Places of three clays. */
export type Three = readonly [number, number, number];

/** How simple a mix is: fewer clays before fewer parts. */
interface Class {
  readonly clays: 1 | 2 | 3;
  readonly mostUnits: number;
}
export const CLASSES: readonly Class[] = [
  { clays: 1, mostUnits: 1 },
  { clays: 2, mostUnits: 4 },
  { clays: 2, mostUnits: 16 },
  { clays: 3, mostUnits: 5 },
  { clays: 3, mostUnits: 16 },
];
/** The simplest class of a mix: its place in {@link CLASSES}. */
export const classOf = (ratio: Ratio): number =>
  CLASSES.findIndex(({ clays, mostUnits }) => clays === ratio.length && unitsOf(ratio) <= mostUnits);

/** A mix that is closer by less than this is not worth more clays or parts. */
const WORTH = 0.05;

interface Best {
  readonly of: readonly number[];
  readonly units: Ratio;
  readonly deltaE: number;
}

/** A search at one time: the best of each class so far. */
export class Search {
  private readonly best: (Best | null)[] = CLASSES.map(() => null);
  private readonly locked: readonly number[];

  constructor(readonly input: FindInput) {
    this.locked = input.locked.map((id) => input.clays.findIndex((c) => c.id === id));
  }

  /** Whether a mix can be found at all: what has to be in it is there, and is not too much. */
  get possible(): boolean {
    return !this.locked.includes(-1) && this.locked.length <= this.input.mostClays;
  }

  /** Whether these clays are to be looked at: all that has to be in is, and there is as much as is wanted. */
  wants(of: readonly number[]): boolean {
    const { grams, clays } = this.input;
    if (!this.locked.every((i) => of.includes(i))) return false;
    return of.reduce((sum, i) => sum + (clays[i]?.left ?? 0), 0) >= grams - 1e-9;
  }

  /** Every pair of clays that is to be looked at, the first before the second. */
  *pairs(): Generator<readonly [number, number]> {
    const count = this.input.clays.length;
    for (let i = 0; i < count; i++) for (let j = i + 1; j < count; j++) if (this.wants([i, j])) yield [i, j];
  }

  /** Every three clays that are to be looked at, in their order. */
  *threes(): Generator<Three> {
    const count = this.input.clays.length;
    for (let i = 0; i < count; i++)
      for (let j = i + 1; j < count; j++)
        for (let k = j + 1; k < count; k++) if (this.wants([i, j, k])) yield [i, j, k];
  }

  /** A mix of a class that is not closer than this is of no use: it, or a simpler one, is there. */
  limitOf(place: number): number {
    let limit = Infinity;
    for (let i = 0; i <= place; i++) limit = Math.min(limit, this.best[i]?.deltaE ?? Infinity);
    return limit;
  }

  private enough(of: readonly number[], units: Ratio): boolean {
    const { grams, clays } = this.input;
    if (grams === 0) return true;
    const mass = of.reduce((sum, i, k) => sum + (units[k] ?? 0) * (clays[i]?.density ?? 0), 0);
    return of.every(
      (i, k) => (grams * (units[k] ?? 0) * (clays[i]?.density ?? 0)) / mass <= (clays[i]?.left ?? 0) + 1e-9,
    );
  }

  /** Tries mixes of some clays. */
  tryAll(of: readonly number[], all: readonly Ratio[]): void {
    for (const units of all) {
      const place = classOf(units);
      const limit = this.limitOf(place);
      const deltaE = this.deltaE(of, units, limit);
      if (deltaE < limit && this.enough(of, units)) this.keep({ of, units, deltaE }, place);
    }
  }

  /** ΔE00 of a mix, or Infinity where its lightness alone is farther from the target than `limit`. */
  private deltaE(of: readonly number[], [a = 0, b = 0, c = 0]: Ratio, limit: number): number {
    const { clays, target } = this.input;
    const [i = 0, j = i, k = i] = of;
    const pigment = (place: number): Pigment => (clays[place] as Candidate).pigment;
    const lab = labOf(mixThree(pigment(i), a, pigment(j), b, pigment(k), c));
    if (Math.abs(lab.l - target.l) > MOST_LIGHTNESS_SCALE * limit) return Infinity;
    return ciede2000(target.l, target.a, target.b, lab.l, lab.a, lab.b);
  }

  /** A mix of few parts counts among those of more parts too. */
  private keep(mix: Best, simplest: number): void {
    for (let i = simplest; CLASSES[i]?.clays === mix.of.length; i++) {
      if (mix.deltaE < (this.best[i]?.deltaE ?? Infinity)) this.best[i] = mix;
    }
  }

  /** The short list from the simplest to the closest. */
  found(): Found[] {
    const list: Found[] = [];
    for (const best of this.best) {
      if (!best || best.deltaE > (list.at(-1)?.deltaE ?? Infinity) - WORTH) continue;
      const { of, units, deltaE } = best;
      const clays = of.flatMap((i) => this.input.clays[i] ?? []);
      const pigments = clays.map((c) => c.pigment);
      list.push({ clayIds: clays.map((c) => c.id), units, deltaE, lab: labOf(mixPigments(pigments, units)) });
    }
    return list;
  }
}
