import { seeded, type Mm } from '#core/units';
import { beyond, diameterOf, extentOf, reachOf, type Outline } from '#core/cane/outlines';
import type { CaneContext, Sampler } from './state.js';

/** Share of the diameter by which honest hands move a point at each reduction: an assumption. */
const FAR = 0.045;
const WAVES = 4;

/**
 * How much a point moves, by how far out it lies: a little in the middle, most towards the edge, where the hands are,
 * and not at all on the edge itself, so that the outline stays. The numbers are assumptions.
 */
const [MIDDLE, OUTER, REST] = [0.24, 1.76, 1.5];
/** @param q the square of how far out, 0 in the middle and 1 on the edge; @returns the weight, and its slope */
function weightAt(q: number): readonly [weight: number, slope: number] {
  const rest = Math.max(0, 1 - q);
  const still = rest ** REST;
  const grown = MIDDLE + OUTER * q;
  return [still * grown, still * OUTER - REST * Math.sqrt(rest) * grown];
}

/** Waves around the middle that an edge is rounded to, and directions that it is looked at in. */
const [EDGE_WAVES, AROUND] = [6, 720];

/** How far out a place lies within an edge without corners: its square, 0 in the middle and 1 on it, and its slope. */
type FarOut = (x: number, y: number) => readonly [q: number, qx: number, qy: number];

/** 1 / r² of an edge in `AROUND` directions. */
function inverseSquares(reach: Float64Array): number[] {
  return Array.from({ length: AROUND }, (_, i) => {
    const t = (2 * Math.PI * i) / AROUND;
    return beyond(reach, Math.cos(t), Math.sin(t)) ** 2;
  });
}

/**
 * The edge of a face with its corners rounded, as large as it fits within: a few waves around the middle, so that what
 * depends on it has no creases.
 */
function roundedWithin(outline: Outline): FarOut {
  const squares = inverseSquares(reachOf(outline));
  const wave = (n: number, of: (t: number) => number): number =>
    squares.reduce((sum, v, i) => sum + v * of((2 * Math.PI * n * i) / AROUND), 0) / AROUND;
  const mean = wave(0, Math.cos);
  const cos = Array.from({ length: EDGE_WAVES }, (_, n) => 2 * wave(n + 1, Math.cos));
  const sin = Array.from({ length: EDGE_WAVES }, (_, n) => 2 * wave(n + 1, Math.sin));
  const at = (c: number, s: number): readonly [number, number] => {
    let [g, slope, cn, sn] = [mean, 0, 1, 0];
    for (let n = 0; n < EDGE_WAVES; n++) {
      [cn, sn] = [cn * c - sn * s, sn * c + cn * s];
      g += (cos[n] as number) * cn + (sin[n] as number) * sn;
      slope += (n + 1) * ((sin[n] as number) * cn - (cos[n] as number) * sn);
    }
    return [g, slope];
  };
  const larger = Math.max(
    ...squares.map(
      (v, i) => v / Math.max(1e-12, at(Math.cos((2 * Math.PI * i) / AROUND), Math.sin((2 * Math.PI * i) / AROUND))[0]),
    ),
  );
  return (x, y) => {
    const r = Math.hypot(x, y);
    if (r === 0) return [0, 0, 0];
    const [g, slope] = at(x / r, y / r);
    return [r * r * g * larger, (2 * x * g - y * slope) * larger, (2 * y * g + x * slope) * larger];
  };
}

/**
 * What hands do to a face while it is reduced: a flow without sources, so
 * that no clay comes or goes, as the rotation of a stream function: a few
 * waves, weak in the middle, strongest towards the edge, still on it. Seeded:
 * the same cane wobbles the same way.
 */
export function wobbled(inner: Sampler, outline: Outline, reductions: number, { wobble, seed }: CaneContext): Sampler {
  if (wobble <= 0) return inner;
  const chance = seeded(seed * 1009 + reductions * 97 + 5);
  const diameter = diameterOf(outline);
  const { width, height } = extentOf(outline);
  // a flat face moves by no more than it is flat
  const narrow = Math.min(diameter, width, height);
  const waves = Array.from({ length: WAVES }, (_, i) => {
    const angle = 2 * Math.PI * chance();
    const number = ((1 + i * 0.8) * Math.PI) / diameter;
    return {
      kx: number * Math.cos(angle),
      ky: number * Math.sin(angle),
      phase: 2 * Math.PI * chance(),
      size: (FAR * wobble * narrow) / ((1 + i) * number),
    };
  });
  const farOut = roundedWithin(outline);
  return (x, y) => {
    const [q, qx, qy] = farOut(x, y);
    if (q >= 1) return inner(x, y);
    const [weight, slope] = weightAt(q);
    let [psi, px, py] = [0, 0, 0];
    for (const { kx, ky, phase, size } of waves) {
      const at = kx * x + ky * y + phase;
      psi += size * Math.sin(at);
      const c = size * Math.cos(at);
      px += c * kx;
      py += c * ky;
    }
    // the gradient of ψ · weight, turned by a right angle
    const dx = py * weight + psi * slope * qy;
    const dy = -(px * weight + psi * slope * qx);
    return inner(x + dx, y + dy);
  };
}

/** How far a seam sticks into what is wrapped, and how wide it is, in thicknesses of the sheet: assumptions. */
const [DEEP, BROAD] = [0.6, 1.6];

/**
 * Where a sheet that is wrapped around overlaps there is more of it: the seam. What is within gives way there, and is a
 * hair larger everywhere else, so that it stays as much.
 * @returns by what a place within is divided, by its direction
 */
export function seamOf(
  outline: Outline,
  thickness: Mm,
  { wobble, seed }: CaneContext,
): (x: number, y: number) => number {
  const chance = seeded(seed * 1013 + Math.round(thickness * 997) + outline.points.length);
  const turn = 2 * Math.PI * chance();
  const [sx, sy] = [Math.cos(turn), Math.sin(turn)];
  const reach = reachOf(outline);
  const radius = 1 / Math.max(1e-9, beyond(reach, sx, sy));
  const deep = Math.min(0.5, (2 * DEEP * wobble * thickness) / radius);
  const narrow = (radius / (BROAD * thickness)) ** 2;
  // what is taken of the square of the radius in a direction, as a share
  const taken = (x: number, y: number): number => {
    const r = Math.hypot(x, y) || 1;
    return deep * Math.exp(-2 * (1 - (x * sx + y * sy) / r) * narrow);
  };
  const squares = inverseSquares(reach);
  let [area, lost] = [0, 0];
  for (let i = 0; i < AROUND; i++) {
    const t = (2 * Math.PI * i) / AROUND;
    const [x, y] = [Math.cos(t), Math.sin(t)];
    const squared = 1 / (squares[i] ?? 1);
    area += squared;
    lost += squared * taken(x, y);
  }
  const more = lost / area;
  return (x, y) => Math.sqrt(1 + more - taken(x, y));
}
