import { beyond, extentOf, reachOf } from '#core/cane';
import { seeded, type Mm } from '#core/units';
import type { Look } from './look.js';

/** Lines that a face is crossed by, and steps of each at first. */
const [LINES, STEPS] = [240, 400];
/** A step is so many times shorter than a vein is wide; with wider ones narrow veins are missed. */
const FINER = 14;
/** Rounds of finer steps at the most. */
const ROUNDS = 6;

/** What was met along random lines. */
interface Crossed {
  readonly length: Mm;
  readonly borders: number;
}

/** A line through a face at random: where it begins, and its direction. */
function lineIn(size: Mm, chance: () => number): readonly [x: Mm, y: Mm, dx: number, dy: number] {
  const turn = 2 * Math.PI * chance();
  const off = (chance() - 0.5) * size;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return [-off * s - (c * size) / 2, off * c - (s * size) / 2, c, s];
}

/** Goes along a stretch of each of some lines in steps. */
function crossed({ sample, outline }: Look, size: Mm, step: Mm, stretch: Mm, chance: () => number): Crossed {
  const reach = reachOf(outline);
  let [length, borders] = [0, 0];
  for (let n = 0; n < LINES; n++) {
    const [x0, y0, dx, dy] = lineIn(size, chance);
    const first = chance() * Math.max(0, size - stretch);
    let before = -2;
    for (let far = first; far < first + stretch; far += step) {
      const [x, y] = [x0 + dx * far, y0 + dy * far];
      if (beyond(reach, x, y) > 1) {
        before = -2;
        continue;
      }
      const now = Math.floor(sample(x, y));
      if (before !== -2) {
        length += step;
        if (now !== before) borders++;
      }
      before = now;
    }
  }
  return { length, borders };
}

/**
 * Width of the veins of a face, mm: the mean length of straight runs within one material, over lines at random, in
 * steps much shorter than that; infinite where there is one material only.
 */
export function veinWidth(look: Look, seed = 1): Mm {
  const chance = seeded(seed * 71 + 5);
  const { width, height } = extentOf(look.outline);
  const size = Math.hypot(width, height);
  let [step, stretch] = [size / STEPS, size];
  let vein = Infinity;
  for (let round = 0; round < ROUNDS; round++) {
    const { length, borders } = crossed(look, size, step, stretch, chance);
    vein = borders === 0 ? Infinity : length / borders;
    if (vein >= FINER * step) return vein;
    // finer, along less of each line: as many steps as before
    step = Math.min(step / 2, vein / (1.5 * FINER));
    stretch = Math.min(size, step * STEPS);
  }
  return vein;
}
