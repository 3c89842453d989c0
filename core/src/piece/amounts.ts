import type { MaterialKey } from '#core/material';
import type { Mm, Mm3 } from '#core/units';
import type { Part } from './document.js';
import type { LaidPart } from './lying.js';
import { slicesOn } from './shellParts.js';

/** Which clay of a part: its own, or that of its core or its second snake. */
export type Role = 'own' | 'second';

/** What a part takes for one piece. */
export interface PartAmount {
  readonly part: Part;
  readonly role: Role;
  readonly of: MaterialKey | null;
  /** on one piece */
  readonly count: number;
  /** of one of them */
  readonly volume: Mm3;
  /** cut of a sheet so thick; null: rolled by hand */
  readonly sheet: Mm | null;
  /** slices of a cane on each, where slices cover it */
  readonly slices: number | null;
}

function amountsOfPart({ part, solid, lying }: LaidPart): PartAmount[] {
  const { shape } = part;
  if (shape.is === 'finding') return [];
  const slices = shape.is === 'covered' ? slicesOn(shape) : null;
  const own: PartAmount = {
    ...{ part, role: 'own', of: part.of, count: lying.length, volume: solid.volume, slices },
    // a snake for a twist, a ball: no sheet; a wall of slices, a sheet that is laid around
    sheet: solid.sheet,
  };
  if (!('with' in shape)) return [own];
  return [own, { ...own, role: 'second', of: shape.with, volume: solid.second, sheet: null, slices: null }];
}

/** What each part of one piece takes, in the order they are put together; findings apart. */
export const amountsOf = (parts: readonly LaidPart[]): readonly PartAmount[] => parts.flatMap(amountsOfPart);

/** How many of each finding one piece takes, by its id; those that are not chosen yet under null. */
export function findingsOf(parts: readonly LaidPart[]): ReadonlyMap<string | null, number> {
  const counts = new Map<string | null, number>();
  for (const { part, lying } of parts) {
    if (part.shape.is !== 'finding') continue;
    const { finding } = part.shape;
    counts.set(finding, (counts.get(finding) ?? 0) + lying.length);
  }
  return counts;
}

/** A snake that small balls are cut of: each as long as its clay is, of a snake a little thinner than they are. */
export interface CutInBalls {
  readonly snake: Mm;
  readonly length: Mm;
  readonly each: Mm;
}

/** Balls smaller than this are cut of a snake, not punched. */
const SMALL: Mm = 4;
/** A snake for balls is a little thinner than they are, so that its bits are about as long as wide: an assumption. */
const THINNER = 0.9;

/** @param volume mm³ of one ball @returns null where balls are large enough for a cutter */
export function cutInBalls(width: Mm, volume: Mm3, count: number): CutInBalls | null {
  if (width >= SMALL) return null;
  const snake = width * THINNER;
  const each = volume / ((Math.PI / 4) * snake ** 2);
  return { snake, each, length: each * count };
}

/**
 * Across a cutter that punches the clay of one ball of a sheet: `D = √(4V / πt)`.
 * @param sheet mm
 */
export const punchedWith = (volume: Mm3, sheet: Mm): Mm => Math.sqrt((4 * volume) / (Math.PI * sheet));
