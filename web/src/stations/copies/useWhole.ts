import { useState } from 'react';
import { sentenceOf } from '#core/units';
import type { WholeAnswer } from '#contract';
import { NoAnswer, ask } from '../../wire/ask.js';
import { allSaved } from '../../wire/outbox.js';
import { client, useWholeAnswer } from '../../wire/queries.js';

const WHOLE = '/api/archive/whole';

/** Everything as one ZIP: how far it is, and what can be done. */
export interface Whole {
  readonly now: WholeAnswer | undefined;
  readonly wrong: string | null;
  readonly write: () => Promise<void>;
  readonly open: (file: File) => Promise<void>;
  readonly stop: () => Promise<void>;
}

export function useWhole(): Whole {
  const { data: now } = useWholeAnswer();
  const [wrong, setWrong] = useState<string | null>(null);
  const send = async (method: string, path: string, body?: File): Promise<void> => {
    setWrong(null);
    try {
      if (!(await allSaved()))
        throw new NoAnswer('What you entered is not saved yet. Wait until it is, then do this again.');
      client.setQueryData([WHOLE], await ask<WholeAnswer>(method, path, body));
    } catch (error) {
      setWrong(sentenceOf(error));
    }
  };
  return {
    ...{ now, wrong },
    write: () => send('POST', `${WHOLE}/out`),
    open: (file) => send('POST', `${WHOLE}/in?name=${encodeURIComponent(file.name)}`, file),
    stop: () => send('DELETE', WHOLE),
  };
}
