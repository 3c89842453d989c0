import {
  QueryCache,
  QueryClient,
  keepPreviousData,
  notifyManager,
  useInfiniteQuery,
  useQuery,
  type UseQueryResult,
} from '@tanstack/react-query';
import type { Begun } from '#core/begin';
import type { Lab } from '#core/colour';
import { Complaint, faultOf } from '#core/units';
import type {
  ArchiveAnswer,
  BakesAnswer,
  BatchAnswer,
  BatchCard,
  BlendAnswer,
  BlendCard,
  CaneAnswer,
  CaneCard,
  CaneLookAnswer,
  ChangesAnswer,
  ConditionedAnswer,
  DaysAnswer,
  DaysRuleDto,
  DescentAnswer,
  DiaryAnswer,
  DrawerAnswer,
  FindingsAnswer,
  PieceModelsAnswer,
  LearningAnswer,
  MachinesAnswer,
  MeAnswer,
  NetworkAnswer,
  MixAnswer,
  MixListAnswer,
  MonthsAnswer,
  MosaicAnswer,
  MosaicCard,
  NearMixAnswer,
  UsedInAnswer,
  OvensAnswer,
  PaletteCard,
  PaletteDto,
  PatternAnswer,
  PatternCard,
  PatternLookAnswer,
  PlanAnswer,
  MadeAnswer,
  ShelfAnswer,
  ShoppingAnswer,
  StockAnswer,
  TaughtAnswer,
  GardenAnswer,
  GlassAnswer,
  TakeOutAnswer,
  WholeAnswer,
} from '#contract';
import { NoAnswer, ShutOut, ask } from './ask.js';
import { changesMade, isQuiet, resume, tryNow, whenSettled } from './outbox.js';
import { own } from './own.js';
import { listen } from './stream.js';
import { tellFault } from '../state/faults.js';

// what is shown follows a change at once, so that the next key press counts on from it
notifyManager.setScheduler(queueMicrotask);

/** What the server knows, by the address it is read from. */
export const client = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      if (!(error instanceof Complaint)) tellFault(faultOf('something was read', error));
    },
  }),
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof NoAnswer && !(error instanceof ShutOut) && count < 1000,
      retryDelay: (count) => Math.min(10_000, 500 * 2 ** count),
      refetchOnWindowFocus: () => isQuiet(),
      networkMode: 'always',
    },
  },
});

let timesAnew = 0;
/** Reads all that is shown anew, since something under it was changed. */
export function readAllAnew(): Promise<void> {
  timesAnew += 1;
  return client.invalidateQueries();
}

whenSettled(({ method, path, answer, more }) => {
  if (more) return;
  // only what is put is the thing that stands at its address
  if (method === 'PUT' && answer !== undefined && typeof answer === 'object' && client.getQueryData([path]))
    client.setQueryData([path], answer);
  if (isQuiet()) void readAllAnew();
});
resume();

/** ms that are waited for more changes of another window before all is read anew. */
const GATHER = 60;
let reading: ReturnType<typeof setTimeout> | null = null;

function readAnew(): void {
  reading ??= setTimeout(() => {
    reading = null;
    // where something is on its way, all is read when it is there
    if (isQuiet()) void readAllAnew();
  }, GATHER);
}

/** Reads anew who was let in, and whether this is still one of them. */
function askWho(): void {
  for (const path of ['/api/network', '/api/network/me']) void client.invalidateQueries({ queryKey: [path] });
}

/** Follows what other windows change, and what was changed while the way to Sledge was lost. */
export function followChanges(): void {
  let start: string | null = null;
  listen((says) => {
    if (says.of === 'change' && !own.has(says.change)) readAnew();
    if (says.of === 'network') askWho();
    // a stream that ends may be one that was shut out
    if (says.of === 'way' && !says.open) askWho();
    if (says.of !== 'sledge') return;
    tryNow();
    if (start !== null) readAnew();
    start = says.start;
  });
}

/** So often a first reading begins again where all is read anew meanwhile. */
const MOST_READINGS = 4;

/** What is read while the person goes on changing it is older than what is on the screen, and is let go. */
export async function readUnlessChanged<T>(path: string): Promise<T> {
  for (let reading = 1; ; reading++) {
    const [before, anew] = [changesMade(), timesAnew];
    const answer = await ask<T>('GET', path);
    const shown = client.getQueryData<T>([path]);
    // what reads all anew does not reach what is read for the first time just now: that asks once more by itself
    if (shown === undefined && timesAnew !== anew && reading < MOST_READINGS) continue;
    return changesMade() === before ? answer : (shown ?? answer);
  }
}

