import { massOf } from '#core/clay';
import { STAGES, type Stage } from '#core/colour';
import {
  RAISED,
  TEXTURES,
  bandOf,
  contrastOf,
  press,
  reliefOf,
  reliefOfPicture,
  rolled,
  shave,
  tiltsAt,
  type GreyPicture,
  type MicaColours,
  type Pressed,
  type Raised,
  type Relief,
  type Rolled,
  type Shaved,
  type Texture,
  type Tilts,
} from '#core/mica';
import { orSentence } from '#core/units';
import type { ReliefClay } from './reliefClay.js';

/** A relief in mica clay as it is planned; lengths in mm. */
export interface ReliefPlan {
  readonly clayId: string;
  /** a translucent clay that it is mixed with 1 : 1; null: it is not */
  readonly translucentId: string | null;
  /** how it is looked at */
  readonly stage: Stage;
  readonly texture: Texture;
  /** the kept picture that it is pressed with instead; null: the texture */
  readonly picture: string | null;
  readonly raised: Raised;
  readonly width: number;
  readonly height: number;
  readonly thick: number;
  readonly pitch: number;
  readonly depth: number;
  /** where the blade goes; null: at the floor of the valleys */
  readonly blade: number | null;
  /** mm that the hand strays */
  readonly strays: number;
  /** rolled to; null: not rolled */
  readonly to: number | null;
  readonly way: Rolled;
}

const BEGIN: Omit<ReliefPlan, 'clayId'> = {
  ...{ translucentId: null, stage: 'baked' },
  ...{ texture: 'seed head', picture: null, raised: 'light' },
  ...{ width: 60, height: 60, thick: 3, pitch: 6, depth: 1 },
  ...{ blade: null, strays: 0, to: null, way: 'by hand' },
};
const NUMBERS = ['width', 'height', 'thick', 'pitch', 'depth', 'blade', 'strays', 'to'] as const;
const WAYS: readonly Rolled[] = ['by hand', 'by machine'];

/** The plan that an address says; what it leaves out is as in the beginning. */
export function planIn(query: URLSearchParams, firstClay: string): ReliefPlan {
  const texture = TEXTURES.find((t) => t === query.get('texture')) ?? BEGIN.texture;
  const way = WAYS.find((w) => w === query.get('way')) ?? BEGIN.way;
  const stage = STAGES.find((s) => s === query.get('stage')) ?? BEGIN.stage;
  const raised = RAISED.find((r) => r === query.get('raised')) ?? BEGIN.raised;
  const picture = query.get('picture');
  const said = NUMBERS.flatMap((key) => {
    const mm = Number(query.get(key) ?? NaN);
    return Number.isFinite(mm) ? [[key, mm] as const] : [];
  });
  return {
    ...BEGIN,
    ...Object.fromEntries(said),
    texture,
    picture,
    raised,
    way,
    stage,
    translucentId: query.get('translucentId'),
    clayId: query.get('clay') ?? firstClay,
  };
}

/** The address of a plan; what is as in the beginning is left out. */
export function queryOf({ clayId, ...plan }: ReliefPlan): URLSearchParams {
  const other = Object.entries(plan).filter(([key, value]) => value !== BEGIN[key as keyof typeof BEGIN]);
  return new URLSearchParams([['clay', clayId], ...other.map(([key, value]) => [key, String(value)])]);
}

/** Cells of the longer side. */
const FINE = 512;
/** Everything that follows from a plan. */
export interface WorkedRelief {
  readonly pressed: Pressed;
  /** heights between which the blade leaves it flat and whole */
  readonly band: readonly [number, number];
  readonly blade: number;
  readonly shaved: Shaved;
  readonly tilts: Tilts;
  readonly before: number;
  /** rolled; the same where it is not */
  readonly shown: Tilts;
  readonly after: number;
  /** g */
  readonly grams: number;
  readonly gramsShaved: number;
  /** mm, after all */
  readonly thick: number;
}

/** The relief of a plan. @param greys of its picture, where it has one @throws Complaint */
function reliefIn({ texture, width, height, pitch, raised }: ReliefPlan, greys: GreyPicture | null): Relief {
  if (greys) return reliefOfPicture(greys, width, raised);
  const columns = Math.max(8, Math.round((FINE * width) / Math.max(width, height)));
  return reliefOf(texture, { width, height }, pitch, columns);
}

/** @returns a sentence where it cannot be */
export function workedRelief(
  plan: ReliefPlan,
  { colours, density, deep }: Omit<ReliefClay, 'name'>,
  greys: GreyPicture | null = null,
): WorkedRelief | string {
  return orSentence(() => {
    const relief = reliefIn(plan, greys);
    const pressed = press(relief, plan.thick, plan.depth);
    const blade = plan.blade ?? pressed.valley;
    const shaved = shave(pressed, { height: blade, strays: plan.strays });
    const tilts = tiltsAt(pressed, shaved.surface, deep);
    const shown = plan.to === null ? tilts : rolled(tilts, Math.min(1, plan.to / shaved.thick), plan.way);
    return {
      ...{ pressed, blade, shaved, tilts, shown },
      band: bandOf(pressed),
      before: contrastOf(tilts, colours),
      after: contrastOf(shown, colours),
      grams: massOf(relief.columns * relief.rows * relief.wide * relief.high * plan.thick, density),
      gramsShaved: massOf(shaved.shaved, density),
      thick: Math.min(shaved.thick, plan.to ?? Infinity),
    };
  });
}

/** What rolling to some thicknesses leaves of the contrast. */
export const contrastsAt = (
  { tilts, shaved }: Pick<WorkedRelief, 'tilts' | 'shaved'>,
  to: readonly number[],
  way: Rolled,
  colours: MicaColours,
): readonly number[] => to.map((mm) => contrastOf(rolled(tilts, Math.min(1, mm / shaved.thick), way), colours));
