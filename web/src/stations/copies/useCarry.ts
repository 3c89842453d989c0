import { useCallback, useEffect, useState } from 'react';
import { sentenceOf } from '#core/units';
import type { CarryAnswer, CarryDto } from '#contract';
import { change } from '../../wire/save.js';
import { askFirst } from '../../wire/ask.js';

const CARRY = '/api/archive/carry';

/** What is to be carried over, out of which copy. */
export type Asked = Omit<CarryDto, 'sure'>;

/** What would come of a thing in a copy, and the way to let it come. */
export function useCarry(asked: Asked) {
  const { name, kind, id } = asked;
  const [things, setThings] = useState<CarryAnswer['things'] | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [busy, setBusy] = useState(true);
  const [done, setDone] = useState(false);
  useEffect(() => {
    let gone = false;
    askFirst<CarryAnswer>(CARRY, { name, kind, id })
      .then((answer) => {
        if (!gone) setThings(answer.things);
      })
      .catch((error: unknown) => {
        if (!gone) setWrong(sentenceOf(error));
      })
      .finally(() => {
        if (!gone) setBusy(false);
      });
    return () => {
      gone = true;
    };
  }, [name, kind, id]);
  const carry = useCallback(async (): Promise<void> => {
    setBusy(true);
    const answer = await change<CarryAnswer>('POST', CARRY, { name, kind, id, sure: true });
    setBusy(false);
    if (!answer) return;
    setThings(answer.things);
    setDone(true);
  }, [name, kind, id]);
  return { things, wrong, busy, done, carry };
}
