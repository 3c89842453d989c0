import { cutterArea, cutterOfSize, cutterOutline, cuttingLayout, type Cutter } from '#core/cutter';
import type { Point } from '#core/outline';
import { seeded } from '#core/units';
import { median, type Table } from './measure.js';

/** The sheet that everything is laid on, mm, and how far apart. */
const [WIDTH, LENGTH, BRIDGE] = [150, 600, 1];
const COUNT = 60;
/** Starts of the plain search, and the cells it works on, mm. */
const [RESTARTS, CELL] = [200, 1];

/** Cells that an outline with half a bridge around it covers, as it lies, from its lowest leftmost one. */
function cellsOf(
  outline: readonly Point[],
  degrees: number,
): { cells: readonly (readonly [number, number])[]; wide: number } {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const points = outline.map(([x, y]): Point => [x * c - y * s, x * s + y * c]);
  const [left, bottom] = [Math.min(...points.map((p) => p[0])), Math.min(...points.map((p) => p[1]))];
  const [right, top] = [Math.max(...points.map((p) => p[0])), Math.max(...points.map((p) => p[1]))];
  const inside = (x: number, y: number): boolean => {
    let odd = false;
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length] as Point;
      if (p[1] > y !== q[1] > y && x < p[0] + ((y - p[1]) / (q[1] - p[1])) * (q[0] - p[0])) odd = !odd;
    });
    return odd;
  };
  const cells: [number, number][] = [];
  const [columns, rows] = [Math.ceil((right - left) / CELL), Math.ceil((top - bottom) / CELL)];
  for (let j = 0; j < rows; j++)
    for (let i = 0; i < columns; i++)
      if (inside(left + (i + 0.5) * CELL, bottom + (j + 0.5) * CELL)) cells.push([i, j]);
  return { cells, wide: columns };
}

/** The plain search: each piece turned at random, then as low and as far left as it goes. @returns mm of sheet used */
function plain(outline: readonly Point[], chance: () => number): number {
  const columns = Math.floor((WIDTH - 2 * BRIDGE) / CELL);
  const taken = new Uint8Array(columns * Math.ceil((LENGTH * 3) / CELL));
  let [used, from] = [0, 0];
  for (let piece = 0; piece < COUNT; piece++) {
    const { cells, wide } = cellsOf(outline, Math.floor(chance() * 24) * 15);
    const lies = (x: number, y: number): boolean => cells.every(([i, j]) => taken[(y + j) * columns + x + i] !== 1);
    let [x, y] = [0, from];
    while (!lies(x, y)) {
      x++;
      if (x + wide <= columns) continue;
      [x, y] = [0, y + 1];
    }
    for (const [i, j] of cells) {
      taken[(y + j) * columns + x + i] = 1;
      used = Math.max(used, y + j + 1);
    }
    while (taken.subarray(from * columns, (from + 1) * columns).every((t) => t === 1)) from++;
  }
  return used * CELL + 2 * BRIDGE;
}

const SHAPES: readonly Cutter[] = [
  { shape: 'leaf', width: 14, height: 34 },
  { shape: 'teardrop', width: 18, height: 30 },
  { shape: 'petal', width: 16, height: 26 },
  { shape: 'heart', width: 20, height: 20 },
  { shape: 'hexagon', width: 20, height: 17.3 },
  { shape: 'oval', width: 18, height: 25 },
  { shape: 'half round', width: 30, height: 15 },
];

/** Sheet of our layout against the best of the plain search; both 150 mm wide at most. */
function ofShape(cutter: Cutter, at: number, now: () => number): Table['figures'] {
  // an outline of its own, so that nothing of it is remembered
  const times = Array.from({ length: 5 }, (_, i) => {
    const began = now();
    cuttingLayout({ ...cutter, width: cutter.width + (i + 1) / 1e4 }, COUNT, {
      width: WIDTH,
      length: LENGTH,
      bridge: BRIDGE,
    });
    return now() - began;
  });
  const own = cuttingLayout(cutter, COUNT, { width: WIDTH, length: LENGTH, bridge: BRIDGE });
  const chance = seeded(at + 1);
  const outline = cutterOutline(cutter);
  const best = Math.min(...Array.from({ length: RESTARTS }, () => plain(outline, chance)));
  const used = (area: number): number => (COUNT * cutterArea(cutter)) / area;
  const [ours, theirs] = [used(own.width * own.length * own.sheets), used(WIDTH * best)];
  const ratio = ours / theirs;
  return [
    { what: `${cutter.shape}: share of the sheet that is pieces, ours`, value: ours, unit: '' },
    { what: `${cutter.shape}: best of ${RESTARTS} plain searches`, value: theirs, unit: '' },
    { what: `${cutter.shape}: ours to theirs`, value: ratio, unit: '×', goal: '≥ 1', met: ratio >= 1 },
    {
      what: `${cutter.shape}: time, first seen`,
      value: median(times),
      unit: 'ms',
      goal: '< 500',
      met: median(times) < 500,
    },
  ];
}

/** Radius of so many equal circles in a square of side 1, the best known (E. Specht's tables). */
const IN_SQUARE: readonly (readonly [number, number])[] = [
  [10, 0.148204322565],
  [20, 0.111382347512],
  [30, 0.091671057986],
  [50, 0.071377103865],
];

/** Sheet for circles and squares, against the best known square. */
function ofKnown(): Table['figures'] {
  const size = 10;
  const limits = { width: 1000, length: 1000, bridge: 0 };
  const area = (cutter: Cutter, count: number): number => {
    const { width, length } = cuttingLayout(cutter, count, limits, 1);
    return width * length;
  };
  const circles = IN_SQUARE.map(([count, radius]) => {
    const ratio = area(cutterOfSize(size, null), count) / (size / 2 / radius) ** 2;
    return {
      what: `${count} rounds: sheet against the best known square`,
      value: ratio,
      unit: '×',
      goal: '≤ 1.03',
      met: ratio <= 1.03,
    };
  });
  const squares = [9, 20, 49].map((count) => {
    const ratio = area(cutterOfSize(size, size), count) / (count * size * size);
    return {
      what: `${count} squares: sheet against their area`,
      value: ratio,
      unit: '×',
      goal: '≤ 1.03',
      met: ratio <= 1.03,
    };
  });
  return [...circles, ...squares];
}

/** How well cuts are laid out, and how fast. */
export const layouts = (now: () => number): Table => ({
  title: `Layouts of ${COUNT} cuts on a sheet ${WIDTH} mm wide, ${BRIDGE} mm apart`,
  figures: [...SHAPES.flatMap((cutter, at) => ofShape(cutter, at, now)), ...ofKnown()],
});
