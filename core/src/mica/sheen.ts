import { deltaE, labOfLinear, linearOfLab, xyzOfHex, type Lab } from '#core/colour';
import type { Tilts } from './tilt.js';

/** Where the lamp stands. */
export interface Lamp {
  /** degrees in the plane of the sheet, 0 from the right, 90 from below in the picture */
  readonly from: number;
  /** degrees above the sheet: 90 is straight above */
  readonly above: number;
}

/** The lamp that contrast is measured under. */
const STRAIGHT_ABOVE: Lamp = { from: 0, above: 90 };

/** Colours of a mica clay: on the flat of its flakes, and on their edges. */
export interface MicaColours {
  readonly face: Lab;
  readonly edge: Lab;
}

/** Which way flakes face, cell by cell: unit vectors, y down as in the picture. */
export interface Facing {
  readonly x: Float32Array;
  readonly y: Float32Array;
  readonly z: Float32Array;
}

/** Worked out once; then a lamp can be moved over it. */
export function facingOf({ across, down }: Tilts): Facing {
  const [x, y, z] = [
    new Float32Array(across.length),
    new Float32Array(across.length),
    new Float32Array(across.length),
  ] as const;
  across.forEach((slope, at) => {
    const other = down[at] ?? 0;
    const length = 1 / Math.sqrt(1 + slope * slope + other * other);
    x[at] = -slope * length;
    y[at] = -other * length;
    z[at] = length;
  });
  return { x, y, z };
}

/** Half between the lamp and the eye, which looks straight down. */
function halfway({ from, above }: Lamp): readonly [number, number, number] {
  const [turn, rise] = [from, above].map((degrees) => (degrees * Math.PI) / 180) as [number, number];
  const [x, y, z] = [Math.cos(rise) * Math.cos(turn), Math.cos(rise) * Math.sin(turn), Math.sin(rise) + 1];
  const length = Math.hypot(x, y, z);
  return [x / length, y / length, z / length];
}

/**
 * How much of the face colour each cell shows, 0 to 1: by how flat its flakes lie, and by how well they throw the
 * lamp's light up (how narrow that light is, the eighth power of a cosine, is an assumption). The rest is the edge
 * colour.
 * @param into shares of a picture before, to be written over
 */
export function relit({ x, y, z }: Facing, lamp: Lamp, into = new Float32Array(x.length)): Float32Array {
  const [hx, hy, hz] = halfway(lamp);
  for (let at = 0; at < into.length; at++) {
    const flat = z[at] ?? 0;
    const along = Math.max(0, (x[at] ?? 0) * hx + (y[at] ?? 0) * hy + flat * hz);
    const squared = along * along;
    const fourth = squared * squared;
    // the eighth power of how well it is thrown up, and cos² of the tilt
    into[at] = flat * flat * fourth * fourth;
  }
  return into;
}

/** The colour of a share of the face colour: light adds up. */
export function sheenColour({ face, edge }: MicaColours, share: number): Lab {
  const [bright, dark] = [linearOfLab(face), linearOfLab(edge)];
  return labOfLinear(dark.map((d, i) => d + ((bright[i] ?? d) - d) * share) as unknown as typeof dark);
}

/** How much of the face colour a place shows under a lamp straight above, by the square of the slope of its flakes. */
export function shareAt(squared: number): number {
  // cos² of the tilt, and the eighth power of the cosine
  const flat = 1 / (1 + squared);
  return flat ** 5;
}

/** How dark flakes are on their edges beside their faces, in light: an assumption, until a clay is measured. */
export const EDGE_LIGHT = 0.3;

/** Edges never look darker than this beside faces, nor lighter than they: what is measured beyond is a slip. */
const [DARKEST_EDGE, LIGHTEST_EDGE] = [0.02, 1];

/** Light of the edges of flakes as a share of that of their faces, as it was measured; or as it is assumed. */
export function edgeLightOf(faceHex: string, edgeHex: string | null | undefined): number {
  if (edgeHex == null) return EDGE_LIGHT;
  const share = xyzOfHex(edgeHex).y / Math.max(1e-6, xyzOfHex(faceHex).y);
  return Math.min(LIGHTEST_EDGE, Math.max(DARKEST_EDGE, share));
}

/** Colours of a mica clay by the one on the flat of its flakes. @param edge light of the edges, as a share of that */
export function micaColours(face: Lab, edge = EDGE_LIGHT): MicaColours {
  const [r, g, b] = linearOfLab(face);
  return { face, edge: labOfLinear([edge * r, edge * g, edge * b]) };
}

/** Places that are looked at for it, spread over the whole. */
const LOOKED_AT = 20_000;
/** A picture is as dark as the brightest of its darkest fiftieth: the lines of a drawing are hardly more than that. */
export const DARKEST = 0.02;
/** ΔE00 below which a sheen is hardly seen at arm's length: an assumption. */
export const DULL = 6;
/** ΔE00 between the flat of its flakes and places that show so much of it. */
export const contrastAt = (colours: MicaColours, share: number): number =>
  deltaE(sheenColour(colours, 1), sheenColour(colours, share));

/**
 * How clearly a picture is seen under a lamp straight above: ΔE00 between a place that lies flat, as the tops and the
 * floors of every relief do, and its dark places. Whatever lays flakes flatter takes from it.
 */
export function contrastOf(tilts: Tilts, colours: MicaColours): number {
  const all = relit(facingOf(tilts), STRAIGHT_ABOVE);
  const apart = Math.ceil(all.length / LOOKED_AT);
  const shares = Float32Array.from({ length: Math.ceil(all.length / apart) }, (_, i) => all[i * apart] ?? 1).sort();
  return contrastAt(colours, shares[Math.floor(DARKEST * shares.length)] ?? 1);
}

/** Passes after which a sheen looks even, until a maker has counted: an assumption. */
export const EVEN_AFTER = 10;
/** So many counts are looked at, the newest first. */
const NEWEST = 9;

/** Passes until a sheen is even: the middle of what was counted, so that one odd day does not move it. */
export interface EvenAfter {
  readonly passes: number;
  /** 0: it is assumed */
  readonly counts: number;
}

/** @param counted passes that were counted, newest first */
export function evenAfter(counted: readonly number[]): EvenAfter {
  const known = counted.filter((n) => n > 0).slice(0, NEWEST);
  const sorted = [...known].sort((a, b) => a - b);
  const [low, high] = [Math.floor((known.length - 1) / 2), Math.ceil((known.length - 1) / 2)];
  if (known.length === 0) return { passes: EVEN_AFTER, counts: 0 };
  return { passes: Math.round(((sorted[low] ?? 0) + (sorted[high] ?? 0)) / 2), counts: known.length };
}

/** What is left of the disorder then. */
const HARDLY_ANY = 0.05;

/** How evenly flakes lie after so many passes on the thinnest setting: 0 as mixed, 1 all flat. */
export const orderAfter = (passes: number, evenAfter = EVEN_AFTER): number => 1 - HARDLY_ANY ** (passes / evenAfter);
