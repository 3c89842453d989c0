import { QueryCache, QueryClient, skipToken, useQuery } from '@tanstack/react-query';
import { Complaint, faultOf } from '#core/units';
import { tellFault } from '../state/faults.js';

/** An answer that got better while it was worked out, and was left before it was done. */
const isUnfinished = (answer: unknown): boolean =>
  typeof answer === 'object' && answer !== null && 'state' in answer && answer.state === 'looking';

/**
 * Answers of the workers, by what they depend on. They follow from their key alone, so none that is done is asked for
 * anew; they go with the last one who looks at them.
 */
export const answers = new QueryClient({
  queryCache: new QueryCache({
    onError: (error) => {
      if (!(error instanceof Complaint)) tellFault(faultOf('something was worked out', error));
    },
  }),
  defaultOptions: {
    queries: {
      retry: false,
      staleTime: ({ state }) => (isUnfinished(state.data) ? 0 : Infinity),
      gcTime: 0,
      networkMode: 'always',
      refetchOnWindowFocus: false,
      refetchOnReconnect: false,
      structuralSharing: false,
    },
  },
});

/** An answer, and what is known of it while it is being worked out. */
export interface Answer<T> {
  /** of an older question until the newer one is answered; undefined before the first, and where nothing is asked */
  readonly value: T | undefined;
  /** it answers the question of now */
  readonly fresh: boolean;
  readonly working: boolean;
  /** why there is no answer, where the person can mend it */
  readonly wrong: Complaint | null;
}

export type Key = readonly (string | number | null)[];

/**
 * The answer to a question.
 * @param key all that the answer depends on
 * @param question null where nothing is asked; the signal is aborted when nobody waits for it any more
 */
export function useAnswer<T>(key: Key, question: ((signal: AbortSignal) => Promise<T>) | null): Answer<T> {
  const { data, error, isPlaceholderData, isFetching } = useQuery<T, Error, T, Key>(
    {
      queryKey: key,
      queryFn: question ? ({ signal }) => question(signal) : skipToken,
      placeholderData: (before: T | undefined) => before as never,
    },
    answers,
  );
  return {
    value: data,
    fresh: data !== undefined && !isPlaceholderData,
    working: isFetching,
    wrong: error instanceof Complaint ? error : null,
  };
}

const numbers = new WeakMap<object, number>();
let numbered = 0;

/** A number for an object that is never changed, for a key: the same for the same object. */
export function numberOf(thing: object): number {
  const known = numbers.get(thing);
  if (known !== undefined) return known;
  numbered += 1;
  numbers.set(thing, numbered);
  return numbered;
}
