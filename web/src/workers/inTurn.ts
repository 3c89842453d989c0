import { useLayoutEffect, useRef, useState } from 'react';

/** One question after the other, always the newest: what came between is never asked. */
class Turns<Q, A> {
  private newest: Q | null = null;
  private asking = false;
  private left = false;

  constructor(
    private readonly ask: (question: Q) => Promise<A>,
    private readonly tell: (answer: A) => void,
  ) {}

  next(question: Q | null): void {
    this.newest = question;
    if (!this.asking) void this.goOn();
  }

  leave(): void {
    this.left = true;
    this.newest = null;
  }

  private async goOn(): Promise<void> {
    this.asking = true;
    for (let question = this.newest; question !== null; question = this.newest) {
      this.newest = null;
      // what fails here is asked again by those who wait for the last answer, and told there
      const answer = await this.ask(question).catch(() => null);
      if (answer !== null && !this.left) this.tell(answer);
    }
    this.asking = false;
  }
}

/**
 * Answers while something is dragged: the next question is asked as soon as the last one is answered, without waiting
 * for the screen, so that the picture keeps up with the hand however fast it is.
 * @param question null while nothing is dragged
 * @returns the last answer; null before the first, and while nothing is dragged
 */
export function useInTurn<Q, A>(question: Q | null, key: string, ask: (question: Q) => Promise<A>): A | null {
  const [answer, setAnswer] = useState<A | null>(null);
  const turns = useRef<Turns<Q, A> | null>(null);
  useLayoutEffect(
    () => () => {
      turns.current?.leave();
      turns.current = null;
    },
    [],
  );
  useLayoutEffect(() => {
    if (question === null) {
      setAnswer(null);
      return;
    }
    turns.current ??= new Turns(ask, setAnswer);
    turns.current.next(question);
    // the key says all that the question depends on
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, question === null]);
  return question === null ? null : answer;
}
