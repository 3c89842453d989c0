import { useMemo, useState } from 'react';
import { sentenceOf } from '#core/units';
import { withChange, type MosaicDocument } from '#core/mosaic';
import type { MosaicAnswer, MosaicDto, ShelfAnswer } from '#contract';
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
  const save = (part: Partial<MosaicDto>): void => {
    const dto = { ...sentMosaic(answer), ...part };
    void put<MosaicDto>(`/api/mosaics/${answer.id}`, dto, { ...answer, ...dto });
  };
  const change = (part: Partial<MosaicDocument>): void => {
    save({ mosaic: withChange(mosaic, part) });
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
      const next = { ...mosaic, ...part };
      if (next.pictureId === undefined) {
        change(part);
        return;
      }
      const labs = await mosaicShades(next.pictureId, next.colours, next.run);
      change({ ...part, shades: labs.map(shadeOf) });
    });
  const openPicture = (file: File): Promise<void> =>
    attempt(async () => withShades({ pictureId: await keepPicture(file) }));
  const wish = useMemo(() => wishOf(mosaic), [mosaic]);
  const known = useMemo(() => shadesKnown(answer, shelf, pigments), [answer, shelf, pigments]);
  const plan = useMosaicPlan(wish);
  return { mosaic, wish, plan, known, wrong, save, change, withShades, openPicture };
}

export type OnMosaic = ReturnType<typeof useMosaic>;
