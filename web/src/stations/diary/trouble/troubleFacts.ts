import { ageInMonths, toughnessOf } from '#core/clay';
import { SCHOOLS_OF_CONDITIONING, passesFor } from '#core/conditioning';
import { ASSUMED_STOP } from '#core/pattern';
import { NOTHING_KNOWN, type TroubleFacts } from '#core/trouble';
import type { BatchAnswer, ClayDto, LineDto, ShelfAnswer } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import type { OwnSetting } from '../../batches/batchMoves.js';
import { evenIn } from '../../patterns/stageWords.js';

type Told = Pick<DiaryAnswer, 'madeOn' | 'clays' | 'conditioned' | 'bakes' | 'canes' | 'patterns' | 'blends'>;
type Part<K extends keyof TroubleFacts> = Pick<TroubleFacts, K>;

/** A clay that went in, its line, and its share by mass. */
interface Went {
  readonly clay: ClayDto;
  readonly line: LineDto | undefined;
  readonly share: number;
}

function wentIn({ clays }: Told, shelf: ShelfAnswer): readonly Went[] {
  const whole = clays.reduce((sum, { grams }) => sum + grams, 0);
  return clays.flatMap(({ clayId, grams }): Went[] => {
    const clay = shelf.clays.find((c) => c.id === clayId);
    if (!clay || whole <= 0) return [];
    return [{ clay, line: shelf.lines.find((l) => l.id === clay.lineId), share: grams / whole }];
  });
}

/** Months of the oldest block of some clays on a day; null where no date is known. */
function monthsOn(clayIds: ReadonlySet<string>, day: string, { blocks }: ShelfAnswer): number | null {
  const ages = blocks.flatMap(({ clayId, madeOn }) =>
    clayIds.has(clayId) && madeOn !== null && madeOn <= day ? [ageInMonths(madeOn, day)] : [],
  );
  return ages.length === 0 ? null : Math.max(...ages);
}

/** Shares of what went in, by what its lines and kinds are. */
function sharesOf(went: readonly Went[]): Part<'crumbly' | 'soft' | 'brittle' | 'translucent' | 'mica'> {
  const share = (is: (one: Went) => boolean): number | null =>
    went.length === 0 ? null : went.reduce((sum, one) => (is(one) ? sum + one.share : sum), 0);
  return {
    crumbly: share(({ line }) => line?.firmness === 'crumbly'),
    soft: share(({ line }) => line?.firmness === 'soft'),
    brittle: share(({ line }) => line !== undefined && toughnessOf(line).toughness === 'brittle'),
    translucent: share(({ clay }) => clay.kind === 'translucent'),
    mica: share(({ clay }) => clay.kind === 'mica'),
  };
}

/** Passes that were counted beside those that were wanted, the worst of all; the room. */
function conditionedOf(told: Told, shelf: ShelfAnswer): Part<'passes' | 'roomC'> {
  const all = told.conditioned.flatMap(({ clayId, school, squeeze, passes, roomC }) => {
    const clay = shelf.clays.find((c) => c.id === clayId);
    const line = clay && shelf.lines.find((l) => l.id === clay.lineId);
    const known = SCHOOLS_OF_CONDITIONING.find((s) => s === school);
    if (!line || !known || passes <= 0) return [];
    const grams = told.clays.find((c) => c.clayId === clayId)?.grams ?? HALF_BLOCK;
    const months = monthsOn(new Set([clayId]), told.madeOn, shelf);
    // as it was really worked, whatever machine stands on the bench by now
    const how = { firmness: line.firmness, squeeze, months, roomC, school: known, grams };
    const wanted = passesFor(line.id, how, [], null).passes;
    return [{ share: passes / wanted, roomC }];
  });
  if (all.length === 0) return { passes: null, roomC: null };
  return { passes: Math.min(...all.map((c) => c.share)), roomC: all.reduce((sum, c) => sum + c.roomC, 0) / all.length };
}
/** g that are taken to be conditioned where nothing was weighed. */
const HALF_BLOCK = 28.5;

