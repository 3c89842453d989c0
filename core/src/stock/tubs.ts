import { match, sameMaterial, type OfBlend, type OfClay, type OfMix } from '#core/material';
import type { Kind } from '#core/clay';
import type { Grams } from '#core/units';

/**
 * What falls to a tub by itself: its own colour, what is mica throughout, what is translucent throughout, the rest; or
 * nothing, and there is only what was put there.
 */
export const TUB_RULES = ['own', 'mica', 'translucent', 'dark', 'none'] as const;
export type TubRule = (typeof TUB_RULES)[number];

/** What scrap can be of, so that it has a colour of its own. */
export type OwnColour = OfClay | OfMix | OfBlend;

/** What is left over: so much of each, mixed up. */
export interface Scrap {
  readonly of: OwnColour;
  readonly grams: Grams;
}

/** What a tub is for. */
export interface TubFor {
  readonly rule: TubRule;
  /** of a tub for its own colour */
  readonly of: OwnColour | null;
}

/** By mass, as `Known` of the stock has it. */
type Kinds = Readonly<Partial<Record<Kind, number>>>;

/** So much of another kind is no matter: an assumption. */
const HARDLY_ANY = 0.02;

const isAll = (kind: Kind, kinds: Kinds): boolean => (kinds[kind] ?? 0) >= 1 - HARDLY_ANY;

/** The shares of kinds in some scrap, by mass. */
function kindsOf(scrap: readonly Scrap[], kinds: (of: OwnColour) => Kinds): Kinds {
  const whole = scrap.reduce((sum, s) => sum + s.grams, 0);
  const together: Partial<Record<Kind, number>> = {};
  for (const { of, grams } of scrap)
    for (const [kind, share] of Object.entries(kinds(of)) as [Kind, number][])
      together[kind] = (together[kind] ?? 0) + (share * grams) / whole;
  return together;
}

/**
 * Which tub fits: one material goes to its own; of several, mica goes with mica, translucent with translucent, and
 * everything else to the dark one.
 * @param scrap at least one @param kinds of a material, by mass
 */
export function tubFor(scrap: readonly Scrap[], kinds: (of: OwnColour) => Kinds): TubFor {
  const [first, ...others] = scrap;
  if (first && others.every((s) => sameMaterial(s.of, first.of))) return { rule: 'own', of: first.of };
  const all = kindsOf(scrap, kinds);
  if (isAll('mica', all)) return { rule: 'mica', of: null };
  if (isAll('translucent', all)) return { rule: 'translucent', of: null };
  return { rule: 'dark', of: null };
}

/** Whether two tubs are for the same. */
export function sameTub(one: TubFor, other: TubFor): boolean {
  if (one.rule !== other.rule) return false;
  if (one.of === null || other.of === null) return one.of === other.of;
  return sameMaterial(one.of, other.of);
}

/** Whether scrap of some clays comes to a tub by the maker's own rule: it takes all of them. */
export const takesAll = (takes: readonly string[], clays: ReadonlySet<string>): boolean =>
  takes.length > 0 && [...clays].every((id) => takes.includes(id));

/** What a tub is called that is made by itself. @param called what its material is called */
export function tubName({ rule, of }: TubFor, called: (of: OwnColour) => string): string {
  if (of) {
    const name = called(of);
    return match(of, { clay: () => name, mix: () => name, blend: () => `${name}, mixed through` });
  }
  const names = {
    own: 'Scrap',
    mica: 'Mica scrap',
    translucent: 'Translucent scrap',
    dark: 'Dark scrap',
    none: 'Scrap',
  } as const;
  return names[rule];
}
