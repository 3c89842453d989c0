import { ROOM, dialFor, fitOven, type OvenReading } from '#core/oven';
import { normalFrom, seeded } from '#core/units';
import { median, type Table } from './measure.js';

/** An oven as nobody knows it: it warms in two stages and swings about its steady value. */
interface Hidden {
  readonly offset: number;
  readonly slope: number;
  readonly tau: number;
  readonly over: number;
}

const OVENS = 500;
/** Dial and minutes of five readings as a maker takes them. */
const TAKEN = [
  [110, 25],
  [110, 60],
  [130, 20],
  [130, 45],
  [150, 60],
] as const;
const WANTED = 130;

function hidden(seed: number): Hidden {
  const chance = seeded(seed);
  const between = (low: number, high: number): number => low + (high - low) * chance();
  return { offset: between(-18, 18), slope: between(0.9, 1.1), tau: between(5, 12), over: between(0, 10) };
}

/** °C in it after so many minutes, by other curves than the model's own. */
function trueIn({ offset, slope, tau, over }: Hidden, dial: number, minutes: number): number {
  const [steady, t] = [offset + slope * dial, minutes / tau];
  return steady - (steady - ROOM) * Math.exp(-t) * (1 + 0.15 * t) + over * Math.exp(-(((t - 3.2) / 1.1) ** 2));
}

function readingsOf(oven: Hidden, seed: number): OvenReading[] {
  const normal = normalFrom(seeded(seed + 7919));
  return TAKEN.map(([dial, minutes]) => ({ dial, minutes, celsius: trueIn(oven, dial, minutes) + normal() }));
}

/** How far off the truth is where the dial is set as the readings say, against a straight offset. */
export function ovens(): Table {
  const [own, straight]: [number[], number[]] = [[], []];
  for (let seed = 1; seed <= OVENS; seed++) {
    const oven = hidden(seed);
    const readings = readingsOf(oven, seed);
    const off = (dial: number): number => Math.abs(oven.offset + oven.slope * dial - WANTED);
    own.push(off(dialFor(fitOven(readings), WANTED).dial));
    const shift = readings.reduce((sum, r) => sum + r.celsius - r.dial, 0) / readings.length;
    straight.push(off(WANTED - shift));
  }
  const [mine, theirs] = [median(own), median(straight)];
  return {
    title: `Ovens: the dial for ${WANTED} °C from ${TAKEN.length} readings, ${OVENS} simulated ovens`,
    figures: [
      { what: 'off the true temperature, median', value: mine, unit: '°C', goal: '< 2', met: mine < 2 },
      { what: 'off by a straight offset, median', value: theirs, unit: '°C' },
      { what: 'nearer than a straight offset', value: theirs / mine, unit: 'times' },
    ],
  };
}
