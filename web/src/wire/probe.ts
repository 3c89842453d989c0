import { create } from 'zustand';
import { isTemperature } from '#core/oven';
import { sentenceOf } from '#core/units';
import type { ProbeErrandDto, ProbeLogAnswer, ProbeSays } from '#contract/devices';
import { useBaking } from '../state/baking.js';
import { ask } from './ask.js';
import { listen, type Passed } from './stream.js';

export type ProbeState = Extract<ProbeSays, { says: 'state' }>;

interface Probe {
  /** `away`: it was connected and is being looked for again */
  readonly link: 'none' | 'looking' | 'there' | 'away';
  readonly state: ProbeState | null;
  readonly celsius: number | null;
  /** readings left out since it was connected, and what the last of them said */
  readonly leftOut: { readonly count: number; readonly last: number | null };
  /** readings in a row that cannot be true */
  readonly odd: number;
  readonly wrong: string | null;
}

const PUT_AWAY: Probe = {
  ...{ link: 'none', state: null, celsius: null, leftOut: { count: 0, last: null }, odd: 0, wrong: null },
};
export const useProbe = create<Probe>()(() => PUT_AWAY);
const set = (part: Partial<Probe>): void => {
  useProbe.setState(part);
};
let hearNoMore: (() => void) | null = null;
const MINUTE = 60_000;

function hearReading(at: number, celsius: number | null): void {
  const { leftOut, odd } = useProbe.getState();
  if (!isTemperature(celsius)) {
    set({ leftOut: { count: leftOut.count + 1, last: celsius }, odd: odd + 1 });
    return;
  }
  set({ link: 'there', celsius, odd: 0, wrong: null });
  useBaking.getState().hear(at, celsius, Date.now());
}

function hear(passed: Passed): void {
  if (passed.of === 'way' && !passed.open) set({ link: 'away' });
  // Sledge was started anew: it does not know yet that this device is wanted
  if (passed.of === 'sledge') void connectAgain();
  if (passed.of !== 'probe') return;
  const { says } = passed;
  if (says.says === 'lost') set({ link: 'away' });
  if (says.says === 'state') set({ link: 'there', state: says });
  if (says.says === 'refused') set({ wrong: says.why });
  if (says.says === 'reading') hearReading(says.at, says.celsius);
}

async function connectAgain(): Promise<void> {
  try {
    await ask('POST', '/api/devices/probe/connection');
    await catchUp();
  } catch (error) {
    set({ link: 'away', wrong: sentenceOf(error) });
  }
}

/** What the probe said while this window was shut. */
async function catchUp(): Promise<void> {
  const { load } = useBaking.getState();
  if (!load || load.probeAhead === null) return;
  const since = load.startedAt + load.probeAhead + (load.curve.at(-1)?.at ?? 0) * MINUTE;
  const { readings } = await ask<ProbeLogAnswer>('GET', `/api/devices/probe/log?since=${Math.ceil(since)}`);
  for (const [at, celsius] of readings) useBaking.getState().hear(at, celsius, Date.now());
}

export function connectProbe(): void {
  if (hearNoMore) return;
  set({ ...PUT_AWAY, link: 'looking' });
  hearNoMore = listen(hear);
  void connectAgain();
}

/** This window listens to it no more, and no other does. */
export function putProbeAway(): void {
  hearNoMore?.();
  hearNoMore = null;
  set(PUT_AWAY);
  void ask('DELETE', '/api/devices/probe/connection').catch((error: unknown) => {
    set({ wrong: sentenceOf(error) });
  });
}

/** What a person does to the oven of the stand-in. */
export async function pressOven(
  errand: ProbeErrandDto['errand'],
  more: { readonly dial?: number; readonly oven?: string } = {},
): Promise<void> {
  const dto: ProbeErrandDto = {
    ...{ id: crypto.randomUUID(), errand, dial: more.dial ?? null, oven: more.oven ?? null },
  };
  try {
    await ask('POST', '/api/devices/probe/ask', dto);
  } catch (error) {
    set({ wrong: sentenceOf(error) });
  }
}
