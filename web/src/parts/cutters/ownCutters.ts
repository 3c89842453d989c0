import { plainCutter, type Cutter } from '#core/cutter';
import type { OwnCutterDto } from '#contract';

/** A cutter that comes into the drawer. */
export const newCutter = (cutter: Cutter, name: string): OwnCutterDto => ({
  ...plainCutter(cutter),
  id: crypto.randomUUID(),
  version: 0,
  name,
});

const shapeOf = ({ shape, widthMm, heightMm, rimMm, points }: OwnCutterDto): string =>
  JSON.stringify([shape, widthMm, shape === 'round' ? null : heightMm, rimMm ?? null, points ?? null]);

/** The cutter of the drawer that a piece is cut with; undefined where it is none of them. */
export function inDrawer(drawer: readonly OwnCutterDto[], cutter: Cutter): OwnCutterDto | undefined {
  const wanted = shapeOf(newCutter(cutter, ''));
  return drawer.find((own) => shapeOf(own) === wanted);
}
