import { useState } from 'react';
import { sentenceOf } from '#core/units';
import type { LetInCard, NetworkAnswer, Rights } from '#contract';
import { ask } from '../../../wire/ask.js';
import { client, useNetworkAnswer } from '../../../wire/queries.js';

const NETWORK = '/api/network';

export interface Network {
  readonly data: NetworkAnswer | undefined;
  readonly error: Error | null;
  readonly wrong: string | null;
  readonly turn: (on: boolean) => Promise<void>;
  readonly makeCode: (rights: Rights) => Promise<void>;
  readonly letCodeGo: () => Promise<void>;
  readonly change: (device: LetInCard) => Promise<void>;
  readonly shutOut: (id: string) => Promise<void>;
}

/** Tablets and phones: none of this is a change of the data, so nothing of it is taken back by undo. */
export function useNetwork(): Network {
  const { data, error } = useNetworkAnswer();
  const [wrong, setWrong] = useState<string | null>(null);
  const send = async (method: string, path: string, body?: object): Promise<void> => {
    setWrong(null);
    try {
      client.setQueryData([NETWORK], await ask<NetworkAnswer>(method, path, body));
    } catch (error_) {
      setWrong(sentenceOf(error_));
    }
  };
  return {
    data,
    error,
    wrong,
    turn: (on) => send('PUT', NETWORK, { on }),
    makeCode: (rights) => send('POST', `${NETWORK}/code`, { rights }),
    letCodeGo: () => send('DELETE', `${NETWORK}/code`),
    change: ({ id, name, rights }) => send('PUT', `${NETWORK}/devices/${id}`, { id, name, rights }),
    shutOut: (id) => send('DELETE', `${NETWORK}/devices/${id}`),
  };
}
