import { GRAMS_PER_OUNCE, MM_PER_INCH, normalFrom, seedOf, seeded } from '#core/units';
import { thicknesses } from '#core/sheet';
import type { Gauge, GaugeErrandDto, GaugeSays, MachineDto } from '#contract';
import type { Outcome } from './line.js';

interface Manners {
  /** of one reading, in mm or g */
  readonly noise: number;
  /** how far its zero wanders with each reading */
  readonly wander: number;
  /** what its last digit stands for, in either unit */
  readonly digit: readonly [number, number];
  readonly units: readonly ['mm' | 'g', 'in' | 'oz'];
  readonly perUnit: number;
  readonly empty: string;
}

/** How the stand-ins behave; all of it is made up, as each real device has its own. */
const MANNERS: Readonly<Record<Gauge, Manners>> = {
  calipers: {
    noise: 0.02,
    wander: 0.002,
    digit: [0.01, 0.0005],
    units: ['mm', 'in'],
    perUnit: MM_PER_INCH,
    empty: 'Nothing lies between the jaws. Go to a field for a length first.',
  },
  scale: {
    noise: 0.03,
    wander: 0.02,
    digit: [0.1, 0.005],
    units: ['g', 'oz'],
    perUnit: GRAMS_PER_OUNCE,
    empty: 'Nothing lies on the scale. Go to a field for a weight first.',
  },
};
/** How far a gap that nobody has measured is from what is assumed, relative. */
const OFF = 0.04;
/** After so many readings the connection is lost instead of an answer. */
export const GAUGE_DROPS_EVERY = 12;

/**
 * The gap that a setting has in the little world of the stand-in: what was
 * measured of it, or else what Sledge holds it to be, off by a few percent
 * that are always the same for a machine and a setting of a name.
 */
export function hiddenGap(machine: MachineDto, at: number): number {
  const setting = thicknesses(machine)[at];
  if (!setting) return 0;
  return setting.knowledge === 'measured'
    ? setting.mm
    : setting.mm * (1 + OFF * normalFrom(seeded(seedOf(`${machine.name} ${setting.label}`)))());
}

/**
 * Calipers or a scale that ship with Sledge, for those who have none and for the tests: noisy, with a zero that
 * wanders, a second unit, a hold, and a connection that is lost now and then.
 */
export class StandInGauge {
  private readonly normal: () => number;
  private zero: number;
  private sinceZero: number | null = null;
  private readings = 0;
  private second = false;
  private held: number | null = null;

  constructor(
    private readonly kind: Gauge,
    seed: number,
  ) {
    this.normal = normalFrom(seeded(seed));
    this.zero = 4 * MANNERS[kind].noise * this.normal();
  }

  private get unit(): 'mm' | 'in' | 'g' | 'oz' {
    return MANNERS[this.kind].units[this.second ? 1 : 0];
  }

  state(): GaugeSays {
    return { says: 'state', standIn: true, unit: this.unit, held: this.held !== null, sinceZero: this.sinceZero };
  }

  /** @param under what lies there, mm or g; null: nothing */
  carryOut({ id, errand }: Pick<GaugeErrandDto, 'id' | 'errand'>, under: number | null): Outcome<GaugeSays> {
    if (errand === 'unit') {
      this.second = !this.second;
      return { says: [this.state()] };
    }
    if (errand === 'zero') {
      // closed jaws, or whatever stands on the pan: a bowl is tared away
      this.zero = 0;
      this.sinceZero = 0;
      this.held = null;
      return { says: [this.state()] };
    }
    if (errand === 'hold' && this.held !== null) {
      this.held = null;
      return { says: [this.state()] };
    }
    if (under === null) return { says: [{ says: 'refused', errand: id, why: MANNERS[this.kind].empty }] };
    if (++this.readings % GAUGE_DROPS_EVERY === 0) return 'lost';
    const { noise, wander } = MANNERS[this.kind];
    this.zero += wander * this.normal();
    if (this.sinceZero !== null) this.sinceZero++;
    const value = this.held ?? Math.max(0, under + this.zero + noise * this.normal());
    if (errand === 'hold') this.held = value;
    return { says: [{ says: 'reading', errand: id, value: this.shown(value), unit: this.unit }, this.state()] };
  }

  /** In the unit it is switched to, to its last digit. */
  private shown(value: number): number {
    const { digit, perUnit } = MANNERS[this.kind];
    const step = digit[this.second ? 1 : 0];
    return Math.round((this.second ? value / perUnit : value) / step) * step;
  }
}
