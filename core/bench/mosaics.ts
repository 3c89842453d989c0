import type { Lab } from '#core/colour';
import {
  areaOfConvex,
  common,
  mosaicOf,
  nearestOf,
  offPicture,
  shadesOf,
  squaresOf,
  type Mosaic,
  type MosaicWish,
} from '#core/mosaic';
import type { Pixels } from '#core/picture';
import type { Table } from './measure.js';

/** px of the picture, threads of it in mm, and how often each is planned. */
const [SIDE, TIMES] = [400, 5];
const WISH: Omit<MosaicWish, 'picture' | 'bezel'> = {
  ...{ colours: 9, diameters: [1.2, 0.78, 0.54], shortest: 1, longest: 2.2, gap: 0.02 },
};
/** Seconds, shares and ΔE00 that are wanted. */
const [FAST, OVERLAP, COVER, OFF] = [5, 0.02, 0.92, 4];
const BED: Lab = { l: 56, a: 1, b: 4 };

/** A beet with its leaves on a cloth. */
function beet(): Pixels {
  const data = new Uint8ClampedArray(4 * SIDE * SIDE);
  for (let k = 0; k < SIDE * SIDE; k++) {
    const [u, v] = [((k % SIDE) / SIDE) * 2 - 1, (Math.floor(k / SIDE) / SIDE) * 2 - 1];
    const light = Math.max(0, 1 - Math.hypot(u + 0.25, v - 0.05));
    const ring = 12 * Math.sin(22 * Math.hypot(u, v - 0.2));
    let colour: readonly number[] = [226 - 14 * v, 218 - 10 * v, 196 - 10 * v];
    if (Math.hypot(u, v - 0.2) < 0.55) colour = [95 + 90 * light + ring, 22 + 40 * light, 52 + 45 * light];
    if (v < -0.2 && Math.abs(u) < 0.4 * Math.abs(Math.sin(5 * v)) + 0.06) colour = [66 + 20 * u, 104 + 30 * v, 52];
    data.set([...colour, 255], 4 * k);
  }
  return { data, width: SIDE, height: SIDE };
}

function worstOverlap({ tesserae }: Mosaic): number {
  let worst = 0;
  tesserae.forEach(({ points: one }, i) => {
    for (let j = i + 1; j < tesserae.length; j++) {
      const other = tesserae[j]?.points ?? [];
      const [p, q] = [one[0] ?? [0, 0], other[0] ?? [0, 0]];
      if (Math.abs(p[0] - q[0]) > 6 || Math.abs(p[1] - q[1]) > 6) continue;
      const shared = common(one, other);
      if (shared.length > 2)
        worst = Math.max(worst, areaOfConvex(shared) / Math.min(areaOfConvex(one), areaOfConvex(other)));
    }
  });
  return worst;
}

const middle = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Mosaics of threads beside squares of one colour a cell. @param clock milliseconds, rising */
export function mosaics(clock: () => number): Table {
  const picture = beet();
  const shades = shadesOf(picture, WISH.colours, 3);
  const wish: MosaicWish = { ...WISH, picture, shades, bezel: { shape: 'oval', width: 78, height: 88 } };
  const runs = Array.from({ length: TIMES }, () => {
    const began = clock();
    const mosaic = mosaicOf(wish);
    return { mosaic, seconds: (clock() - began) / 1000 };
  });
  const seconds = middle(runs.map((r) => r.seconds));
  const mosaic = runs[0]?.mosaic as Mosaic;
  const seen = { bezel: wish.bezel, picture, bed: BED };
  const thread = WISH.diameters[0] as number;
  const laid = mosaic.tesserae.map(({ points, lab, shade }) => ({ points, lab: shades[shade] ?? lab }));
  const squares = squaresOf(seen, laid.length, (lab) => shades[nearestOf(lab, shades)] ?? lab);
  const [off, offSquares] = [offPicture(seen, laid, thread), offPicture(seen, squares, thread)];
  const overlap = worstOverlap(mosaic);
  return {
    title: `A mosaic of ${mosaic.tesserae.length.toLocaleString('en')} tesserae in ${shades.length} shades`,
    figures: [
      { what: `planned, the middle of ${TIMES}`, value: seconds, unit: 's', goal: `< ${FAST}`, met: seconds < FAST },
      {
        what: 'of two, the most that they share',
        value: overlap,
        unit: '',
        goal: `≤ ${OVERLAP}`,
        met: overlap <= OVERLAP,
      },
      {
        ...{ what: 'of the bezel is covered', value: mosaic.cover, unit: '' },
        ...{ goal: `≥ ${COVER}`, met: mosaic.cover >= COVER },
      },
      {
        ...{ what: 'ΔE00 to the blurred picture, the middle', value: off, unit: '' },
        ...{ goal: `≤ ${OFF}`, met: off <= OFF },
      },
      {
        what: `the same of ${squares.length.toLocaleString('en')} squares, as a baseline`,
        value: offSquares,
        unit: '',
      },
    ],
  };
}
