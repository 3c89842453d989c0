import FFT from 'fft.js';
import { beyond, reachOf } from './direction.js';
import { outlineOf, type Outline, type Point } from '#core/outline';

/**
 * Edges nested in an edge that sees its centre (docs/models.md): at level t, from 0 at the centre to 1 at the edge,
 * r²(φ) = t² · h(φ, t), where h is the square of the edge's own reach, blurred by Poisson's kernel: its k-th harmonic
 * times t^(n·k). A corner is round already a little further in, and within level t lies exactly t² of the area.
 * Clay keeps its area when it goes from a level to the same level of a disc and there to the angle whose share of the
 * ring is (2h + n·Λh) / (4π·mean h), Λ taking the k-th harmonic k times; so it does from any such edge to any other.
 */
export interface Nested {
  /** angles of a table; the first one comes once more at its end */
  readonly angles: number;
  /** h, per level and angle, mm² */
  readonly squares: readonly Float64Array[];
  /** per level and angle: where that lies on the disc, in turns */
  readonly places: readonly Float64Array[];
}

/** Transforms by their length, each made once. */
const TRANSFORMS = new Map<number, FFT>();

function transformOf(length: number): FFT {
  const known = TRANSFORMS.get(length) ?? new FFT(length);
  TRANSFORMS.set(length, known);
  return known;
}

/** What nested edges are made from: the harmonics of the square of the reach. */
export interface Harmonics {
  readonly angles: number;
  readonly spectrum: Float64Array;
}

/**
 * @param gauge table of `reachOf`
 * @param angles of the table, a power of two
 */
export function harmonicsOf(gauge: Float64Array, angles: number): Harmonics {
  const squares = Float64Array.from({ length: angles }, (_, i) => {
    const angle = (2 * Math.PI * i) / angles;
    return beyond(gauge, Math.cos(angle), Math.sin(angle)) ** -2;
  });
  const fft = transformOf(angles);
  const spectrum = Float64Array.from(fft.createComplexArray());
  fft.realTransform(spectrum, squares);
  fft.completeSpectrum(spectrum);
  return { angles, spectrum };
}

interface Level {
  readonly squares: Float64Array;
  /** of the disc, by a step of the angle; the mean is 1 */
  readonly shares: Float64Array;
}

/** Both at once: the one as the real part of a transform, the other as its imaginary part. */
function levelOf({ angles, spectrum }: Harmonics, t: number, blur: number): Level {
  const fft = transformOf(angles);
  const both = new Float64Array(2 * angles);
  const scale = angles / (spectrum[0] as number);
  const each = t ** blur;
  let left = 1;
  for (let harmonic = 0; harmonic <= angles / 2; harmonic++) {
    const share = scale * (1 + (blur * harmonic) / 2);
    for (const k of harmonic === 0 ? [0] : [harmonic, angles - harmonic]) {
      const [re, im] = [(spectrum[2 * k] as number) * left, (spectrum[2 * k + 1] as number) * left];
      both[2 * k] = re - im * share;
      both[2 * k + 1] = im + re * share;
    }
    left *= each;
  }
  const out = new Float64Array(2 * angles);
  fft.inverseTransform(out, both);
  const [squares, shares] = [new Float64Array(angles + 1), new Float64Array(angles + 1)];
  for (let i = 0; i <= angles; i++) {
    const at = 2 * (i % angles);
    squares[i] = out[at] as number;
    shares[i] = out[at + 1] as number;
  }
  return { squares, shares };
}

/** No ring gets thinner than this share of the mean one. */
const THINNEST = 0.15;

/** Whether all rings of an edge keep some width; they do everywhere if they do at the edge. */
export function widthsHold(harmonics: Harmonics, blur: number): boolean {
  return levelOf(harmonics, 1, blur).shares.every((share) => share >= THINNEST);
}

/** Places on the disc by adding up shares, turned so that on the whole nothing turns. */
function placesOf(shares: Float64Array): Float64Array {
  const n = shares.length - 1;
  const place = new Float64Array(n + 1);
  for (let i = 0; i < n; i++)
    place[i + 1] = (place[i] as number) + ((shares[i] as number) + (shares[i + 1] as number)) / (2 * n);
  let ahead = 0;
  for (let i = 0; i < n; i++) ahead += (place[i] as number) - i / n;
  for (let i = 0; i <= n; i++) place[i] = (place[i] as number) - ahead / n;
  return place;
}

/** @param levels from the centre to the edge, evenly @param blur n, as above; 0 keeps all corners as they are */
export function nestedIn(harmonics: Harmonics, levels: number, blur: number): Nested {
  const all = Array.from({ length: levels + 1 }, (_, j) => levelOf(harmonics, j / levels, blur));
  return {
    angles: harmonics.angles,
    squares: all.map(({ squares }) => squares),
    places: all.map(({ shares }) => placesOf(shares)),
  };
}

/** How finely an edge is rounded, and how fast its corners get round towards the middle. */
const [ROUND_ANGLES, ROUND_BLUR] = [512, 0.5];

/**
 * The edge with its corners rounded: as those nested in it are, further in. Another area than before.
 * @param level of the nested edge, from 0, a circle, to 1, as it is
 * @throws Complaint `cane/star`
 */
export function roundedEdge(outline: Outline, level: number): Outline {
  const { squares } = levelOf(harmonicsOf(reachOf(outline), ROUND_ANGLES), level, ROUND_BLUR);
  const points = Array.from({ length: ROUND_ANGLES }, (_, i): Point => {
    const [r, angle] = [Math.sqrt(squares[i] as number), (2 * Math.PI * i) / ROUND_ANGLES];
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
  return outlineOf(points, outline.round).outline;
}
