import { useState } from 'react';
import { readShelfList, type ShelfLine } from '#core/formats';
import { sentenceOf } from '#core/units';
import type { ShelfListAnswer } from '#contract';
import { askFirst } from '../../../wire/ask.js';
import { change } from '../../../wire/save.js';

const LIST = '/api/shelf/list';

/** A list that was looked at: what was read, and what would come of it. */
export interface Looked {
  readonly lines: readonly ShelfLine[];
  readonly answer: ShelfListAnswer;
}

/** A list of clays on its way to the shelf: typed or opened, looked at, brought in. */
export function useShelfList() {
  const [text, setText] = useState('');
  const [line, setLine] = useState('');
  const [looked, setLooked] = useState<Looked | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (): Promise<void> => {
    const { lines, faults } = readShelfList(text, line);
    const nothing = { lines: [], clays: 0, blocks: 0, grams: 0, colourless: 0 };
    setWrong(null);
    if (faults.length > 0) {
      setLooked({ lines, answer: { ...nothing, faults } });
      return;
    }
    setBusy(true);
    try {
      setLooked({ lines, answer: await askFirst<ShelfListAnswer>(LIST, { rows: lines }) });
    } catch (error) {
      setWrong(sentenceOf(error));
    }
    setBusy(false);
  };
  return {
    ...{ text, line, looked, wrong, busy, look },
    setText: (next: string): void => {
      setText(next);
      setLooked(null);
    },
    setLine: (next: string): void => {
      setLine(next);
      setLooked(null);
    },
    /** @returns whether all of it is on the shelf now */
    bringIn: async (): Promise<boolean> => {
      if (!looked) return false;
      setBusy(true);
      const answer = await change<ShelfListAnswer>('POST', LIST, { rows: looked.lines, sure: true });
      setBusy(false);
      return answer !== null;
    },
  };
}

export type ShelfListOf = ReturnType<typeof useShelfList>;
