import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import type { DiaryListAnswer, MixListAnswer, WallAnswer } from '#contract';
import { ask } from './ask.js';

/** Rows that are read at once. */
const PAGE = 60;

/** A list that may be very long: how long, and the rows that were read of it. */
export interface Long<T> {
  readonly total: number;
  /** the row at a place; undefined while it is being read */
  readonly at: (place: number) => T | undefined;
  /** nothing of it was read yet */
  readonly reading: boolean;
  readonly error: Error | null;
}

interface Page<T> {
  readonly total: number;
  readonly rows: readonly T[];
}
type Query = Readonly<Record<string, string>>;
type Rows<A, T> = (answer: A) => readonly T[];

async function readPage<A extends { readonly total: number }, T>(
  path: string,
  query: string,
  page: number,
  rows: Rows<A, T>,
): Promise<Page<T>> {
  const answer = await ask<A>('GET', `${path}?${query}&offset=${page * PAGE}&limit=${PAGE}`);
  return { total: answer.total, rows: rows(answer) };
}

/**
 * Reads of a long list what is seen of it, and its beginning.
 * @param seen first and last place that are on the screen
 */
function useLong<A extends { readonly total: number }, T>(
  path: string,
  query: Query,
  seen: readonly [number, number],
  rows: Rows<A, T>,
): Long<T> {
  const parameters = new URLSearchParams(query).toString();
  const optionsOf = (page: number) => ({
    queryKey: [path, parameters, page],
    queryFn: () => readPage<A, T>(path, parameters, page, rows),
  });
  const first = useQuery({ ...optionsOf(0), placeholderData: keepPreviousData });
  const [from, to] = seen.map((place) => Math.floor(place / PAGE)) as [number, number];
  const pages = Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i).filter((page) => page > 0);
  const further = useQueries({ queries: pages.map(optionsOf) });
  const pageAt = (page: number): Page<T> | undefined => (page === 0 ? first.data : further[pages.indexOf(page)]?.data);
  return {
    total: first.data?.total ?? 0,
    at: (place) => pageAt(Math.floor(place / PAGE))?.rows[place % PAGE],
    reading: first.data === undefined,
    error: first.error,
  };
}

const cardsOf = (answer: MixListAnswer): MixListAnswer['cards'] => answer.cards;
const entriesOf = (answer: DiaryListAnswer): DiaryListAnswer['entries'] => answer.entries;

export const useLongBoard = (query: Query, seen: readonly [number, number]): Long<MixListAnswer['cards'][number]> =>
  useLong('/api/mixes', query, seen, cardsOf);
/** @param near six digits of a colour; null: whatever its colour */
export const useLongDiary = (
  search: string,
  near: string | null,
  seen: readonly [number, number],
): Long<DiaryListAnswer['entries'][number]> =>
  useLong('/api/diary', { search, ...(near === null ? {} : { near }) }, seen, entriesOf);

const picturesOf = (answer: WallAnswer): WallAnswer['pictures'] => answer.pictures;
/** Photographs of all of the diary, the newest first. */
export const useLongWall = (seen: readonly [number, number]): Long<WallAnswer['pictures'][number]> =>
  useLong('/api/diary/wall', {}, seen, picturesOf);
