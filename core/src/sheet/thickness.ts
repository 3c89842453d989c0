import { showLength, type Mm, type UnitSystem } from '#core/units';
import { fallingFit } from './isotonic.js';
import type { Machine, Reading, Setting } from './machine.js';
import { monotoneCubic } from './monotoneCubic.js';
import { withoutWear } from './wear.js';

export type Knowledge = 'measured' | 'interpolated' | 'assumed';

/** What Sledge holds a setting to be. `sigmaMm` is a standard uncertainty. */
export interface SettingThickness extends Setting {
  readonly mm: Mm;
  readonly sigmaMm: Mm;
  readonly knowledge: Knowledge;
}

/** Gaps of a machine nobody has measured: even steps in log thickness between these. Assumptions. */
const ASSUMED_WIDEST: Mm = 3;
const ASSUMED_THINNEST: Mm = 0.45;
/** Relative uncertainty of an assumed setting, and of one worked out between two measured ones. */
const ASSUMED_SPREAD = 0.2;
const BETWEEN_SPREAD = 0.04;

interface Known { readonly index: number; readonly mm: number; readonly sigma: number }

/** Several readings of one setting, combined by inverse variance. */
function combine(index: number, readings: readonly Reading[]): Known {
  let weight = 0;
  let sum = 0;
  for (const { mm, sigmaMm } of readings) {
    const w = 1 / (sigmaMm * sigmaMm);
    weight += w;
    sum += w * mm;
  }
  return { index, mm: sum / weight, sigma: Math.sqrt(1 / weight) };
}

function knownSettings(machine: Machine): Known[] {
  const readings = withoutWear(machine);
  return machine.settings.flatMap((setting, index) => {
    const own = readings.filter((reading) => reading.settingId === setting.id);
    return own.length === 0 ? [] : [combine(index, own)];
  });
}

/** log thickness along the dial from what is known of it. */
function curve(known: readonly Known[], count: number): (index: number) => number {
  const assumedStep = Math.log(ASSUMED_THINNEST / ASSUMED_WIDEST) / (count - 1);
  const [first, ...rest] = known;
  if (!first) return (index) => Math.log(ASSUMED_WIDEST) + assumedStep * index;
  if (rest.length === 0) return (index) => Math.log(first.mm) + assumedStep * (index - first.index);
  return monotoneCubic(known.map((k) => k.index), known.map((k) => Math.log(k.mm)));
}

/**
 * The thickness of every setting of a machine in dial order (docs/models.md
 * §4): readings combined by uncertainty, carried along where the machine
 * surely wears; where they contradict each other
 * the closest falling sequence; between them a monotone cubic in log
 * thickness; outside them, or with fewer than two, an assumption.
 * Never rises along the dial.
 */
export function thicknesses(machine: Machine): SettingThickness[] {
  const known = knownSettings(machine);
  const fitted = fallingFit(known.map((k) => Math.log(k.mm)), known.map((k) => (k.mm / k.sigma) ** 2));
  const smooth = known.map((k, i) => ({ ...k, mm: Math.exp(fitted[i] ?? 0) }));
  const log = curve(smooth, machine.settings.length);
  const low = smooth[0]?.index ?? Infinity;
  const high = smooth.at(-1)?.index ?? -Infinity;
  return machine.settings.map((setting, index) => {
    const own = smooth.find((k) => k.index === index);
    if (own) return { ...setting, mm: own.mm, sigmaMm: own.sigma, knowledge: 'measured' };
    const mm = Math.exp(log(index));
    const between = index > low && index < high;
    return {
      ...setting, mm,
      sigmaMm: mm * (between ? BETWEEN_SPREAD : ASSUMED_SPREAD),
      knowledge: between ? 'interpolated' : 'assumed',
    };
  });
}

/** Two neighbouring measured settings whose readings run the wrong way, and the one that fits the rest less. */
export interface Contradiction {
  readonly thicker: SettingThickness;
  readonly thinner: SettingThickness;
  readonly suspect: string;
}

/**
 * Readings that make a later setting thicker than an earlier one. The
 * suspect is the setting whose reading lies farther, in its own
 * uncertainty, from the falling sequence that fits all.
 */
export function contradictions(machine: Machine): Contradiction[] {
  const known = knownSettings(machine);
  const fitted = thicknesses(machine);
  const strain = (k: Known): number => Math.abs(k.mm - (fitted[k.index]?.mm ?? k.mm)) / k.sigma;
  return known.slice(1).flatMap((later, i) => {
    const earlier = known[i];
    const [thicker, thinner] = [machine.settings[earlier?.index ?? -1], machine.settings[later.index]];
    if (!earlier || !thicker || !thinner || later.mm <= earlier.mm) return [];
    const as = (setting: Setting, k: Known): SettingThickness =>
      ({ ...setting, mm: k.mm, sigmaMm: k.sigma, knowledge: 'measured' });
    return [{
      thicker: as(thicker, earlier),
      thinner: as(thinner, later),
      suspect: strain(later) > strain(earlier) ? thinner.id : thicker.id,
    }];
  });
}

/** The sentence for a contradiction, beside the reading it doubts. */
export function contradictionSentence(c: Contradiction, system: UnitSystem): string {
  const doubted = c.suspect === c.thicker.id ? c.thicker : c.thinner;
  return `Setting ${c.thinner.label} reads ${showLength(c.thinner.mm, system, true)}, thicker than `
    + `${c.thicker.label} (${showLength(c.thicker.mm, system, true)}) that stands before it on the dial. `
    + `Measure ${doubted.label} again.`;
}
