import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Basis } from '#core/mix';
import type { IngredientDto, MixAnswer, MixDto } from '#contract';
import { change, useSaid } from '../../wire/save.js';

interface More {
  readonly note?: string;
  readonly replace?: boolean;
  readonly wantedHex?: string | null;
  readonly basis?: Basis;
}

/**
 * Puts a new mix on the board, by volume unless said otherwise, and goes to it; `wrong` is the sentence where it
 * was refused.
 */
export function useMakeMix(): {
  readonly make: (name: string, ingredients: readonly IngredientDto[], more?: More) => Promise<void>;
  readonly wrong: string | null;
  readonly forget: () => void;
} {
  const navigate = useNavigate();
  const [wrong, setWrong] = useState<string | null>(null);
  return {
    wrong,
    forget: () => {
      setWrong(null);
    },
    make: async (name, ingredients, { note = '', replace = false, wantedHex = null, basis = 'volume' } = {}) => {
      const dto: MixDto = {
        id: crypto.randomUUID(),
        version: 0,
        name,
        note,
        retired: false,
        wantedHex,
        basis,
        ingredients: [...ingredients],
      };
      const path = `/api/mixes/${dto.id}`;
      if (await change<MixAnswer>('PUT', path, dto)) void navigate(`/mixes/${dto.id}`, { replace });
      else setWrong(useSaid.getState().refused[path]?.message ?? null);
    },
  };
}
