import { deltaE, hexOf, labOf, mixPigments, type PigmentSource, type Stage, type Xyz } from '#core/colour';
import { volumeOf, type Clay, type Firmness, type Squeeze } from '#core/clay';
import type { Density, Grams } from '#core/units';
import { yearsOld } from './passes.js';
import { complaint } from './sentences.js';

/** What is wrong with a block that is brought back. */
export const RESCUED_FROM = ['stiff', 'cracks', 'crumbles', 'too soft'] as const;
export type RescuedFrom = (typeof RESCUED_FROM)[number];

/**
 * How hard clay is, on a scale of our own: 0 gives, 1 is stiff and folds after work, above it cracks. Hardnesses mix
 * by weight, and softener takes some away. All of these are assumptions (docs/models.md).
 */
const HARDNESS: Readonly<Record<Squeeze | 'too soft', number>> = {
  gives: 0,
  stiff: 1,
  cracks: 1.6,
  crumbles: 2.2,
  'too soft': -1.5,
};
/** Of fresh clay of a line. */
const FRESH: Readonly<Record<Firmness, number>> = { soft: -1, medium: -0.3, firm: 0.7, crumbly: 1 };
/** What a year past the first makes it harder. */
const A_YEAR = 0.35;
/** Hard clay is brought to this, clay that is too soft to that. */
const [WORKABLE, FIRM_ENOUGH] = [1, -0.4];
/** Up to these hardnesses a block gives, and is stiff. */
const [GIVES, STIFF, CRACKS] = [0.3, 1.05, 1.9];

/** g of a drop, the share of the weight that takes one step of hardness away, and the most that clay takes. */
export const DROP: Grams = 0.05;
const SHARE_FOR_ONE = 0.0029;
export const MOST_SOFTENER = 0.01;

/** From this ΔE00 on a difference is seen by who looks for one. */
export const SHOWS = 1;
/** Nobody adds more than so many times the block. */
const MOST_ADDED = 3;
const LOOKS = 60;
const HALVINGS = 30;

/** Clay of one block, as it is worked in. */
export interface Added {
  readonly clay: Clay;
  readonly density: Density;
  /** what there is of it */
  readonly grams: Grams;
  readonly hardness: number;
}

/** How hard clay is: by the squeeze test, else by its line and its age. */
export function hardnessOf(of: {
  readonly firmness: Firmness;
  readonly squeeze: Squeeze | null;
  readonly months: number | null;
}): number {
  if (of.squeeze) return of.squeeze === 'gives' ? Math.min(HARDNESS.gives, FRESH[of.firmness]) : HARDNESS[of.squeeze];
  return FRESH[of.firmness] + A_YEAR * yearsOld(of.months);
}

/** What such a hardness does between the fingers. */
export function squeezeAt(hardness: number): Squeeze {
  if (hardness <= GIVES) return 'gives';
  if (hardness <= STIFF) return 'stiff';
  return hardness <= CRACKS ? 'cracks' : 'crumbles';
}

export interface ToRescue {
  readonly clay: Clay;
  readonly density: Density;
  /** of the block, without the crumbs that are lost */
  readonly grams: Grams;
  readonly from: RescuedFrom;
  readonly pigments: PigmentSource;
}

/** What is worked in. */
export interface Remedy {
  readonly added: Added | null;
  readonly addedGrams: Grams;
  readonly drops: number;
}

/** What a block becomes. */
export interface Rescued {
  /** all of it together */
  readonly grams: Grams;
  readonly hardness: number;
  readonly squeeze: Squeeze;
  readonly rawHex: string;
  readonly bakedHex: string;
  /** ΔE00 to the block as it was, raw or baked, whichever is more */
  readonly deltaE: number;
  readonly shows: boolean;
  /** more softener than clay takes */
  readonly sticky: boolean;
}

/** The colour of a clay with so much of another in it. */
function colourWith({ clay, density, grams, pigments }: ToRescue, added: Added | null, more: Grams, stage: Stage): Xyz {
  const own = pigments(clay, stage);
  if (!added || more <= 0) return mixPigments([own], [1]);
  const volumes = [volumeOf(grams, density), volumeOf(more, added.density)];
  return mixPigments([own, pigments(added.clay, stage)], volumes);
}

function differenceWith(of: ToRescue, added: Added | null, more: Grams): number {
  const stages: readonly Stage[] = ['raw', 'baked'];
  return Math.max(
    ...stages.map((s) => deltaE(labOf(colourWith(of, null, 0, s)), labOf(colourWith(of, added, more, s)))),
  );
}

function hardnessWith({ grams, from }: ToRescue, { added, addedGrams, drops }: Remedy): number {
  const all = grams + addedGrams;
  const clay = (grams * HARDNESS[from] + addedGrams * (added?.hardness ?? 0)) / all;
  return clay - (drops * DROP) / all / SHARE_FOR_ONE;
}

/** What a block becomes with what is worked in. @throws Complaint `rescue/none` */
export function rescued(of: ToRescue, remedy: Remedy): Rescued {
  if (!(of.grams > 0)) throw complaint('rescue/none');
  const softener = remedy.drops * DROP;
  const clay = of.grams + remedy.addedGrams;
  const hardness = hardnessWith(of, remedy);
  const off = differenceWith(of, remedy.added, remedy.addedGrams);
  const hexAs = (stage: Stage): string => hexOf(colourWith(of, remedy.added, remedy.addedGrams, stage));
  return {
    grams: clay + softener,
    hardness,
    squeeze: squeezeAt(hardness),
    rawHex: hexAs('raw'),
    bakedHex: hexAs('baked'),
    deltaE: off,
    shows: off >= SHOWS,
    sticky: softener > MOST_SOFTENER * clay + 1e-9,
  };
}

