import type { Rights } from '#contract';

export const RIGHTS_WORDS: readonly { readonly value: Rights; readonly text: string }[] = [
  { value: 'all', text: 'everything' },
  { value: 'bench', text: 'the bench and the diary' },
];

/** What is photographed: the address, and the words behind the #, where no server is told of them. */
export const codeAddress = (address: string, words: readonly string[]): string => `${address}/in#${words.join('-')}`;

/** `2FA0 77B1 …`: a fingerprint that two people can compare, in groups of four. */
export const inGroups = (fingerprint: string): string[] => fingerprint.replaceAll(':', '').match(/.{1,4}/g) ?? [];
