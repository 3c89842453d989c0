import { GRAMS_PER_OUNCE, MM_PER_INCH, normalFrom, seedOf, seeded } from '#core/units';
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
  calipers: { noise: 0.02, wander: 0.002, digit: [0.01, 0.0005], units: ['mm', 'in'], perUnit: MM_PER_INCH, empty: 'Nothing lies between the jaws. Go to a field for a length first.' },
  scale: { noise: 0.03, wander: 0.02, digit: [0.1, 0.005], units: ['g', 'oz'], perUnit: GRAMS_PER_OUNCE, empty: 'Nothing lies on the scale. Go to a field for a weight first.' },
};
/** After so many readings the connection is lost instead of an answer. */
export const GAUGE_DROPS_EVERY = 12;

/** The gap that a setting really has in the little world of the stand-in: always the same for a machine of a name. */
export function hiddenGap(machine: Pick<MachineDto, 'name' | 'settings'>, at: number): number {
  const chance = seeded(seedOf(machine.name));
  const [widest, thinnest, bend] = [2.7 + 0.7 * chance(), 0.35 + 0.2 * chance(), 0.85 + 0.3 * chance()];
  return widest * (thinnest / widest) ** ((at / Math.max(1, machine.settings.length - 1)) ** bend);
}

/** Calipers or a scale that ship with Sledge, for those who have none and for the tests: noisy, with a zero that wanders, a second unit, a hold, and a connection that is lost now and then. */
export class StandInGauge {
  private readonly normal: () => number;
  private zero: number;
  private sinceZero: number | null = null;
  private readings = 0;
  private second = false;
  private held: number | null = null;

  constructor(private readonly kind: Gauge, seed: number) {
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
