import { useEffect, useMemo, useState } from 'react';
import { keyOf } from '#core/material';
import type { Book } from '#core/mix';
import type { MosaicShade } from '#core/mosaic';
import { sentenceOf } from '#core/units';
import type { MixAnswer, MixDto, RevisionAnswer, ShelfAnswer } from '#contract';
import { useBook } from '../../../state/book.js';
import { asName, freeName, takenNames } from '../../../parts/names.js';
import { useAllMixes, useStock } from '../../../wire/queries.js';
import { change } from '../../../wire/save.js';
import type { PlainInput } from '../../../workers/find.worker.js';
import { useMatches, type Match } from '../../../workers/useFind.js';
import { usePlainClays } from '../../../workers/usePlainClays.js';
import { matchedOf, type Matched } from '../../mixes/palettes/matched.js';
import { threadNear, threadsThere, type ThreadThere } from './threadsThere.js';
import type { OnMosaic } from './useMosaic.js';

/** The search for mixes of all shades that are of nothing yet. */
export interface Matching {
  readonly looking: boolean;
  readonly found: number;
  readonly wrong: string | null;
  readonly begin: () => void;
}

/** Clays in one mix at the most. */
const MOST_CLAYS = 3;
const NONE: readonly PlainInput[] = [];

function mixFor(row: Matched, name: string, wanted: string): MixDto | null {
  if (!row.recipe) return null;
  return {
    ...{ id: crypto.randomUUID(), version: 0, name, note: 'for a mosaic', retired: false },
    ...{ wantedHex: wanted, basis: 'volume' },
    ingredients: row.recipe.ingredients.map(({ parts, of }) => ({ parts: parts.toFraction(), of })),
  };
}

/** A shade by what it is of, and the revisions that are new with it. */
interface Made {
  readonly shade: MosaicShade;
  readonly met: readonly RevisionAnswer[];
}

/** What a shade is of: the clay itself where that is all, or else a new mix on the board. */
async function made(row: Matched, shade: MosaicShade, name: string): Promise<Made> {
  const [only, ...others] = row.recipe?.ingredients ?? [];
  const hex = row.mixHex ?? shade.hex;
  if (only && others.length === 0) return { shade: { ...shade, hex, of: keyOf(only.of) }, met: [] };
  const dto = mixFor(row, name, shade.hex);
  const kept = dto && (await change<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto));
  const newest = kept?.revisions.at(-1);
  if (!kept || !newest) return { shade, met: [] };
  return { shade: { ...shade, hex, of: `mix:${newest.id}` }, met: [newest, ...kept.referenced] };
}

interface Settling {
  /** of the mosaic */
  readonly name: string;
  /** of those that are of nothing yet, in their order */
  readonly matches: readonly Match[];
  readonly there: readonly ThreadThere[];
  /** names that no new mix may have; those that are given are added */
  readonly taken: Set<string>;
  readonly book: Book;
}

/** What all shades are of: what they were of, a thread that lies there, or what was found. */
async function settledShades(
  shades: readonly MosaicShade[],
  { name, matches, there, taken, book }: Settling,
): Promise<readonly Made[]> {
  const settled: Made[] = [];
  let found = 0;
  for (const [i, shade] of shades.entries()) {
    if (shade.of !== undefined) {
      settled.push({ shade, met: [] });
      continue;
    }
    const match = matches[found++] ?? [];
    const thread = threadNear(shade, there);
    if (thread) {
      settled.push({ shade: { ...shade, hex: thread.hex, of: thread.of }, met: [] });
      continue;
    }
    const swatch = { id: '', name: '', l: shade.l, a: shade.a, b: shade.b, share: null };
    const own = freeName(asName(`${name.slice(0, 60)} ${i + 1}`), taken);
    taken.add(own.toLowerCase());
    settled.push(await made(matchedOf(swatch, match, 1, book), shade, own));
  }
  return settled;
}

/** Looks for mixes from the shelf, puts them on the board, and makes the shades of them. */
export function useMatching(name: string, on: OnMosaic, shelf: ShelfAnswer): Matching {
  const [looking, setLooking] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const clays = usePlainClays(shelf, true);
  const book = useBook(shelf, []);
  const mixes = useAllMixes();
  const stock = useStock().data;
  const { shades } = on.mosaic;
  const open = useMemo(() => shades.filter((s) => s.of === undefined), [shades]);
  const inputs = useMemo(
    (): readonly PlainInput[] =>
      looking
        ? open.map(({ l, a, b }) => ({ target: { l, a, b }, grams: 0, mostClays: MOST_CLAYS, locked: [], clays }))
        : NONE,
    [looking, open, clays],
  );
  const matches = useMatches(inputs);
  const found = matches.filter((m) => m !== undefined).length;
  const all = looking && inputs.length > 0 && found === inputs.length;
  const settle = async (): Promise<void> => {
    const there = stock ? threadsThere(stock) : [];
    const taken = new Set(takenNames(mixes.data));
    const settled = await settledShades(shades, { name, matches, there, taken, book });
    on.change(
      { shades: settled.map((s) => s.shade) },
      settled.flatMap((s) => s.met),
    );
    const left = settled.filter(({ shade }) => shade.of === undefined).length;
    setWrong(left > 0 ? `For ${left} of the shades nothing on the shelf comes near.` : null);
  };
  useEffect(() => {
    if (!all) return;
    setLooking(false);
    settle().catch((error: unknown) => {
      setWrong(sentenceOf(error));
    });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what was found belongs to the search that was begun
  }, [all]);
  return {
    ...{ looking, found, wrong },
    begin: () => {
      setWrong(null);
      setLooking(true);
    },
  };
}
