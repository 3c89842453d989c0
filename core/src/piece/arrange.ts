import { seeded } from '#core/units';
import type { Mm } from '#core/units';
import type { Lies, Part, Place } from './document.js';
import { complaint } from './sentences.js';

/** Where one part lies: its middle, turned counterclockwise, perhaps mirrored; the how many-th of a stack, from 0. */
export interface Lying {
  readonly x: Mm;
  readonly y: Mm;
  readonly degrees: number;
  readonly flip: boolean;
}

type OfKind<K extends Lies> = Extract<Place, { lies: K }>;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const times = <T>(n: number, make: (i: number) => T): T[] => Array.from({ length: Math.round(n) }, (_, i) => make(i));

function inRing({ n, radius, turn, gaps }: OfKind<'ring'>): Lying[] {
  const each = 360 / Math.round(n);
  return times(n, (i) => {
    const degrees = turn + (i + (gaps ? 0.5 : 0)) * each;
    const angle = radians(degrees);
    return { x: -radius * Math.sin(angle), y: radius * Math.cos(angle), degrees, flip: false };
  });
}

function inRow({ n, apart, x, y, turn }: OfKind<'row'>): Lying[] {
  const angle = radians(turn);
  const middle = (Math.round(n) - 1) / 2;
  return times(n, (i) => {
    const along = (i - middle) * apart;
    return { x: x + along * Math.cos(angle), y: y + along * Math.sin(angle), degrees: turn, flip: false };
  });
}

/** Tries for one place, before a place is held to be full. */
const TRIES = 400;

/**
 * Places by chance within a circle, at least so far apart: Poisson discs by throwing darts, of which the one farthest
 * from its neighbours of a few is kept, so that many have room.
 * @throws Complaint `piece/scatter` with how many have room
 */
function scattered({ n, radius, apart, seed }: OfKind<'scatter'>, name: string): Lying[] {
  const chance = seeded(seed);
  const kept: Lying[] = [];
  const wanted = Math.round(n);
  const free = (x: Mm, y: Mm): boolean => kept.every((k) => Math.hypot(k.x - x, k.y - y) >= apart);
  for (let tries = 0; kept.length < wanted && tries < TRIES * wanted; tries++) {
    const out = radius * Math.sqrt(chance());
    const angle = 2 * Math.PI * chance();
    const [x, y] = [out * Math.cos(angle), out * Math.sin(angle)];
    if (free(x, y)) kept.push({ x, y, degrees: 360 * chance(), flip: false });
  }
  if (kept.length < wanted) return inRows({ n, radius, apart, name });
  return kept;
}

/** Close rows in a circle, where throwing them leaves too little room. @throws Complaint `piece/scatter` */
function inRows({
  n,
  radius,
  apart,
  name,
}: Pick<OfKind<'scatter'>, 'n' | 'radius' | 'apart'> & { name: string }): Lying[] {
  const step = Math.max(apart, 1e-3);
  const rise = (step * Math.sqrt(3)) / 2;
  const rows = Math.floor(radius / rise);
  const all: Lying[] = [];
  for (let row = -rows; row <= rows; row++) {
    const y = row * rise;
    const half = Math.sqrt(Math.max(0, radius * radius - y * y));
    const aside = Math.abs(row % 2) * (step / 2);
    const first = Math.ceil((-half - aside) / step);
    const last = Math.floor((half - aside) / step);
    for (let i = first; i <= last; i++) all.push({ x: i * step + aside, y, degrees: 0, flip: false });
  }
  if (all.length < Math.round(n)) throw complaint('piece/scatter', { name, fits: all.length, wanted: Math.round(n) });
  return all.sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y)).slice(0, Math.round(n));
}

/** Where each of a part lies on what it lies on: one kind of place that is missing does not compile. */
const PLACES: { readonly [K in Lies]: (place: OfKind<K>, name: string) => Lying[] } = {
  at: ({ x, y, turn }) => [{ x, y, degrees: turn, flip: false }],
  ring: inRing,
  scatter: scattered,
  row: inRow,
  pair: ({ x, y, turn }) => [
    { x, y, degrees: turn, flip: false },
    { x: -x, y, degrees: -turn, flip: true },
  ],
  stack: ({ n, x, y }) => times(n, () => ({ x, y, degrees: 0, flip: false })),
};

/** @throws Complaint `piece/scatter`, `piece/none` */
export function placesOf({ name, place }: Pick<Part, 'name' | 'place'>): readonly Lying[] {
  if ('n' in place && Math.round(place.n) < 1) throw complaint('piece/none', { name });
  return (PLACES[place.lies] as (p: Place, n: string) => Lying[])(place, name);
}

/** Something that lies on a part, as it lies on the table. */
export function carried(on: Lying, { x, y, degrees, flip }: Lying): Lying {
  const angle = radians(on.degrees);
  const side = on.flip ? -1 : 1;
  const [px, py] = [x * side, y];
  return {
    x: on.x + px * Math.cos(angle) - py * Math.sin(angle),
    y: on.y + px * Math.sin(angle) + py * Math.cos(angle),
    degrees: on.degrees + side * degrees,
    flip: on.flip !== flip,
  };
}
