import { complaint } from './sentences.js';

/** A clay of the shelf, by its id. */
export interface OfClay {
  readonly kind: 'clay';
  readonly id: string;
}
/** A mix as one of its revisions has it. */
export interface OfMix {
  readonly kind: 'mix';
  readonly id: string;
}
/** A blend as one of its revisions has it: the whole fade, or, with `at` from 0 to 1, one place on it. */
export interface OfBlend {
  readonly kind: 'blend';
  readonly id: string;
  readonly at?: number;
}
/** Slices of a cane as one of its revisions has it. */
export interface OfCane {
  readonly kind: 'cane';
  readonly id: string;
}
/** A patterned sheet as one of its revisions has it. */
export interface OfPattern {
  readonly kind: 'pattern';
  readonly id: string;
}
/** A thing that was made and lies there, by its own id. */
export interface OfMade {
  readonly kind: 'made';
  readonly id: string;
}
/** A tub of scrap, by its id. */
export interface OfScrap {
  readonly kind: 'scrap';
  readonly id: string;
}

/** What a thing is made of. This is the one way to say it: in core, on the wire and in the data file. */
export type Material = OfClay | OfMix | OfBlend | OfCane | OfPattern | OfMade | OfScrap;
export type MaterialKind = Material['kind'];
/** What is of one colour, and can be a part of a mix. */
export type Mixable = OfClay | OfMix;

/** All kinds, so that one that is missing here does not compile. */
const KINDS: Readonly<Record<MaterialKind, true>> = {
  clay: true,
  mix: true,
  blend: true,
  cane: true,
  pattern: true,
  made: true,
  scrap: true,
};
export const MATERIAL_KINDS = Object.keys(KINDS) as readonly MaterialKind[];

/** A material as text: `clay:<id>`, `mix:<id of the revision>`, `blend:<id>`, `blend:<id>@0.25` … */
export type MaterialKey = `${MaterialKind}:${string}`;

export const ofClay = (id: string): OfClay => ({ kind: 'clay', id });
export const ofMix = (id: string): OfMix => ({ kind: 'mix', id });
export const ofBlend = (id: string, at?: number): OfBlend =>
  at === undefined ? { kind: 'blend', id } : { kind: 'blend', id, at };

const placeOf = (material: Material): string =>
  material.kind === 'blend' && material.at !== undefined ? `@${material.at}` : '';

/** The text of a material; {@link readMaterial} reads it back. */
export const keyOf = (material: Material): MaterialKey => `${material.kind}:${material.id}${placeOf(material)}`;

const KEY = /^([a-z]+):([^\s@]{1,80})(?:@(0|1|0\.\d{1,17}|\d(?:\.\d{1,17})?e-\d{1,3}))?$/;
const isKind = (word: string | undefined): word is MaterialKind => word !== undefined && Object.hasOwn(KINDS, word);

/**
 * The material that a text says; null where it says none.
 * Only a blend has a place.
 */
export function materialIn(text: string): Material | null {
  const [, kind, id, at] = KEY.exec(text) ?? [];
  if (!isKind(kind) || id === undefined) return null;
  if (kind === 'blend') return ofBlend(id, at === undefined ? undefined : Number(at));
  return at === undefined ? { kind, id } : null;
}

/** As {@link materialIn}. @throws Complaint `material/unreadable` */
export function readMaterial(text: string): Material {
  const material = materialIn(text);
  if (!material) throw complaint('material/unreadable', { text: text.slice(0, 80) });
  return material;
}

/** Whether something that came from elsewhere is a material: its kind, its id, and nothing else but a place. */
export function isMaterial(value: unknown): value is Material {
  if (typeof value !== 'object' || value === null || !('kind' in value) || !('id' in value)) return false;
  const { kind, id, ...more } = value;
  const plain = typeof kind === 'string' && isKind(kind) && typeof id === 'string';
  return plain && Object.keys(more).every((field) => field === 'at');
}

export const isKey = (text: string): text is MaterialKey => materialIn(text) !== null;

export const sameMaterial = (a: Material, b: Material): boolean => keyOf(a) === keyOf(b);

/** One case for each kind that a material can be. */
export type Cases<M extends Material, R> = { readonly [K in M['kind']]: (material: Extract<M, { kind: K }>) => R };

/** What the case of its kind makes of a material. A kind without a case does not compile. */
export function match<M extends Material, R>(material: M, cases: Cases<M, R>): R {
  const one = cases[material.kind as M['kind']] as (of: M) => R;
  return one(material);
}

export const isOf = <K extends MaterialKind>(
  material: Material,
  ...kinds: readonly K[]
): material is Extract<Material, { kind: K }> => (kinds as readonly MaterialKind[]).includes(material.kind);
export const isMixable = (material: Material): material is Mixable => isOf(material, 'clay', 'mix');

/** The ids of one kind among materials, each once. */
export const idsOf = (kind: MaterialKind, materials: readonly Material[]): string[] => [
  ...new Set(materials.flatMap((m) => (m.kind === kind ? [m.id] : []))),
];
