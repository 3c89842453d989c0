import { UNKNOWN_HEX } from '../../../theme/grey.js';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Gains } from '#core/picture';
import { sentenceOf } from '#core/units';
import type { PaletteDto, ShelfAnswer } from '#contract';
import { useBook } from '../../../state/book.js';
import { change, put, say, useRefusal } from '../../../wire/save.js';
import type { PlainInput } from '../../../workers/find.worker.js';
import { askPicture } from '../../../workers/picture.js';
import { useMatches } from '../../../workers/useFind.js';
import { usePlainClays } from '../../../workers/usePlainClays.js';
import { clayForAll, matchedOf } from './matched.js';
import { anew, gainsOf, inLight, mixOf, sharesOf, withColour, type Split } from './paletteMoves.js';

/** What a click into the picture takes: a colour, or the grey that the light is read from. */
export type Purpose = 'colour' | 'neutral';

/** The colours of a palette, as they are taken out of its picture. Each change is saved at once. */
export function usePicking(palette: PaletteDto) {
  const [patch, setPatch] = useState(9);
  const [purpose, setPurpose] = useState<Purpose>('colour');
  const [count, setCount] = useState(6);
  const [wrong, setWrong] = useState<string | null>(null);
  const path = `/api/palettes/${palette.id}`;
  const gains = gainsOf(palette);
  const save = (part: Partial<PaletteDto>): void => {
    const dto = { ...palette, ...part };
    void put<PaletteDto>(path, dto, dto);
  };
  const attempt = async (what: () => Promise<void>): Promise<void> => {
    setWrong(null);
    try {
      await what();
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  const cast = (to: Gains): void => {
    save(inLight(palette, to));
    setPurpose('colour');
  };
  const takeNeutral = async (x: number, y: number): Promise<void> => {
    const to = await askPicture((worker) => worker.neutralAt(x, y, patch));
    if (to) cast(to);
  };
  const takeColour = async (x: number, y: number): Promise<void> => {
    const lab = await askPicture((worker) => worker.colourAt(x, y, patch, gains));
    if (lab) save(withColour(palette, lab));
  };
  const point = (x: number, y: number): Promise<void> =>
    attempt(() => (purpose === 'neutral' ? takeNeutral(x, y) : takeColour(x, y)));
  const again = (): Promise<void> =>
    attempt(async () => {
      save(anew(palette, await askPicture((worker) => worker.palette(count, gains))));
    });
  const turnPurpose = (): void => {
    setPurpose(purpose === 'neutral' ? 'colour' : 'neutral');
  };
  const fields = { patch, setPatch, count, setCount, purpose, turnPurpose };
  return { ...fields, wrong, refusal: useRefusal(path), path, gains, save, cast, point, again };
}

export type Picking = ReturnType<typeof usePicking>;

/** The mix for every colour of a palette, for so much clay in all, and the clay that it takes. */
export function useMixes(palette: PaletteDto, shelf: ShelfAnswer) {
  const navigate = useNavigate();
  const [grams, setGrams] = useState(60);
  const [split, setSplit] = useState<Split>('share');
  const clays = usePlainClays(shelf);
  const book = useBook(shelf, []);
  const inputs = useMemo(
    (): PlainInput[] =>
      palette.swatches.map(({ l, a, b }) => ({ target: { l, a, b }, grams: 0, mostClays: 3, locked: [], clays })),
    [palette.swatches, clays],
  );
  const matches = useMatches(inputs);
  const shares = sharesOf(palette.swatches, split);
  const rows = palette.swatches.map((s, i) => matchedOf(s, matches[i] ?? [], grams * (shares[i] ?? 0), book));
  const done = matches.filter((m) => m !== undefined).length;
  const all = clayForAll(rows).map((c) => ({
    ...c,
    hex: book.clay(c.clayId)?.bakedHex ?? UNKNOWN_HEX,
    short: Math.max(0, c.grams - (clays.find((own) => own.id === c.clayId)?.left ?? 0)),
  }));
  const print = (): void => {
    if (done === rows.length) window.print();
    else say('Wait until a mix is found for every colour.');
  };
  const toBoard = async (): Promise<void> => {
    for (const [i, row] of rows.entries()) {
      const dto = mixOf(palette, row, i);
      if (dto) await change('PUT', `/api/mixes/${dto.id}`, dto);
    }
    void navigate(`/mixes`);
  };
  return { grams, setGrams, split, setSplit, matches, shares, rows, done, all, print, toBoard };
}

export type Mixes = ReturnType<typeof useMixes>;
