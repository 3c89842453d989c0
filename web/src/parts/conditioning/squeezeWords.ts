import type { Squeeze } from '#core/clay';

/** What a block does between two fingers: *it …* */
export const SQUEEZE_WORDS: Readonly<Record<Squeeze, string>> = {
  gives: 'gives',
  stiff: 'is stiff',
  cracks: 'cracks',
  crumbles: 'crumbles',
};
