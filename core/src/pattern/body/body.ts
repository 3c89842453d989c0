import type { Mm, Mm2, Mm3 } from '#core/units';

/** What lies where there is no clay. */
export const AIR = -1;
/** Place along a fade that still belongs to its material's number. */
export const FADE = 0.9995;

/**
 * What lies at a point of a body: the number of a material, and behind the point, for a blend, the place along its
 * fade (0 to just under 1); {@link AIR} where nothing is. x to the right and y up across the middle of the body, z from
 * its bottom; of a rope x and y are across and z is along it.
 */
export type Field = (x: Mm, y: Mm, z: Mm) => number;

/** A thick block of layers, a sheet with a face that is looked at, or a rope. */
export type Form = 'block' | 'sheet' | 'rope';

export type Volumes = ReadonlyMap<number, Mm3>;

/** Specks worked in: balls that keep their size whatever is done to the clay around them. */
export interface Specks {
  readonly material: number;
  readonly diameter: Mm;
  /** how many in a mm³ */
  readonly number: number;
}

/** How high clay stands at a place. It holds for one field: after a step that changes the field nothing is known. */
export interface Top {
  readonly of: Field;
  readonly at: (x: Mm, y: Mm) => Mm;
}

/** A body of clay between two steps. Its sizes are those of one piece, of which there are `count`. */
export interface Body {
  readonly form: Form;
  /** a rectangle, or round: then an ellipse */
  readonly round: boolean;
  readonly width: Mm;
  readonly height: Mm;
  /** of a rope: how long it is */
  readonly thick: Mm;
  readonly field: Field;
  readonly count: number;
  /** mm³ of each material in all pieces together, by its number; worked out when it is asked for */
  readonly volumes: () => Volumes;
  /** what lies in one of its pieces, from 0; left out: they are alike */
  readonly piece?: (k: number) => Field;
  /** the same with its dents and cuts pressed shut; left out: nothing is open */
  readonly shut?: () => Body;
  readonly specks: readonly Specks[];
  /** how high its clay stands at each place, where its top is not flat */
  readonly top?: Top;
}

/** mm² that one piece covers. */
export const planArea = ({ round, width, height }: Pick<Body, 'round' | 'width' | 'height'>): Mm2 =>
  width * height * (round ? Math.PI / 4 : 1);
export const volumeOf = (body: Pick<Body, 'round' | 'width' | 'height' | 'thick'>): Mm3 => planArea(body) * body.thick;

/** Whether a place lies within the plan of a body. */
export function within({ round, width, height }: Pick<Body, 'round' | 'width' | 'height'>, x: Mm, y: Mm): boolean {
  const [u, v] = [(2 * x) / width, (2 * y) / height];
  return round ? u * u + v * v <= 1 : Math.abs(u) <= 1 && Math.abs(v) <= 1;
}

/** Dents and cuts pressed shut, where some are open. */
export const flat = (body: Body): Body => body.shut?.() ?? body;

/** How high its clay stands; null where its top is flat, or that is not known. */
export const topIn = ({ top, field }: Body): Top['at'] | null => (top && top.of === field ? top.at : null);

/** What is worked out once, when it is asked for first. */
export function once<T>(work: () => T): () => T {
  let known: { readonly value: T } | null = null;
  return () => (known ??= { value: work() }).value;
}

/** Sums of volumes, each times a factor. */
export function sumOf(...parts: readonly (readonly [Volumes, number])[]): Volumes {
  const sum = new Map<number, Mm3>();
  for (const [volumes, times] of parts)
    for (const [index, volume] of volumes) sum.set(index, (sum.get(index) ?? 0) + volume * times);
  return sum;
}
export const wholeOf = (volumes: Volumes): Mm3 => [...volumes.values()].reduce((a, b) => a + b, 0);

/** Points that a body is measured with: evenly spread by the generalised golden ratio (M. Roberts, 2018). */
const POINTS = 120_000;
const [STEP_X, STEP_Y, STEP_Z] = [0.8191725133961645, 0.6710436067037893, 0.5497004779019703];

/** A part of a body between two heights. */
export interface Between {
  readonly from: Mm;
  readonly to: Mm;
}

/**
 * mm³ of each material between two heights of a body, measured at points spread evenly over it; what is air is left
 * out. Right to about a thousandth of the whole.
 */
export function measuredIn(
  body: Pick<Body, 'round' | 'width' | 'height'> & Partial<Pick<Body, 'specks'>>,
  field: Field,
  { from, to }: Between,
  points = POINTS,
): Volumes {
  const counts = new Map<number, number>();
  let [u, v, w, seen] = [0.5, 0.5, 0.5, 0];
  for (let n = 0; n < points; n++) {
    u = (u + STEP_X) % 1;
    v = (v + STEP_Y) % 1;
    w = (w + STEP_Z) % 1;
    const [x, y] = [(u - 0.5) * body.width, (v - 0.5) * body.height];
    if (!within(body, x, y)) continue;
    seen++;
    const index = Math.floor(field(x, y, from + w * (to - from)));
    if (index >= 0) counts.set(index, (counts.get(index) ?? 0) + 1);
  }
  const each = (planArea(body) * (to - from)) / Math.max(1, seen);
  const clay = new Map([...counts].map(([index, n]) => [index, n * each]));
  return withSpecks(clay, body.specks ?? []);
}

/** A body's pieces, or a part of each, in plan. */
type Pieces = Pick<Body, 'round' | 'width' | 'height' | 'field' | 'count' | 'specks'> & Pick<Partial<Body>, 'piece'>;

/**
 * mm³ of each material between two heights of the first of some pieces, measured as {@link measuredIn}; those that are
 * unlike each for itself, with as many points in all.
 */
export function measuredPieces(pieces: Pieces, between: Between, used = pieces.count): Volumes {
  const { piece, field } = pieces;
  if (!piece) return sumOf([measuredIn(pieces, field, between), used]);
  const points = Math.ceil(POINTS / used);
  return sumOf(...Array.from({ length: used }, (_, k) => [measuredIn(pieces, piece(k), between, points), 1] as const));
}

/** Share of the whole that specks take. */
export const shareOfSpecks = ({ diameter, number }: Specks): number => (number * Math.PI * diameter ** 3) / 6;

/** What a part of a body holds with its specks, which lie in it as everywhere. */
function withSpecks(clay: Volumes, specks: readonly Specks[]): Volumes {
  const whole = wholeOf(clay);
  const rest = 1 - specks.reduce((sum, s) => sum + shareOfSpecks(s), 0);
  return sumOf([clay, rest], ...specks.map((s) => [new Map([[s.material, whole * shareOfSpecks(s)]]), 1] as const));
}
