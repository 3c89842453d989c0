import { ROOM } from '#core/oven';
import { normalFrom, seedOf, seeded } from '#core/units';
import type { ProbeErrandDto, ProbeSays } from '#contract';
import type { Outcome } from './line.js';

/** An oven in the little world of the stand-in: a heater behind a thermostat that feels the air late. */
interface HiddenOven {
  /** °C that it keeps: offset + slope · dial */
  readonly offset: number;
  readonly slope: number;
  /** °C a minute at full heat */
  readonly power: number;
  /** minutes in which it loses two thirds of its heat, shut and open */
  readonly keeps: number;
}

/** How the stand-in behaves; all of it is made up, as each real oven and probe has its own. */
const [OPEN_KEEPS, HEATER_LAG, FELT_LAG, HYSTERESIS] = [3, 0.6, 0.3, 1] as const;
const [NOISE, DIGIT] = [0.4, 0.5] as const;
/** At each of so many readings its plug is loose: it says a heat that no oven has, or nothing. */
export const [LOOSE_EVERY, SILENT_EVERY, PROBE_DROPS_EVERY] = [53, 71, 97] as const;
const LOOSE = 900;
/** How often faster its time can run. */
export const PACES: readonly number[] = [1, 10, 60, 240];
const [SECOND, MINUTE] = [1000, 60_000] as const;
/** Longer than that it does not look back after a sleep of the machine. */
const LONGEST = 12 * 60 * MINUTE;

/** The oven of a name: off by up to fifteen degrees, always the same. */
export function hiddenOven(name: string): HiddenOven {
  const chance = seeded(seedOf(`oven ${name}`));
  const between = (low: number, high: number): number => low + (high - low) * chance();
  return { offset: between(-12, 12), slope: between(0.96, 1.04), power: between(14, 20), keeps: between(18, 30) };
}

/** A probe in an oven that ship with Sledge, for those who have none and for the tests. */
export class StandInProbe {
  private readonly normal: () => number;
  private oven = hiddenOven('');
  private dial: number | null = null;
  private open = false;
  private pace = 1;
  private air = ROOM;
  private felt = ROOM;
  private heat = 0;
  private heating = false;
  private said = 0;
  private clock: number;

  constructor(
    seed: number,
    private seen: number,
  ) {
    this.normal = normalFrom(seeded(seed));
    this.clock = seen;
  }

  state(): ProbeSays {
    return { says: 'state', standIn: true, dial: this.dial, doorOpen: this.open, pace: this.pace };
  }

  /** Lets its time go on to a moment of the real clock, ms since 1970. */
  goOn(now: number): void {
    const until = this.clock + Math.min(LONGEST, Math.max(0, now - this.seen) * this.pace);
    this.seen = now;
    for (; this.clock < until; this.clock += SECOND) this.second();
  }

  private second(): void {
    const step = SECOND / MINUTE;
    const set = this.dial === null ? -Infinity : this.oven.offset + this.oven.slope * this.dial;
    if (this.felt < set - HYSTERESIS) this.heating = true;
    if (this.felt > set + HYSTERESIS) this.heating = false;
    this.heat += (step * ((this.heating ? 1 : 0) - this.heat)) / HEATER_LAG;
    const loses = (this.air - ROOM) / (this.open ? OPEN_KEEPS : this.oven.keeps);
    this.air += step * (this.oven.power * this.heat - loses);
    this.felt += (step * (this.air - this.felt)) / FELT_LAG;
  }

  /** What it says by itself, now and then. @param now ms since 1970, of the real clock */
  says(now: number): Outcome<ProbeSays> {
    this.goOn(now);
    this.said++;
    if (this.said % PROBE_DROPS_EVERY === 0) return 'lost';
    return { says: [{ says: 'reading', at: this.clock, celsius: this.shown() }] };
  }

  private shown(): number | null {
    if (this.said % SILENT_EVERY === 0) return null;
    if (this.said % LOOSE_EVERY === 0) return LOOSE;
    return Math.round((this.air + NOISE * this.normal()) / DIGIT) * DIGIT;
  }

  /** What a person does to the oven. */
  carryOut({ id, errand, dial, oven }: ProbeErrandDto, now: number): Outcome<ProbeSays> {
    this.goOn(now);
    if (errand === 'on' && dial === null)
      return { says: [{ says: 'refused', errand: id, why: 'Say where the dial is set.' }] };
    if (errand === 'on') {
      this.oven = hiddenOven(oven ?? '');
      this.dial = dial;
    }
    if (errand === 'off') this.dial = null;
    if (errand === 'door') this.open = !this.open;
    if (errand === 'pace') this.pace = PACES[(PACES.indexOf(this.pace) + 1) % PACES.length] ?? 1;
    return { says: [this.state()] };
  }
}
