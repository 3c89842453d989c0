import { create } from 'zustand';
import type { Lab, Stage } from '#core/colour';
import { Complaint, sentenceOf } from '#core/units';
import type { ReaderErrandDto, ReaderSays } from '#contract';
import { ask } from './ask.js';
import { listen, type Passed } from './stream.js';

/** What it says of itself. */
export type ReaderState = Extract<ReaderSays, { says: 'state' }>;

interface Reader {
  /** `away`: it was connected and is being looked for again */
  readonly link: 'none' | 'looking' | 'there' | 'away';
  readonly state: ReaderState | null;
}

export const useReader = create<Reader>()(() => ({ link: 'none', state: null }));

/** A reading that did not come, and why. */
export class NoReading extends Complaint {
  constructor(sentence: string) {
    super('no reading', sentence);
  }
}

/** ms after which a reading is given up. */
const PATIENCE = 4000;

interface Waiting {
  readonly got: (lab: Lab) => void;
  readonly failed: (error: NoReading) => void;
}
let hearNoMore: (() => void) | null = null;
const waiting = new Map<string, Waiting>();

function giveUp(sentence: string): void {
  for (const { failed } of waiting.values()) failed(new NoReading(sentence));
  waiting.clear();
}

function hear(says: ReaderSays): void {
  if (says.says === 'state') {
    useReader.setState({ link: 'there', state: says });
    return;
  }
  const waiter = waiting.get(says.errand);
  waiting.delete(says.errand);
  if (says.says === 'reading') waiter?.got({ l: says.l, a: says.a, b: says.b });
  else waiter?.failed(new NoReading(says.why));
}

function lost(): void {
  useReader.setState({ link: 'away' });
  giveUp('The reader lost its connection before it answered. Read again.');
}

function hearStream(passed: Passed): void {
  if (passed.of === 'way' && !passed.open) lost();
  // Sledge was started anew: it does not know yet that the reader is wanted
  if (passed.of === 'sledge') void askFor();
  if (passed.of !== 'reader') return;
  if (passed.says.says === 'lost') lost();
  else hear(passed.says);
}

async function askFor(): Promise<void> {
  try {
    await ask('POST', '/api/devices/reader/connection');
  } catch (error) {
    sentenceOf(error);
    lost();
  }
}

/** Looks for the reader; Sledge looks again by itself where the connection is lost. */
export function connectReader(): void {
  if (hearNoMore) return;
  useReader.setState({ link: 'looking' });
  hearNoMore = listen(hearStream);
  void askFor();
}

/** This window uses it no more; others may. */
export function letReaderGo(): void {
  hearNoMore?.();
  hearNoMore = null;
  giveUp('The reader was put away.');
  useReader.setState({ link: 'none', state: null });
}

async function send(errand: Omit<ReaderErrandDto, 'id'> & { readonly id: string }): Promise<void> {
  await ask('POST', '/api/devices/reader/ask', errand);
}

/** @throws Complaint */
export const calibrateReader = (): Promise<void> =>
  send({ id: crypto.randomUUID(), errand: 'calibrate', revisionId: null, stage: 'baked' });

/** One reading of what lies under the reader. @throws Complaint */
export async function readOnce(revisionId: string, stage: Stage): Promise<Lab> {
  const id = crypto.randomUUID();
  const answer = new Promise<Lab>((got, failed) => {
    waiting.set(id, { got, failed });
  });
  const late = setTimeout(() => {
    waiting.get(id)?.failed(new NoReading('The reader did not answer. Read again.'));
    waiting.delete(id);
  }, PATIENCE);
  // where the errand cannot even be sent, nobody waits for its answer
  answer
    .finally(() => {
      clearTimeout(late);
    })
    .catch(() => undefined);
  await send({ id, errand: 'read', revisionId, stage });
  return answer;
}
