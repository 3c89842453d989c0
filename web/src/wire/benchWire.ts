import type { BenchNowAnswer, BenchThing, LoadDto, PlaceDto, TimerDto } from '#contract/benchNow';
import type { InOven } from '../state/baking.js';
import type { BenchPlace } from '../state/benchPlace.js';
import type { Timer } from '../state/timers.js';

/** What this window holds of the bench. */
export interface AtBench {
  readonly places: Readonly<Record<string, BenchPlace>>;
  readonly timers: readonly Timer[];
  readonly load: InOven | null;
}

/** One thing at the bench by its kind and id; null: it is gone. */
export type Said = {
  readonly kind: BenchThing['kind'];
  readonly id: string;
  readonly value: BenchThing['value'] | null;
};
export type SaidBy = ReadonlyMap<string, Said>;

export const keyOf = ({ kind, id }: Pick<Said, 'kind' | 'id'>): string => `${kind} ${id}`;

/** ms that clocks may differ without it meaning anything. */
const SAME_CLOCK = 1500;

/** ms that the clock of Sledge is ahead of this one. */
export const aheadOf = ({ now }: Pick<BenchNowAnswer, 'now'>, here: number): number =>
  Math.abs(now - here) < SAME_CLOCK ? 0 : now - here;

const placeSaid = ({ at, counts, took = {} }: BenchPlace): PlaceDto => ({
  at,
  counts: [...counts],
  took: Object.entries(took).map(([step, minutes]) => ({ step: Number(step), minutes })),
});

const timerSaid = ({ label, endsAt, rung }: Timer, ahead: number): TimerDto => ({
  label,
  rung,
  endsAt: endsAt + ahead,
});

/** Without its curve: each window hears that itself. */
function loadSaid({ curve: _, ...load }: InOven, ahead: number): LoadDto {
  return {
    ...load,
    items: [...load.items],
    startedAt: load.startedAt + ahead,
    probeAhead: load.probeAhead === null ? null : load.probeAhead - ahead,
  };
}

/** All that lies there, as it is said to others. Which moment a step was begun at is of no interest to them. */
export function said({ places, timers, load }: AtBench, ahead: number): SaidBy {
  const all: Said[] = [
    ...Object.entries(places).map(([id, place]): Said => ({ kind: 'place', id, value: placeSaid(place) })),
    ...timers.map((timer): Said => ({ kind: 'timer', id: timer.id, value: timerSaid(timer, ahead) })),
    ...(load ? [{ kind: 'load' as const, id: 'oven', value: loadSaid(load, ahead) }] : []),
  ];
  return new Map(all.map((one) => [keyOf(one), one]));
}

/** What is another one than before, or gone. */
export function changed(before: SaidBy, after: SaidBy): Said[] {
  const others = [...after].filter(([key, one]) => JSON.stringify(before.get(key)) !== JSON.stringify(one));
  const gone = [...before].filter(([key]) => !after.has(key));
  return [...others.map(([, one]) => one), ...gone.map(([, one]): Said => ({ ...one, value: null }))];
}

function placeHeard({ at, counts, took }: PlaceDto, own: BenchPlace | undefined, now: number): BenchPlace {
  const same = own?.at === at;
  return {
    ...{ at, counts },
    took: Object.fromEntries(took.map(({ step, minutes }) => [step, minutes])),
    // the hands that went on are elsewhere: here its clock begins anew
    ...(own?.since === undefined ? {} : { since: same ? own.since : now }),
  };
}

function loadHeard(heard: LoadDto, own: InOven | null, ahead: number): InOven {
  const load: InOven = {
    ...heard,
    startedAt: heard.startedAt - ahead,
    probeAhead: heard.probeAhead === null ? null : heard.probeAhead + ahead,
    curve: [],
  };
  return own?.id === heard.id
    ? { ...load, curve: own.curve, probeAhead: own.probeAhead ?? load.probeAhead, startedAt: own.startedAt }
    : load;
}

/**
 * What this window holds once it has heard what is there.
 * @param waiting what this window has said and nobody has heard yet: of these it knows better
 * @param ahead ms that the clock of Sledge is ahead
 */
export function heard(
  { things }: BenchNowAnswer,
  own: AtBench,
  waiting: ReadonlySet<string>,
  ahead: number,
  now: number,
): AtBench {
  const news = things.filter((thing) => !waiting.has(keyOf(thing)));
  const kept = (kind: BenchThing['kind'], id: string): boolean => waiting.has(keyOf({ kind, id }));
  const load = news.find((thing) => thing.kind === 'load');
  const loadNow = load ? loadHeard(load.value, own.load, ahead) : null;
  return {
    places: Object.fromEntries([
      ...news.flatMap((one) =>
        one.kind === 'place' ? [[one.id, placeHeard(one.value, own.places[one.id], now)]] : [],
      ),
      ...Object.entries(own.places).filter(([id]) => kept('place', id)),
    ]) as AtBench['places'],
    timers: [
      ...news.flatMap((one) =>
        one.kind === 'timer' ? [{ ...one.value, id: one.id, endsAt: one.value.endsAt - ahead }] : [],
      ),
      ...own.timers.filter(({ id }) => kept('timer', id)),
    ],
    load: kept('load', 'oven') ? own.load : loadNow,
  };
}
