/**
 * The inner loops of the search for a mix, four bands at a time (AssemblyScript, built by `npm run kernel`). It lets
 * through every mix of three clays whose linear forms of XYZ lie in a region; which of those are the nearest is
 * worked out in full by its caller. `core/src/mix/find/kernel.ts` lays out what it reads and knows what it means.
 */
const BANDS = 36;
/** Bytes of one row of bands. */
const ROW: usize = BANDS * 4;
const FORMS = 3;

/** One row a clay: absorption in each band. */
export let absorption: usize = 0;
/** One number a clay. */
export let scattering: usize = 0;
/** Rows by form: Y, G₁, |G₁|, G₂, |G₂|. */
export let weights: usize = 0;
/** Three shares a corner. */
export let corners: usize = 0;
/** Eight whole numbers a cell: three corners, first child, children, first ratio, ratios, region. */
export let cells: usize = 0;
/** Four numbers a ratio: units of the three clays, region. */
export let ratios: usize = 0;
/** By region: from and to of each form. */
export let regions: usize = 0;
/** Places of the ratios that were let through. */
export let hits: usize = 0;

let curves: usize = 0;
let drawn: usize = 0;
let stamp: i32 = 0;
let found: i32 = 0;
let first: usize = 0;
let second: usize = 0;
let third: usize = 0;
let firstScatters: f32 = 0;
let secondScatters: f32 = 0;
let thirdScatters: f32 = 0;
let firstWeight: f32 = 0;
let secondWeight: f32 = 0;
let thirdWeight: f32 = 0;

/** Takes the memory that a search needs. */
export function begin(clays: i32, cornerCount: i32, cellCount: i32, ratioCount: i32, regionCount: i32): void {
  absorption = heap.alloc(<usize>clays * ROW);
  scattering = heap.alloc(<usize>clays * 4);
  weights = heap.alloc(5 * ROW);
  corners = heap.alloc(<usize>cornerCount * 12);
  cells = heap.alloc(<usize>cellCount * 32);
  ratios = heap.alloc(<usize>ratioCount * 16);
  regions = heap.alloc(<usize>regionCount * FORMS * 8);
  hits = heap.alloc(<usize>ratioCount * 4);
  curves = heap.alloc(<usize>cornerCount * ROW);
  drawn = heap.alloc(<usize>cornerCount * 4);
  memory.fill(drawn, 0, <usize>cornerCount * 4);
}

function sum(v: v128): f32 {
  return f32x4.extract_lane(v, 0) + f32x4.extract_lane(v, 1) + f32x4.extract_lane(v, 2) + f32x4.extract_lane(v, 3);
}

/** Reflectance of four bands of the mix whose weights are u, v and w. */
function light(at: usize, u: v128, v: v128, w: v128): v128 {
  const q = f32x4.add(
    f32x4.add(f32x4.mul(u, v128.load(first + at)), f32x4.mul(v, v128.load(second + at))),
    f32x4.mul(w, v128.load(third + at)),
  );
  const root = f32x4.sqrt(f32x4.mul(q, f32x4.add(q, f32x4.splat(2))));
  return f32x4.sub(f32x4.add(q, f32x4.splat(1)), root);
}

/** Weighs the three clays by their volumes at an address. */
function weigh(at: usize): void {
  const a = load<f32>(at);
  const b = load<f32>(at, 4);
  const c = load<f32>(at, 8);
  const scale: f32 = 1 / (a * firstScatters + b * secondScatters + c * thirdScatters);
  firstWeight = a * scale;
  secondWeight = b * scale;
  thirdWeight = c * scale;
}

/** The curve of a corner, drawn once for three clays. */
function curveAt(place: i32): usize {
  const curve = curves + <usize>place * ROW;
  const mark = drawn + <usize>place * 4;
  if (load<i32>(mark) == stamp) return curve;
  store<i32>(mark, stamp);
  const at = corners + <usize>place * 12;
  weigh(at);
  const u = f32x4.splat(firstWeight);
  const v = f32x4.splat(secondWeight);
  const w = f32x4.splat(thirdWeight);
  for (let band: usize = 0; band < ROW; band += 16) v128.store(curve + band, light(band, u, v, w));
  return curve;
}

function overlaps(region: usize, form: usize, low: f32, high: f32): bool {
  return high >= load<f32>(region + form * 8) && low <= load<f32>(region + form * 8 + 4);
}

