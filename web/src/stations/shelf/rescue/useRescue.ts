import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { MixAnswer, RescuedAnswer, ShelfAnswer } from '#contract';
import { freeName, takenNames } from '../../../parts/names.js';
import type { Written } from '../../../parts/WriteDown.js';
import { today } from '../../../state/today.js';
import { usePigments } from '../../../wire/pigments.js';
import { useAllMixes } from '../../../wire/queries.js';
import { change, useRefusal } from '../../../wire/save.js';
import {
  becomesOf,
  fromOf,
  mixDto,
  onShelf,
  rescuedDto,
  waysFor,
  type Chosen,
  type OnShelf,
  type Saying,
} from './rescuePlan.js';

const asChosen = ({
  other,
  addedGrams,
  drops,
}: {
  other: OnShelf | null;
  addedGrams: number;
  drops: number;
}): Chosen => ({ blockId: other?.block.id ?? null, grams: addedGrams, drops });

/** A block that is brought back: what is said, what helps, what it becomes, and writing it down. */
export function useRescue(own: OnShelf, shelf: ShelfAnswer) {
  const pigments = usePigments();
  const mixes = useAllMixes();
  const navigate = useNavigate();
  const on = today();
  const [said, setSaid] = useState<Saying>(() => ({
    ...{ grams: own.block.leftGrams, from: fromOf(own, on), lostGrams: 0, lostTo: 'tub' },
  }));
  const [picked, setPicked] = useState<Chosen | null>(null);
  const [mixed, setMixed] = useState<{ readonly key: string; readonly revisionId: string } | null>(null);
  const ways = useMemo(() => waysFor(own, said, shelf, pigments, on), [own, said, shelf, pigments, on]);
  const [best] = typeof ways === 'string' ? [] : ways;
  const chosen = picked ?? (best ? asChosen(best) : { blockId: null, grams: 0, drops: 0 });
  const other = onShelf(
    shelf,
    shelf.blocks.find((b) => b.id === chosen.blockId),
  );
  const becomes = becomesOf(own, said, chosen, other, pigments, on);
  const path = `/api/blocks/${own.block.id}/rescued`;
  const refusal = useRefusal(path);
  const name = freeName(`${own.clay.name} with ${other?.clay.name ?? 'softener'}`, takenNames(mixes.data));
  const shows = typeof becomes !== 'string' && becomes.shows && other !== null;
  const key = JSON.stringify([said, chosen]);
  /** of the mix that it is by now; kept once, also where what follows is refused */
  const revision = async (): Promise<string | null> => {
    if (!shows) return null;
    if (mixed?.key === key) return mixed.revisionId;
    const dto = mixDto(own, said, chosen, other, name);
    const kept = await change<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto);
    const revisionId = kept?.revisions.at(-1)?.id ?? null;
    if (revisionId !== null) setMixed({ key, revisionId });
    return revisionId;
  };
  return {
    ...{ said, ways, chosen, other, becomes, refusal, shows, name, pigments },
    say: (part: Partial<Saying>): void => {
      setSaid((now) => ({ ...now, ...part }));
      setPicked(null);
    },
    choose: (way: { other: OnShelf | null; addedGrams: number; drops: number }): void => {
      setPicked(asChosen(way));
    },
    put: (part: Partial<Chosen>): void => {
      setPicked({ ...chosen, ...part });
    },
    write: async (written: Written): Promise<void> => {
      const revisionId = await revision();
      if (shows && revisionId === null) return;
      const answer = await change<RescuedAnswer>('POST', path, rescuedDto(own, said, chosen, written, revisionId));
      if (answer) void navigate(answer.made === 'block' ? `/shelf/${own.clay.id}` : '/shelf/there');
    },
  };
}

export type RescueOf = ReturnType<typeof useRescue>;
