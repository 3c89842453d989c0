import type { Gauge, GaugeSays, ProbeSays, ReaderSays } from './devices.js';

export const DEVICES = ['reader', 'calipers', 'scale', 'probe'] as const;
export type Device = (typeof DEVICES)[number];

/** What a device says on the one stream: its own words, or that its connection was lost. It is looked for again. */
export type DeviceSays =
  | { readonly of: 'reader'; readonly says: ReaderSays | { readonly says: 'lost' } }
  | { readonly of: 'probe'; readonly says: ProbeSays | { readonly says: 'lost' } }
  | { readonly of: Gauge; readonly says: GaugeSays | { readonly says: 'lost' } };

/** Something was changed, here or in another window. `change`: the id that the request had. */
export interface ChangeSays {
  readonly of: 'change';
  readonly change: string;
}
/** First on every connection. `start` is another one whenever Sledge was started anew, or took up other data. */
export interface HelloSays {
  readonly of: 'sledge';
  readonly start: string;
}

/** Tablets and phones: one was let in or shut out, or a code was used. */
export interface NetworkSays {
  readonly of: 'network';
}

/** Something at the bench was said by a window. */
export interface BenchSays {
  readonly of: 'bench';
  readonly by: string;
}

/** What GET /api/events says, each as one server-sent event. */
export type StreamSays = HelloSays | ChangeSays | NetworkSays | BenchSays | DeviceSays;