/** g of a clay that can be worked in before it shows; as much as anybody adds where it never does. */
export function mostUnseen(of: ToRescue, added: Added): Grams {
  const most = MOST_ADDED * of.grams;
  const shows = (grams: Grams): boolean => differenceWith(of, added, grams) >= SHOWS;
  const first = Array.from({ length: LOOKS }, (_, i) => (most * (i + 1)) / LOOKS).find(shows);
  if (first === undefined) return most;
  let [low, high] = [first - most / LOOKS, first];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (shows(middle)) high = middle;
    else low = middle;
  }
  return low;
}

const goalOf = (from: RescuedFrom): number => (from === 'too soft' ? FIRM_ENOUGH : WORKABLE);

/** g of a clay that alone bring a block to what hands can work; null: it never would. */
function neededOf({ grams, from }: ToRescue, { hardness }: Added): Grams | null {
  const [now, goal] = [HARDNESS[from], goalOf(from)];
  const share = (now - goal) / (now - hardness);
  if (now === goal) return 0;
  if (!(share > 0 && share < 1)) return null;
  const needed = (grams * share) / (1 - share);
  return needed <= MOST_ADDED * grams ? needed : null;
}

/** Drops that bring clay of such a hardness to what hands can work; never more than clay takes. */
function dropsFor(hardness: number, from: RescuedFrom, grams: Grams): number {
  if (from === 'too soft') return 0;
  const share = Math.max(0, hardness - WORKABLE) * SHARE_FOR_ONE;
  const exact = (Math.min(MOST_SOFTENER, share) * grams) / DROP;
  return Math.min(Math.floor((MOST_SOFTENER * grams) / DROP + 1e-9), Math.max(0, Math.ceil(exact - 1e-9)));
}

/** One way to bring a block back: so much of a clay before it shows, and softener for the rest. */
export interface RescueWay extends Remedy {
  readonly becomes: Rescued;
  /** g of the clay that would do without softener; null: it never would, or it is softener alone */
  readonly needed: Grams | null;
  /** g of the clay before it shows; null: softener alone */
  readonly unseen: Grams | null;
  /** hands can work it then */
  readonly enough: boolean;
}

/** Room for rounding to a tenth of a gram and to whole drops. */
const NEARLY = 0.06;

function wayOf(of: ToRescue, remedy: Remedy, needed: Grams | null, unseen: Grams | null): RescueWay {
  const becomes = rescued(of, remedy);
  const enough =
    of.from === 'too soft' ? becomes.hardness >= FIRM_ENOUGH - NEARLY : becomes.hardness <= WORKABLE + NEARLY;
  return { ...remedy, becomes, needed, unseen, enough: enough && !becomes.sticky };
}

/** As much as is weighed. */
const weighed = (grams: Grams): Grams => Math.floor(10 * grams + 1e-9) / 10;

function withClay(of: ToRescue, added: Added): RescueWay | null {
  const needed = neededOf(of, added);
  const softens = of.from === 'too soft' ? added.hardness > FIRM_ENOUGH : added.hardness < WORKABLE;
  if (!softens) return null;
  const unseen = mostUnseen(of, added);
  const most = Math.min(unseen, added.grams);
  // what is not enough anyway is no reason to use up another block
  const addedGrams =
    needed !== null && needed <= most ? Math.ceil(10 * needed - 1e-9) / 10 : weighed(Math.min(most, of.grams));
  const without = hardnessWith(of, { added, addedGrams, drops: 0 });
  const drops = dropsFor(without, of.from, of.grams + addedGrams);
  return wayOf(of, { added, addedGrams: Math.min(addedGrams, added.grams), drops }, needed, unseen);
}

/**
 * Ways to bring a block back, each as far as it does not show: softener by itself, and each clay that is softer (or,
 * for a block that is too soft, firmer), with softener for what is missing. Those that are enough come first, those
 * that spare no softener last; then the least ΔE00, then the fewest drops.
 * @throws Complaint `rescue/none`
 */
export function rescueWays(of: ToRescue, clays: readonly Added[]): RescueWay[] {
  if (!(of.grams > 0)) throw complaint('rescue/none');
  const drops = dropsFor(HARDNESS[of.from], of.from, of.grams);
  const alone = drops > 0 ? [wayOf(of, { added: null, addedGrams: 0, drops }, null, null)] : [];
  const withClays = clays.flatMap((added) => withClay(of, added) ?? []).filter((way) => way.addedGrams > 0);
  // clay that spares no softener is worked in for nothing
  const idle = (way: RescueWay): boolean => way.added !== null && drops > 0 && way.drops >= drops;
  return [...alone, ...withClays].sort(
    (a, b) =>
      Number(b.enough) - Number(a.enough) ||
      Number(idle(a)) - Number(idle(b)) ||
      a.becomes.deltaE - b.becomes.deltaE ||
      a.drops - b.drops,
  );
}
