import { materialIn } from '#core/material';
import { usable, type Stage } from '#core/cane';
import { thicknesses, translate } from '#core/sheet';
import { showLength, showLong, showSize, type UnitSystem } from '#core/units';
import type { CaneAnswer, MachineDto } from '#contract';
import type { PlainPlan } from '../../workers/cane.worker.js';
import type { CaneMaterial } from './materials.js';

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
  return `${each} slice${each === 1 ? '' : 's'} from each of ${pieces} pieces${spare > 0 ? `, ${spare} more than ${wanted}` : ''}`;
}

type Volumes = readonly (readonly [string, number])[];
/** Of something that lies there ready, so many mm are taken. */
export interface Taken {
  readonly sheetId: string;
  readonly lengthMm: number;
  readonly needed: number;
}

/** What is taken of things that lie there ready: what is needed, as far as it goes. @param there mm of each, by its id */
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
    return material ? [{ material, grams: (volume * material.density) / 1000 }] : [];
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
  const mm = (x: number): string => showLength(x, units);
  const long = (x: number): string => showLong(x, units);
  const { step, length, count } = start;
  const times = count > 1 ? `${count} × ` : '';
  const sheet = (thickness: number): string =>
    `${showLength(thickness, units, true)}${settingWords(thickness, own, units)}`;
  switch (step.do) {
    case 'log':
      return `${times}log of ${names(step.of)}, ${mm(step.diameter)} across, ${long(length)} long`;
    case 'block':
      return `${times}block of ${names(step.of)}, ${showSize(step.width, step.height, units)}, ${long(length)} long`;
    case 'plug':
      return `${times}plug of ${names(step.of)}, ${step.wound === 'rolled' ? `${mm(step.width)} across` : showSize(step.width, step.depth, units)}, ${long(length)} long`;
    case 'roll':
      return `${times}jelly roll: ${step.layers.map((l) => `${names(l.of)} ${sheet(l.thickness)}`).join(', ')}; sheets of ${showSize(step.rolled, length, units)}`;
    case 'loaf':
      return `${times}loaf: ${step.times} × (${step.layers.map((l) => `${names(l.of)} ${sheet(l.thickness)}`).join(', ')}), sheets of ${showSize(step.width, length, units)}`;
    case 'template':
      return `${times}template, ${long(length)} long`;
    default:
      return '';
  }
}

/** Shares of a thickness: off by less a setting is the same, off by more it is not on the machine. Assumptions. */
const [SAME, NOT_THERE] = [0.03, 0.25];

/** `(your 4)`: the setting of one's own machine for a sheet, and how far off it is. */
function settingWords(thickness: number, own: MachineDto | undefined, units: UnitSystem): string {
  if (!own || thicknesses(own).length === 0) return '';
  const { setting, layers, errorMm } = translate({ mm: thickness, sigmaMm: 0 }, own);
  if (Math.abs(errorMm) > NOT_THERE * thickness)
    return ` (not on your machine: your ${setting.label} is ${showLength(setting.mm, units, true)})`;
  const off =
    Math.abs(errorMm) < SAME * thickness
      ? ''
      : `, ${showLength(Math.abs(errorMm), units, true)} ${errorMm > 0 ? 'thicker' : 'thinner'}`;
  return layers === 1 ? ` (your ${setting.label}${off})` : ` (${layers} of your ${setting.label}${off})`;
}

export const wrapWords = (
  wrap: PlainPlan['wraps'][number],
  names: (key: string) => string,
  own: MachineDto | undefined,
  units: UnitSystem,
): string =>
  `${wrap.count > 1 ? `${wrap.count} × ` : ''}sheet of ${names(wrap.step.of)}, ${showLength(wrap.step.thickness, units, true)}${settingWords(wrap.step.thickness, own, units)}, ${showSize(wrap.width, wrap.length, units)}`;
