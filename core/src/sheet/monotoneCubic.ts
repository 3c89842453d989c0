/** A slope below this is level: dividing by it would overflow. */
const FLAT = 1e-12;

/**
 * A cubic through all points that is monotone wherever the points are
 * (F. N. Fritsch and R. E. Carlson, "Monotone piecewise cubic
 * interpolation", 1980). Beyond the ends it goes on in a straight line.
 * @param xs strictly rising, at least two
 * @param ys as many
 */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const n = xs.length;
  const at = (list: readonly number[], i: number): number => list[i] ?? 0;
  const slopes = Array.from({ length: n - 1 }, (_, i) => (at(ys, i + 1) - at(ys, i)) / (at(xs, i + 1) - at(xs, i)));
  const tangents = Array.from({ length: n }, (_, i) => {
    if (i === 0) return at(slopes, 0);
    if (i === n - 1) return at(slopes, n - 2);
    return at(slopes, i - 1) * at(slopes, i) <= 0 ? 0 : (at(slopes, i - 1) + at(slopes, i)) / 2;
  });
  slopes.forEach((slope, i) => {
    if (Math.abs(slope) < FLAT) {
      tangents[i] = 0;
      tangents[i + 1] = 0;
      return;
    }
    const a = at(tangents, i) / slope;
    const b = at(tangents, i + 1) / slope;
    const length = Math.hypot(a, b);
    if (length > 3) {
      tangents[i] = (3 * a * slope) / length;
      tangents[i + 1] = (3 * b * slope) / length;
    }
  });
  return (x) => {
    if (x <= at(xs, 0)) return at(ys, 0) + (x - at(xs, 0)) * at(slopes, 0);
    if (x >= at(xs, n - 1)) return at(ys, n - 1) + (x - at(xs, n - 1)) * at(slopes, n - 2);
    let i = 0;
    while (x > at(xs, i + 1)) i++;
    const h = at(xs, i + 1) - at(xs, i);
    const t = (x - at(xs, i)) / h;
    const s = 1 - t;
    return (
      at(ys, i) * s * s * (1 + 2 * t) +
      at(ys, i + 1) * t * t * (3 - 2 * t) +
      h * t * s * (at(tangents, i) * s - at(tangents, i + 1) * t)
    );
  };
}
