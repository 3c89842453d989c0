import { takenNames } from '../../parts/names.js';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Meant, StartColours } from '#core/cane';
import { standAlone } from '#core/formats';
import { sentenceOf } from '#core/units';
import type { BlendCard, CaneCard, CaneDto, ShelfAnswer } from '#contract';
import { readAside } from '../../workers/reading.js';
import { change } from '../../wire/save.js';
import { useGlass } from '../../wire/queries.js';
import { coloursFor, keysHere, mixesNamed, newCane } from './beginnings.js';
import type { Program } from '#core/cane';

const NO_TINTS: readonly string[] = [];

/** Beginning a cane: from steps in one's own colours, or from a file. `colours` is null while no clay is there. */
export function useBeginCane(shelf: ShelfAnswer, blends: readonly BlendCard[], canes: readonly CaneCard[]) {
  const navigate = useNavigate();
  const [wrong, setWrong] = useState<string | null>(null);
  const tints = useGlass().data?.glass ?? NO_TINTS;
  const colours = coloursFor(shelf, blends, tints);
  const taken = takenNames(canes);
  const keep = async (dto: CaneDto): Promise<void> => {
    if (await change('PUT', `/api/canes/${dto.id}`, dto)) void navigate(`/canes/${dto.id}`);
  };
  const begin = (name: string, steps: (c: StartColours) => Program['steps'], meant?: Meant): void => {
    if (!colours) return;
    const cane = newCane(name, steps(colours), taken);
    void keep(meant ? { ...cane, program: { ...cane.program, meant } } : cane);
  };
  const read = async (file: File): Promise<void> => {
    if (!colours) return;
    const cane = await readAside(file, async (reader) => reader.cane(file));
    const program = standAlone(cane, keysHere(cane, { shelf, blends, colours }, await mixesNamed(cane)));
    await keep(newCane(cane.name, program.steps, taken, { program, slices: cane.slices, sliceMm: cane.sliceMm }));
  };
  const take = (file: File): void => {
    setWrong(null);
    read(file).catch((error: unknown) => {
      setWrong(sentenceOf(error));
    });
  };
  return { colours, begin, take, wrong };
}

export type BeginCane = ReturnType<typeof useBeginCane>;
