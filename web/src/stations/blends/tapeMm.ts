import {
  STEP_NOT_SEEN,
  fadeWithEnd,
  finishedBlend,
  turnSteps,
  turnedTo,
  windUp,
  type Fade,
  type FinishedBlend,
  type SheetForPieces,
  type TurnSteps,
  type Turned,
  type Winding,
} from '#core/blend';
import type { Lab } from '#core/colour';
import { feedPlan, type SettingThickness } from '#core/sheet';
import type { BlendPlanDto } from '#contract';
import { sheetOfPlan } from './forPieces.js';
import type { Rolled } from './rolled.js';

/** mm of a tape, and of the widest gap, where no machine is known. Assumptions. */
const [ASSUMED_TAPE, ASSUMED_WIDEST] = [0.6, 3];

/**
 * How thick the blend is after its passes: fold first, each goes through the setting that its stack may reach.
 * Without a machine it stays as thick as it was cut.
 */
function passMmOf(plan: BlendPlanDto, rolled: Rolled): number {
  const { own, setting, mm } = rolled;
  const forPieces = sheetOfPlan(plan, rolled);
  if (forPieces) return forPieces.passMm;
  const cut = mm * plan.layers;
  if (!own || !setting) return cut;
  const [first] = feedPlan({
    machine: own,
    mm: 2 * cut,
    width: plan.width,
    length: plan.height / 2,
    settingId: setting.id,
    thinning: 'straight',
    turns: false,
  }).feeds;
  return first?.mm ?? cut;
}

/** A tape at a setting, and the steps of colour that its plug shows then. */
export interface TapeChoice {
  readonly setting: SettingThickness;
  readonly steps: TurnSteps;
}

/** How a blend is turned and wound up. */
export interface TapePlan {
  readonly finished: FinishedBlend;
  readonly turned: Turned;
  readonly tapeSetting: SettingThickness | null;
  readonly mm: number;
  readonly steps: TurnSteps;
  /** every setting that the tape can be rolled down to */
  readonly choices: readonly TapeChoice[];
  readonly labs: readonly Lab[];
  readonly winding: Winding;
  /** the finished sheet, where it is made for pieces */
  readonly sheet: SheetForPieces | null;
}

const windingOf = (
  { extraAt, extraMm, stack, plug, inside, fanDepth }: BlendPlanDto,
  tapeWidth: number,
  tapeMm: number,
): Winding => ({
  tapeWidth,
  tapeMm,
  extra: extraAt ? { at: extraAt, length: extraMm ?? 0 } : null,
  tapes: stack ?? 1,
  plug,
  inside,
  fanDepth,
});

/**
 * From the blend as its passes leave it, or as it lies there, to its tape. Unless a setting was chosen it is the
 * thickest whose plug shows no steps; where every one shows them, the thinnest.
 * @param lies what is left of the finished blend; left out: all of it
 */
export function tapePlanOf(plan: BlendPlanDto, rolled: Rolled, fade: Fade, lies?: FinishedBlend): TapePlan {
  const { settings } = rolled;
  const finished =
    lies ??
    finishedBlend(
      { width: plan.width, height: plan.height, layers: plan.layers, mm: rolled.mm },
      passMmOf(plan, rolled),
    );
  const turned = turnedTo(plan.turning ?? 'folded', finished, plan.tapeWidth, settings[0]?.mm ?? ASSUMED_WIDEST);
  const at = (mm: number): { readonly winding: Winding; readonly labs: readonly Lab[]; readonly steps: TurnSteps } => {
    const winding = windingOf(plan, turned.width, mm);
    const { plain, tape, plug } = windUp(
      { width: finished.width, height: finished.length, thickness: finished.mm },
      winding,
    );
    const labs = fadeWithEnd(fade, plain, winding.extra);
    return { winding, labs, steps: turnSteps(labs, plug, tape.thickness * winding.tapes) };
  };
  const choices = settings
    .filter((s) => s.mm <= turned.mm + 1e-9)
    .map((setting): TapeChoice => ({ setting, steps: at(setting.mm).steps }));
  const chosen = settings.find((s) => s.id === plan.tapeSettingId);
  const smooth = choices.find((c) => c.steps.mean <= STEP_NOT_SEEN) ?? choices.at(-1);
  const tapeSetting = chosen ?? smooth?.setting ?? null;
  const mm = tapeSetting?.mm ?? ASSUMED_TAPE;
  return { finished, turned, tapeSetting, mm, choices, sheet: sheetOfPlan(plan, rolled), ...at(mm) };
}
