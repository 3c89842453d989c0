import type { Point } from '#core/outline';
import type { Mm } from '#core/units';
import type { Bend, SnakePart, TwistPart } from './document.js';
import { box, ellipse, type Reach, type Solid } from './solid.js';

type Body = Pick<Solid, 'outline' | 'opening' | 'lines' | 'reach'>;

/** What a round rod reaches, so far from its axis. */
function rod(width: Mm, aside: Mm): Reach | null {
  const r = width / 2;
  if (Math.abs(aside) > r) return null;
  const half = Math.sqrt(r * r - aside * aside);
  return { low: r - half, high: r + half };
}

const straight = (width: Mm, length: Mm): Body => ({
  outline: box(width, length),
  opening: null,
  lines: [],
  reach: (x) => rod(width, x),
});

/** Closed to a ring: its length is the circle in the middle of it. */
function ring(width: Mm, length: Mm): Body {
  const radius = length / (2 * Math.PI);
  const inner = 2 * radius - width;
  return {
    outline: ellipse(2 * radius + width, 2 * radius + width),
    opening: inner > 0 ? ellipse(inner, inner) : null,
    lines: [],
    reach: (x, y) => rod(width, Math.hypot(x, y) - radius),
  };
}

/** Rolled up flat, turn beside turn: as much area as the snake is wide and long. */
function spiral(width: Mm, length: Mm): Body {
  const radius = Math.sqrt((width * length) / Math.PI);
  const turns = radius / width;
  const count = Math.max(24, Math.round(36 * turns));
  const line = Array.from({ length: count + 1 }, (_, i): Point => {
    const angle = (2 * Math.PI * turns * i) / count;
    const out = (width * angle) / (2 * Math.PI);
    return [out * Math.cos(angle), out * Math.sin(angle)];
  });
  return {
    outline: ellipse(2 * radius, 2 * radius),
    opening: null,
    lines: [line],
    reach: (x, y) => (Math.hypot(x, y) > radius ? null : { low: 0, high: width }),
  };
}

const BODIES: Readonly<Record<Bend, (width: Mm, length: Mm) => Body>> = { straight, ring, spiral };

export function snakeSolid({ width, length, bend }: SnakePart<number>): Solid {
  return {
    ...BODIES[bend](width, length),
    drapes: false,
    volume: (Math.PI / 4) * width ** 2 * length,
    second: 0,
    sheet: null,
    thickest: width,
  };
}

/** mm of length on which two snakes turn once, to their width: an assumption. */
const TURN = 3;

/** Where one snake of a twist meets the other: a line across it, leaning, for each half turn. */
function seams({ width, length, bend }: TwistPart<number>): Point[][] {
  if (bend === 'spiral') return [];
  const step = (TURN * width) / 2;
  const count = Math.max(1, Math.floor(length / step));
  const radius = length / (2 * Math.PI);
  const at = (aside: Mm, along: Mm): Point => {
    if (bend === 'straight') return [aside, along - length / 2];
    const angle = along / radius;
    return [(radius + aside) * Math.cos(angle), (radius + aside) * Math.sin(angle)];
  };
  return Array.from({ length: count }, (_, i) => [
    at(-width / 2, i * step),
    at(width / 2, Math.min(length, (i + 1) * step)),
  ]);
}

/** Half of it is of each snake. */
export function twistSolid(part: TwistPart<number>): Solid {
  const whole = snakeSolid({ ...part, is: 'snake' });
  return { ...whole, lines: [...whole.lines, ...seams(part)], volume: whole.volume / 2, second: whole.volume / 2 };
}
