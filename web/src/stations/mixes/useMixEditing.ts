import { useMemo, useState } from 'react';
import { attempt } from '#core/units';
import { colourOf, flatten, type Book, type Flat, type MixColour } from '#core/mix';
import type { IngredientDto, MixAnswer, MixDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { recipeOf, useBook } from '../../state/book.js';
import { useTile } from '../../state/tile.js';
import type { Refused } from '../../wire/ask.js';
import { usePigments } from '../../wire/pigments.js';
import { put, useRefusal } from '../../wire/save.js';
import type { Predicted } from './Chips.js';
import { mixAfter, mixDto, newestOf } from './mixMoves.js';
import { namedIn, type Named } from './mixNames.js';

/** A revision of a mix, worked out; a sentence where it cannot be. */
export type WorkedMix =
  | { readonly flat: Flat; readonly baked: MixColour; readonly raw: MixColour; readonly wrong: null }
  | { readonly flat: null; readonly wrong: string };

/** A mix on the tile: the revision that is shown, what is worked out of it, and what can be done with it. */
export interface MixEditing {
  readonly mix: MixAnswer;
  readonly shelf: ShelfAnswer;
  readonly book: Book;
  /** revisions that are known by their id, of this mix and of those it uses */
  readonly known: readonly RevisionAnswer[];
  readonly shown: RevisionAnswer;
  /** an older recipe is looked at */
  readonly old: boolean;
  readonly worked: WorkedMix;
  readonly predicted: Predicted;
  readonly refusal: Refused | undefined;
  readonly named: (ingredient: IngredientDto | undefined) => Named;
  readonly save: (part: Partial<MixDto>) => void;
  /** another revision is looked at; null: the newest */
  readonly look: (revisionId: string | null) => void;
  /** revisions that were just picked, until the server's answer brings them along */
  readonly meet: (revisions: readonly RevisionAnswer[]) => void;
  readonly carry: () => void;
}

/** The revision worked out, raw and baked. */
function useWorked(shown: RevisionAnswer | undefined, book: Book): WorkedMix {
  const pigments = usePigments();
  return useMemo((): WorkedMix => {
    return attempt(
      (): WorkedMix => {
        const flat = flatten(recipeOf(shown?.basis ?? 'volume', shown?.ingredients ?? []), book, shown?.id);
        const [baked, raw] = [colourOf(flat, 'baked', pigments), colourOf(flat, 'raw', pigments)];
        return { flat, baked, raw, wrong: null };
      },
      (wrong) => ({ flat: null, wrong: wrong.message }),
    );
  }, [shown, book, pigments]);
}

/** @returns null where the mix has no recipe */
export function useMixEditing(mix: MixAnswer, shelf: ShelfAnswer): MixEditing | null {
  const [seen, setSeen] = useState<string | null>(null);
  const [picked, setPicked] = useState<readonly RevisionAnswer[]>([]);
  const newest = newestOf(mix);
  const shown = mix.revisions.find((r) => r.id === seen) ?? newest;
  const known = useMemo(() => [...mix.revisions, ...mix.referenced, ...picked], [mix, picked]);
  const book = useBook(shelf, known);
  const path = `/api/mixes/${mix.id}`;
  const refusal = useRefusal(path);
  const toTile = useTile((s) => s.put);
  const pigments = usePigments();
  const worked = useWorked(shown, book);
  if (!shown || !newest) return null;
  return {
    ...{ mix, shelf, book, known, shown, worked, refusal },
    old: shown !== newest,
    predicted: (revisionId, stage) => {
      const recipe = book.recipe(revisionId);
      return recipe ? colourOf(flatten(recipe, book), stage, pigments).lab : null;
    },
    named: (ingredient) => namedIn(ingredient, shelf, known),
    save: (part) => {
      const dto = mixDto(mix, newest, part);
      setSeen(null);
      void put(path, dto, mixAfter(mix, newest, dto, part));
    },
    look: setSeen,
    meet: (revisions) => {
      setPicked((before) => [...before, ...revisions]);
    },
    carry: () => {
      if (!worked.flat) return;
      toTile({ kind: 'mix', id: mix.id, revisionId: newest.id, name: mix.name, hexes: [worked.baked.hex] });
    },
  };
}
