import type { Point } from '#core/outline';
import type { Lying } from '#core/piece';

const number = (value: number): string => String(Math.round(value * 100) / 100);
const place = ([x, y]: Point): string => `${number(x)} ${number(-y)}`;

/** A closed line for SVG, whose y goes down. */
export const closedPath = (points: readonly Point[]): string => `M${points.map(place).join('L')}Z`;
export const openPath = (points: readonly Point[]): string => `M${points.map(place).join('L')}`;

/** An outline with an opening in it. */
export const pathWith = (outline: readonly Point[], opening: readonly Point[] | null): string =>
  opening ? `${closedPath(outline)}${closedPath(opening)}` : closedPath(outline);

/** From a part's own places to those of the piece, y down. */
export const movedTo = ({ x, y, degrees, flip }: Lying): string =>
  `translate(${number(x)} ${number(-y)}) rotate(${number(-degrees)})${flip ? ' scale(-1 1)' : ''}`;
