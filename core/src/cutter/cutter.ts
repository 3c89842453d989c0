import { crossesItself, extentOf, offset, outlineOf, signedArea, type Point } from '#core/outline';
import {
  attempt,
  inBoth,
  readLength,
  readSize,
  showLength,
  showSize,
  type Mm,
  type Mm2,
  type UnitSystem,
} from '#core/units';
import { complaint } from './sentences.js';
import { CUTTER_SHAPES, SHAPE_POINTS, type CutterShape } from './shapes.js';

/** What a piece is cut with. */
export interface Cutter {
  readonly shape: CutterShape;
  readonly width: Mm;
  readonly height: Mm;
  /** it leaves an opening, with so much clay around it */
  readonly rim?: Mm;
  /** of a drawn one, in any size; x to the right, y up */
  readonly points?: readonly Point[];
}

export const SMALLEST_CUTTER: Mm = 1;
export const LARGEST_CUTTER: Mm = 500;
export const MOST_CUTTER_POINTS = 2000;

/** A cutter as it is kept and sent. */
export interface PlainCutter {
  readonly shape: CutterShape;
  readonly widthMm: Mm;
  /** null: as high as it is wide */
  readonly heightMm: Mm | null;
  readonly rimMm?: Mm | null | undefined;
  readonly points?: readonly Point[] | null | undefined;
}

export function cutterOf({ shape, widthMm, heightMm, rimMm, points }: PlainCutter): Cutter {
  const size = { shape, width: widthMm, height: shape === 'round' ? widthMm : (heightMm ?? widthMm) };
  return { ...size, ...(typeof rimMm === 'number' && rimMm > 0 ? { rim: rimMm } : {}), ...(points ? { points } : {}) };
}

/** The cutter of these sides; without a height a round one. */
export const cutterOfSize = (width: Mm, height: Mm | null): Cutter =>
  height === null ? { shape: 'round', width, height: width } : { shape: 'rectangle', width, height };

/** A kept cutter in another size; a drawn one has its points in any size. @param factor 0.8 is a fifth smaller */
export const scaledCutter = <C extends PlainCutter>(cutter: C, factor: number): C => ({
  ...cutter,
  widthMm: cutter.widthMm * factor,
  heightMm: cutter.heightMm === null ? null : cutter.heightMm * factor,
  ...(typeof cutter.rimMm === 'number' ? { rimMm: cutter.rimMm * factor } : {}),
});

export const plainCutter = ({ shape, width, height, rim, points }: Cutter): PlainCutter => ({
  shape,
  widthMm: width,
  heightMm: shape === 'round' ? null : height,
  rimMm: rim ?? null,
  points: points ?? null,
});

/** Points stretched to a box, its middle at the origin, counterclockwise. */
function stretched(points: readonly Point[], width: Mm, height: Mm): Point[] {
  const own = extentOf({ points, round: false });
  const placed = points.map(([x, y]): Point => [
    ((x - own.left) / (own.width || 1) - 0.5) * width,
    ((y - own.bottom) / (own.height || 1) - 0.5) * height,
  ]);
  return signedArea(placed) < 0 ? placed.reverse() : placed;
}

/** The edge of a piece, mm, the middle of its box at the origin, counterclockwise. */
export function cutterOutline({ shape, width, height, points }: Cutter): readonly Point[] {
  const own = shape === 'drawn' ? (points ?? SHAPE_POINTS.rectangle()) : SHAPE_POINTS[shape]();
  return stretched(own, width, height);
}

/** mm from a place to the nearest of a closed line. */
function distance([x, y]: Point, line: readonly Point[]): Mm {
  let least = Infinity;
  line.forEach((a, i) => {
    const b = line[(i + 1) % line.length] as Point;
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const along = ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1);
    const t = Math.min(1, Math.max(0, along));
    least = Math.min(least, Math.hypot(x - a[0] - t * dx, y - a[1] - t * dy));
  });
  return least;
}

/** A closed line so far inside another. What would come nearer to another side, or lie farther in, is left out. */
function inset(line: readonly Point[], by: Mm): readonly Point[] {
  const { outline, moved } = outlineOf(line);
  const inner = offset(outline, -by).points.map(([x, y]): Point => [x + moved[0], y + moved[1]]);
  return inner.filter((p) => Math.abs(distance(p, line) / by - 1) < 1e-3);
}

/** The opening inside the rim, mm; null where it is whole. */
export function cutterOpening(cutter: Cutter): readonly Point[] | null {
  const { shape, width, height, rim = 0 } = cutter;
  if (!(rim > 0)) return null;
  if (shape === 'round' || shape === 'rectangle')
    return cutterOutline({ shape, width: width - 2 * rim, height: height - 2 * rim });
  return inset(cutterOutline(cutter), rim);
}

/** Area of the shapes that have a formula, for a width and a height. */
const AREAS: Partial<Record<CutterShape, (width: Mm, height: Mm) => Mm2>> = {
  round: (width) => (Math.PI / 4) * width ** 2,
  oval: (width, height) => (Math.PI / 4) * width * height,
  rectangle: (width, height) => width * height,
};

