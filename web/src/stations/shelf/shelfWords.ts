import { FIRMNESSES as ALL, ageInMonths, showAge, type Firmness } from '#core/clay';
import { inOrderOfUse } from '#core/batch';
import type { BlockDto } from '#contract';

export const FIRMNESSES: readonly { readonly value: Firmness; readonly text: string }[] = ALL.map((value) => ({
  value,
  text: value,
}));

/** The blocks of one clay, the one to use first in front. */
export function inOrder(blocks: readonly BlockDto[]): BlockDto[] {
  return inOrderOfUse(blocks).flatMap((b) => blocks.find((own) => own.id === b.id) ?? []);
}

export { ageInMonths, showAge };
