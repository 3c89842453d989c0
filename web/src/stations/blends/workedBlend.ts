import { massOf } from '#core/clay';
import {
  areasOf,
  compensate,
  fadeOf,
  forecast,
  keptFrom,
  otherHalves,
  pureStretches,
  streakContrast,
  windUp,
  wronglyFolded,
  type Compensated,
  type Fade,
  type Forecast,
  type Layout,
  type Plug,
  type Tape,
} from '#core/blend';
import type { Lab, Pigment, PigmentSource } from '#core/colour';
import { lookUp, type BlendInBook } from '#core/stock';
import type { SettingThickness } from '#core/sheet';
import { orSentence } from '#core/units';
import type { BlendAnswer, BlendInside, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { bookOf } from '../../state/book.js';
import { tapePlanOf, type TapePlan } from './tapeMm.js';
import { rolledOn } from './rolled.js';

const SHOWN_PASSES = 20;

/** One colour of a blend, worked out. */
export interface BlendColour {
  readonly name: string;
  readonly hex: string;
  readonly pigment: Pigment;
  readonly density: number;
  readonly grams: number;
  /** other halves of what is cut for an odd number of layers: rolled, and left over */
  readonly over: number;
  /** mm² on the sheet */
  readonly area: number;
  readonly perClay: readonly { readonly clayId: string; readonly grams: number }[];
}

/** Everything that follows from the plan of a blend. */
export interface WorkedBlend {
  readonly layout: Layout;
  readonly colours: readonly BlendColour[];
  readonly setting: SettingThickness | null;
  readonly settings: readonly SettingThickness[];
  readonly mm: number;
  readonly fade: Fade;
  readonly compensated: Compensated;
  readonly compensatedFade: Fade;
  readonly ruined: Fade;
  readonly passes: Forecast;
  readonly contrast: number;
  readonly turning: TapePlan;
  /** share of the tape that is the pure colour of the inner end of the plug; 0 where none is */
  readonly pureInside: number;
  /** one of them, with the colour that is added at an end */
  readonly tape: Tape;
  /** colours along it */
  readonly tapeLabs: readonly Lab[];
  /** of the colour that is added, in all tapes; 0 where none is */
  readonly extraGrams: number;
  readonly plug: Plug;
  readonly grams: number;
  /** of all other halves */
  readonly over: number;
}

/** The cuts of a plan, as core reads them. */
export const layoutIn = ({ width, height, cuts }: Pick<BlendPlanDto, 'width' | 'height' | 'cuts'>): Layout => ({
  width,
  height,
  cuts: cuts.map((c) => c.points),
});

/** Blends by their revisions, as core reads them. */
export const blendsInBook =
  (blends: readonly BlendInside[]): ((revisionId: string) => BlendInBook | undefined) =>
  (revisionId) => {
    const blend = blends.find((b) => b.revisionId === revisionId);
    return blend && { name: blend.name, colours: blend.plan.colours, layout: layoutIn(blend.plan) };
  };

/** A colour of the blend, before it is known how much of it. */
type BaseColour = Omit<BlendColour, 'grams' | 'over' | 'area' | 'perClay'> & {
  readonly shares: readonly { readonly clayId: string; readonly mass: number }[];
};

/** The colours of a blend; a sentence where one is not known. */
export function coloursIn(blend: BlendAnswer, shelf: ShelfAnswer, pigments: PigmentSource): BaseColour[] | string {
  const book = bookOf(shelf, blend.referenced);
  return orSentence(() =>
    blend.plan.colours.map((of): BaseColour => {
      const { name, hexes, pigment, density, shares } = lookUp(of, book, { stage: 'baked', pigments });
      return { name, hex: hexes[0] ?? '', pigment, density, shares };
    }),
  );
}

/** The cut that makes up for how colours pull, and its fade. */
export function compensatedIn(
  plan: BlendPlanDto,
  base: readonly BaseColour[],
): { readonly made: Compensated; readonly fade: Fade } {
  const made = compensate(
    layoutIn(plan),
    base.map((c) => c.pigment),
    plan.pure,
  );
  return {
    made,
    fade: fadeOf(
      made.layout,
      base.map((c) => c.pigment),
    ),
  };
}

/** Share of the tape that shows the colour of the inner end alone: its pure stretch, and what was added there. */
function pureInsideOf(plan: BlendPlanDto, layout: Layout, plain: Tape, tape: Tape): number {
  const stretches = pureStretches(layout);
  const inner =
    plan.inside === 'first' ? stretches.find((s) => s.from === 0) : stretches.find((s) => s.to === layout.width);
  const pure = inner ? ((inner.to - inner.from) / layout.width) * plain.length : 0;
  const added = plan.extraAt === plan.inside ? tape.length - plain.length : 0;
  return (pure + added) / tape.length;
}

/**
 * All that follows from the plan of a blend: grams, fade, passes, tape and plug.
 * @param cuts as they are under the hand
 */
export function workedBlend(
  { plan, counted }: Pick<BlendAnswer, 'plan' | 'counted'>,
  cuts: BlendPlanDto['cuts'],
  base: readonly BaseColour[],
  compensated: ReturnType<typeof compensatedIn>,
  own: MachineDto | undefined,
): WorkedBlend {
  const rolled = rolledOn(plan, own);
  const { settings, setting, mm } = rolled;
  const layout = layoutIn({ ...plan, cuts });
  const list = base.map((c) => c.pigment);
  const areas = areasOf(layout);
  const tapes = plan.stack ?? 1;
  const fade = fadeOf(layout, list);
  const turning = tapePlanOf(plan, rolled, fade);
  const { finished, winding } = turning;
  const extraMm = winding.extra?.length ?? 0;
  const extraGrams = (density: number): number => massOf(tapes * extraMm * winding.tapeWidth * turning.mm, density);
  const colours = base.map(({ shares, ...c }, i): BlendColour => {
    const area = areas[i] ?? 0;
    const ended = i === (plan.extraAt === 'last' ? base.length - 1 : 0);
    const cut = massOf(tapes * area * mm * plan.layers, c.density);
    const grams = cut + (ended ? extraGrams(c.density) : 0);
    const over = otherHalves(cut, tapes * plan.layers);
    return {
      ...c,
      area,
      grams,
      over,
      perClay: shares.map(({ clayId, mass }) => ({ clayId, grams: mass * (grams + over) })),
    };
  });
  const contrast = streakContrast(list);
  const { plain, tape, plug } = windUp(
    { width: finished.width, height: finished.length, thickness: finished.mm },
    winding,
  );
  const ended = plan.extraAt === 'last' ? base.at(-1) : base[0];
  return {
    layout,
    colours,
    setting,
    settings,
    mm,
    contrast,
    turning,
    tape,
    fade,
    pureInside: pureInsideOf(plan, layout, plain, tape),
    tapeLabs: turning.labs,
    extraGrams: extraGrams(ended?.density ?? 0),
    compensated: compensated.made,
    compensatedFade: compensated.fade,
    ruined: wronglyFolded(layout, list),
    passes: forecast(contrast, keptFrom(counted), SHOWN_PASSES),
    plug,
    grams: colours.reduce((sum, c) => sum + c.grams, 0),
    over: colours.reduce((sum, c) => sum + c.over, 0),
  };
}
