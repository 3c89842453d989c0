import { Complaint, complaint, readLength, type Mm, type UnitSystem } from '#core/units';
import type { Machine } from './machine.js';
import { thicknesses, type SettingThickness } from './thickness.js';

/** A thickness somebody asks for: where it comes from and how sure it is. */
export interface Asked {
  readonly mm: Mm;
  readonly sigmaMm: Mm;
  /** the other machine and its setting, where one was named */
  readonly machine: Machine | null;
  readonly label: string | null;
}

/** The setting of one's own machine for an asked thickness. `errorMm` > 0: one's own is thicker. */
export interface Answer {
  readonly setting: SettingThickness;
  readonly errorMm: Mm;
  /** standard uncertainty of that error */
  readonly sigmaMm: Mm;
  /** sheets of `setting` to stack; 1 unless the thickness is beyond the machine */
  readonly layers: number;
  /** the neighbour on the other side of the asked thickness, where there is one */
  readonly other: SettingThickness | null;
}

const named = (text: string): string => text.trim().toLowerCase().replace(/^(the|my|your)\s+/, '');

function findMachine(name: string, machines: readonly Machine[]): Machine {
  const wanted = named(name);
  const exact = machines.filter((m) => m.name.toLowerCase() === wanted);
  const loose = machines.filter((m) => m.name.toLowerCase().includes(wanted));
  const found = exact[0] ?? (loose.length === 1 ? loose[0] : undefined);
  if (!found) {
    throw complaint('machine/unknown', { name: name.trim(), machines: machines.map((m) => m.name).join(', ') || 'none' });
  }
  return found;
}

/**
 * Reads what an instruction says: `1.5 mm`, `1/16 in`, `setting 3 of Blue
 * travel crank`, `3 on the blue`.
 * @throws Complaint `thickness/unreadable`, `setting/unknown`, `machine/unknown`, `unit/empty`, `amount/positive`
 */
export function readThickness(text: string, machines: readonly Machine[], system: UnitSystem): Asked {
  if (text.trim() === '') throw complaint('unit/empty');
  const setting = /^(?:setting\s+)?(\S+(?:\s\d+\/\d+)?)\s+(?:of|on|at)\s+(.+)$/i.exec(text.trim());
  if (setting?.[1] !== undefined && setting[2] !== undefined) {
    const machine = findMachine(setting[2], machines);
    const label = setting[1];
    const all = thicknesses(machine);
    const found = all.find((s) => s.label.toLowerCase() === label.toLowerCase());
    if (!found) {
      throw complaint('setting/unknown', { label, machine: machine.name, labels: all.map((s) => s.label).join(', ') });
    }
    return { mm: found.mm, sigmaMm: found.sigmaMm, machine, label: found.label };
  }
  let mm: Mm;
  try {
    mm = readLength(text, system);
  } catch (error) {
    throw error instanceof Complaint ? complaint('thickness/unreadable', { text: text.trim() }) : error;
  }
  if (!(mm > 0)) throw complaint('amount/positive', { what: 'A thickness' });
  return { mm, sigmaMm: 0, machine: null, label: null };
}

const MOST_LAYERS = 6;

/**
 * The setting of `own` nearest to a thickness; beyond its widest gap, the
 * fewest equal sheets to stack that come within a tenth, or the nearest.
 */
export function translate(asked: Pick<Asked, 'mm' | 'sigmaMm'>, own: Machine): Answer {
  const all = thicknesses(own);
  const nearest = (mm: Mm, layers: number): Answer => {
    const sorted = [...all].sort((a, b) => Math.abs(a.mm * layers - mm) - Math.abs(b.mm * layers - mm));
    const setting = sorted[0];
    if (!setting) throw complaint('machine/settings');
    const errorMm = setting.mm * layers - mm;
    const other = sorted.find((s) => (s.mm * layers - mm) * errorMm < 0) ?? null;
    return { setting, errorMm, sigmaMm: Math.hypot(setting.sigmaMm * layers, asked.sigmaMm), layers, other };
  };
  let best = nearest(asked.mm, 1);
  const widest = all[0]?.mm ?? 0;
  if (asked.mm <= widest * 1.1) return best;
  for (let layers = 2; layers <= MOST_LAYERS; layers++) {
    const stacked = nearest(asked.mm, layers);
    if (Math.abs(stacked.errorMm) < Math.abs(best.errorMm)) best = stacked;
    if (Math.abs(best.errorMm) <= asked.mm * 0.1) break;
  }
  return best;
}
