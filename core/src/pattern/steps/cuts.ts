import { DEGREES, LENGTH, among, whole } from '#core/document';
import { SHAPES, areaOf, scaled, shapeOutline, turned, type ShapeKind } from '#core/cane';
import { withCuts, within, type Body, type Cut } from '#core/pattern/body';
import { MOST_CUTS, type Doing } from '#core/pattern/document';
import { seeded, type Mm } from '#core/units';
import type { ChangeKind } from './kind.js';
import { positive, saltOf, shown, wholeIn } from './measure.js';
import { complaint } from './sentences.js';

export const BLADES = ['lines', 'crossed lines', 'waves', 'rings', 'shapes'] as const;

/**
 * Cut with a blade, or with something pressed in: lines and waves evenly across, rings and shapes where chance puts
 * them. `size`: across a ring or a shape; of waves from the middle to their tops.
 */
export interface Cuts extends Doing<'cuts'> {
  readonly blade: (typeof BLADES)[number];
  readonly number: number;
  readonly depth: Mm;
  readonly degrees: number;
  readonly size: Mm;
  readonly shape?: ShapeKind;
  readonly seed: number;
}

/** Waves are so many times as long as they are high. */
const LONG = 7;
/** How far hands miss a line, as a share of the way to the next. */
const MISSES = 0.25;
/** Pieces narrower than this do not hold together when they are cut right through, mm. */
const HOLDS: Mm = 1.5;

/** Lines across the block, evenly, at an angle. */
function lines(body: Body, step: Cuts, degrees: number, count: number, miss: () => number): Cut[] {
  const turn = (degrees * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const wide = Math.abs(body.width * s) + Math.abs(body.height * c);
  const length = 1.2 * Math.hypot(body.width, body.height);
  const gap = wide / count;
  const swing = step.blade === 'waves' ? step.size : 0;
  return Array.from({ length: count }, (_, n) => {
    const off = (n + 0.5 + MISSES * miss()) * gap - wide / 2;
    return { x: -off * s, y: off * c, degrees: degrees + 2 * miss(), length, swing, wave: LONG * Math.max(swing, 0.1) };
  });
}

/** Rings and shapes, each where chance puts it, turned by chance. */
function pressedIn(body: Body, step: Cuts, chance: () => number): Cut[] {
  const shape = shapeOutline({ shape: step.blade === 'rings' ? 'round' : (step.shape ?? 'teardrop') });
  const unit = scaled(shape, 1 / Math.sqrt(areaOf(shape) / (Math.PI / 4)));
  const all: Cut[] = [];
  for (let tries = 0; all.length < step.number && tries < 50 * step.number; tries++) {
    const [x, y] = [(chance() - 0.5) * body.width, (chance() - 0.5) * body.height];
    if (within(body, x, y)) all.push({ x, y, outline: turned(scaled(unit, step.size), 2 * Math.PI * chance()) });
  }
  return all;
}

function cutsOf(body: Body, step: Cuts, chance: () => number, wobble: number): Cut[] {
  const miss = (): number => (chance() - 0.5) * 2 * wobble;
  if (step.blade === 'rings' || step.blade === 'shapes') return pressedIn(body, step, chance);
  if (step.blade !== 'crossed lines') return lines(body, step, step.degrees, step.number, miss);
  const half = Math.ceil(step.number / 2);
  return [
    ...lines(body, step, step.degrees, half, miss),
    ...lines(body, step, step.degrees + 90, step.number - half, miss),
  ];
}

/** @throws Complaint `pattern/together` */
function checkHolds(body: Body, { blade, number, depth }: Cuts): void {
  const straight = blade === 'lines' || blade === 'crossed lines' || blade === 'waves';
  if (!straight || depth < body.thick) return;
  const along = blade === 'crossed lines' ? number / 2 : number;
  if (Math.max(body.width, body.height) / along < HOLDS) throw complaint('pattern/together', { pieces: number });
}

export const cuts: ChangeKind<Cuts> = {
  fields: {
    blade: among(...BLADES),
    number: whole(0, 100_000),
    depth: LENGTH,
    degrees: DEGREES,
    size: LENGTH,
    'shape?': among(...SHAPES),
    seed: whole(0, 1_000_000),
  },
  times: (step, factor) => ({ ...step, number: Math.max(1, Math.round(step.number * factor)) }),
  to: ['block', 'sheet'],
  change: (body, step, context, at) => {
    wholeIn(step.number, 'The number of cuts', 0, MOST_CUTS);
    positive(step.size, 'The size');
    if (step.depth > body.thick * (1 + 1e-9))
      throw complaint('pattern/too deep', { what: 'The blade', depth: shown(step.depth), thick: shown(body.thick) });
    checkHolds(body, step);
    const all = cutsOf(body, step, seeded(step.seed * 409 + saltOf(context, at)), context.wobble);
    return all.length === 0 ? body : withCuts(body, all, step.depth);
  },
};
