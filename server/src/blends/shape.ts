import type { Layout } from '#core/blend';
import type { BlendPlanDto } from '#contract';

/** How a blend is cut and wound up, as its revision keeps it: colours and settings stand in columns beside it. */
export type Shape = Omit<BlendPlanDto, 'colours' | 'settingId' | 'tapeSettingId'>;

/** The form that is written now. Those before it had no number: they are read as the first. */
export const SHAPE_VERSION = 1;

/** A shape as it stands in the file. */
export type KeptShape = Shape & { readonly version?: number };

/** A shape was written by a Sledge that knows more. */
export class NewerShape extends Error {}

export const keptShape = (shape: Shape): KeptShape => ({ version: SHAPE_VERSION, ...shape });

/** The shape that a revision keeps. @throws NewerShape */
export function readShape({ version = SHAPE_VERSION, ...shape }: KeptShape): Shape {
  if (version > SHAPE_VERSION)
    throw new NewerShape(`A blend is kept in form ${version}; this Sledge knows ${SHAPE_VERSION}.`);
  return shape;
}

/** The sheet and its cuts. */
export const layoutIn = ({ width, height, cuts }: Pick<BlendPlanDto, 'width' | 'height' | 'cuts'>): Layout => ({
  width,
  height,
  cuts: cuts.map((c) => c.points),
});
