import { above, below, type Speaks, type TroubleFacts } from './facts.js';

/** Why something went wrong, what speaks for it, what saves it now, and what changes next time. */
export interface Cause {
  readonly id: string;
  readonly what: string;
  /** how often, before anything is known of the piece; of one symptom they need not sum to 1 */
  readonly prior: number;
  readonly speaks: (facts: TroubleFacts) => readonly Speaks[];
  /** null: nothing does */
  readonly now: string | null;
  readonly next: string;
}

export const whole = (v: number): string => String(Math.round(v));
export const percent = (v: number): string => `${Math.round(100 * v)} %`;
export const days = (v: number): string => (v < 1 ? 'the same day' : `${whole(v)} ${v < 1.5 ? 'day' : 'days'}`);

/** Months from which on clay is old, and degrees from which on a room is warm or cool: assumptions. */
const [OLD, WARM, COOL] = [36, 24, 18];

export const old = (f: TroubleFacts, times: number): Speaks =>
  above(f.months, OLD, times, (v) => `its oldest clay is ${whole(v)} months old`);
export const fewPasses = (f: TroubleFacts, times: number): Speaks =>
  below(f.passes, 0.85, times, (v) => `it had ${percent(v)} of the passes it wants`);
export const crumbly = (f: TroubleFacts, times: number): Speaks =>
  above(f.crumbly, 0.3, times, (v) => `${percent(v)} of it is of a crumbly line`);
export const warm = (f: TroubleFacts, times: number): Speaks =>
  above(f.roomC, WARM, times, (v) => `the room was at ${whole(v)} °C`);
export const cool = (f: TroubleFacts, times: number): Speaks =>
  below(f.roomC, COOL, times, (v) => `the room was at ${whole(v)} °C`);
export const soft = (f: TroubleFacts, times: number): Speaks =>
  above(f.soft, 0.4, times, (v) => `${percent(v)} of it is of a soft line`);
export const tooCool = (f: TroubleFacts, times: number): Speaks =>
  above(
    f.hottestC === null || f.lowC === null ? null : f.lowC - f.hottestC,
    0,
    times,
    (v) => `it stayed ${whole(v)}° below its band`,
  );
export const tooHot = (f: TroubleFacts, times: number): Speaks =>
  above(
    f.hottestC === null || f.highC === null ? null : f.hottestC - f.highC,
    0,
    times,
    (v) => `it came ${whole(v)}° above its band`,
  );
export const overMost = (f: TroubleFacts, times: number): Speaks =>
  above(
    f.hottestC === null || f.maxC === null ? null : f.hottestC - f.maxC,
    0,
    times,
    (v) => `it came ${whole(v)}° above its most`,
  );
export const short = (f: TroubleFacts, times: number): Speaks =>
  below(f.baked, 0.9, times, (v) => `it had ${percent(v)} of its minutes`);
export const thick = (f: TroubleFacts, mm: number, times: number): Speaks =>
  above(f.thickMm, mm, times, (v) => `its thickest part is ${whole(v)} mm`);
export const fresh = (f: TroubleFacts, times: number): Speaks =>
  below(f.restedDays, 1, times, (v) => `it was sliced ${days(v)} after it was made`);
export const stale = (f: TroubleFacts, times: number): Speaks =>
  above(f.restedDays, 60, times, (v) => `the cane lay ${whole(v)} days`);

export const cause = (
  id: string,
  prior: number,
  what: string,
  speaks: Cause['speaks'],
  now: string | null,
  next: string,
): Cause => ({ ...{ id, prior, what, speaks, now, next } });

/** Nothing that is known of a piece speaks for it. */
export const NONE = (): readonly Speaks[] => [];

/** Causes that several symptoms have. */
export const SHARED = {
  underConditioned: cause(
    'too few passes',
    3,
    'It was not conditioned through.',
    (f) => [fewPasses(f, 4), crumbly(f, 1.5), cool(f, 1.5), old(f, 1.3)],
    'Warm it in the hand and press it together again; small cracks close before the oven.',
    'Pass it until it folds without a crack, and count the passes.',
  ),
  oldClay: cause(
    'old clay',
    2,
    'The clay is old and dry.',
    (f) => [old(f, 4), crumbly(f, 1.4)],
    'Work a drop of softener, or a soft clay, into what is not baked yet.',
    'Soften old clay before it is mixed, or take it for cores.',
  ),
  underBaked: cause(
    'too cool or too short',
    3,
    'It was baked too cool, or not long enough.',
    (f) => [tooCool(f, 5), short(f, 4), thick(f, 8, 1.4)],
    'Bake it again at its full temperature and time: that is as good as at once.',
    'Set the dial by the thermometer, and bake by the thickest part.',
  ),
  tooHot: cause(
    'too hot',
    3,
    'The oven was too hot, if only for a while.',
    (f) => [overMost(f, 6), tooHot(f, 3)],
    null,
    'Let the oven settle before it goes in, and cover light colours with foil or paper.',
  ),
  air: cause(
    'air between layers',
    3,
    'Air was caught when it was rolled, folded or laid on.',
    (f) => [above(f.layers, 2, 2, (v) => `${whole(v)} layers were laid on each other`)],
    'Prick it and press it shut before the oven; after it, fill, sand and glaze.',
    'Put the fold in first, and press every layer on from one side to the other.',
  ),
  warmCane: cause(
    'cut while it was warm',
    3,
    'The cane was cut while it was warm and soft.',
    (f) => [fresh(f, 4), warm(f, 2), soft(f, 2)],
    'Cool the rest of the cane for half an hour, turn it by a quarter after each slice.',
    'Let a cane rest a day, and cool it before slicing.',
  ),
} as const;
