import { massOf } from '#core/clay';
import { materialIn } from '#core/material';
import { usable, type Stage } from '#core/cane';
import { showLength, showLong, showSize, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import type { PlainPlan } from '../../../workers/canePlain.js';
import type { CaneMaterial } from '../clay/materials.js';
import { settingWords, viewOf } from '../steps/index.js';

export const wantedOf = (cane: CaneAnswer): { slices: number; thickness: number } => ({
  slices: cane.slices,
  thickness: cane.sliceMm,
});

/** Ends shorter than this nobody cuts off. */
const HAIR = 0.05;
export const isCut = (stage: Stage): boolean => stage.cut > HAIR;

/** How long a cane is after a step, and what is cut off it then: everywhere in these words. */
export function longWords(stage: Stage, units: UnitSystem): string {
  const pieces = stage.count > 1 ? `, ${stage.count} of them` : '';
  const ends = isCut(stage)
    ? `; ${showLength(stage.cut, units)} cut off each end leave ${showLong(usable(stage), units)}`
    : '';
  return `${showLong(stage.length, units)} long${pieces}${ends}`;
}

/** `40 slices`, or what each of several pieces gives. */
export function slicesWords({ pieces, each }: Pick<PlainPlan, 'pieces' | 'each'>, wanted: number): string {
  if (pieces === 1) return `${wanted} slice${wanted === 1 ? '' : 's'}`;
  const spare = pieces * each - wanted;
  return (
    `${each} slice${each === 1 ? '' : 's'} from each of ${pieces} ` +
    `pieces${spare > 0 ? `, ${spare} more than ${wanted}` : ''}`
  );
}

type Volumes = readonly (readonly [string, number])[];
/** Of something that lies there ready, so many mm are taken. */
export interface Taken {
  readonly sheetId: string;
  readonly lengthMm: number;
  readonly needed: number;
}

/**
 * What is taken of things that lie there ready: what is needed, as far as it goes.
 * @param there mm of each, by its id
 */
export const takenOf = ({ made }: Pick<PlainPlan, 'made'>, there: ReadonlyMap<string, number>): Taken[] =>
  made.map(({ id, length }) => ({ sheetId: id, needed: length, lengthMm: Math.min(length, there.get(id) ?? 0) }));

/** Clay that has to be rolled: what goes in, but for what lies there already. */
export function volumesToRoll(
  { volumes, made }: Pick<PlainPlan, 'volumes' | 'made'>,
  there: ReadonlyMap<string, number>,
): Volumes {
  const ready = new Map<string, number>();
  for (const { id, length, volumes: of } of made) {
    const share = Math.min(1, (there.get(id) ?? 0) / length);
    for (const [key, volume] of of) ready.set(key, (ready.get(key) ?? 0) + share * volume);
  }
  return volumes.flatMap(([key, volume]) => {
    const left = volume - (ready.get(key) ?? 0);
    return left > volume * 1e-6 ? [[key, left] as const] : [];
  });
}

/** Grams of every clay in some volumes, and of each mix and blend that is made of them first. */
export function gramsOf(
  volumes: readonly (readonly [string, number])[],
  materials: ReadonlyMap<string, CaneMaterial>,
): {
  readonly perClay: Map<string, number>;
  readonly mixed: { readonly material: CaneMaterial; readonly grams: number }[];
  readonly total: number;
} {
  const perMaterial = volumes.flatMap(([key, volume]) => {
    const material = materials.get(key);
    return material ? [{ material, grams: massOf(volume, material.density) }] : [];
  });
  const perClay = new Map<string, number>();
  for (const { material, grams } of perMaterial)
    for (const { clayId, mass } of material.shares) perClay.set(clayId, (perClay.get(clayId) ?? 0) + grams * mass);
  return {
    perClay,
    mixed: perMaterial.filter(({ material }) => materialIn(material.key)?.kind !== 'clay'),
    total: perMaterial.reduce((sum, m) => sum + m.grams, 0),
  };
}

/** The canes that a piece is for, outermost first, behind its words. */
export const pathWords = (path: readonly string[]): string => (path.length === 0 ? '' : ` (${path.join(' › ')})`);

/** What one begins with, in words. */
export function startWords(
  start: PlainPlan['starts'][number],
  names: (key: string) => string,
  own: MachineDto | undefined,
  units: UnitSystem,
): string {
  const { step, length, count } = start;
  const words = viewOf(step.do).begins?.(step, { names, own, units, length });
  return words === undefined ? '' : `${times(count)}${words}`;
}

const times = (count: number): string => (count > 1 ? `${count} × ` : '');

export function wrapWords(
  { count, of, thickness, width, length, snake }: PlainPlan['wraps'][number],
  names: (key: string) => string,
  own: MachineDto | undefined,
  units: UnitSystem,
): string {
  const across = showLength(thickness, units);
  if (snake) return `${times(count)}snake of ${names(of)}, ${across} across, ${showLength(length, units)} long`;
  const thick = `${showLength(thickness, units, true)}${settingWords(thickness, own, units)}`;
  return `${times(count)}sheet of ${names(of)}, ${thick}, ${showSize(width, length, units)}`;
}