const useRead = <T>(path: string, enabled = true): UseQueryResult<T> =>
  useQuery({ queryKey: [path], queryFn: () => readUnlessChanged<T>(path), enabled });

export const useShelf = (): UseQueryResult<ShelfAnswer> => useRead('/api/shelf');
/** Mixes that a clay is used in; asked for when the clay is opened. */
export const useUsedIn = (clayId: string): UseQueryResult<UsedInAnswer> => useRead(`/api/clays/${clayId}/used-in`);
/** What there is so far; not asked any more once the diary has something. */
export const useBegun = (): UseQueryResult<Begun> =>
  useQuery<Begun>({
    queryKey: ['/api/begun'],
    queryFn: () => readUnlessChanged<Begun>('/api/begun'),
    enabled: ({ state }) => (state.data?.entries ?? 0) === 0,
  });
export const useMachines = (): UseQueryResult<MachinesAnswer> => useRead('/api/machines');
export const useMix = (id: string | undefined): UseQueryResult<MixAnswer> =>
  useRead(`/api/mixes/${id ?? ''}`, id !== undefined);
export const useBatches = (): UseQueryResult<readonly BatchCard[]> => useRead('/api/batches');
export const useBatch = (id: string | undefined): UseQueryResult<BatchAnswer> =>
  useRead(`/api/batches/${id ?? ''}`, id !== undefined);
/** @param counts ids of kinds with how many are finished; null: nobody asks */
export const usePartPlan = (id: string, counts: string | null): UseQueryResult<PlanAnswer> =>
  useRead(`/api/batches/${id}/part?made=${counts ?? ''}`, counts !== null);
export const useEntry = (id: string | undefined): UseQueryResult<DiaryAnswer> =>
  useRead(`/api/diary/${id ?? ''}`, id !== undefined);
/** Mixes on the board, as many as one looks through. */
export const useManyMixes = (): UseQueryResult<MixListAnswer> => useRead('/api/mixes?limit=500');
export const useMonths = (): UseQueryResult<MonthsAnswer> => useRead('/api/diary/months');
/** A finished piece and all that it was made of. */
export const useDescent = (entryId: string): UseQueryResult<DescentAnswer> => useRead(`/api/diary/${entryId}/descent`);
export const useTaught = (): UseQueryResult<TaughtAnswer> => useRead('/api/taught');
export const useLearning = (): UseQueryResult<LearningAnswer> => useRead('/api/learning');
export const useGarden = (): UseQueryResult<GardenAnswer> => useRead('/api/garden');
export const usePalettes = (): UseQueryResult<readonly PaletteCard[]> => useRead('/api/palettes');
export const usePalette = (id: string | undefined): UseQueryResult<PaletteDto> =>
  useRead(`/api/palettes/${id ?? ''}`, id !== undefined);
export const useBlends = (): UseQueryResult<readonly BlendCard[]> => useRead('/api/blends');
export const useBlendOf = (id: string | undefined): UseQueryResult<BlendAnswer> =>
  useRead(`/api/blends/${id ?? ''}`, id !== undefined);
export const useCanes = (enabled = true): UseQueryResult<readonly CaneCard[]> => useRead('/api/canes', enabled);
export const useCaneOf = (id: string | undefined): UseQueryResult<CaneAnswer> =>
  useRead(`/api/canes/${id ?? ''}`, id !== undefined);
export const useCaneLook = (revisionId: string | null): UseQueryResult<CaneLookAnswer> =>
  useRead(`/api/canes/revisions/${revisionId ?? ''}`, revisionId !== null);
export const usePatterns = (enabled = true): UseQueryResult<readonly PatternCard[]> =>
  useRead('/api/patterns', enabled);
/** What a revision of a patterned sheet looks like. */
export const usePatternLook = (revisionId: string | null): UseQueryResult<PatternLookAnswer> =>
  useRead(`/api/patterns/revisions/${revisionId ?? ''}`, revisionId !== null);
export const usePatternOf = (id: string | undefined): UseQueryResult<PatternAnswer> =>
  useRead(`/api/patterns/${id ?? ''}`, id !== undefined);
