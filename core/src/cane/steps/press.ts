import { SHAPES, shapeOutline, type Shape } from '#core/cane/outlines';
import { DEGREES, among, number, object, points, type Doing } from '#core/cane/document';
import type { ChangeKind } from './kind.js';
import { handled, pressedTo } from './pressing.js';

/** Pressed to a shape of the same area, turned by so many degrees before. */
export interface PressTo extends Doing<'press'> {
  readonly to: Shape;
  readonly turn: number;
}

export const shape = object({ shape: among(...SHAPES), 'ratio?': number(0.02, 50), 'points?': points });

export const press: ChangeKind<PressTo> = {
  fields: { to: shape, turn: DEGREES },
  change: (state, { to, turn }) => pressedTo(state, shapeOutline(to), turn),
  spoils: true,
  spoilt: (_, before, after) => handled(before, after),
};
