import { labOf, mixPigments, type Lab, type Pigment } from '#core/colour';
import type { Grams } from '#core/units';
import { MOST_UNITS, WHOLE, ratios, unitsOf, type Cell, type Ratio } from './ratios.js';
import { Tray } from './tray.js';

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

/** How simple a mix is: fewer clays before fewer parts. */
interface Class {
  readonly clays: 1 | 2 | 3;
  readonly mostUnits: number;
}
const CLASSES: readonly Class[] = [
  { clays: 1, mostUnits: 1 },
  { clays: 2, mostUnits: 4 },
  { clays: 2, mostUnits: 16 },
  { clays: 3, mostUnits: 5 },
  { clays: 3, mostUnits: 16 },
];
/** A mix that is closer by less than this is not worth more clays or parts. */
const WORTH = 0.05;
/** Triples looked at between two answers. */
const STRIDE = 400;

interface Best {
  readonly of: readonly number[];
  readonly units: Ratio;
  readonly deltaE: number;
}

/** The search at one time: the best of each class so far. */
class Search {
  readonly tray: Tray;
  private readonly best: (Best | null)[] = CLASSES.map(() => null);

  constructor(private readonly input: FindInput) {
    this.tray = new Tray(
      input.clays.map((c) => c.pigment),
      input.target,
    );
  }

  /** A mix of so many clays and units that is not closer than this is of no use: it, or a simpler one, is there. */
  limit(clays: number, units: number): number {
    let limit = Infinity;
    for (let i = 0; i < CLASSES.length; i++) {
      const [c, best] = [CLASSES[i], this.best[i]];
      if (best && best.deltaE < limit) limit = best.deltaE;
      if (c && c.clays === clays && c.mostUnits >= units) break;
    }
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
    const [i = 0, j = i, k = i] = of;
    for (const units of all) {
      const [a = 0, b = 0, c = 0] = units;
      const limit = this.limit(of.length, a + b + c);
      const deltaE = this.tray.deltaE(i, j, k, a, b, c, limit);
      if (deltaE < limit && this.enough(of, units)) this.keep({ of, units, deltaE }, a + b + c);
    }
  }

  /** Tries the mixes of a cell that may come closer than what is there. */
  searchCell(of: readonly [number, number, number], cell: Cell): void {
    if (cell.children.length === 0) {
      this.tryAll(of, cell.ratios);
      return;
    }
    for (const child of cell.children) {
      if (this.tray.bound(child) < this.limit(3, MOST_UNITS)) this.searchCell(of, child);
    }
  }

  private keep(mix: Best, units: number): void {
    for (const [i, c] of CLASSES.entries()) {
      if (c.clays === mix.of.length && units <= c.mostUnits && mix.deltaE < (this.best[i]?.deltaE ?? Infinity))
        this.best[i] = mix;
    }
  }

  /** The short list from the simplest to the closest. */
  found(): Found[] {
    const list: Found[] = [];
    for (const best of this.best) {
      if (!best || best.deltaE > (list.at(-1)?.deltaE ?? Infinity) - WORTH) continue;
      const { of, units, deltaE } = best;
      const clays = of.flatMap((i) => this.input.clays[i] ?? []);
      list.push({
        clayIds: clays.map((c) => c.id),
        units,
        deltaE,
        lab: labOf(
          mixPigments(
            clays.map((c) => c.pigment),
            units,
          ),
        ),
      });
    }
    return list;
  }
}

const RATIOS_OF_TWO = ratios(2);
const FEW_OF_THREE = ratios(3).filter((r) => unitsOf(r) <= 5);

/**
 * Which mixes come nearest to a colour: the exact best for one clay, two
 * clays and three, the last two also with few parts, as if every mix had
 * been tried. Triangles of clays, and cells of them, are left out where a
 * lower bound shows that nothing in them is closer than what was found
 * (docs/models.md §4). Gives the short list again and again while it gets
 * better; the last one is exact.
 */
export function* find(input: FindInput): Generator<readonly Found[], readonly Found[]> {
  const search = new Search(input);
  const indices = input.clays.map((_, i) => i);
  const locked = input.locked.map((id) => input.clays.findIndex((c) => c.id === id));
  if (locked.includes(-1) || locked.length > input.mostClays) return [];
  const kept = (of: readonly number[]): boolean => locked.every((i) => of.includes(i));

  for (const i of indices) if (kept([i])) search.tryAll([i], ratios(1));
  if (input.mostClays > 1) {
    for (const i of indices)
      for (const j of indices.slice(i + 1)) if (kept([i, j])) search.tryAll([i, j], RATIOS_OF_TWO);
  }
  yield search.found();
  if (input.mostClays < 3) return search.found();

  const triples: { readonly of: readonly [number, number, number]; readonly bound: number }[] = [];
  for (const i of indices)
    for (const j of indices.slice(i + 1))
      for (const k of indices.slice(j + 1)) {
        const of = [i, j, k] as const;
        if (!kept(of)) continue;
        search.tray.take(of);
        triples.push({ of, bound: search.tray.bound(WHOLE) });
      }
  triples.sort((a, b) => a.bound - b.bound);
  for (const [n, { of, bound }] of triples.entries()) {
    if (bound >= search.limit(3, 1)) break;
    search.tryAll(of, FEW_OF_THREE);
    if (bound < search.limit(3, MOST_UNITS)) {
      search.tray.take(of);
      search.searchCell(of, WHOLE);
    }
    if (n % STRIDE === STRIDE - 1) yield search.found();
  }
  return search.found();
}
