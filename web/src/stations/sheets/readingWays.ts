import { massOf } from '#core/clay';
import { ASSUMED_DENSITY } from '#core/clay';
import {
  SIGMA_OF_WAY,
  discVolume,
  gaugedByCards,
  gaugedByDisc,
  gaugedByStack,
  type Gauged,
  type ReadingWay,
} from '#core/sheet';
import { readLength, readMass, readNumber, showLength, showMass, type UnitSystem } from '#core/units';

/** What a gauge may type into the field of a way to measure. */
export function measuresOf(way: ReadingWay): 'mass' | 'length' | undefined {
  if (way === 'cards') return undefined;
  return way === 'weighed' ? 'mass' : 'length';
}

export const WAYS: Readonly<Record<ReadingWay, string>> = {
  calipers: 'by calipers',
  cards: 'against cards',
  stack: 'as a stack of layers',
  weighed: 'by weighing a disc',
};
/** What is typed for each way to measure. */
export const ASKS: Readonly<Record<ReadingWay, string>> = {
  calipers: 'thickness',
  cards: 'number of cards',
  stack: 'thickness of the stack',
  weighed: 'weight of the disc',
};

/** What else is known of a measurement. */
export interface Means {
  /** layers of a stack */
  readonly layers: number;
  /** mm across a disc */
  readonly disc: number;
  /** mm of a card; null where it was never measured */
  readonly card: number | null;
}

type Reader = (text: string, means: Means, units: UnitSystem) => Gauged;

/** From what was looked at to a thickness, for each way. @throws Complaint where it cannot be read */
export const GAUGE: Readonly<Record<ReadingWay, Reader>> = {
  calipers: (text, _, units) => ({ mm: readLength(text, units), sigmaMm: SIGMA_OF_WAY.calipers }),
  cards: (text, { card }) => gaugedByCards(readNumber(text).valueOf(), card),
  stack: (text, { layers }, units) => gaugedByStack(layers, readLength(text, units)),
  weighed: (text, { disc }, units) => gaugedByDisc(readMass(text, units), disc, ASSUMED_DENSITY, false),
};

/** A usual number of cards. */
const SOME_CARDS = '5';

/** What would be read of a setting as thick as this. @param mm */
export const EXAMPLE: Readonly<Record<ReadingWay, (mm: number, means: Means, units: UnitSystem) => string>> = {
  calipers: (mm, _, units) => showLength(mm, units, true),
  cards: () => SOME_CARDS,
  stack: (mm, { layers }, units) => showLength(layers * mm, units, true),
  weighed: (mm, { disc }, units) => showMass(massOf(discVolume(disc, mm), ASSUMED_DENSITY), units),
};
