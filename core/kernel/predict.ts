/**
 * Mixes of three pigments to XYZ, two bands at a time (AssemblyScript, built by `npm run kernel`).
 * `core/src/colour/mixMany.ts` lays out what it reads.
 */
const BANDS = 36;
/** Bytes of one row of bands. */
const ROW: usize = BANDS * 8;

/** One row a pigment: absorption in each band. */
export let absorption: usize = 0;
/** One number a pigment. */
export let scattering: usize = 0;
/** Two bands of X, of Y and of Z, then the next two. */
export let weights: usize = 0;
/** 1 / X, Y, Z of the white. */
export let inverseWhite: usize = 0;
/** Three whole numbers a mix: its pigments. */
export let pigments: usize = 0;
/** Three numbers a mix: their volumes. */
export let volumes: usize = 0;
/** Six numbers a mix: X, Y, Z, L*, a*, b*. */
export let colours: usize = 0;

/** Takes the memory for so many pigments and mixes. */
export function begin(pigmentCount: i32, mixCount: i32): void {
  absorption = heap.alloc(<usize>pigmentCount * ROW);
  scattering = heap.alloc(<usize>pigmentCount * 8);
  weights = heap.alloc(3 * ROW);
  inverseWhite = heap.alloc(24);
  volumes = heap.alloc(<usize>mixCount * 24);
  colours = heap.alloc(<usize>mixCount * 48);
  pigments = heap.alloc(<usize>mixCount * 12);
}

function sum(v: v128): f64 {
  return f64x2.extract_lane(v, 0) + f64x2.extract_lane(v, 1);
}

const EPSILON: f64 = 216.0 / 24389.0;
const KAPPA: f64 = 24389.0 / 27.0;

/** Upper bits of a number from which those of t^(−1/3) are a third away, to one part in thirty. */
const THIRD_BITS: i32 = 0x553ef0ff;

function nearInverse(t: f64): f64 {
  const upper = <i32>(reinterpret<i64>(t) >> 32);
  return reinterpret<f64>((<i64>(THIRD_BITS - upper / 3)) << 32);
}

/** A step of Newton's to 1 / ∛t, which needs no division and doubles the digits. */
function closer(r: v128, third: v128): v128 {
  const cube = f64x2.mul(f64x2.mul(r, r), r);
  return f64x2.mul(r, f64x2.sub(f64x2.splat(4.0 / 3.0), f64x2.mul(third, cube)));
}

/** f of CIELAB, of two numbers. */
function lightness(s: f64, t: f64): v128 {
  const both = f64x2.replace_lane(f64x2.splat(s), 1, t);
  const third = f64x2.mul(both, f64x2.splat(1.0 / 3.0));
  let r = f64x2.replace_lane(f64x2.splat(nearInverse(s)), 1, nearInverse(t));
  r = closer(closer(closer(closer(r, third), third), third), third);
  const root = f64x2.mul(both, f64x2.mul(r, r));
  const line = f64x2.mul(f64x2.add(f64x2.mul(both, f64x2.splat(KAPPA)), f64x2.splat(16)), f64x2.splat(1.0 / 116.0));
  return v128.bitselect(root, line, f64x2.gt(both, f64x2.splat(EPSILON)));
}

function keep(x: f64, y: f64, z: f64, to: usize): void {
  store<f64>(to, x);
  store<f64>(to, y, 8);
  store<f64>(to, z, 16);
  const fxy = lightness(x * load<f64>(inverseWhite), y * load<f64>(inverseWhite, 8));
  const fy = f64x2.extract_lane(fxy, 1);
  const fz = f64x2.extract_lane(lightness(z * load<f64>(inverseWhite, 16), 1), 0);
  store<f64>(to, 116 * fy - 16, 24);
  store<f64>(to, 500 * (f64x2.extract_lane(fxy, 0) - fy), 32);
  store<f64>(to, 200 * (fy - fz), 40);
}

function predict(i: usize, j: usize, k: usize, at: usize, to: usize): void {
  const p = load<f64>(at) * load<f64>(scattering + i * 8);
  const q = load<f64>(at, 8) * load<f64>(scattering + j * 8);
  const r = load<f64>(at, 16) * load<f64>(scattering + k * 8);
  const scale = 1 / (p + q + r);
  const u = f64x2.splat(load<f64>(at) * scale);
  const v = f64x2.splat(load<f64>(at, 8) * scale);
  const w = f64x2.splat(load<f64>(at, 16) * scale);
  const one = f64x2.splat(1);
  const two = f64x2.splat(2);
  let first = absorption + i * ROW;
  let second = absorption + j * ROW;
  let third = absorption + k * ROW;
  let row = weights;
  const end = first + ROW;
  let x = f64x2.splat(0);
  let y = f64x2.splat(0);
  let z = f64x2.splat(0);
  // three times two bands a round, so that addresses are counted on seldom
  while (first < end) {
    const ks0 = f64x2.add(
      f64x2.add(f64x2.mul(u, v128.load(first)), f64x2.mul(v, v128.load(second))),
      f64x2.mul(w, v128.load(third)),
    );
    const ks1 = f64x2.add(
      f64x2.add(f64x2.mul(u, v128.load(first, 16)), f64x2.mul(v, v128.load(second, 16))),
      f64x2.mul(w, v128.load(third, 16)),
    );
    const ks2 = f64x2.add(
      f64x2.add(f64x2.mul(u, v128.load(first, 32)), f64x2.mul(v, v128.load(second, 32))),
      f64x2.mul(w, v128.load(third, 32)),
    );
    const light0 = f64x2.sub(f64x2.add(ks0, one), f64x2.sqrt(f64x2.mul(ks0, f64x2.add(ks0, two))));
    const light1 = f64x2.sub(f64x2.add(ks1, one), f64x2.sqrt(f64x2.mul(ks1, f64x2.add(ks1, two))));
    const light2 = f64x2.sub(f64x2.add(ks2, one), f64x2.sqrt(f64x2.mul(ks2, f64x2.add(ks2, two))));
    x = f64x2.add(x, f64x2.mul(v128.load(row), light0));
    y = f64x2.add(y, f64x2.mul(v128.load(row, 16), light0));
    z = f64x2.add(z, f64x2.mul(v128.load(row, 32), light0));
    x = f64x2.add(x, f64x2.mul(v128.load(row, 48), light1));
    y = f64x2.add(y, f64x2.mul(v128.load(row, 64), light1));
    z = f64x2.add(z, f64x2.mul(v128.load(row, 80), light1));
    x = f64x2.add(x, f64x2.mul(v128.load(row, 96), light2));
    y = f64x2.add(y, f64x2.mul(v128.load(row, 112), light2));
    z = f64x2.add(z, f64x2.mul(v128.load(row, 128), light2));
    first += 48;
    second += 48;
    third += 48;
    row += 144;
  }
  keep(sum(x), sum(y), sum(z), to);
}

/** Predicts the first `count` mixes. */
export function run(count: i32): void {
  for (let mix: usize = 0; mix < <usize>count; mix++) {
    const at = pigments + mix * 12;
    predict(load<i32>(at), load<i32>(at, 4), load<i32>(at, 8), volumes + mix * 24, colours + mix * 48);
  }
}
