import { contradictions, dialLabels, thicknesses, type Machine } from '#core/sheet';
import { normalFrom, seeded } from '#core/units';

const SETTINGS = 10;
const NOISE = 0.05;
const ends = (random: () => number): readonly [number, number] => [2.6 + random(), 0.35 + 0.25 * random()];
const along = (at: (share: number) => number): number[] =>
  Array.from({ length: SETTINGS }, (_, i) => at(i / (SETTINGS - 1)));
/** True dials of several kinds, from their widest to their thinnest setting. */
const KINDS: readonly (readonly [string, (random: () => number) => number[]])[] = [
  [
    'in even ratios',
    (random) => {
      const [top, low] = ends(random);
      return along((s) => top * (low / top) ** s);
    },
  ],
  [
    'evenly stepped',
    (random) => {
      const [top, low] = ends(random);
      return along((s) => top + (low - top) * s);
    },
  ],
  [
    'of two slopes',
    (random) => {
      const [top, low] = ends(random);
      const [knee, bend] = [0.3 + 0.4 * random(), low + (top - low) * (0.3 + 0.4 * random())];
      return along((s) =>
        s < knee ? top + ((bend - top) * s) / knee : bend + ((low - bend) * (s - knee)) / (1 - knee),
      );
    },
  ],
  [
    'bent',
    (random) => {
      const [top, low] = ends(random);
      const power = 1 + random();
      return along((s) => low + (top - low) * (1 - s) ** power);
    },
  ],
];
const machine = (read: readonly { readonly at: number; readonly mm: number }[], sigmaMm: number): Machine => ({
  id: 'm',
  name: 'm',
  rollerWidthMm: 145,
  settings: dialLabels('0', '9', '1').map((label) => ({ id: label, label })),
  readings: read.map(({ at, mm }, i) => ({ id: `r${i}`, settingId: String(at), mm, sigmaMm, way: 'calipers' })),
});

/** A reading that is wrong: a half too thick, or a third too thin. */
const wrongBy = (random: () => number): number => (random() < 0.5 ? 1.35 + 0.4 * random() : 0.75 - 0.2 * random());

describe.each(KINDS)('a dial %s', (_, make) => {
  test('what nobody measured lies within the ± that is shown, and about as near as by straight lines at least', () => {
    const random = seeded(5);
    const normal = normalFrom(random);
    const measured = [0, 3, 6, 9];
    let [within, all, ours, lines] = [0, 0, 0, 0];
    for (let d = 0; d < 200; d++) {
      const truth = make(random);
      const read = measured.map((at) => ({ at, mm: Math.max(0.1, (truth[at] as number) + NOISE * normal()) }));
      thicknesses(machine(read, NOISE)).forEach((s, i) => {
        const right = read.findIndex((r) => r.at > i);
        const [p, q] = [read[right - 1], read[right]];
        if (measured.includes(i) || !p || !q) return;
        const line = p.mm + ((q.mm - p.mm) * (i - p.at)) / (q.at - p.at);
        all++;
        within += Math.abs(s.mm - (truth[i] as number)) <= 2 * s.sigmaMm ? 1 : 0;
        ours += (s.mm - (truth[i] as number)) ** 2;
        lines += (line - (truth[i] as number)) ** 2;
      });
    }
    expect(within / all).toBeGreaterThanOrEqual(0.95);
    expect(Math.sqrt(ours / lines)).toBeLessThan(1.12);
  });

  test('the wrong one of its readings is found, does not pull its neighbours, and is not called measured', () => {
    const random = seeded(9);
    const normal = normalFrom(random);
    let [right, told] = [0, 0];
    for (let d = 0; d < 200; d++) {
      const bad = Math.floor(random() * SETTINGS);
      const read = make(random).map((mm, at) => ({
        at,
        mm: (mm + 0.02 * normal()) * (at === bad ? wrongBy(random) : 1),
      }));
      const found = contradictions(machine(read, NOISE));
      if (found.length === 0) continue;
      told++;
      if (!found.every((c) => c.suspect === String(bad))) continue;
      right++;
      const all = thicknesses(machine(read, NOISE));
      expect(all[bad]?.knowledge).not.toBe('measured');
      all.forEach((s, i) => {
        if (i !== bad) expect(s.mm).toBeCloseTo(read[i]?.mm ?? 0, 1);
      });
    }
    expect(told).toBeGreaterThan(60);
    expect(right / told).toBeGreaterThan(0.95);
  });
});
