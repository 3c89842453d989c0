import { inBoth, showLength, type Mm, type Mm2, type Mm3 } from '#core/units';
import { complaint } from './sentences.js';

export const FORMS = ['ball', 'oval', 'bicone', 'tube', 'dome'] as const;
export type FormKind = (typeof FORMS)[number];

/**
 * Something round that a sheet goes around: across, and along its axis from end to end; of a dome how high. Sizes are
 * those of the finished piece.
 */
export interface RoundForm {
  readonly kind: FormKind;
  readonly width: Mm;
  readonly length: Mm;
}

/** How far the surface is from the axis, and how far along it, at a share of the way from one end to the other. */
type Profile = (t: number) => readonly [radius: Mm, along: Mm];

/** Of each kind; of a dome from the rim to its top. */
const PROFILES: Readonly<Record<FormKind, (form: RoundForm) => Profile>> = {
  ball: ({ width }) => ellipsoid(width, width),
  oval: ({ width, length }) => ellipsoid(width, length),
  bicone:
    ({ width, length }) =>
    (t) => [(width / 2) * (1 - Math.abs(2 * t - 1)), length * (t - 0.5)],
  tube:
    ({ width, length }) =>
    (t) => [width / 2, length * (t - 0.5)],
  dome: ({ width, length }) => cap(width / 2, length),
};

const ellipsoid =
  (width: Mm, length: Mm): Profile =>
  (t) => [(width / 2) * Math.sin(Math.PI * t), (-length / 2) * Math.cos(Math.PI * t)];

/** A part of a sphere, so wide at its rim and so high. */
function cap(half: Mm, high: Mm): Profile {
  const radius = (half * half + high * high) / (2 * high);
  const rim = Math.acos((radius - high) / radius);
  return (t) => {
    const angle = rim * (1 - t);
    return [radius * Math.sin(angle), radius * Math.cos(angle) - (radius - high)];
  };
}

/** Bands that a surface is reckoned in. */
const BANDS = 600;

/** A surface around an axis in bands: their edges, and the area up to each of them. */
export interface Surface {
  readonly radii: Float64Array;
  readonly along: Float64Array;
  /** mm² from the first end up to each edge */
  readonly upTo: Float64Array;
  readonly area: Mm2;
  /** mm from the axis at the widest */
  readonly widest: Mm;
}

/** @throws Complaint `pattern/form size` */
export function surfaceOf(form: RoundForm): Surface {
  if (!(form.width > 0)) throw complaint('pattern/form size', { what: 'The width' });
  if (form.kind !== 'ball' && !(form.length > 0)) throw complaint('pattern/form size', { what: 'The length' });
  const profile = PROFILES[form.kind](form);
  const [radii, along, upTo] = [0, 1, 2].map(() => new Float64Array(BANDS + 1)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let k = 0; k <= BANDS; k++) {
    const [r, z] = profile(k / BANDS);
    radii[k] = Math.max(0, r);
    along[k] = z;
    if (k === 0) continue;
    const [r0, z0] = [radii[k - 1] as number, along[k - 1] as number];
    // a band is part of a cone
    upTo[k] =
      (upTo[k - 1] as number) + Math.PI * (r0 + (radii[k] as number)) * Math.hypot((radii[k] as number) - r0, z - z0);
  }
  return { radii, along, upTo, area: upTo[BANDS] as number, widest: Math.max(...radii) };
}

/** mm³ within a form: of a dome what lies under it. */
export function formVolume(form: RoundForm): Mm3 {
  const { radii, along } = surfaceOf(form);
  let sum = 0;
  for (let k = 1; k <= BANDS; k++) {
    const [a, b] = [radii[k - 1] as number, radii[k] as number];
    sum += (Math.PI * (a * a + a * b + b * b) * Math.abs((along[k] as number) - (along[k - 1] as number))) / 3;
  }
  return sum;
}

/** A place on a surface: the band, and how far in it. */
interface InBand {
  readonly band: number;
  readonly on: number;
}

function bandAt({ upTo, area }: Surface, share: number): InBand {
  const wanted = Math.min(1, Math.max(0, share)) * area;
  let [low, high] = [0, BANDS];
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((upTo[middle] as number) <= wanted) low = middle;
    else high = middle;
  }
  const [a, b] = [upTo[low] as number, upTo[high] as number];
  return { band: low, on: b > a ? (wanted - a) / (b - a) : 0 };
}

/** How far from the axis, and along it, a surface is where so much of its area lies before. @param share 0 to 1 */
export function placeOn(surface: Surface, share: number): readonly [radius: Mm, along: Mm] {
  const { band, on } = bandAt(surface, share);
  const between = (list: Float64Array): number =>
    (list[band] as number) + ((list[band + 1] as number) - (list[band] as number)) * on;
  return [between(surface.radii), between(surface.along)];
}

/** The same form in the middle of a wall, and within it. @throws Complaint `pattern/form thin` */
export function within(form: RoundForm, wall: Mm, by: 'middle' | 'core'): RoundForm {
  const off = by === 'middle' ? wall : 2 * wall;
  const inner = {
    ...form,
    width: form.width - off,
    length: form.kind === 'dome' ? form.length - off / 2 : form.length - off,
  };
  // a tube is open at its ends
  const sized = form.kind === 'tube' ? { ...inner, length: form.length } : inner;
  if (sized.width > 0 && (sized.length > 0 || form.kind === 'ball')) return sized;
  throw complaint('pattern/form thin', {
    size: inBoth((system) => showLength(form.width, system)),
    walls: inBoth((system) => showLength(2 * wall, system, true)),
  });
}
