import {
  areaOf,
  beyond,
  diameterOf,
  extentOf,
  pressOf,
  reachOf,
  scaled,
  shapeOutline,
  throughPress,
  type Outline,
  type Point,
  type ShapeKind,
} from '#core/cane';
import { seeded } from '#core/units';
import { median, percentile, perSecond, type Table } from './measure.js';

type Map = (x: number, y: number) => Point;
/** Steps around the centre of the plain radial press. */
const STEPS = 4096;
const POINTS = 6000;

/** Of an edge: the share of the area up to each direction, and how far it reaches there. */
function sweep(gauge: Float64Array): { readonly share: readonly number[]; readonly reach: readonly number[] } {
  const reach = Array.from({ length: STEPS + 1 }, (_, k) => {
    const angle = (2 * Math.PI * k) / STEPS;
    return 1 / beyond(gauge, Math.cos(angle), Math.sin(angle));
  });
  const share = [0];
  for (let k = 1; k <= STEPS; k++) share.push((share[k - 1] ?? 0) + ((reach[k - 1] ?? 0) * (reach[k] ?? 0)) / STEPS);
  const whole = share[STEPS] ?? 1;
  return { share: share.map((s) => s / whole), reach };
}

/** The baseline: along each ray all alike, each direction to the one that encloses the same share of the area. */
function radial(before: Float64Array, after: Float64Array, turn: number): Map {
  const [from, to] = [sweep(before), sweep(after)];
  const at = (table: readonly number[], k: number): number => {
    const low = Math.floor(k);
    return (table[low] ?? 0) + ((table[Math.min(STEPS, low + 1)] ?? 0) - (table[low] ?? 0)) * (k - low);
  };
  const stepOf = (turns: number): number => (turns - Math.floor(turns)) * STEPS;
  const turned = at(to.share, stepOf(turn / 360));
  return (x, y) => {
    const share = at(to.share, stepOf(Math.atan2(y, x) / (2 * Math.PI))) - turned;
    const wanted = share - Math.floor(share);
    let [low, high] = [0, STEPS];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((from.share[middle] ?? 0) <= wanted) low = middle;
      else high = middle;
    }
    const k = low + (wanted - (from.share[low] ?? 0)) / ((from.share[high] ?? 1) - (from.share[low] ?? 0));
    const angle = (2 * Math.PI * k) / STEPS;
    const r = at(from.reach, k) * beyond(after, x, y);
    return [r * Math.cos(angle), r * Math.sin(angle)];
  };
}

type Slopes = readonly [number, number, number, number];

function slopes(map: Map, x: number, y: number, h: number): Slopes {
  const [right, left, up, down] = [map(x + h, y), map(x - h, y), map(x, y + h), map(x, y - h)];
  return [
    (right[0] - left[0]) / (2 * h),
    (right[1] - left[1]) / (2 * h),
    (up[0] - down[0]) / (2 * h),
    (up[1] - down[1]) / (2 * h),
  ];
}

/** The longest that a small circle gets. */
function stretchOf([a, b, c, d]: Slopes): number {
  const sum = a * a + b * b + c * c + d * d;
  return Math.sqrt((sum + Math.sqrt(Math.max(0, sum * sum - 4 * (a * d - b * c) ** 2))) / 2);
}

/** How much the slopes differ on both sides of a point, in the worst of four directions. */
function jumpAt(map: Map, x: number, y: number, apart: number): number {
  const half = apart / 2;
  const directions: readonly Point[] = [
    [half, 0],
    [0, half],
    [half * Math.SQRT1_2, half * Math.SQRT1_2],
    [half * Math.SQRT1_2, -half * Math.SQRT1_2],
  ];
  const h = apart / 10;
  const jumps = directions.map(([dx, dy]) => {
    const [one, two] = [slopes(map, x + dx, y + dy, h), slopes(map, x - dx, y - dy, h)];
    return Math.hypot(...one.map((v, i) => v - (two[i] ?? 0)));
  });
  return Math.max(...jumps);
}

interface Measured {
  readonly near: number;
  readonly nearer: number;
  readonly stretch: number;
  readonly area: number;
}

