import { useState } from 'react';
import { sentenceOf } from '#core/units';
import type { ArchiveAnswer, CheckedCopy, GardenAnswer } from '#contract';
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
  /** opens it beside one’s own data, to look round in */
  readonly lookInto: (name: string) => Promise<void>;
  /** why the folder that was said cannot be used */
  readonly wrongFolder: string | null;
  /** @param folder null: with the other copies */
  readonly chooseFolder: (folder: string | null) => Promise<void>;
  readonly keepByRule: () => Promise<void>;
}

type During = (words: string, work: () => Promise<void>) => Promise<void>;

/** One thing after the other, with what is being done in words. */
function useDuring() {
  const [busy, setBusy] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const during: During = async (words, work) => {
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
  return { busy, wrong, setWrong, during };
}

/** Copies that are kept by rule: where, and one at once. */
function useRule(during: During): Pick<Copies, 'wrongFolder' | 'chooseFolder' | 'keepByRule'> {
  const [wrongFolder, setWrongFolder] = useState<string | null>(null);
  return {
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
  };
}

/** Copies of the data: keeping one, looking into one, taking one up. */
export function useCopies(): Copies {
  const { data: archive } = useArchive();
  const { busy, wrong, setWrong, during } = useDuring();
  const [kept, setKept] = useState<CheckedCopy | null>(null);
  const [meant, setMeant] = useState<Meant | null>(null);
  const rule = useRule(during);
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
    lookInto: (name) =>
      during('Opening the copy …', async () => {
        const { address } = await ask<GardenAnswer>('POST', `${ARCHIVE}/copies/${encodeURIComponent(name)}/beside`);
        if (address !== null) window.location.assign(address);
      }),
    ...rule,
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
