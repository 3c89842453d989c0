import { MOST_STACKED, STEP_NOT_SEEN, complaint, placeInPlug, radiusOf, type Plug, type RolledPlug } from '#core/blend';
import { xyzOfHex } from '#core/colour';
import { feedPlan, type FeedPlan } from '#core/sheet';
import { readNumber, showLength, showLong, type UnitSystem } from '#core/units';
import type { BlendPlanDto, MachineDto } from '#contract';
import { readCount } from '../../parts/readCount.js';
import type { TapeChoice, TapePlan } from './tapeMm.js';
import type { BlendColour } from './workedBlend.js';

/** One of the two ends of a tape. */
type BlendEnd = 'first' | 'last';

/** Share of the rollers above which a tape tends to split: an assumption. */
const WIDE = 0.7;
/** How many tapes are laid on each other, as it is typed. @throws Complaint `blend/stack`, `parts/unreadable` */
export function readTapes(text: string): number {
  const count = readNumber(text).valueOf();
  if (!Number.isInteger(count) || count < 1 || count > MOST_STACKED) throw complaint('blend/stack');
  return count;
}
const MOST_PARTS = 40;
/** @throws Complaint `parts/unreadable`, `count/range` */
export const readParts = readCount(1, MOST_PARTS, 'The number of parts');
/** What a thinner tape would bring, beside its setting. */
export const stepWords = (choice: TapeChoice | undefined): string =>
  choice ? `: steps of ΔE ${choice.steps.mean.toFixed(1)}` : ': thicker than the folded blend';

/** Whether the turns of the tape are seen. */
export function smoothWords({ steps, choices, tapeSetting }: TapePlan, usual: boolean): string {
  if (steps.mean > STEP_NOT_SEEN) return 'steps are seen until it is reduced';
  const thickest = usual && choices.find((c) => c.steps.mean <= STEP_NOT_SEEN)?.setting.id === tapeSetting?.id;
  return thickest ? 'smooth, and no thinner than it needs to be' : 'smooth';
}

/** A colour on less of the tape than this is hardly seen in the plug. */
const HARDLY = 0.005;

/** How much of the plug the inner colour fills, by the area law. */
export function insideWords(colour: string, plug: RolledPlug, share: number, units: UnitSystem): string {
  if (share < HARDLY) return `only the very end of the tape is ${colour}: the middle shows a mix`;
  return (
    `${colour} alone is the first ${Math.round(100 * share)} % of the tape and fills the inner ` +
    `${showLength(2 * radiusOf(plug, share), units)}`
  );
}
const lightnessOf = (hex: string): number => xyzOfHex(hex).y;

/** The end that goes in first: as the maker says, or else the lighter one, which leaves no trace on the rollers. */
export function leadOf(plan: BlendPlanDto, colours: readonly BlendColour[]): BlendEnd {
  if (plan.lead != null) return plan.lead;
  const light = (colour: BlendColour | undefined): number => lightnessOf(colour?.hex ?? '000000');
  return light(colours[0]) < light(colours.at(-1)) ? 'last' : 'first';
}

/** Through which settings the turned blend is thinned to the tape; null without a machine. */
export function tapeFeeds(
  own: MachineDto | undefined,
  { turned, tapeSetting }: TapePlan,
  length: number,
): FeedPlan | null {
  if (!own || !tapeSetting) return null;
  return feedPlan({
    machine: own,
    mm: turned.mm,
    width: turned.width,
    length,
    settingId: tapeSetting.id,
    thinning: 'one at a time',
    turns: false,
  });
}

/** The settings it goes through, in words. */
export function feedWords({ feeds, byHandTo }: FeedPlan, width: number, units: UnitSystem): string {
  const byHand = byHandTo === null ? '' : `by hand to ${showLength(byHandTo, units)}, then `;
  const through = feeds.map((f) => `${f.setting.label} (${showLong(f.length, units)})`).join(' · ');
  return `${byHand}your ${through}, ${showLength(width, units)} wide all the way`;
}

/** What a tape of this width does on this machine; null where nothing is to be said. */
export function wideWords(own: MachineDto | undefined, width: number, units: UnitSystem): string | null {
  if (!own || width <= own.rollerWidthMm * WIDE) return null;
  if (width <= own.rollerWidthMm) return 'This wide it splits where it goes in: press the first end thin by hand.';
  return `Your rollers are ${showLength(own.rollerWidthMm, units)} wide: fold it once more.`;
}

/** Which place of the tape lies at a point of the plug's face, 0 to 1 each; null beside it. */
export function placeOnFace(plug: Plug, x: number, y: number): number | null {
  if (plug.kind === 'fan') return placeInPlug(plug, x);
  const r = 2 * Math.hypot(x - 0.5, y - 0.5);
  return r > 1 ? null : placeInPlug(plug, r);
}

/** The two ends of the tape by their colours, to choose from. */
export const endOptions = (
  colours: readonly BlendColour[],
): readonly { readonly value: BlendEnd; readonly text: string }[] => [
  { value: 'first', text: colours[0]?.name ?? '' },
  { value: 'last', text: colours.at(-1)?.name ?? '' },
];
