import {
  ONE_OF_MANY,
  areaOf,
  beyond,
  circle,
  extentOf,
  pressedTo,
  reachOf,
  rectangle,
  scaled,
  stretched,
  turnedBy,
  type CaneState,
  type Outline,
} from '#core/cane';
import {
  AIR,
  Grid,
  grownTogether,
  once,
  planArea,
  specked,
  sumOf,
  within,
  type Body,
  type Field,
  type Lying,
} from '#core/pattern/body';
import { inBoth, seeded, showSize, type Mm } from '#core/units';
import { farthestOf, kindsOf, placesOf, type Inlay, type Plan } from './inlayPlaces.js';
import type { PatternContext } from './kind.js';
import { saltOf } from './measure.js';
import { grownBy } from './roll.js';
import { complaint } from './sentences.js';
import { MISSED_BY, TURNED_BY, facesOf, volumesOfSlices, type PlacedSlice } from './slices.js';

/** How everything grows: thicknesses after, and the size of the sheet. */
interface Growth {
  readonly thick: Mm;
  readonly ground: Mm;
  readonly width: Mm;
  readonly height: Mm;
  /** of each kind: its thickness with the ground below it, before and after */
  readonly stacked: readonly Mm[];
  readonly after: readonly Mm[];
}

/** Each region keeps its volume: a slice with the ground below it, and the ground beside. */
export function growthOf(body: Body, step: Inlay, areas: readonly number[], kinds: readonly number[]): Growth {
  const { slices, to, along } = step;
  const stacked = slices.map((s) => s.thickness + body.thick);
  const after = stacked.map((mm) => Math.min(to, mm));
  const ground = Math.min(to, body.thick);
  const whole = planArea(body);
  const covered = kinds.reduce((sum, kind) => sum + (areas[kind] as number), 0);
  const grown = kinds.reduce(
    (sum, kind) => sum + ((areas[kind] as number) * (stacked[kind] as number)) / (after[kind] as number),
    0,
  );
  const [fx, fy] = grownBy((grown + ((whole - covered) * body.thick) / ground) / whole, along);
  const thick = Math.max(ground, ...kinds.map((kind) => after[kind] as number));
  return { thick, ground, width: body.width * fx, height: body.height * fy, stacked, after };
}

/** A slice in the sheet, ready to be looked at. */
interface Rolled extends Lying {
  readonly reach: Float64Array;
  readonly face: CaneState;
  readonly back: number;
  readonly stacked: Mm;
  readonly after: Mm;
}

const planOutline = ({ round, width, height }: Plan): Outline =>
  round ? scaled(circle(1), width, height) : rectangle(width, height);

/** @throws Complaint `pattern/over` */
function checkWithin(body: Body, placed: readonly PlacedSlice[], lying: readonly CaneState[]): void {
  placed.forEach(({ x, y }, i) => {
    const { outline } = lying[i] as CaneState;
    if (outline.points.every(([u, v]) => within(body, (x + u) * 0.999, (y + v) * 0.999))) return;
    const { width, height } = extentOf(outline);
    const size = inBoth((system) => showSize(width, height, system));
    throw complaint('pattern/over', { size, sheet: inBoth((system) => showSize(body.width, body.height, system)) });
  });
}

/** Every slice as it lies in the rolled sheet. @throws Complaint `pattern/over`, `pattern/crowded` */
function rolledIn(body: Body, step: Inlay, context: PatternContext, at: number): readonly Rolled[] {
  const faces = facesOf(step.slices, context);
  const chance = seeded(step.seed * 401 + saltOf(context, at));
  const placed = placesOf(body, step, faces, chance);
  const planned = placed.map(({ kind, degrees }) => turnedBy(faces[kind] as CaneState, degrees));
  // what can be planned can be laid: hands that miss a little are held by the edge
  checkWithin(body, placed, planned);
  const turnedFaces = planned.map((face) => turnedBy(face, TURNED_BY * context.wobble * (2 * chance() - 1)));
  const growth = growthOf(
    body,
    step,
    faces.map((f) => areaOf(f.outline)),
    placed.map((p) => p.kind),
  );
  const missed = (): number => MISSED_BY * context.wobble * (2 * chance() - 1);
  const grown = placed.map(({ kind }, i) => {
    const [fx, fy] = grownBy((growth.stacked[kind] as number) / (growth.after[kind] as number), step.along);
    return stretched(turnedFaces[i] as CaneState, fx, fy);
  });
  const lying = placed.map(({ x, y }, i) => ({
    x: (x + missed()) * (growth.width / body.width),
    y: (y + missed()) * (growth.height / body.height),
    outline: (grown[i] as CaneState).outline,
  }));
  const together = grownTogether(planOutline({ ...body, width: growth.width, height: growth.height }), lying);
  if (!together) throw complaint('pattern/crowded', { slices: placed.length });
  return together.map((one, i) => rolledOne(one, grown[i] as CaneState, placed[i] as PlacedSlice, growth));
}

