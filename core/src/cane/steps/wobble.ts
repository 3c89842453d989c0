import { seeded, type Mm } from '#core/units';
import { diameterOf, type Outline } from '#core/cane/outlines';
import type { CaneContext, Sampler } from './state.js';

/** Share of the diameter by which honest hands move a point at each reduction: an assumption. */
const FAR = 0.045;
const WAVES = 4;

/** Radius of the largest circle about the centre that lies within. */
function innermost({ points }: Outline): Mm {
  return points.reduce((least, p, i) => {
    const q = points[(i + 1) % points.length] ?? p;
    const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1;
    return Math.min(least, Math.abs(p[0] * q[1] - p[1] * q[0]) / length);
  }, Infinity);
}

/**
 * What hands do to a face while it is reduced: a flow without sources, so
 * that no clay comes or goes, as the rotation of a stream function: a few
 * waves, still at the edge. Seeded: the same cane wobbles the same way.
 */
export function wobbled(inner: Sampler, outline: Outline, reductions: number, { wobble, seed }: CaneContext): Sampler {
  if (wobble <= 0) return inner;
  const chance = seeded(seed * 1009 + reductions * 97 + 5);
  const diameter = diameterOf(outline);
  const waves = Array.from({ length: WAVES }, (_, i) => {
    const angle = 2 * Math.PI * chance();
    const number = ((1 + i * 0.8) * Math.PI) / diameter;
    return {
      kx: number * Math.cos(angle),
      ky: number * Math.sin(angle),
      phase: 2 * Math.PI * chance(),
      size: (FAR * wobble * diameter) / ((1 + i) * number),
    };
  });
  const inverse = 1 / innermost(outline) ** 2;
  return (x, y) => {
    const rim = 1 - (x * x + y * y) * inverse;
    if (rim <= 0) return inner(x, y);
    let [psi, px, py] = [0, 0, 0];
    for (const { kx, ky, phase, size } of waves) {
      const at = kx * x + ky * y + phase;
      psi += size * Math.sin(at);
      const c = size * Math.cos(at);
      px += c * kx;
      py += c * ky;
    }
    // ψ·rim² turned by a right angle: (∂/∂y, −∂/∂x)
    const slope = -4 * rim * inverse * psi;
    const rim2 = rim * rim;
    return inner(x + py * rim2 + slope * y, y - px * rim2 - slope * x);
  };
}
