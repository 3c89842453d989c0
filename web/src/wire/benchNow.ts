import type { BenchNowAnswer, BenchNowDto } from '#contract/benchNow';
import { useBaking } from '../state/baking.js';
import { useBenchPlaces } from '../state/benchPlace.js';
import { isHearing, quietly } from '../state/quietly.js';
import { tellFault } from '../state/faults.js';
import { faultOf } from '#core/units';
import { useTimers } from '../state/timers.js';
import { NoAnswer, Refused, ask } from './ask.js';
import { aheadOf, changed, heard, keyOf, said, type AtBench, type Said, type SaidBy } from './benchWire.js';
import { listen } from './stream.js';

const PATH = '/api/bench/now';
const WAITING = 'sledge-bench-waiting';
const SHARED = 'sledge-bench-shared';
/** ms after which what could not be said is said again, at first and at the most. */
const [SOON, LATEST] = [500, 10_000];

const me = crypto.randomUUID();
let ahead = 0;
let known: SaidBy = new Map();
let saying = false;

const here = (): AtBench => ({
  places: useBenchPlaces.getState().places,
  timers: useTimers.getState().timers,
  load: useBaking.getState().load,
});

function kept(): Map<string, Said> {
  try {
    const all: unknown = JSON.parse(sessionStorage.getItem(WAITING) ?? '[]');
    return new Map(Array.isArray(all) ? (all as Said[]).map((one) => [keyOf(one), one]) : []);
  } catch {
    return new Map();
  }
}
const waiting = kept();

function keepWaiting(): void {
  try {
    sessionStorage.setItem(WAITING, JSON.stringify([...waiting.values()]));
  } catch {
    // more than the browser keeps: it is still said
  }
}

/** Looks what this window has changed, and says it. */
function look(): void {
  const before = known;
  known = said(here(), ahead);
  if (isHearing()) return;
  for (const one of changed(before, known)) waiting.set(keyOf(one), one);
  keepWaiting();
  void sayAll();
}

const dtoOf = ({ kind, id, value }: Said): BenchNowDto =>
  ({ kind, id, by: me, ...(value === null ? {} : { [kind]: value }) }) as BenchNowDto;

let wake: () => void = () => undefined;
/** A while, or until the way to Sledge is there again. */
const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    wake = resolve;
    setTimeout(resolve, ms);
  });

/** Says what waits, one after the other; while nobody hears it, again and again. */
async function sayAll(): Promise<void> {
  if (saying) return;
  saying = true;
  let wait = SOON;
  for (let [one] = waiting.values(); one; [one] = waiting.values()) {
    try {
      await ask('PUT', `${PATH}/${one.kind}`, dtoOf(one));
      wait = SOON;
    } catch (error) {
      if (error instanceof NoAnswer) {
        await pause(wait);
        wait = Math.min(LATEST, wait * 2);
        continue;
      }
      // what cannot be said to others stays here
      if (!(error instanceof Refused)) tellFault(faultOf('the bench was shared', error));
    }
    // a newer state may have come meanwhile
    if (waiting.get(keyOf(one)) === one) waiting.delete(keyOf(one));
    keepWaiting();
  }
  saying = false;
}

/** Reads what lies there now. */
async function hearAll(): Promise<void> {
  let answer: BenchNowAnswer;
  try {
    answer = await ask<BenchNowAnswer>('GET', PATH);
  } catch (error) {
    if (error instanceof NoAnswer || error instanceof Refused) return;
    tellFault(faultOf('the bench was read', error));
    return;
  }
  const now = Date.now();
  ahead = aheadOf(answer, now);
  beginSharing();
  const next = heard(answer, here(), new Set(waiting.keys()), ahead, now);
  quietly(() => {
    useBenchPlaces.setState({ places: next.places });
    useTimers.setState({ timers: next.timers });
    useBaking.setState({ load: next.load });
  });
}

/** What this browser held before benches were shared is said to the others, once. */
function beginSharing(): void {
  if (localStorage.getItem(SHARED) !== null) return;
  localStorage.setItem(SHARED, 'yes');
  for (const one of said(here(), ahead).values()) waiting.set(keyOf(one), one);
  keepWaiting();
  void sayAll();
}

/** From now on all devices share how far a bench has come, what is waited for, and what is in the oven. */
export function shareBench(): void {
  known = said(here(), ahead);
  useBenchPlaces.subscribe(look);
  useTimers.subscribe(look);
  useBaking.subscribe(look);
  listen((says) => {
    if (says.of === 'sledge') wake();
    if (says.of === 'sledge' || (says.of === 'bench' && says.by !== me)) void hearAll();
  });
  void sayAll();
}
