import type { Brittle } from '#core/stock';
import { ofMix } from '#core/material';
import type { Flat } from '#core/mix';
import type { IngredientDto, LearningAnswer, MixAnswer, MixDto, RevisionAnswer } from '#contract';

/** The newest revision of a mix: the one that is changed. */
export const newestOf = (mix: Pick<MixAnswer, 'revisions'>): RevisionAnswer | undefined => mix.revisions.at(-1);

/** A mix as it is sent, with what is changed of it. */
export function mixDto(mix: MixAnswer, newest: RevisionAnswer, part: Partial<MixDto>): MixDto {
  const { id, version, name, note, retired } = mix;
  return { id, version, name, note, retired, basis: newest.basis, ingredients: [...newest.ingredients], ...part };
}

/** The mix as it will be read once that is saved. */
export const mixAfter = (mix: MixAnswer, newest: RevisionAnswer, dto: MixDto, part: Partial<MixDto>): MixAnswer => ({
  ...mix,
  ...part,
  revisions: mix.revisions.map((r) => (r === newest ? { ...r, basis: dto.basis, ingredients: dto.ingredients } : r)),
});

/** Revisions of other mixes among the ingredients of which there is a newer one. */
export const outdatedIn = (
  ingredients: readonly IngredientDto[],
  known: readonly RevisionAnswer[],
): readonly RevisionAnswer[] => ingredients.flatMap((i) => known.find((r) => r.id === i.of.id && !r.newest) ?? []);

/** The ingredients with the newest revision of a mix in place of an old one, among those that are known. */
export function withNewer(
  ingredients: readonly IngredientDto[],
  old: RevisionAnswer,
  known: readonly RevisionAnswer[],
): IngredientDto[] {
  const newest = known.find((r) => r.mixId === old.mixId && r.newest) ?? old;
  return ingredients.map((i) => (i.of.id === old.id ? { ...i, of: ofMix(newest.id) } : i));
}

/** What a prediction rests on, in words. */
export function trustWords(flat: Flat, learning: LearningAnswer | undefined): string {
  const learned = learning?.use ? learning.learned : null;
  const known = flat.shares.filter(({ clay }) => (learned?.[clay.id]?.chips ?? 0) > 0).length;
  if (known === 0) return 'predicted; strengths assumed';
  return known < flat.shares.length ? 'predicted; strengths partly learned' : 'predicted as your chips taught';
}

/** How a mix will hold after baking. */
export function brittleWords({ share, assumed }: Brittle): string {
  const about = assumed ? '~' : '';
  if (share < 0.005) return `${about}flexible baked`;
  return share > 0.995 ? `${about}brittle baked` : `${about}${Math.round(100 * share)} % brittle baked`;
}
