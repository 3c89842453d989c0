import { useMemo, useState } from 'react';
import { sentenceOf } from '#core/units';
import { withChange, type MosaicDocument } from '#core/mosaic';
import type { MosaicAnswer, MosaicDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { client } from '../../../wire/queries.js';
import { put } from '../../../wire/save.js';
import { usePigments } from '../../../wire/pigments.js';
import { mosaicShades, useMosaicPlan } from '../../../workers/mosaic.js';
import { keepPicture } from '../keptPicture.js';
import { sentMosaic, shadeOf, shadesKnown, wishOf } from './mosaicMoves.js';

/** A mosaic on the bench: each change is saved at once and planned anew. */
export function useMosaic(answer: MosaicAnswer, shelf: ShelfAnswer) {
  const { mosaic } = answer;
  const pigments = usePigments();
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/mosaics/${answer.id}`;
  // as it is by now: changes may come faster than the page is drawn
  const now = (): MosaicAnswer => client.getQueryData<MosaicAnswer>([path]) ?? answer;
  /** @param met revisions that it rests on from now on: they are known before the answer is there */
  const save = (part: Partial<MosaicDto>, met: readonly RevisionAnswer[] = []): void => {
    const dto = { ...sentMosaic(now()), ...part };
    void put<MosaicDto>(path, dto, { ...now(), ...dto, referenced: [...now().referenced, ...met] });
  };
  const change = (part: Partial<MosaicDocument>, met: readonly RevisionAnswer[] = []): void => {
    save({ mosaic: withChange(now().mosaic, part) }, met);
  };
  const attempt = async (what: () => Promise<void>): Promise<void> => {
    setWrong(null);
    try {
      await what();
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  /** Shades follow the picture, the number of colours and the run; what they were made of is looked for anew. */
  const withShades = (part: Partial<MosaicDocument>): Promise<void> =>
    attempt(async () => {
      change(part);
      const { pictureId, colours, run } = now().mosaic;
      if (pictureId === undefined) return;
      const labs = await mosaicShades(pictureId, colours, run);
      const later = now().mosaic;
      const same = later.pictureId === pictureId && later.colours === colours && later.run === run;
      if (same) change({ shades: labs.map(shadeOf) });
    });
  const openPicture = (file: File): Promise<void> =>
    attempt(async () => withShades({ pictureId: await keepPicture(file) }));
  const wish = useMemo(() => wishOf(mosaic), [mosaic]);
  const known = useMemo(() => shadesKnown(answer, shelf, pigments), [answer, shelf, pigments]);
  const plan = useMosaicPlan(wish);
  return { mosaic, wish, plan, known, wrong, save, change, withShades, openPicture };
}

export type OnMosaic = ReturnType<typeof useMosaic>;
