const DEGREE = Math.PI / 180;
const POW25_7 = 25 ** 7;

const hueOf = (b: number, a: number): number => {
  if (a === 0 && b === 0) return 0;
  const h = Math.atan2(b, a) / DEGREE;
  return h < 0 ? h + 360 : h;
};

/** G of CIEDE2000, by which a* is stretched, from the mean chroma. */
export const stretchOf = (meanChroma: number): number => {
  const c7 = meanChroma ** 7;
  return 0.5 * (1 - Math.sqrt(c7 / (c7 + POW25_7)));
};

/** S_L of CIEDE2000. */
export function lightnessScale(meanL: number): number {
  const d = (meanL - 50) ** 2;
  return 1 + (0.015 * d) / Math.sqrt(20 + d);
}

/** S_L is at most this, so that L* differs by more than this many times ΔE00 nowhere. */
export const MOST_LIGHTNESS_SCALE = 1.75;

/** Half the rotation angle of CIEDE2000, degrees. */
export const rotationAngle = (fromBlue: number): number => 30 * Math.exp(-((fromBlue / 25) ** 2));

/** R_C of CIEDE2000. */
export const rotationChroma = (meanChroma: number): number => {
  const c7 = meanChroma ** 7;
  return 2 * Math.sqrt(c7 / (c7 + POW25_7));
};

/** T of CIEDE2000, by which hue differences are scaled, from the mean hue in degrees. */
export const hueWeight = (meanH: number): number =>
  1 -
  0.17 * Math.cos((meanH - 30) * DEGREE) +
  0.24 * Math.cos(2 * meanH * DEGREE) +
  0.32 * Math.cos((3 * meanH + 6) * DEGREE) -
  0.2 * Math.cos((4 * meanH - 63) * DEGREE);

/** The hue half way between two, the shorter way round. */
function meanHue(h1: number, h2: number): number {
  const sum = h1 + h2;
  if (Math.abs(h1 - h2) <= 180) return sum / 2;
  return (sum + (sum < 360 ? 360 : -360)) / 2;
}

/**
 * ΔE00 of two CIELAB colours (CIE 142-2001), on plain numbers so that
 * searches can ask for it millions of times.
 */
export function ciede2000(l1: number, a1: number, b1: number, l2: number, a2: number, b2: number): number {
  const stretch = 1 + stretchOf((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2);
  const [x1, x2] = [a1 * stretch, a2 * stretch];
  const [c1, c2] = [Math.hypot(x1, b1), Math.hypot(x2, b2)];
  const [h1, h2] = [hueOf(b1, x1), hueOf(b2, x2)];
  const grey = c1 * c2 === 0;
  const turn = grey ? 0 : h2 - h1;
  const dh = Math.abs(turn) > 180 ? turn - 360 * Math.sign(turn) : turn;
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEGREE);
  const meanC = (c1 + c2) / 2;
  const meanH = grey ? h1 + h2 : meanHue(h1, h2);
  const light = (l2 - l1) / lightnessScale((l1 + l2) / 2);
  const chroma = (c2 - c1) / (1 + 0.045 * meanC);
  const hue = dH / (1 + 0.015 * meanC * hueWeight(meanH));
  const rotation = -Math.sin(2 * rotationAngle(meanH - 275) * DEGREE) * rotationChroma(meanC);
  return Math.sqrt(Math.max(0, light * light + chroma * chroma + hue * hue + rotation * chroma * hue));
}
