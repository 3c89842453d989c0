import { trackBake, wishOf, type BakeTold } from '#core/oven';
import { showMinutes, showTemperature, type UnitSystem } from '#core/units';
import { minutesIn, type InOven } from '../../state/baking.js';

/** How a load stands now. */
export interface Stands {
  readonly told: BakeTold;
  /** a probe is in it */
  readonly heard: boolean;
  /** minutes that count: within the band, or, without a probe, by the clock */
  readonly counted: number;
  readonly enough: boolean;
}

export function standsAt(load: InOven, now: number): Stands {
  const told = trackBake(load.curve, wishOf(load));
  const heard = load.curve.length > 0;
  const counted = heard ? told.inBand : minutesIn(load, now);
  return { told, heard, counted, enough: counted >= load.minutes };
}

/** Whole minutes that are over; what is over is never said to be more than it is. */
export const countedWords = ({ counted }: Stands, { minutes }: InOven): string =>
  `${Math.floor(counted + 1e-6)} of ${showMinutes(Math.round(minutes))}`;

/** What is to be done at once; null: nothing. */
export function alarmWords({ told }: Stands, { maxC }: InOven, units: UnitSystem): string | null {
  if (told.alarm === null) return null;
  const most = showTemperature(maxC, units);
  return told.alarm === 'over'
    ? `Above ${most}: switch off, open the door, air the room.`
    : `It is about to pass ${most}: open the door.`;
}

/** Where it is, and whether its minutes count. */
export function whereWords({ told, heard, enough }: Stands, load: InOven, units: UnitSystem): string {
  const { low, high } = wishOf(load);
  const band = `${showTemperature(low, units)} to ${showTemperature(high, units)}`;
  if (!heard) return 'No probe is heard: the minutes are those of the clock, from when it went in.';
  if (enough) return 'Long enough: it can come out.';
  if (told.where === 'within') return `Within ${band}: the minutes count.`;
  if (told.where === 'above') return `Above ${band}: the minutes stand still. Set the dial lower.`;
  if (told.inBand > 0) return `Below ${band}: the minutes stand still.`;
  return `It warms up to ${band}: the minutes begin there.`;
}

/** What nobody knows of it; null: all of it was heard. */
export const unknownWords = ({ told }: Stands): string | null =>
  told.unknown > 0 ? `Nobody heard it for ${showMinutes(Math.ceil(told.unknown))}: these do not count.` : null;

/** Everything that is in it. */
export const itemsWords = ({ items }: Pick<InOven, 'items'>): string =>
  items.map(({ name, count, cores }) => `${count} ${name}${cores ? ', cores' : ''}`).join('; ');

/** What the probe said that no oven is. */
export function leftOutWords(count: number, last: number | null, units: UnitSystem): string {
  const times = count === 1 ? 'One reading was left out' : `${count} readings were left out`;
  const what = last === null ? 'the last said nothing' : `the last said ${showTemperature(last, units)}`;
  return `${times}: ${what}. Look at its plug.`;
}
