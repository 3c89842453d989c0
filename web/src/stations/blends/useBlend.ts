import { useMemo } from 'react';
import { flatOf } from '#core/batch';
import { areasOf, compensate, fadeOf, fanFold, forecast, keptFrom, rollUp, streakContrast, tapeOf, wronglyFolded, type Compensated, type Fade, type Forecast, type Layout, type Plug, type Tape } from '#core/blend';
import { hexOf, labOf, mixPigments, xyzOfLab, type Pigment } from '#core/colour';
import { pigmentOfMix } from '#core/mix';
import { thicknesses, type SettingThickness } from '#core/sheet';
import { Complaint } from '#core/units';
import type { BlendAnswer, BlendPlanDto, MachineDto, ShelfAnswer } from '#contract';
import { bookOf, usePigments } from '../../state/book.js';

/** Sheets of a setting nobody chose: an assumption. */
const ASSUMED_MM = 2;
const SHOWN_PASSES = 20;

/** One colour of a blend, worked out. */
export interface BlendColour {
  readonly name: string;
  readonly hex: string;
  readonly pigment: Pigment;
  readonly density: number;
  readonly grams: number;
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
  readonly tapeSetting: SettingThickness | null;
  readonly tape: Tape;
  readonly plug: Plug;
  readonly grams: number;
}

export const layoutIn = ({ width, height, cuts }: Pick<BlendPlanDto, 'width' | 'height' | 'cuts'>): Layout => ({ width, height, cuts: cuts.map((c) => c.points) });

function colourIn(blend: BlendAnswer, shelf: ShelfAnswer, i: number, pigments: ReturnType<typeof usePigments>): Omit<BlendColour, 'grams' | 'area' | 'perClay'> & { readonly shares: readonly { readonly clayId: string; readonly mass: number }[] } {
  const book = bookOf(shelf, blend.referenced);
  const { clayId, revisionId } = blend.plan.colours[i] ?? { clayId: null, revisionId: null };
  const flat = flatOf(clayId === null ? { revision: revisionId ?? '' } : { clay: clayId }, book);
  const pigment = pigmentOfMix(flat, 'baked', pigments);
  return { shares: flat.shares.map((s) => ({ clayId: s.clay.id, mass: s.mass.valueOf() })), pigment, density: flat.density, name: clayId === null ? book.nameOf(revisionId ?? '') : book.clay(clayId)?.name ?? '', hex: hexOf(xyzOfLab(labOf(mixPigments([pigment], [1])))) };
}

/** A blend worked out; while a cut is dragged, with the cuts as they are under the hand. A sentence where it cannot be. */
export function useBlend(blend: BlendAnswer, shelf: ShelfAnswer, own: MachineDto | undefined, dragged: BlendPlanDto['cuts'] | null): WorkedBlend | string {
  const pigments = usePigments();
  const base = useMemo(() => {
    try {
      return blend.plan.colours.map((_, i) => colourIn(blend, shelf, i, pigments));
    } catch (error) {
      // a mix that was just picked is not known yet; it comes with the answer
      if (error instanceof Complaint) return error.message;
      throw error;
    }
  }, [blend, shelf, pigments]);
  const { plan } = blend;
  const compensated = useMemo(() => {
    if (typeof base === 'string') return null;
    const made = compensate(layoutIn(plan), base.map((c) => c.pigment), plan.pure);
    return { made, fade: fadeOf(made.layout, base.map((c) => c.pigment)) };
  }, [base, plan]);
  return useMemo(() => {
    if (typeof base === 'string' || !compensated) return typeof base === 'string' ? base : '';
    const settings = own ? thicknesses(own) : [];
    const setting = settings.find((s) => s.id === plan.settingId) ?? null;
    const mm = setting?.mm ?? ASSUMED_MM;
    const layout = layoutIn({ ...plan, cuts: dragged ?? plan.cuts });
    const list = base.map((c) => c.pigment);
    const areas = areasOf(layout);
    const colours = base.map(({ shares, ...c }, i): BlendColour => {
      const area = areas[i] ?? 0;
      const grams = (area * mm * plan.layers * c.density) / 1000;
      return { ...c, area, grams, perClay: shares.map(({ clayId, mass }) => ({ clayId, grams: mass * grams })) };
    });
    const contrast = streakContrast(list);
    const tapeSetting = settings.find((s) => s.id === plan.tapeSettingId) ?? settings.at(-1) ?? null;
    const tape = tapeOf({ width: plan.width, height: plan.height, thickness: mm * plan.layers }, plan.tapeWidth, tapeSetting?.mm ?? 0.6);
    return {
      layout, colours, setting, settings, mm, contrast, tapeSetting, tape,
      fade: fadeOf(layout, list), compensated: compensated.made, compensatedFade: compensated.fade, ruined: wronglyFolded(layout, list),
      passes: forecast(contrast, keptFrom(blend.counted), SHOWN_PASSES),
      plug: plan.plug === 'rolled' ? rollUp(tape, plan.inside) : fanFold(tape, plan.fanDepth),
      grams: colours.reduce((sum, c) => sum + c.grams, 0),
    };
  }, [base, compensated, own, plan, dragged, blend.counted]);
}
