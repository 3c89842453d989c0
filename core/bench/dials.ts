import { dialLabels, thicknesses, type Machine } from '#core/sheet';
import { normalFrom, seeded } from '#core/units';
import { median, type Table } from './measure.js';

const DIALS = 200;
const SETTINGS = 10;
const NOISE = 0.05;
/** Places on the dial that somebody measured. */
const MEASURED = [0, 3, 6, 9];

/** True thicknesses of dials of three kinds, falling from about 3 mm. */
const KINDS: Readonly<Record<string, (random: () => number) => number[]>> = {
  geometric: (random) => {
    const [top, low] = [2.6 + random(), 0.35 + 0.25 * random()];
    return Array.from({ length: SETTINGS }, (_, i) => top * (low / top) ** (i / (SETTINGS - 1)));
  },
  linear: (random) => {
    const [top, low] = [2.6 + random(), 0.35 + 0.25 * random()];
    return Array.from({ length: SETTINGS }, (_, i) => top + ((low - top) * i) / (SETTINGS - 1));
  },
  irregular: (random) => {
    const steps = Array.from({ length: SETTINGS - 1 }, () => 0.7 + 0.6 * random());
    const whole = steps.reduce((a, b) => a + b, 0);
    const [top, low] = [2.6 + random(), 0.35 + 0.25 * random()];
    let gone = 0;
    return [
      top,
      ...steps.map((s) => {
        gone += s;
        return top * (low / top) ** (gone / whole);
      }),
    ];
  },
};

/**
 * Settings that nobody measured, from four readings of a dial: Sledge's curve and straight lines between the
 * readings.
 */
export function dials(): Table {
  const random = seeded(33);
  const normal = normalFrom(random);
  const labels = dialLabels('0', String(SETTINGS - 1), '1');
  const figures = Object.entries(KINDS).flatMap(([kind, make]) => {
    const ours: number[] = [];
    const lines: number[] = [];
    for (let d = 0; d < DIALS; d++) {
      const truth = make(random);
      const read = MEASURED.map((i) => ({ i, mm: Math.max(0.1, (truth[i] ?? 0) + NOISE * normal()) }));
      const machine: Machine = {
        id: 'm',
        name: kind,
        rollerWidthMm: 145,
        settings: labels.map((label) => ({ id: label, label })),
        readings: read.map(({ i, mm }) => ({ id: `r${i}`, settingId: String(i), mm, sigmaMm: NOISE, way: 'calipers' })),
      };
      thicknesses(machine).forEach((s, i) => {
        if (MEASURED.includes(i)) return;
        ours.push(Math.abs(s.mm - (truth[i] ?? 0)));
        const right = read.findIndex((r) => r.i > i);
        const [p, q] = [read[right - 1], read[right]];
        if (p && q) lines.push(Math.abs(p.mm + ((q.mm - p.mm) * (i - p.i)) / (q.i - p.i) - (truth[i] ?? 0)));
      });
    }
    const middle = median(ours);
    return [
      { what: `${kind} dials, median error`, value: middle, unit: 'mm', goal: '<= 0.05', met: middle <= 0.05 },
      { what: `${kind} dials, straight lines between the readings`, value: median(lines), unit: 'mm' },
    ];
  });
  return {
    title: `Settings nobody measured: 4 readings of ${SETTINGS}, ± ${NOISE} mm, ${DIALS} dials of each kind`,
    figures,
  };
}