/** The mix that looks most like a colour. */
export const useMosaics = (): UseQueryResult<readonly MosaicCard[]> => useRead('/api/mosaics');
export const useMosaicOf = (id: string | undefined): UseQueryResult<MosaicAnswer> =>
  useRead(`/api/mosaics/${id ?? ''}`, id !== undefined);
export const useNearMix = ({ l, a, b }: Lab): UseQueryResult<NearMixAnswer> =>
  useRead(`/api/mixes/near?l=${l.toFixed(2)}&a=${a.toFixed(2)}&b=${b.toFixed(2)}`);
export const useSheets = (): UseQueryResult<readonly MadeAnswer[]> => useRead('/api/sheets');
/** What lies there, tubs of scrap, and where all the clay is. */
export const useStock = (enabled = true): UseQueryResult<StockAnswer> => useRead('/api/stock', enabled);
/** What of all open batches goes into the oven. */
export const useBakes = (): UseQueryResult<BakesAnswer> => useRead('/api/bakes');
/** Ovens of one's own. */
export const useOvens = (): UseQueryResult<OvensAnswer> => useRead('/api/ovens');
/** What is done in all open batches. */
export const useDaysAnswer = (): UseQueryResult<DaysAnswer> => useRead('/api/days');
/** When one is free, and what was put where by hand. */
export const useDaysRule = (): UseQueryResult<DaysRuleDto> => useRead('/api/days/rule');
/** Pieces of one's own to be used again. */
export const usePieceModels = (): UseQueryResult<PieceModelsAnswer> => useRead('/api/pieces/models');
/** Metal parts and cords that lie there. */
export const useFindings = (): UseQueryResult<FindingsAnswer> => useRead('/api/pieces/findings');
/** The drawer of cutters. */
export const useDrawer = (): UseQueryResult<DrawerAnswer> => useRead('/api/cutters');
/** What all open batches need together, and some canes and blends, against the shelf. */
export function useShopping(
  canes: readonly string[] = [],
  blends: readonly string[] = [],
): UseQueryResult<ShoppingAnswer> {
  const asked = [
    ...(canes.length > 0 ? [`canes=${canes.join(',')}`] : []),
    ...(blends.length > 0 ? [`blends=${blends.join(',')}`] : []),
  ];
  return useRead(asked.length > 0 ? `/api/shopping?${asked.join('&')}` : '/api/shopping');
}
/** All mixes with their recipes and their predicted colours. */
export const useAllMixes = (): UseQueryResult<TakeOutAnswer> => useRead('/api/exchange/mixes');
/** Tinted glass that a lace can be begun with. */
export const useGlass = (): UseQueryResult<GlassAnswer> => useRead('/api/glass');
export const useConditioned = (): UseQueryResult<ConditionedAnswer> => useRead('/api/conditioned');
export const useArchive = (): UseQueryResult<ArchiveAnswer> => useRead('/api/archive');
/** Who asks: the computer itself, or a device that was let in. */
export const useMe = (): UseQueryResult<MeAnswer> => useRead('/api/network/me');
export const useNetworkAnswer = (): UseQueryResult<NetworkAnswer> => useRead('/api/network');
/** Everything as one ZIP, on its way out or in; asked for again and again while it is. */
export const useWholeAnswer = (): UseQueryResult<WholeAnswer> =>
  useQuery({
    queryKey: [WHOLE],
    queryFn: () => ask<WholeAnswer>('GET', WHOLE),
    refetchInterval: ({ state }) => (state.data?.state === 'running' ? LOOK_EVERY : false),
  });
const WHOLE = '/api/archive/whole';
/** ms after which it is asked how far it is. */
const LOOK_EVERY = 400;
export const useChanges = (): UseQueryResult<ChangesAnswer> => useRead('/api/changes');

const PAGE = 60;

function usePages<T extends { readonly total: number }>(
  path: string,
  query: Readonly<Record<string, string>>,
  count: (page: T) => number,
) {
  const parameters = new URLSearchParams(query).toString();
  return useInfiniteQuery({
    queryKey: [path, parameters],
    queryFn: ({ pageParam }) => ask<T>('GET', `${path}?${parameters}&offset=${pageParam}&limit=${PAGE}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const read = pages.reduce((sum, page) => sum + count(page), 0);
      return read < last.total ? read : undefined;
    },
    placeholderData: keepPreviousData,
  });
}

export const useMixCards = (query: Readonly<Record<string, string>>) =>
  usePages<MixListAnswer>('/api/mixes', query, (page) => page.cards.length);
