import { BANDS, kernelOf, type Address, type Forms, type Pigment, type Region, type Vectors } from '#core/colour';
import { SEARCH } from './kernelBytes.js';
import { CORNERS, type Cell, type Ratio } from './ratios.js';

/** The exports of core/kernel/search.ts. */
interface Exports extends Vectors {
  begin(clays: number, corners: number, cells: number, ratios: number, regions: number): void;
  search(root: number, i: number, j: number, k: number): number;
  readonly absorption: Address;
  readonly scattering: Address;
  readonly weights: Address;
  readonly corners: Address;
  readonly cells: Address;
  readonly ratios: Address;
  readonly regions: Address;
  readonly hits: Address;
}
/** A tree of cells to search, and which region each of its ratios has to lie in. */
export interface Tree {
  readonly root: Cell;
  readonly regionOf: (ratio: Ratio) => number;
}

/** A cell as it lies in the memory of the kernel. */
interface Row {
  readonly cell: Cell;
  readonly tree: Tree;
  firstChild: number;
  firstRatio: number;
}

/** Numbers of the kernel have 24 bits. */
const ROUNDING = 2 ** -24;
/** Roundings of one band: of K/S and of the root taken from it. */
const ROUNDINGS = 4;

/**
 * The search with vector instructions, four bands at a time: lets through
 * every mix whose forms lie in a region, widened by what 24 bits may be
 * wrong. Pigments, forms and trees are laid out in its memory once.
 */
export class Kernel {
  private readonly regions: Float32Array;
  private readonly hits: Int32Array;
  private readonly ratios: Ratio[] = [];
  private readonly roots: number[] = [];
  private readonly margins: readonly number[];

  private constructor(
    private readonly exports: Exports,
    pigments: readonly Pigment[],
    forms: Forms,
    trees: readonly Tree[],
    regionCount: number,
  ) {
    const rows = this.rowsOf(trees);
    exports.begin(pigments.length, CORNERS.length, rows.length, this.ratios.length, regionCount);
    const { buffer } = exports.memory;
    const absorption = new Float32Array(buffer, exports.absorption.value, pigments.length * BANDS);
    const scattering = new Float32Array(buffer, exports.scattering.value, pigments.length);
    pigments.forEach((pigment, i) => {
      absorption.set(pigment.absorption, i * BANDS);
      scattering[i] = pigment.scattering;
    });
    this.layForms(forms);
    new Float32Array(buffer, exports.corners.value, CORNERS.length * 3).set(CORNERS.flat());
    this.layCells(rows);
    this.regions = new Float32Array(buffer, exports.regions.value, regionCount * 6);
    this.hits = new Int32Array(buffer, exports.hits.value, this.ratios.length);
    this.margins = marginsOf(pigments, forms);
  }

  /** @returns null where vector instructions are not to be had */
  static over(pigments: readonly Pigment[], forms: Forms, trees: readonly Tree[], regions: number): Kernel | null {
    const exports = kernelOf<Exports>(SEARCH);
    return exports && new Kernel(exports, pigments, forms, trees, regions);
  }

  /** Children of a cell lie side by side, and so do its ratios. */
  private rowsOf(trees: readonly Tree[]): Row[] {
    const rows: Row[] = [];
    const add = (cell: Cell, tree: Tree): void => {
      rows.push({ cell, tree, firstChild: 0, firstRatio: 0 });
    };
    for (const tree of trees) {
      let at = rows.length;
      this.roots.push(at);
      add(tree.root, tree);
      for (; at < rows.length; at++) {
        const row = rows[at] as Row;
        row.firstChild = rows.length;
        row.cell.children.forEach((child) => {
          add(child, tree);
        });
        row.firstRatio = this.ratios.length;
        this.ratios.push(...row.cell.ratios);
      }
    }
    return rows;
  }

  private layForms({ weights: [y, x, z] }: Forms): void {
    const rows = [y, x, x.map(Math.abs), z, z.map(Math.abs)];
    const weights = new Float32Array(this.exports.memory.buffer, this.exports.weights.value, rows.length * BANDS);
    rows.forEach((row, i) => {
      weights.set(row, i * BANDS);
    });
  }

  private layCells(rows: readonly Row[]): void {
    const { memory, cells, ratios } = this.exports;
    const cellRows = new Int32Array(memory.buffer, cells.value, rows.length * 8);
    const ratioRows = new Float32Array(memory.buffer, ratios.value, this.ratios.length * 4);
    rows.forEach(({ cell, tree: { regionOf }, firstChild, firstRatio }, i) => {
      // the wider regions come first
      const region = Math.min(...ratiosIn(cell).map(regionOf));
      cellRows.set([...cell.corners, firstChild, cell.children.length, firstRatio, cell.ratios.length, region], i * 8);
      cell.ratios.forEach((ratio, k) => {
        const [a = 0, b = 0, c = 0] = ratio;
        ratioRows.set([a, b, c, regionOf(ratio)], (firstRatio + k) * 4);
      });
    });
  }

  /** From now on mixes of a region have to lie here. */
  setRegion(place: number, region: Region): void {
    region.forEach(([from, to], form) => {
      const margin = this.margins[form] ?? 0;
      this.regions.set([from - margin, to + margin], place * 6 + form * 2);
    });
  }

  /** Ratios of the mixes of three clays that were let through, of one tree. */
  search(tree: number, i: number, j: number, k: number): readonly Ratio[] {
    const count = this.exports.search(this.roots[tree] ?? 0, i, j, k);
    const found: Ratio[] = [];
    for (let hit = 0; hit < count; hit++) found.push(this.ratios[this.hits[hit] as number] as Ratio);
    return found;
  }
}

/** Every ratio at or below a cell. */
function ratiosIn({ ratios, children }: Cell): readonly Ratio[] {
  return [...ratios, ...children.flatMap(ratiosIn)];
}

/** What rounding can change of each form: more where a clay is dark, since R is a small difference of large numbers. */
function marginsOf(pigments: readonly Pigment[], { weights }: Forms): number[] {
  const darkest = new Float64Array(BANDS);
  for (const { absorption, scattering } of pigments)
    for (let band = 0; band < BANDS; band++)
      darkest[band] = Math.max(darkest[band] as number, (absorption[band] as number) / scattering);
  return weights.map((row) =>
    row.reduce((sum, weight, band) => {
      const roundings = ROUNDINGS * (2 + (darkest[band] as number)) + BANDS;
      return sum + Math.abs(weight) * roundings * ROUNDING;
    }, 0),
  );
}
