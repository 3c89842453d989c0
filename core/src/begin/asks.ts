/** What a maker has so far, as counts. */
export interface Begun {
  /** colours of clay on the shelf */
  readonly colours: number;
  readonly machines: number;
  /** most readings that one machine has */
  readonly readings: number;
  /** chips that were read */
  readonly chips: number;
  /** batches with a piece */
  readonly batches: number;
  /** what the diary has */
  readonly entries: number;
}

/** What is useful to begin with, in its order. */
export const ASKS = ['clays', 'machine', 'chip', 'batch', 'card'] as const;
export type Ask = (typeof ASKS)[number];

/** Three colours mix: two only lie on a line between them. */
export const COLOURS_TO_BEGIN = 3;
/** Two readings give the settings between them. */
export const READINGS_TO_BEGIN = 2;

/** How far each is, and how far it has to go. */
export const askedOf = (ask: Ask, begun: Begun): readonly [there: number, of: number] => FAR[ask](begun);
const FAR: Readonly<Record<Ask, (begun: Begun) => readonly [number, number]>> = {
  clays: ({ colours }) => [colours, COLOURS_TO_BEGIN],
  machine: ({ readings }) => [readings, READINGS_TO_BEGIN],
  chip: ({ chips }) => [chips, 1],
  batch: ({ batches }) => [batches, 1],
  card: ({ entries }) => [entries, 1],
};

const isThere = (ask: Ask, begun: Begun): boolean => {
  const [there, of] = askedOf(ask, begun);
  return there >= of;
};

/** Whether the rest goes on without it: a card needs clay, machine and batch; readings and a chip make it truer. */
export const canWait = (ask: Ask, begun: Begun): boolean => WAITS[ask](begun);
const never = (): boolean => false;
const hasClay = ({ colours }: Begun): boolean => colours > 0;
const hasMachine = ({ machines }: Begun): boolean => machines > 0;
const WAITS: Readonly<Record<Ask, (begun: Begun) => boolean>> = {
  ...{ clays: hasClay, machine: hasMachine, chip: () => true, batch: never, card: never },
};

/**
 * What is still to be asked, in order. Nothing once the diary has something: the first card is done.
 *
 * @param later what somebody has put off
 */
export function asksLeft(begun: Begun, later: readonly Ask[]): readonly Ask[] {
  if (begun.entries > 0) return [];
  const isOff = (ask: Ask): boolean => canWait(ask, begun) && later.includes(ask);
  return ASKS.filter((ask) => !isThere(ask, begun) && !isOff(ask));
}

/** Stations where each is done, by the first word of their address. */
export const STATION_OF: Readonly<Record<Ask, string>> = {
  clays: 'shelf',
  machine: 'sheets',
  chip: 'mixes',
  batch: 'batches',
  card: 'bench',
};

/**
 * What a station asks: its own, where that is open and what it needs is there, otherwise the next one of all; null:
 * nothing.
 */
export function askAt(station: string, begun: Begun, later: readonly Ask[]): Ask | null {
  const left = asksLeft(begun, later);
  const own = left.find((ask) => STATION_OF[ask] === station && isPossible(ask, begun));
  return own ?? left[0] ?? null;
}

/** A mix and a piece are made of a clay, a card of a batch. */
const isPossible = (ask: Ask, begun: Begun): boolean => NEEDS[ask](begun);
const always = (): boolean => true;
const NEEDS: Readonly<Record<Ask, (begun: Begun) => boolean>> = {
  clays: always,
  machine: always,
  chip: hasClay,
  batch: (begun) => hasClay(begun) && hasMachine(begun),
  card: ({ batches }) => batches > 0,
};
