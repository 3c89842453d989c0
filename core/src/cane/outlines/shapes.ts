import { circle, outlineOf, rectangle, type Outline, type Point } from '#core/outline';

export const SHAPES = [
  'round',
  'square',
  'rectangle',
  'triangle',
  'teardrop',
  'petal',
  'hexagon',
  'half round',
  'drawn',
] as const;
export type ShapeKind = (typeof SHAPES)[number];
/** A shape of any size; `ratio`: width for a height of 1, of those that have one; `points`: of a drawn one. */
export interface Shape {
  readonly shape: ShapeKind;
  readonly ratio?: number;
  readonly points?: readonly Point[];
}

/** Corners of the curved shapes. */
const CURVED = 160;

/** A closed curve by its polar form about some point inside. */
const curve = (at: (t: number) => Point): Outline =>
  outlineOf(Array.from({ length: CURVED }, (_, i) => at((2 * Math.PI * i) / CURVED))).outline;

const polygon = (corners: number, first: number): Outline =>
  outlineOf(
    Array.from({ length: corners }, (_, i): Point => [
      Math.cos(first + (2 * Math.PI * i) / corners),
      Math.sin(first + (2 * Math.PI * i) / corners),
    ]),
  ).outline;

/** Every shape at a size of its own; a press makes it as large as the clay. */
const SHAPE_OUTLINES: Readonly<Record<ShapeKind, (shape: Shape) => Outline>> = {
  round: () => circle(2),
  square: () => rectangle(2, 2),
  rectangle: ({ ratio = 2 }) => rectangle(2 * ratio, 2),
  // its base at the bottom
  triangle: ({ ratio = 2 / Math.sqrt(3) }) =>
    outlineOf([
      [-ratio / 2, 0],
      [ratio / 2, 0],
      [0, 1],
    ]).outline,
  // a point at the top, round at the bottom
  teardrop: ({ ratio = 0.66 }) => curve((t) => [ratio * Math.sin(t) * Math.sin(t / 2) ** 1.4, Math.cos(t)]),
  // a point at each end
  petal: ({ ratio = 0.5 }) =>
    curve((t) => [ratio * Math.sign(Math.sin(t)) * Math.abs(Math.sin(t)) ** 1.5, Math.cos(t)]),
  hexagon: () => polygon(6, 0),
  // flat at the bottom
  'half round': () =>
    outlineOf([
      ...Array.from({ length: CURVED / 2 + 1 }, (_, i): Point => [
        Math.cos((2 * Math.PI * i) / CURVED),
        Math.sin((2 * Math.PI * i) / CURVED),
      ]),
    ]).outline,
  drawn: ({ points = [] }) => outlineOf(points).outline,
};

/** @throws Complaint `cane/outline` */
export const shapeOutline = (shape: Shape): Outline => SHAPE_OUTLINES[shape.shape](shape);