/** Of the loads of an entry the one that is furthest off. */
function bakedOf({ bakes }: Told): Part<'hottestC' | 'lowC' | 'highC' | 'maxC' | 'baked'> {
  const [first] = [...bakes].sort((a, b) => offOf(b) - offOf(a));
  if (!first) return { hottestC: null, lowC: null, highC: null, maxC: null, baked: null };
  const { hottest, low, high, maxC, inBand, minutes } = first;
  const baked = inBand === null || minutes <= 0 ? null : inBand / minutes;
  return { hottestC: hottest, lowC: low, highC: high, maxC, baked };
}
const offOf = ({ hottest, low, high }: Told['bakes'][number]): number =>
  hottest === null ? -1 : Math.max(low - hottest, hottest - high);

/** What is smallest of some numbers; null where there are none. */
const leastOf = (numbers: readonly number[]): number | null => (numbers.length === 0 ? null : Math.min(...numbers));

/** Folds beyond the veins at which one stops: each fold halves them. @param veins mm; 0 where nobody looked */
function beyondIn(veins: readonly number[]): number | null {
  const finest = leastOf(veins.filter((mm) => mm > 0));
  return finest === null ? null : Math.max(0, Math.floor(Math.log2(ASSUMED_STOP / finest)));
}

/**
 * Slices that were cut on the day of their cane and how thick, what its ends took beside what is assumed, passes of
 * blends beside those they want, folds beyond the stop, and passes until a sheen was even.
 */
function madeOf({
  canes,
  patterns,
  blends,
}: Told): Part<'restedDays' | 'sheenPasses' | 'sliceMm' | 'ends' | 'blendPasses' | 'beyond'> {
  const stops = patterns.flatMap((p) => p.stops);
  const sheen = stops.find((s) => s.kind === 'sheen');
  return {
    restedDays: canes.some((c) => c.slices > 0) ? 0 : null,
    sliceMm: leastOf(canes.map((c) => c.sliceMm)),
    ends: leastOf(canes.flatMap((c) => c.endsShare ?? [])),
    blendPasses: leastOf(blends.filter((b) => b.wantedPasses > 0).map((b) => b.passes / b.wantedPasses)),
    beyond: beyondIn(stops.map((s) => s.veinMm)),
    sheenPasses: sheen ? sheen.times / evenIn([]).passes : null,
  };
}

/** How thick the thickest of its stacks was, and how many layers the highest has; as its plan has them. */
export type Stacked = Part<'thickMm' | 'layers'>;

/** Stacks of the pieces of a batch. @param settings thicknesses as they are known by now */
export function stackedIn(
  { pieces }: Pick<BatchAnswer, 'pieces'>,
  settings: readonly Pick<OwnSetting, 'id' | 'mm'>[],
): Stacked {
  const mmOf = new Map(settings.map(({ id, mm }) => [id, mm]));
  const stacks = pieces.map(({ layers }) => layers.map(({ settingId }) => mmOf.get(settingId) ?? 0));
  if (stacks.length === 0) return { thickMm: null, layers: null };
  const thick = Math.max(...stacks.map((mms) => mms.reduce((sum, mm) => sum + mm, 0)));
  return { thickMm: thick > 0 ? thick : null, layers: Math.max(...stacks.map((mms) => mms.length)) };
}

/** What diary, shelf and plan know of what an entry made. @param stacked of its plan, where that is there */
export function troubleFacts(told: Told, shelf: ShelfAnswer, stacked?: Stacked): TroubleFacts {
  const went = wentIn(told, shelf);
  return {
    ...NOTHING_KNOWN,
    months: monthsOn(new Set(went.map((w) => w.clay.id)), told.madeOn, shelf),
    ...sharesOf(went),
    ...conditionedOf(told, shelf),
    ...bakedOf(told),
    ...madeOf(told),
    ...stacked,
  };
}
