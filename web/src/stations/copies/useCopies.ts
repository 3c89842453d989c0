import { useState } from 'react';
import { sentenceOf } from '#core/units';
import type { ArchiveAnswer, CheckedCopy } from '#contract';
import { NoAnswer, Refused, ask } from '../../wire/ask.js';
import { allSaved } from '../../wire/outbox.js';
import { client, useArchive } from '../../wire/queries.js';

const ARCHIVE = '/api/archive';
const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, ms);
  });
const LOOK_EVERY = 200;

/** Waits until Sledge answers again after it has taken up other data, and then shows all of it anew. */
async function comeBack(): Promise<void> {
  for (;;) {
    await pause(LOOK_EVERY);
    try {
      await ask('GET', '/api/health');
      break;
    } catch (error) {
      if (!(error instanceof NoAnswer)) throw error;
    }
  }
  window.location.assign('/shelf');
}

/** A copy that is about to be taken up, with what is in it where that was looked at. */
export type Meant = { readonly name: string; readonly holds: CheckedCopy['holds'] } | { readonly file: File };

export interface Copies {
  readonly archive: ArchiveAnswer | undefined;
  /** what is being done, in words; null: nothing */
  readonly busy: string | null;
  readonly wrong: string | null;
  readonly kept: CheckedCopy | null;
  readonly meant: Meant | null;
  readonly keep: (name: string) => Promise<void>;
  readonly look: (name: string) => Promise<void>;
  readonly open: (file: File) => void;
  readonly leave: () => void;
  readonly takeUp: () => Promise<void>;
  readonly letGo: (name: string) => Promise<void>;
  /** why the folder that was said cannot be used */
  readonly wrongFolder: string | null;
  /** @param folder null: with the other copies */
  readonly chooseFolder: (folder: string | null) => Promise<void>;
  readonly keepByRule: () => Promise<void>;
}

/** Copies of the data: keeping one, looking into one, taking one up. */
export function useCopies(): Copies {
  const { data: archive } = useArchive();
  const [busy, setBusy] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [kept, setKept] = useState<CheckedCopy | null>(null);
  const [meant, setMeant] = useState<Meant | null>(null);
  const [wrongFolder, setWrongFolder] = useState<string | null>(null);
  const during = async (words: string, work: () => Promise<void>): Promise<void> => {
    setBusy(words);
    setWrong(null);
    try {
      if (!(await allSaved()))
        throw new NoAnswer('What you entered is not saved yet. Wait until it is, then do this again.');
      await work();
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setBusy(null);
    await client.invalidateQueries({ queryKey: [ARCHIVE] });
  };
  return {
    archive,
    busy,
    wrong,
    kept,
    meant,
    keep: (name) =>
      during('Copying and checking …', async () => {
        setKept(await ask<CheckedCopy>('POST', `${ARCHIVE}/copies`, { name }));
      }),
    look: (name) =>
      during('Looking through the copy …', async () => {
        setMeant(await ask<CheckedCopy>('POST', `${ARCHIVE}/look`, { name }));
      }),
    open: (file) => {
      setWrong(null);
      setMeant({ file });
    },
    leave: () => {
      setMeant(null);
    },
    wrongFolder,
    chooseFolder: async (folder) => {
      setWrongFolder(null);
      await during('Keeping the first one there …', async () => {
        try {
          await ask('PUT', `${ARCHIVE}/rule`, { folder });
        } catch (error) {
          if (!(error instanceof Refused) || error.sentenceFor('folder') === undefined) throw error;
          setWrongFolder(error.message);
        }
      });
    },
    keepByRule: () => during('Copying and checking …', () => ask('POST', `${ARCHIVE}/rule/now`)),
    letGo: (name) => during('Throwing it away …', () => ask('DELETE', `${ARCHIVE}/copies/${encodeURIComponent(name)}`)),
    takeUp: () =>
      during('Taking it up; what is there now is kept first …', async () => {
        if (meant === null) return;
        if ('file' in meant) await handIn(meant.file);
        else await ask('POST', `${ARCHIVE}/take-up`, { name: meant.name });
        await comeBack();
      }),
  };
}

/** Hands in a database as bytes. @throws Refused, NoAnswer */
async function handIn(file: File): Promise<void> {
  await ask('POST', `${ARCHIVE}/take-up-file`, file);
}
