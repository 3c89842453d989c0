import { ciede2000, labOfLinear, type Lab } from '#core/colour';

import { NO_CAST, gainTable, type Gains } from './neutral.js';
import { LINEAR, isThere, type Pixels } from './pixels.js';
import { complaint } from './sentences.js';

/** A colour of a picture and its share of the area, 0..1. */
export interface PictureColour {
  readonly lab: Lab;
  readonly share: number;
}

export const MOST_COLOURS = 16;
/** Bits of each channel that are told apart before colours are put together. */
const BITS = 5;
const ROUNDS = 24;
/** Colours closer than this are one, ΔE00. */
const SAME = 3;

interface Bins {
  readonly l: Float64Array;
  readonly a: Float64Array;
  readonly b: Float64Array;
  readonly weight: Float64Array;
}

/** The picture's colours as at most 32,768 kinds, each with its mean and how many pixels it has. */
function binsOf({ data }: Pixels, gains: Gains): Bins {
  const table = gainTable(gains, LINEAR);
  const count = 1 << (3 * BITS);
  const sums = [new Float64Array(count), new Float64Array(count), new Float64Array(count)];
  const weight = new Float64Array(count);
  const shift = 8 - BITS;
  for (let at = 0; at < data.length; at += 4) {
    if (!isThere(data[at + 3])) continue;
    const [r, g, b] = [
      table[data[at] as number] as number,
      table[256 + (data[at + 1] as number)] as number,
      table[512 + (data[at + 2] as number)] as number,
    ];
    const bin = ((r >> shift) << (2 * BITS)) | ((g >> shift) << BITS) | (b >> shift);
    weight[bin] = (weight[bin] as number) + 1;
    [r, g, b].forEach((v, c) => {
      (sums[c] as Float64Array)[bin] = (sums[c]?.[bin] ?? 0) + (LINEAR[v] ?? 0);
    });
  }
  const used = Array.from(weight.keys()).filter((bin) => (weight[bin] ?? 0) > 0);
  const labs = used.map((bin) =>
    labOfLinear(sums.map((s) => (s[bin] ?? 0) / (weight[bin] ?? 1)) as [number, number, number]),
  );
  return {
    l: Float64Array.from(labs, (x) => x.l),
    a: Float64Array.from(labs, (x) => x.a),
    b: Float64Array.from(labs, (x) => x.b),
    weight: Float64Array.from(used, (bin) => weight[bin] ?? 0),
  };
}

const square = (bins: Bins, i: number, c: Lab): number =>
  ((bins.l[i] ?? 0) - c.l) ** 2 + ((bins.a[i] ?? 0) - c.a) ** 2 + ((bins.b[i] ?? 0) - c.b) ** 2;
const labAt = (bins: Bins, i: number): Lab => ({ l: bins.l[i] ?? 0, a: bins.a[i] ?? 0, b: bins.b[i] ?? 0 });

/**
 * Where to begin: the colour with most of the picture, then again and again the one that is farthest from those
 * and has much of it.
 */
function seeds(bins: Bins, count: number): Lab[] {
  const first = bins.weight.indexOf(Math.max(...bins.weight));
  const chosen = [labAt(bins, first)];
  const nearest = Float64Array.from(bins.weight, (_, i) => square(bins, i, chosen[0] as Lab));
  while (chosen.length < count) {
    let [best, most] = [-1, 0];
    nearest.forEach((d, i) => {
      const worth = d * Math.sqrt(bins.weight[i] ?? 0);
      if (worth > most) [best, most] = [i, worth];
    });
    if (best < 0) break;
    const next = labAt(bins, best);
    chosen.push(next);
    nearest.forEach((d, i) => {
      nearest[i] = Math.min(d, square(bins, i, next));
    });
  }
  return chosen;
}

/**
 * The colours of a picture with their shares of the area: k-means over its
 * histogram in CIELAB (S. Lloyd, 1982), begun at colours that lie far apart,
 * so that a small red thing on a large grey table is found. The same picture
 * always gives the same palette.
 * @param count of colours wished; fewer come back where the picture has fewer
 * @throws Complaint `picture/count`, `picture/empty` where all of it is transparent
 */
export function paletteOf(pixels: Pixels, count: number, gains: Gains = NO_CAST): PictureColour[] {
  if (!Number.isInteger(count) || count < 1 || count > MOST_COLOURS)
    throw complaint('picture/count', { most: MOST_COLOURS });
  const bins = binsOf(pixels, gains);
  const n = bins.weight.length;
  if (n === 0) throw complaint('picture/empty');
  let centres = seeds(bins, count);
  let weights: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const sums = centres.map(() => [0, 0, 0, 0]);
    for (let i = 0; i < n; i++) {
      let [best, least] = [0, Infinity];
      centres.forEach((c, k) => {
        const d = square(bins, i, c);
        if (d < least) [best, least] = [k, d];
      });
      const own = sums[best] as number[];
      const w = bins.weight[i] ?? 0;
      [bins.l[i], bins.a[i], bins.b[i], 1].forEach((v, k) => {
        own[k] = (own[k] ?? 0) + w * (v ?? 0);
      });
    }
    const kept = sums.filter((s) => (s[3] ?? 0) > 0);
    weights = kept.map((s) => s[3] ?? 0);
    centres = kept.map(([l = 0, a = 0, b = 0, w = 1]) => ({ l: l / w, a: a / w, b: b / w }));
  }
  const whole = weights.reduce((a, b) => a + b, 0);
  return together(centres.map((lab, i) => ({ lab, share: (weights[i] ?? 0) / whole })));
}

/** Puts colours together that the eye takes for one; the largest first. */
function together(colours: readonly PictureColour[]): PictureColour[] {
  const list = [...colours].sort((x, y) => y.share - x.share);
  for (let i = 0; i < list.length; i++)
    for (let j = list.length - 1; j > i; j--) {
      const [one, other] = [list[i] as PictureColour, list[j] as PictureColour];
      if (ciede2000(one.lab.l, one.lab.a, one.lab.b, other.lab.l, other.lab.a, other.lab.b) >= SAME) continue;
      const share = one.share + other.share;
      const mean = (key: keyof Lab): number => (one.lab[key] * one.share + other.lab[key] * other.share) / share;
      list[i] = { lab: { l: mean('l'), a: mean('a'), b: mean('b') }, share };
      list.splice(j, 1);
    }
  return list.sort((x, y) => y.share - x.share);
}
