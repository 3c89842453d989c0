import { create } from 'zustand';
import {
  Complaint,
  GRAMS_PER_OUNCE,
  MM_PER_INCH,
  readLength,
  readMass,
  sentenceOf,
  showLength,
  showMass,
} from '#core/units';
import type { Gauge, GaugeErrandDto, GaugeSays } from '#contract/devices';
import { useView } from '../state/view.js';
import { ask } from './ask.js';
import { listen, type Passed } from './stream.js';

/** What it says of itself. */
export type GaugeState = Extract<GaugeSays, { says: 'state' }>;

interface OneGauge {
  /** `away`: it was connected and is being looked for again */
  readonly link: 'none' | 'looking' | 'there' | 'away';
  readonly state: GaugeState | null;
  /** what its display shows, in words of its own unit */
  readonly shows: string;
  readonly wrong: string | null;
}

const PUT_AWAY: OneGauge = { link: 'none', state: null, shows: '', wrong: null };
export const useGauges = create<Readonly<Record<Gauge, OneGauge>>>()(() => ({ calipers: PUT_AWAY, scale: PUT_AWAY }));

/** What a field is for, so that a reading goes only where it belongs. */
export const MEASURES: Readonly<Record<Gauge, 'length' | 'mass'>> = { calipers: 'length', scale: 'mass' };
const PER_UNIT = { mm: 1, in: MM_PER_INCH, g: 1, oz: GRAMS_PER_OUNCE } as const;
const PLACES = { mm: 2, in: 4, g: 1, oz: 3 } as const;

/** gauges that this window uses, with the way to hear no more of them */
const heard = new Map<Gauge, () => void>();
/** errands of this window that have no answer yet */
const errands = new Set<string>();
/** the field that had the focus last, for each measure */
const fields = new Map<'length' | 'mass', HTMLInputElement>();

document.addEventListener('focusin', ({ target }) => {
  const measures = target instanceof HTMLInputElement ? target.dataset.measures : undefined;
  if (target instanceof HTMLInputElement && (measures === 'length' || measures === 'mass'))
    fields.set(measures, target);
});

const set = (gauge: Gauge, part: Partial<OneGauge>): void => {
  useGauges.setState((s) => ({ [gauge]: { ...s[gauge], ...part } }));
};

/** Types into a field as a person would, so that whoever holds it hears of it. */
function fill(field: HTMLInputElement, text: string): void {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

/** A reading is for the window that asked for it; one whose own button was pressed, for the window that one is in. */
const isForThisWindow = (errand: string | null): boolean =>
  errand === null ? document.hasFocus() : errands.delete(errand);

function hear(gauge: Gauge, says: GaugeSays): void {
  if (says.says === 'state') {
    set(gauge, { link: 'there', state: says });
    return;
  }
  const mine = isForThisWindow(says.errand);
  if (says.says === 'refused') {
    if (mine) set(gauge, { wrong: says.why });
    return;
  }
  const { units } = useView.getState();
  set(gauge, { shows: `${says.value.toFixed(PLACES[says.unit])} ${says.unit}`, wrong: null });
  const field = fields.get(MEASURES[gauge]);
  if (!mine || !field?.isConnected || field !== document.activeElement) return;
  const value = says.value * PER_UNIT[says.unit];
  fill(field, MEASURES[gauge] === 'length' ? showLength(value, units, true) : showMass(value, units));
}

function lost(gauge: Gauge): void {
  errands.clear();
  set(gauge, {
    link: 'away',
    wrong: `The ${gauge} lost the connection; nothing was filled in. Read again when it is back.`,
  });
}

function hearStream(gauge: Gauge, passed: Passed): void {
  if (passed.of === 'way' && !passed.open) lost(gauge);
  // Sledge was started anew: it does not know yet that this device is wanted
  if (passed.of === 'sledge') void askFor(gauge);
  if (passed.of !== gauge) return;
  if (passed.says.says === 'lost') lost(gauge);
  else hear(gauge, passed.says);
}

async function askFor(gauge: Gauge): Promise<void> {
  try {
    await ask('POST', `/api/devices/${gauge}/connection`);
  } catch (error) {
    set(gauge, { link: 'away', wrong: sentenceOf(error) });
  }
}

export function connectGauge(gauge: Gauge): void {
  if (heard.has(gauge)) return;
  set(gauge, { ...PUT_AWAY, link: 'looking' });
  heard.set(
    gauge,
    listen((passed) => {
      hearStream(gauge, passed);
    }),
  );
  void askFor(gauge);
}

/** This window uses it no more; others may. */
export function putGaugeAway(gauge: Gauge): void {
  heard.get(gauge)?.();
  heard.delete(gauge);
  set(gauge, PUT_AWAY);
}

/** What the field holds or suggests: what the stand-in takes to lie there. */
function aboutOf(field: HTMLInputElement | undefined, measures: 'length' | 'mass'): number | null {
  const { units } = useView.getState();
  for (const text of [field?.value ?? '', field?.placeholder ?? '']) {
    try {
      return measures === 'length' ? readLength(text.replace('~', ''), units) : readMass(text.replace('~', ''), units);
    } catch (error) {
      if (!(error instanceof Complaint)) throw error;
    }
  }
  return null;
}

/** Presses one of its buttons. */
export async function pressGauge(gauge: Gauge, errand: GaugeErrandDto['errand']): Promise<void> {
  const measures = MEASURES[gauge];
  const field = fields.get(measures);
  const there = field?.isConnected && field === document.activeElement ? field : undefined;
  set(gauge, { wrong: null });
  const id = crypto.randomUUID();
  errands.add(id);
  const dto: GaugeErrandDto = {
    id,
    errand,
    about: there ? aboutOf(there, measures) : null,
    settingId: there?.dataset.setting ?? null,
  };
  try {
    await ask('POST', `/api/devices/${gauge}/ask`, dto);
  } catch (error) {
    set(gauge, { wrong: sentenceOf(error) });
  }
}
