import type { Point } from '#core/outline';
import { slicesAround } from '#core/stock';
import type { Mm, Mm2 } from '#core/units';
import type { CoveredPart, FindingForm, FindingPart, VeneerPart } from './document.js';
import { box, ellipse, type Reach, type Solid } from './solid.js';

/** How many slices lie around a covered core; null where a sheet does. */
export function slicesOn({ core, wall, slice }: CoveredPart<number>): number | null {
  return slice === undefined ? null : slicesAround(core, (Math.PI / 4) * slice ** 2, wall);
}

/** Pressed on, round slices spread until they meet: they are drawn so much wider. */
const SPREAD = 1.2;

/** Slices on the half of a bead that is seen, spread evenly (a spiral of Fibonacci's angle), each a little ellipse. */
function slicesSeen(across: Mm, slice: Mm, count: number): Point[][] {
  const turn = Math.PI * (3 - Math.sqrt(5));
  return Array.from({ length: count }, (_, i) => i).flatMap((i) => {
    const z = 1 - (2 * i + 1) / count;
    if (z <= 0) return [];
    const out = Math.sqrt(1 - z * z) * (across / 2);
    const angle = i * turn;
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    // seen from above it is as narrow, outwards, as it leans
    return [
      ellipse(SPREAD * slice * z, SPREAD * slice, 24).map(([px, py]): Point => {
        const along = out + px;
        return [along * cos - py * sin, along * sin + py * cos];
      }),
    ];
  });
}

export function coveredSolid(part: CoveredPart<number>): Solid {
  const { core, wall, slice } = part;
  const across = core + 2 * wall;
  const r = across / 2;
  const inner = (Math.PI * core ** 3) / 6;
  const count = slicesOn(part);
  return {
    outline: ellipse(across, across),
    opening: null,
    lines: count === null || slice === undefined ? [] : slicesSeen(across, slice, count),
    reach: (x, y): Reach | null => {
      const out = Math.hypot(x, y);
      if (out > r) return null;
      const half = Math.sqrt(r * r - out * out);
      return { low: r - half, high: r + half };
    },
    drapes: false,
    volume: (Math.PI * across ** 3) / 6 - inner,
    second: inner,
    sheet: wall,
    thickest: across,
  };
}

/** The area of a dome, or of the inside of a bowl, round and so high: a part of a sphere. */
export const domeArea = (width: Mm, height: Mm): Mm2 => Math.PI * ((width / 2) ** 2 + height ** 2);

/** How much longer a sheet is over the middle of a dome than straight across: arc ÷ chord. */
export function domeStretch(width: Mm, height: Mm): number {
  const half = width / 2;
  const radius = (half * half + height * height) / (2 * height);
  const angle = height <= half ? Math.asin(half / radius) : Math.PI - Math.asin(half / radius);
  return (2 * radius * angle) / width;
}

/** How high a dome is so far from its middle. */
function domeAt(width: Mm, height: Mm, out: Mm): Mm {
  const half = width / 2;
  const radius = (half * half + height * height) / (2 * height);
  return Math.sqrt(Math.max(0, radius * radius - out * out)) - (radius - height);
}

export function veneerSolid({ form, width, height, mm }: VeneerPart<number>): Solid {
  return {
    outline: ellipse(width, width),
    opening: null,
    lines: [],
    reach: (x, y): Reach | null => {
      const out = Math.hypot(x, y);
      if (out > width / 2) return null;
      const dome = domeAt(width, height, out);
      const low = form === 'dome' ? dome : height - dome;
      return { low, high: low + mm };
    },
    drapes: false,
    volume: domeArea(width, height) * mm,
    second: 0,
    sheet: mm,
    thickest: mm,
  };
}

/** mm of metal, or of a cord, from above to below. */
const METAL: Mm = 1;

const OUTLINES: Readonly<Record<FindingForm, (width: Mm, length: Mm) => Pick<Solid, 'outline' | 'opening'>>> = {
  pin: (width, length) => ({ outline: box(width, length), opening: null }),
  hook: (width, length) => ({ outline: ellipse(width, length), opening: ellipse(width - 2, length - 2) }),
  post: (width) => ({ outline: ellipse(width, width), opening: null }),
  ring: (width) => ({ outline: ellipse(width, width), opening: ellipse(Math.max(0.5, width - 2), width - 2) }),
  bezel: (width, length) => ({ outline: ellipse(width, length), opening: null }),
  cord: (width, length) => ({ outline: box(width, length), opening: null }),
};

export function findingSolid({ form, width, length }: FindingPart<number>): Solid {
  return {
    ...OUTLINES[form](width, length),
    lines: [],
    reach: () => ({ low: 0, high: METAL }),
    ...{ drapes: false, volume: 0, second: 0, sheet: null, thickest: 0 },
  };
}