/** Whether a mix of the cell can lie in the region: each reflectance lies between those of its corners. */
function reaches(cell: usize): bool {
  const p = curveAt(load<i32>(cell));
  const q = curveAt(load<i32>(cell, 4));
  const r = curveAt(load<i32>(cell, 8));
  let y = f32x4.splat(0);
  let dy = f32x4.splat(0);
  let g = f32x4.splat(0);
  let dg = f32x4.splat(0);
  let h = f32x4.splat(0);
  let dh = f32x4.splat(0);
  for (let band: usize = 0; band < ROW; band += 16) {
    const one = v128.load(p + band);
    const other = v128.load(q + band);
    const last = v128.load(r + band);
    const low = f32x4.pmin(f32x4.pmin(one, other), last);
    const high = f32x4.pmax(f32x4.pmax(one, other), last);
    const twice = f32x4.add(low, high);
    const width = f32x4.sub(high, low);
    const row = weights + band;
    const own = v128.load(row);
    y = f32x4.add(y, f32x4.mul(own, twice));
    dy = f32x4.add(dy, f32x4.mul(own, width));
    g = f32x4.add(g, f32x4.mul(v128.load(row + ROW), twice));
    dg = f32x4.add(dg, f32x4.mul(v128.load(row + 2 * ROW), width));
    h = f32x4.add(h, f32x4.mul(v128.load(row + 3 * ROW), twice));
    dh = f32x4.add(dh, f32x4.mul(v128.load(row + 4 * ROW), width));
  }
  const region = regions + <usize>load<i32>(cell, 28) * (FORMS * 8);
  const half: f32 = 0.5;
  const yMid = sum(y) * half;
  const yHalf = sum(dy) * half;
  if (!overlaps(region, 0, yMid - yHalf, yMid + yHalf)) return false;
  const gMid = sum(g) * half;
  const gHalf = sum(dg) * half;
  if (!overlaps(region, 1, gMid - gHalf, gMid + gHalf)) return false;
  const hMid = sum(h) * half;
  const hHalf = sum(dh) * half;
  return overlaps(region, 2, hMid - hHalf, hMid + hHalf);
}

/** Lets a mix through whose forms lie in its region. */
function tryRatio(place: i32): void {
  const at = ratios + <usize>place * 16;
  weigh(at);
  const u = f32x4.splat(firstWeight);
  const v = f32x4.splat(secondWeight);
  const w = f32x4.splat(thirdWeight);
  let y = f32x4.splat(0);
  let g = f32x4.splat(0);
  let h = f32x4.splat(0);
  for (let band: usize = 0; band < ROW; band += 16) {
    const now = light(band, u, v, w);
    const row = weights + band;
    y = f32x4.add(y, f32x4.mul(v128.load(row), now));
    g = f32x4.add(g, f32x4.mul(v128.load(row + ROW), now));
    h = f32x4.add(h, f32x4.mul(v128.load(row + 3 * ROW), now));
  }
  const region = regions + <usize>load<f32>(at, 12) * (FORMS * 8);
  const yes = sum(y);
  if (!overlaps(region, 0, yes, yes)) return;
  const g1 = sum(g);
  if (!overlaps(region, 1, g1, g1)) return;
  const h1 = sum(h);
  if (!overlaps(region, 2, h1, h1)) return;
  store<i32>(hits + <usize>found * 4, place);
  found++;
}

function visit(place: i32): void {
  const cell = cells + <usize>place * 32;
  if (!reaches(cell)) return;
  const child = load<i32>(cell, 12);
  const children = load<i32>(cell, 16);
  for (let i = 0; i < children; i++) visit(child + i);
  const ratio = load<i32>(cell, 20);
  const count = load<i32>(cell, 24);
  for (let i = 0; i < count; i++) tryRatio(ratio + i);
}

/**
 * Searches the mixes of three clays below the cell `root`.
 * @returns how many were let through: their places are at `hits`
 */
export function search(root: i32, i: i32, j: i32, k: i32): i32 {
  stamp++;
  found = 0;
  first = absorption + <usize>i * ROW;
  second = absorption + <usize>j * ROW;
  third = absorption + <usize>k * ROW;
  firstScatters = load<f32>(scattering + <usize>i * 4);
  secondScatters = load<f32>(scattering + <usize>j * 4);
  thirdScatters = load<f32>(scattering + <usize>k * 4);
  visit(root);
  return found;
}