function rolledOne(one: Lying, grown: CaneState, { kind }: PlacedSlice, { stacked, after }: Growth): Rolled {
  const free = one.outline === grown.outline;
  const face = free ? grown : pressedTo(grown, one.outline, 0, ONE_OF_MANY);
  return {
    ...one,
    face,
    reach: reachOf(one.outline),
    back: Math.sqrt(areaOf(face.outline) / areaOf(one.outline)),
    stacked: stacked[kind] as number,
    after: after[kind] as number,
  };
}

/** The slice that lies at a place, if one does. */
function sliceAt(rolled: readonly Rolled[], plan: Plan): (x: Mm, y: Mm) => Rolled | null {
  const far = rolled.map(({ outline }) => farthestOf(outline));
  const grid = new Grid(
    plan,
    rolled.map((one, i) => (x: Mm, y: Mm) => Math.hypot(x - one.x, y - one.y) - (far[i] as number)),
  );
  return (x, y) => {
    for (const i of grid.at(x, y)) {
      const one = rolled[i] as Rolled;
      if (beyond(one.reach, x - one.x, y - one.y) <= 1) return one;
    }
    return null;
  };
}

/** What lies where: a slice on its share of the ground, or the ground alone. */
function fieldOver(
  ground: Field,
  body: Body,
  growth: Pick<Growth, 'width' | 'height' | 'ground'>,
  at: (x: Mm, y: Mm) => Rolled | null,
  heights: boolean,
): Field {
  const [ix, iy] = [body.width / growth.width, body.height / growth.height];
  return (x, y, z) => {
    const one = at(x, y);
    if (!one) return z > growth.ground ? AIR : ground(x * ix, y * iy, (z * body.thick) / growth.ground);
    if (z > one.after) return AIR;
    const before = (z * one.stacked) / one.after;
    // how the flakes of a slice lie is not known: flat, as the ground below it
    if (heights || before <= body.thick) return ground(x * ix, y * iy, before);
    return one.face.sample((x - one.x) * one.back, (y - one.y) * one.back);
  };
}

/** Slices pressed into a body and rolled. @throws Complaint of a cane, `pattern/over`, `pattern/crowded` */
export function inlaid(body: Body, step: Inlay, context: PatternContext, at: number): Body {
  const kinds = kindsOf(step);
  const rolled = rolledIn(body, step, context, at);
  const areas = facesOf(step.slices, context).map((f) => areaOf(f.outline));
  const growth = growthOf(body, step, areas, kinds);
  const { width, height, thick, ground } = growth;
  const slice = sliceAt(rolled, { ...body, width, height });
  const salt = saltOf(context, at);
  // specks lie in the ground alone, so they are part of it from here on
  const over = (below: Field): Field =>
    fieldOver(specked(body, below, salt), body, growth, slice, context.heights === true);
  const field = over(body.field);
  const { piece, shut: _, top: __, ...whole } = body;
  return {
    ...whole,
    ...{ form: 'sheet', width, height, thick, field, specks: [] },
    ...(piece && { piece: (k: number) => over(piece(k)) }),
    ...(ground < thick && { top: { of: field, at: (x: Mm, y: Mm) => slice(x, y)?.after ?? ground } }),
    volumes: once(() => sumOf([body.volumes(), 1], [volumesOfSlices(step.slices, kinds, context), body.count])),
  };
}
