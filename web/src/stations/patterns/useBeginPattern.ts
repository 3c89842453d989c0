import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { StartColours } from '#core/cane';
import { caneCalled, patternWith } from '#core/formats';
import { materialIn } from '#core/material';
import { patternMaterials, type PatternStep } from '#core/pattern';
import { sentenceOf } from '#core/units';
import type { BlendCard, CaneCard, PatternCard, PatternDto, ShelfAnswer } from '#contract';
import { takenNames } from '../../parts/names.js';
import { readAside } from '../../workers/reading.js';
import { ask } from '../../wire/ask.js';
import { change } from '../../wire/save.js';
import { coloursFor, keysHere, mixesNamed } from '../canes/beginnings.js';
import { newPattern } from './beginnings.js';

/** Beginning a patterned sheet: in one's own colours, or from a file. `colours` is null while no clay is there. */
export function useBeginPattern(shelf: ShelfAnswer, blends: readonly BlendCard[], patterns: readonly PatternCard[]) {
  const navigate = useNavigate();
  const [wrong, setWrong] = useState<string | null>(null);
  const colours = coloursFor(shelf, blends, []);
  const taken = takenNames(patterns);
  const keep = async (dto: PatternDto): Promise<void> => {
    if (await change('PUT', `/api/patterns/${dto.id}`, dto)) void navigate(`/patterns/${dto.id}`);
  };
  const begin = (name: string, steps: (c: StartColours) => readonly PatternStep[]): void => {
    if (colours) void keep(newPattern(name, steps(colours), taken));
  };
  const read = async (file: File): Promise<void> => {
    if (!colours) return;
    const found = await readAside(file, async (reader) => reader.pattern(file));
    const keys = keysHere(found, { shelf, blends, colours }, await mixesNamed(found));
    const cut = patternMaterials(found.program.steps).filter((key) => materialIn(key)?.kind === 'cane');
    const canes = cut.length > 0 ? await ask<CaneCard[]>('GET', '/api/canes') : [];
    const program = patternWith(found, (old) => (cut.includes(old) ? caneCalled(found, old, canes) : keys(old)));
    await keep(newPattern(found.name, program.steps, taken));
  };
  const take = (file: File): void => {
    setWrong(null);
    read(file).catch((error: unknown) => {
      setWrong(sentenceOf(error));
    });
  };
  return { colours, begin, take, wrong };
}
