import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { IngredientDto, MixAnswer, MixDto } from '#contract';
import { change, useSaid } from '../../wire/save.js';

/** Puts a new mix on the board, by volume, and goes to it; `wrong` is the sentence where it was refused. */
export function useMakeMix(): {
  readonly make: (name: string, ingredients: readonly IngredientDto[], more?: { readonly note?: string; readonly replace?: boolean }) => Promise<void>;
  readonly wrong: string | null;
  readonly forget: () => void;
} {
  const navigate = useNavigate();
  const [wrong, setWrong] = useState<string | null>(null);
  return {
    wrong,
    forget: () => { setWrong(null); },
    make: async (name, ingredients, { note = '', replace = false } = {}) => {
      const dto: MixDto = { id: crypto.randomUUID(), version: 0, name, note, retired: false, basis: 'volume', ingredients: [...ingredients] };
      const path = `/api/mixes/${dto.id}`;
      if (await change<MixAnswer>('PUT', path, dto)) void navigate(`/mixes/${dto.id}`, { replace });
      else setWrong(useSaid.getState().refused[path]?.message ?? null);
    },
  };
}
