import { inBoth, showLength, type Grams, type Mm } from '#core/units';
import {
  flatSquare,
  foldedAlong,
  mostLayers,
  sizeOf,
  turnedOver,
  type Crease,
  type FoldDone,
  type Folded,
} from './fold.js';

export const ORNAMENTS = ['parcel', 'rosette', 'pod', 'leaf fan'] as const;
export type Ornament = (typeof ORNAMENTS)[number];

/** One thing that hands do: a fold, or turning it over. */
type Fold = Crease | 'turn over';

const crease = (x: number, y: number, degrees: number, way: Crease['way'] = 'over'): Crease => ({ x, y, degrees, way });

/** Pleats of the fan. */
const PLEATS = 8;

/** The corners of the square to its middle. */
const CORNERS: readonly Fold[] = [
  crease(0.25, 0.25, 315),
  crease(-0.25, 0.25, 45),
  crease(-0.25, -0.25, 135),
  crease(0.25, -0.25, 225),
];

/** The same of the square that stands on a corner then. */
const AGAIN: readonly Fold[] = [crease(0, 0.25, 0), crease(-0.25, 0, 90), crease(0, -0.25, 180), crease(0.25, 0, 270)];

/** From the lower left corner, two sides to the line through the corners; and again, to a narrow pod. */
const TO_THE_MIDDLE: readonly Fold[] = [22.5, 67.5].map((degrees, i) =>
  crease(-0.5, -0.5, i === 0 ? degrees + 180 : degrees),
);
const NARROWER: readonly Fold[] = [33.75, 56.25].map((degrees, i) =>
  crease(-0.5, -0.5, i === 0 ? degrees + 180 : degrees),
);

const FAN: readonly Fold[] = Array.from({ length: PLEATS - 1 }, (_, i) =>
  crease(-0.5 + 1 / PLEATS, 0, 90, i % 2 === 0 ? 'over' : 'under'),
);

const FOLDS: Readonly<Record<Ornament, readonly Fold[]>> = {
  parcel: CORNERS,
  rosette: [...CORNERS, 'turn over', ...AGAIN],
  pod: [...TO_THE_MIDDLE, ...NARROWER],
  'leaf fan': FAN,
};

/** A step of an ornament: what is folded, where, and what is there then; sizes for a square with sides of 1. */
export interface OrnamentStep {
  /** null: it is turned over */
  readonly crease: Crease | null;
  readonly before: Folded;
  readonly after: Folded;
  /** layers that are bent, at the most */
  readonly bent: number;
  /** how far what is folded reaches from its crease; of turning over 0 */
  readonly flap: number;
}

/** For a fan the sheet slides along, so that each crease lies where the one before did. */
function slid(sheet: Folded, by: number): Folded {
  return sheet.map((leaf) => {
    const [a, b, c, d, e, f] = leaf.lay;
    return {
      ...leaf,
      points: leaf.points.map(([x, y]) => [x - by, y] as const),
      lay: [a, b, c, d, e - by, f] as const,
    };
  });
}

/** They are always the same, and worked out once. */
const KNOWN = new Map<Ornament, readonly OrnamentStep[]>();

/** Every step of an ornament, from the flat square on. */
export function stepsOf(ornament: Ornament): readonly OrnamentStep[] {
  const known = KNOWN.get(ornament) ?? workedOut(ornament);
  KNOWN.set(ornament, known);
  return known;
}

function workedOut(ornament: Ornament): readonly OrnamentStep[] {
  let now: Folded = flatSquare;
  return FOLDS[ornament].map((fold): OrnamentStep => {
    const before = now;
    if (fold === 'turn over') {
      now = turnedOver(before);
      return { crease: null, before, after: now, bent: 0, flap: 0 };
    }
    const done: FoldDone = foldedAlong(before, fold);
    now = ornament === 'leaf fan' ? slid(done.after, 1 / PLEATS) : done.after;
    return { crease: fold, before, after: done.after, bent: mostLayers(done.moved), flap: done.flap };
  });
}

/** A sheet that is folded so small, or so thick, does not lie: assumptions. */
const [FINGERS, TIMES_BENT]: readonly [Mm, number] = [5, 4];
/** Thicknesses that fold without cracking, mm, and how many times as long as thick a side may be before it sags. */
const [THINNEST, THICKEST, SAGS]: readonly [Mm, Mm, number] = [0.5, 1.6, 110];

/** What comes of an ornament of a size. */
export interface OrnamentPlan {
  /** the smallest and the largest square that can be folded of a sheet so thick */
  readonly least: Mm;
  readonly most: Mm;
  readonly width: Mm;
  readonly height: Mm;
  readonly layers: number;
  readonly thickest: Mm;
  readonly grams: Grams;
  /** why it cannot be folded so; null: it can */
  readonly wrong: string | null;
}

/** @param side of the square, mm @param mm thickness of the sheet @param density g/cm³ */
export function ornamentOf(ornament: Ornament, side: Mm, mm: Mm, density: number): OrnamentPlan {
  const steps = stepsOf(ornament).filter((s) => s.crease !== null);
  const least = Math.max(...steps.map(({ bent, flap }) => Math.max(FINGERS, TIMES_BENT * bent * mm) / flap));
  const last = steps.at(-1)?.after ?? flatSquare;
  const layers = mostLayers(last);
  const { width, height } = sizeOf(last);
  const most = SAGS * mm;
  return {
    ...{ least, most, layers, width: width * side, height: height * side, thickest: layers * mm },
    grams: (side * side * mm * density) / 1000,
    wrong: wrongWith(side, mm, least, most),
  };
}

function wrongWith(side: Mm, mm: Mm, least: Mm, most: Mm): string | null {
  const said = (value: Mm, fine = false): string => inBoth((system) => showLength(value, system, fine));
  if (mm < THINNEST) return `A sheet of ${said(mm, true)} tears at its creases. Roll it to ${said(1, true)} or so.`;
  if (mm > THICKEST) return `A sheet of ${said(mm, true)} cracks at its creases. Roll it to ${said(1, true)} or so.`;
  if (side < least)
    return `So small it cannot be folded: of a sheet so thick a square of ${said(least)} is the smallest.`;
  if (side > most) return `So large it sags: of a sheet so thick a square of ${said(most)} is the largest.`;
  return null;
}