/** What a press does at random points within its edge. */
function measured(map: Map, outline: Outline): Measured {
  const gauge = reachOf(outline);
  const size = diameterOf(outline);
  const chance = seeded(5);
  const [near, nearer, stretch, area]: [number[], number[], number[], number[]] = [[], [], [], []];
  while (near.length < POINTS) {
    const [x, y] = [(chance() * 2 - 1) * size, (chance() * 2 - 1) * size];
    if (beyond(gauge, x, y) > 0.97) continue;
    const own = slopes(map, x, y, size * 1e-3);
    near.push(jumpAt(map, x, y, size / 50));
    nearer.push(jumpAt(map, x, y, size / 400));
    stretch.push(stretchOf(own));
    area.push(Math.abs(own[0] * own[3] - own[1] * own[2] - 1));
  }
  return {
    near: percentile(near, 0.99),
    nearer: percentile(nearer, 0.99),
    stretch: median(stretch),
    area: percentile(area, 0.95),
  };
}

const PAIRS: readonly (readonly [ShapeKind, ShapeKind, number])[] = [
  ['round', 'square', 0],
  ['square', 'round', 0],
  ['square', 'triangle', 45],
  ['triangle', 'square', 0],
  ['square', 'petal', 0],
  ['round', 'teardrop', 0],
  ['hexagon', 'half round', 0],
];

function figuresOf([before, after, turn]: readonly [ShapeKind, ShapeKind, number]): Table['figures'] {
  const clay = scaled(shapeOutline({ shape: before }), 20);
  const press = pressOf(clay, shapeOutline({ shape: after }), turn);
  const [x, y] = [throughPress((px) => px, press), throughPress((_, py) => py, press)];
  const ours = measured((px, py) => [x(px, py), y(px, py)], press.outline);
  // squeezed to the proportions of the target first, which leaves the radial one the least crease
  const [one, two] = [extentOf(clay), extentOf(press.outline)];
  const f = Math.sqrt(((two.width / two.height) * one.height) / one.width);
  const bare = radial(reachOf(scaled(clay, f, 1 / f)), reachOf(press.outline), turn);
  const plain = measured((px, py) => {
    const [bx, by] = bare(px, py);
    return [bx / f, by * f];
  }, press.outline);
  const name = `${before} to ${after}`;
  const row = (what: string, value: number, than: number): Table['figures'][number] => ({
    what: `${name}: ${what}, radial ${than.toPrecision(3)}, ours`,
    value,
    unit: '',
  });
  return [
    {
      ...row('jump of slopes over 1/400 of the width', ours.nearer, plain.nearer),
      goal: '< ½ of radial',
      met: ours.nearer < plain.nearer / 2,
    },
    row('the same over 1/50', ours.near, plain.near),
    row('stretch, median', ours.stretch, plain.stretch),
    row('area off by, at 95 of 100 points', ours.area, plain.area),
  ];
}

/** The presses beside the plain radial one. @param clock milliseconds, rising */
export function creases(clock: () => number): Table {
  const square = scaled(shapeOutline({ shape: 'square' }), 20);
  const made = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) pressOf(square, shapeOutline({ shape: 'triangle' }), 30).back();
    },
    5,
    clock,
    5,
  );
  const press = pressOf(square, shapeOutline({ shape: 'triangle' }), 30);
  const through = throughPress((px) => px, press);
  const size = Math.sqrt(areaOf(press.outline)) / 1000;
  let sum = 0;
  const looked = perSecond(
    (times) => {
      for (let i = 0; i < times; i++) sum += through((i % 500) * size, (i / 500) * size * 0.01);
    },
    1_000_000,
    clock,
  );
  if (!Number.isFinite(sum)) throw new Error('No press.');
  return {
    title: 'Presses beside the plain radial one, at the worst hundredth of 6,000 points',
    figures: [
      ...PAIRS.flatMap(figuresOf),
      { what: 'a press worked out when it is first looked at', value: 1000 / made, unit: 'ms' },
      { what: 'a point looked at through it', value: 1e9 / looked, unit: 'ns' },
    ],
  };
}
