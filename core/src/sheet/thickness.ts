import { showLength, type Mm, type UnitSystem } from '#core/units';
import { dialCurve, type Estimate, type Known } from './dialCurve.js';
import { fallingFit } from './isotonic.js';
import type { Machine, Reading, Setting } from './machine.js';
import { withoutSuspects } from './suspects.js';
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
/** Relative uncertainty of a setting with nothing measured around it. */
const ASSUMED_SPREAD = 0.2;

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

/** What is assumed along a dial with one reading, or none: even ratios. */
function assumedAlong([only]: readonly Known[], count: number): (index: number) => Estimate {
  const step = Math.log(ASSUMED_THINNEST / ASSUMED_WIDEST) / (count - 1);
  const [from, at] = only ? [only.mm, only.index] : [ASSUMED_WIDEST, 0];
  return (index) => {
    const mm = from * Math.exp(step * (index - at));
    return { mm, sigma: mm * ASSUMED_SPREAD };
  };
}

/**
 * The thickness of every setting of a machine in dial order (docs/models.md
 * §4): readings combined by uncertainty, carried along where the machine
 * surely wears; a reading that contradicts the others is left out, and its
 * setting worked out like one that nobody measured; between readings the mean
 * of several ways a dial may run; with fewer than two an assumption. Never
 * rises along the dial.
 */
export function thicknesses(machine: Machine): SettingThickness[] {
  const { kept } = withoutSuspects(knownSettings(machine));
  const curve = kept.length < 2 ? assumedAlong(kept, machine.settings.length) : dialCurve(kept);
  const [low, high] = [kept[0]?.index ?? Infinity, kept.at(-1)?.index ?? -Infinity];
  const all = machine.settings.map((setting, index): SettingThickness => {
    const own = kept.find((k) => k.index === index);
    if (own) return { ...setting, mm: own.mm, sigmaMm: own.sigma, knowledge: 'measured' };
    const { mm, sigma } = curve(index);
    return { ...setting, mm, sigmaMm: sigma, knowledge: index > low && index < high ? 'interpolated' : 'assumed' };
  });
  const falling = fallingFit(
    all.map((s) => s.mm),
    all.map((s) => 1 / s.sigmaMm ** 2),
  );
  return all.map((s, i) => ({ ...s, mm: falling[i] ?? s.mm }));
}

/** Two neighbouring measured settings whose readings run the wrong way, and the one that fits the rest less. */
export interface Contradiction {
  readonly thicker: SettingThickness;
  readonly thinner: SettingThickness;
  readonly suspect: string;
}

/**
 * Readings that make a later setting thicker than an earlier one. The
 * suspect is the one without which a smooth curve fits the others best.
 */
export function contradictions(machine: Machine): Contradiction[] {
  const known = knownSettings(machine);
  const { doubted } = withoutSuspects(known);
  return known.slice(1).flatMap((later, i) => {
    const earlier = known[i];
    const [thicker, thinner] = [machine.settings[earlier?.index ?? -1], machine.settings[later.index]];
    if (!earlier || !thicker || !thinner || later.mm <= earlier.mm) return [];
    const as = (setting: Setting, k: Known): SettingThickness => ({
      ...setting,
      mm: k.mm,
      sigmaMm: k.sigma,
      knowledge: 'measured',
    });
    return [
      {
        thicker: as(thicker, earlier),
        thinner: as(thinner, later),
        suspect: doubted.has(later.index) ? thinner.id : thicker.id,
      },
    ];
  });
}

/** The sentence for a contradiction, beside the reading it doubts. */
export function contradictionSentence(c: Contradiction, system: UnitSystem): string {
  const doubted = c.suspect === c.thicker.id ? c.thicker : c.thinner;
  return (
    `Setting ${c.thinner.label} reads ${showLength(c.thinner.mm, system, true)}, thicker than ` +
    `${c.thicker.label} (${showLength(c.thicker.mm, system, true)}) that stands before it on the dial. ` +
    `Measure ${doubted.label} again.`
  );
}
