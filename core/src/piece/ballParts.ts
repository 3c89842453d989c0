import type { Point } from '#core/outline';
import { volumeOfBead } from '#core/stock';
import type { Mm, Mm3 } from '#core/units';
import type { BallForm, BallPart } from './document.js';
import { complaint } from './sentences.js';
import { ROUND_POINTS, ellipse, type Reach, type Solid } from './solid.js';

/** A ball or a drop as a body turned about its length. */
interface Turned {
  readonly length: Mm;
  readonly volume: Mm3;
  /** mm from the axis to its skin, at a place along it from its inner end */
  readonly radius: (along: Mm) => Mm;
}

const oval = (width: Mm, length: Mm): Turned => ({
  length,
  volume: volumeOfBead({ shape: 'oval', width, length }),
  radius: (along) => (width / 2) * Math.sqrt(Math.max(0, 1 - (2 * (along / length) - 1) ** 2)),
});

const bicone = (width: Mm, length: Mm): Turned => ({
  length,
  volume: volumeOfBead({ shape: 'bicone', width, length }),
  radius: (along) => (width / 2) * Math.max(0, 1 - Math.abs(2 * (along / length) - 1)),
});

/**
 * A ball with a cone that touches it all around: of a ball of radius R whose point is d = length − R from its middle,
 * the cone leaves it R²/d before the middle.
 */
function drop(width: Mm, length: Mm): Turned {
  const r = width / 2;
  const d = length - r;
  const beyond = (r * r) / d;
  const edge = r * Math.sqrt(Math.max(0, 1 - (r / d) ** 2));
  const cap = r - beyond;
  const ball = (4 / 3) * Math.PI * r ** 3 - (Math.PI * cap ** 2 * (3 * r - cap)) / 3;
  const cone = (Math.PI * edge ** 2 * (d - beyond)) / 3;
  return {
    length,
    volume: ball + cone,
    radius: (along) => {
      // the ball at the inner end, the point at the outer
      const from = along - r;
      if (from <= beyond) return Math.sqrt(Math.max(0, r * r - from * from));
      return (edge * Math.max(0, d - from)) / (d - beyond);
    },
  };
}

/** What is turned about its length; a ball that is pressed flat is not among them. */
export const TURNED: Readonly<Record<Exclude<BallForm, 'disc'>, (width: Mm, length: Mm) => Turned>> = {
  round: (width) => oval(width, width),
  oval,
  bicone,
  drop,
};

/** The edge of a turned body that lies on its side. */
function edgeOf({ length, radius }: Turned): Point[] {
  const half = ROUND_POINTS / 2;
  const along = Array.from({ length: half + 1 }, (_, i) => (length * (1 - Math.cos((Math.PI * i) / half))) / 2);
  const right = along.map((at): Point => [radius(at), at - length / 2]);
  const left = along.map((at): Point => [-radius(at), at - length / 2]).reverse();
  return [...right, ...left.slice(1, -1)];
}

const across = (skin: Mm, x: Mm): Mm => Math.sqrt(Math.max(0, skin * skin - x * x));

function lying(body: Turned, width: Mm): Solid {
  const rests = width / 2;
  return {
    ...{ outline: edgeOf(body), opening: null, lines: [], drapes: false },
    reach: (x, y): Reach | null => {
      const skin = body.radius(y + body.length / 2);
      if (Math.abs(x) > skin) return null;
      return { low: rests - across(skin, x), high: rests + across(skin, x) };
    },
    ...{ volume: body.volume, second: 0, sheet: null, thickest: width },
  };
}

/** A flattened ball, flat side down: an oblate spheroid. */
function pressedFlat(width: Mm, height: Mm): Solid {
  return {
    ...{ outline: ellipse(width, width), opening: null, lines: [], drapes: false },
    reach: (x, y): Reach | null => {
      const out = Math.hypot(x, y) / (width / 2);
      if (out > 1) return null;
      const half = (height / 2) * Math.sqrt(1 - out * out);
      return { low: height / 2 - half, high: height / 2 + half };
    },
    volume: volumeOfBead({ shape: 'disc', width, length: height }),
    ...{ second: 0, sheet: null, thickest: height },
  };
}

/** @throws Complaint `piece/ratio` */
export function ballSolid({ form, width, ratio }: BallPart<number>, name: string): Solid {
  if (form === 'disc') return pressedFlat(width, width * ratio);
  if (form === 'drop' && ratio < 1) throw complaint('piece/ratio', { name });
  return lying(TURNED[form](width, width * ratio), width);
}