function whole(cutter: Cutter): Mm2 {
  return AREAS[cutter.shape]?.(cutter.width, cutter.height) ?? signedArea(cutterOutline(cutter));
}

function opening(cutter: Cutter): Mm2 {
  const { shape, width, height, rim = 0 } = cutter;
  if (!(rim > 0)) return 0;
  if (shape === 'round' || shape === 'rectangle')
    return whole({ shape, width: width - 2 * rim, height: height - 2 * rim });
  return Math.abs(signedArea(cutterOpening(cutter) ?? []));
}

/** mm² of one cut piece, without its opening. */
export const cutterArea = (cutter: Cutter): Mm2 => whole(cutter) - opening(cutter);

/** The box around one piece. */
export const cutterBox = ({ width, height }: Cutter): { width: Mm; height: Mm } => ({ width, height });

/** `18 mm round`, `12 × 30 mm`, `18 × 30 mm teardrop, rim 4 mm`. */
export function showCutter({ shape, width, height, rim }: Cutter, system: UnitSystem): string {
  const size = shape === 'round' ? showLength(width, system) : showSize(width, height, system);
  const named = shape === 'rectangle' ? size : `${size} ${shape}`;
  return rim === undefined ? named : `${named}, rim ${showLength(rim, system)}`;
}

/** Words that name a shape, the longest first; plain ones `readSize` knows. */
const NAMED = [...CUTTER_SHAPES]
  .filter((shape) => shape !== 'round' && shape !== 'rectangle')
  .sort((a, b) => b.length - a.length);
const UNIT = /^(mm|cm|m|in|inch|inches|ft|thou|mils?|x|by|a|an|the|and|cutter)$/i;

function sizeIn(text: string, system: UnitSystem): { width: Mm; height: Mm | null } {
  return attempt(
    () => readSize(text, system),
    (wrong) => {
      const strange = text.match(/[a-z]+/gi)?.find((word) => !UNIT.test(word));
      if (strange === undefined) throw wrong;
      throw complaint('cutter/shape', { said: strange, known: CUTTER_SHAPES.join(', ') });
    },
  );
}

/**
 * A cutter as somebody writes it, `18 × 30 mm teardrop, rim 4 mm`: a size alone is round, two sides alone a rectangle,
 * or what it was before; a shape alone keeps the size.
 * @throws Complaint as `readSize`, `cutter/shape`, `checkCutter`
 */
export function readCutter(text: string, system: UnitSystem, before: Cutter): Cutter {
  const [said = '', rimSaid] = text.split(/,?\s*\brim\b/i);
  const named = NAMED.find((shape) => new RegExp(`\\b${shape}\\b`, 'i').test(said));
  const size = named === undefined ? said : said.replace(new RegExp(`\\b${named}\\b`, 'i'), ' ').trim();
  const bare = /^\s*(?:(round|rectangle|an?|the)\s*)*$/i.test(size);
  const { width, height } = bare ? before : sizeIn(size, system);
  const shape = named ?? plainShape(size, height, before);
  const cutter: Cutter = {
    ...{ shape, width, height: shape === 'round' ? width : (height ?? width) },
    ...(shape === 'drawn' && before.points ? { points: before.points } : {}),
    ...(rimSaid === undefined ? {} : { rim: readLength(rimSaid, system) }),
  };
  checkCutter(cutter);
  return cutter;
}

/** The shape where none was named. */
function plainShape(said: string, height: Mm | null, before: Cutter): CutterShape {
  if (/\bround\b/i.test(said)) return 'round';
  if (/\brectang/i.test(said)) return 'rectangle';
  if (before.shape === 'round' || before.shape === 'rectangle') return height === null ? 'round' : 'rectangle';
  return before.shape;
}

/** @throws Complaint `unit/range`, `cutter/crosses`, `cutter/points`, `cutter/rim`, `cane/outline` */
export function checkCutter(cutter: Cutter): void {
  const { width, height, rim, points } = cutter;
  for (const side of [width, height]) {
    if (!(side >= SMALLEST_CUTTER && side <= LARGEST_CUTTER)) {
      throw complaint('unit/range', {
        what: 'A cutter',
        low: inBoth((s) => showLength(SMALLEST_CUTTER, s)),
        high: inBoth((s) => showLength(LARGEST_CUTTER, s)),
      });
    }
  }
  if (cutter.shape === 'drawn') checkDrawn(points ?? []);
  if (rim === undefined) return;
  const most = 0.45 * Math.min(width, height);
  const open = rim < most ? (cutterOpening(cutter) ?? []) : [];
  if (open.length < 3 || signedArea(open) <= 0 || crossesItself(open))
    throw complaint('cutter/rim', { rim: inBoth((s) => showLength(rim, s)), most: inBoth((s) => showLength(most, s)) });
}

function checkDrawn(points: readonly Point[]): void {
  if (points.length < 3 || points.length > MOST_CUTTER_POINTS)
    throw complaint('cutter/points', { most: MOST_CUTTER_POINTS });
  outlineOf(points);
  if (crossesItself(points)) throw complaint('cutter/crosses');
}
