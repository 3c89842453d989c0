import { beyond, extentOf, reachOf } from '#core/cane';
import { EYE_SIGMA, TOLD_APART, deltaE, labOf, xyzOfLab, type Lab, type Xyz } from '#core/colour';
import { seeded, type Mm } from '#core/units';
import type { Look } from './look.js';
import { veinWidth } from './veins.js';

/** Arm's length, in the distances at which the eye's line spread is known: twice 30 cm. */
const ARM = 2;
/** Mud: so much of the face, within so much of the colour that all of it mixes to. */
export const MUD = { share: 0.9, deltaE: 2 } as const;
/** Pairs of places that are compared, and places that are blurred for each. */
const [PAIRS, BLURRED] = [260, 36];
/** Neighbours that meet in fewer of the pairs than this share do not matter. */
const MATTERS = 0.08;

/** What a face looks like at arm's length. */
export interface Judged {
  /** mm, the mean width of the veins; infinite for one colour */
  readonly vein: Mm;
  /** ΔE00 between places of two materials one vein apart: the middle one */
  readonly contrast: number;
  /** the same of the weakest neighbours that matter, and which they are; null: there are none */
  readonly weakest: { readonly one: number; readonly other: number; readonly deltaE: number } | null;
  /** share of the face that has the colour of all of it mixed through */
  readonly mixed: number;
}

const middleOf = (values: readonly number[]): number =>
  values.length === 0 ? 0 : ([...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] as number);

/** Places about the middle of what the eye runs together, spread evenly by weight. */
function blurPlaces(spread: Mm): readonly (readonly [Mm, Mm])[] {
  return Array.from({ length: BLURRED }, (_, i) => {
    const r = spread * Math.sqrt(-2 * Math.log(1 - (i + 0.5) / BLURRED));
    const turn = i * Math.PI * (3 - Math.sqrt(5));
    return [r * Math.cos(turn), r * Math.sin(turn)] as const;
  });
}

/** How a place looks from a distance; null where there is no clay. */
function seenAt(look: Look, light: (value: number) => Xyz, places: readonly (readonly [Mm, Mm])[]) {
  return (x: Mm, y: Mm): Lab | null => {
    let [n, sx, sy, sz] = [0, 0, 0, 0];
    for (const [dx, dy] of places) {
      const value = look.sample(x + dx, y + dy);
      if (value < 0) continue;
      const one = light(value);
      n++;
      sx += one.x;
      sy += one.y;
      sz += one.z;
    }
    return n === 0 ? null : labOf({ x: sx / n, y: sy / n, z: sz / n });
  };
}

/** Places of a face at random, and one a vein away from each. */
function pairsIn(look: Look, vein: Mm, chance: () => number): (readonly [Mm, Mm, Mm, Mm])[] {
  const { left, bottom, width, height } = extentOf(look.outline);
  const reach = reachOf(look.outline);
  const far = Math.min(vein, Math.min(width, height) / 2);
  const pairs: (readonly [Mm, Mm, Mm, Mm])[] = [];
  for (let tries = 0; pairs.length < PAIRS && tries < 30 * PAIRS; tries++) {
    const [x, y, turn] = [left + chance() * width, bottom + chance() * height, 2 * Math.PI * chance()];
    const [u, v] = [x + far * Math.cos(turn), y + far * Math.sin(turn)];
    if (beyond(reach, x, y) <= 1 && beyond(reach, u, v) <= 1) pairs.push([x, y, u, v]);
  }
  return pairs;
}

/** ΔE00 of pairs by which two materials they are of. */
type Met = Map<string, { readonly one: number; readonly other: number; readonly all: number[] }>;

function meet(met: Met, a: number, b: number, difference: number): void {
  const [one, other] = a < b ? [a, b] : [b, a];
  const key = `${one} ${other}`;
  const known = met.get(key) ?? { one, other, all: [] };
  known.all.push(difference);
  met.set(key, known);
}

function weakestOf(met: Met): Judged['weakest'] {
  const whole = [...met.values()].reduce((sum, m) => sum + m.all.length, 0);
  const all = [...met.values()]
    .filter((m) => m.all.length >= MATTERS * whole)
    .map(({ one, other, all: differences }) => ({ one, other, deltaE: middleOf(differences) }));
  return all.reduce<Judged['weakest']>((least, m) => (least && least.deltaE <= m.deltaE ? least : m), null);
}

/**
 * How a face looks: its veins, and what is left of its colours at arm's length. Light mixes in XYZ.
 * @param colourOf of a value of the face @param mixed the colour of all of it stirred together
 */
export function judgeLook(look: Look, colourOf: (value: number) => Lab, mixed: Lab, seed = 1): Judged {
  const vein = veinWidth(look, seed);
  const lights = new Map<number, Xyz>();
  const light = (value: number): Xyz => {
    // a fade in a few steps looks the same
    const key = Math.floor(value * 32);
    const known = lights.get(key) ?? xyzOfLab(colourOf(value));
    lights.set(key, known);
    return known;
  };
  const seen = seenAt(look, light, blurPlaces(EYE_SIGMA * ARM));
  const met: Met = new Map();
  let [near, count] = [0, 0];
  for (const [x, y, u, v] of pairsIn(look, vein, seeded(seed * 73 + 9))) {
    const [a, b] = [look.sample(x, y), look.sample(u, v)];
    const [one, two] = [seen(x, y), seen(u, v)];
    if (a < 0 || !one) continue;
    count++;
    if (deltaE(one, mixed) <= MUD.deltaE) near++;
    if (b >= 0 && two && Math.floor(a) !== Math.floor(b)) meet(met, Math.floor(a), Math.floor(b), deltaE(one, two));
  }
  const contrast = middleOf([...met.values()].flatMap((m) => m.all));
  return { vein, contrast, weakest: weakestOf(met), mixed: count === 0 ? 0 : near / count };
}

export const isMud = ({ mixed }: Judged): boolean => mixed >= MUD.share;

/**
 * The last of some stages at which the weakest neighbours that matter can still be told apart at arm's length; -1
 * where they never could. What is mud is past it.
 */
export function stopLine(stages: readonly Judged[]): number {
  let last = -1;
  for (const [i, stage] of stages.entries()) {
    const clear = stage.weakest !== null && stage.weakest.deltaE >= TOLD_APART && !isMud(stage);
    if (!clear) break;
    last = i;
  }
  return last;
}
