import { transferHandlers, type TransferHandler } from 'comlink';
import { Complaint, Fault } from '#core/units';

/** What a worker threw, as it crosses to the window. */
type Crossing =
  | {
      readonly of: 'complaint';
      readonly code: string;
      readonly sentence: string;
      readonly at: number | undefined;
      readonly choices: readonly string[];
    }
  | { readonly of: 'fault'; readonly message: string; readonly stack: string | undefined };

interface Thrown {
  readonly value: unknown;
}

function crossing(thrown: unknown): Crossing {
  if (thrown instanceof Complaint) {
    const { code, message, at, choices } = thrown;
    return { of: 'complaint', code, sentence: message, at, choices };
  }
  const error = thrown instanceof Error ? thrown : new Error(String(thrown));
  return { of: 'fault', message: error.message, stack: error.stack };
}

function arrived(crossed: Crossing): Error {
  if (crossed.of === 'complaint')
    return new Complaint(crossed.code, crossed.sentence, crossed.at, [...crossed.choices]);
  const cause = new Error(crossed.message);
  if (crossed.stack !== undefined) cause.stack = crossed.stack;
  return new Fault('something was worked out', cause);
}

/**
 * What is thrown in a worker arrives as what it was: complaints with their place and their choices, all else as a
 * fault. Both ends install it.
 */
export function keepComplaints(): void {
  const usual = transferHandlers.get('throw') as TransferHandler<Thrown, unknown>;
  transferHandlers.set('throw', {
    canHandle: usual.canHandle.bind(usual),
    serialize: ({ value }: Thrown) => [crossing(value), []],
    deserialize: (crossed: Crossing): never => {
      throw arrived(crossed);
    },
  } as TransferHandler<Thrown, Crossing>);
}
