import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import { deltaE, labOf, mixPigments, pigmentOf, readColour } from '#core/colour';
import type { MixAnswer, Problem, ReaderErrandDto, ReaderSays } from '#contract';
import {
  DROPS_EVERY,
  READINGS_PER_CALIBRATION,
  StandInReader,
  chipOf,
  hiddenClay,
} from '../src/devices/standInReader.js';
import { Api, mix, smallShelf } from './api.js';

const under = { l: 52, a: 30, b: 10 };
const errand = (what: 'calibrate' | 'read') => ({ id: randomUUID(), errand: what });

describe('the stand-in', () => {
  test('wants its white tile first, and again after so many readings', () => {
    const reader = new StandInReader(1);
    expect(reader.carryOut(errand('read'), under)).toMatchObject({
      says: [{ says: 'refused', why: expect.stringContaining('white tile') }],
    });
    expect(reader.carryOut(errand('calibrate'), null)).toMatchObject({
      says: [{ says: 'state', calibrated: true, readings: 0, standIn: true }],
    });
    let read = 0;
    while (read < READINGS_PER_CALIBRATION) if (reader.carryOut(errand('read'), under) !== 'lost') read++;
    expect(reader.state()).toMatchObject({ calibrated: false, readingsLeft: 0 });
    expect(reader.carryOut(errand('read'), null)).toMatchObject({ says: [{ says: 'refused' }] });
  });

  test('reads with noise around the colour, drifts away from it, and loses the connection', () => {
    const reader = new StandInReader(7);
    reader.carryOut(errand('calibrate'), null);
    const offs: number[] = [];
    let lost = 0;
    for (let n = 1; n <= READINGS_PER_CALIBRATION; n++) {
      const outcome = reader.carryOut(errand('read'), under);
      if (outcome === 'lost') {
        lost++;
        expect(n % DROPS_EVERY).toBe(0);
        continue;
      }
      const [reading] = outcome.says;
      if (reading?.says !== 'reading') throw new Error('No reading came.');
      offs.push(deltaE(reading, under));
    }
    expect(lost).toBe(READINGS_PER_CALIBRATION / DROPS_EVERY);
    const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
    expect(new Set(offs).size).toBe(offs.length);
    expect(mean(offs.slice(0, 6))).toBeLessThan(1.2);
    expect(mean(offs.slice(-6))).toBeGreaterThan(mean(offs.slice(0, 6)));
    expect(reader.carryOut(errand('read'), null)).toMatchObject({ says: [{ why: 'Nothing lies under the reader.' }] });
  });

  test('has a world of its own: a clay is there what it is under any other seed, and not as its packet says', () => {
    const clay = {
      id: 'x',
      lineId: 'l',
      name: 'Beetroot',
      kind: 'opaque' as const,
      rawHex: '7B1E4B',
      bakedHex: '7B1E4B',
      strength: null,
    };
    expect(hiddenClay(clay)).toEqual(hiddenClay({ ...clay }));
    expect(hiddenClay(clay)).not.toEqual(hiddenClay({ ...clay, name: 'Radish' }));
    const pure = chipOf(
      { density: 1.9, shares: [{ clay, volume: { valueOf: () => 1 } as never, mass: { valueOf: () => 1 } as never }] },
      'baked',
    );
    expect(deltaE(pure, readColour('7B1E4B'))).toBeLessThan(8);
    expect(deltaE(pure, labOf(mixPigments([pigmentOf('7B1E4B', 1)], [1])))).toBeGreaterThan(0);
  });
});

describe('the protocol', () => {
  let api: Api;
  beforeAll(async () => {
    api = await Api.open();
  });
  afterAll(() => api.close());

  const ask = (body: ReaderErrandDto): ReturnType<Api['ask']> => api.ask('POST', '/api/devices/reader/ask', body);

  /** Listens until `enough` says so or the stream ends. */
  async function listen(
    enough: (heard: readonly ReaderSays[]) => boolean,
    then?: (heard: readonly ReaderSays[]) => Promise<void>,
  ): Promise<{ heard: ReaderSays[]; ended: boolean }> {
    const stop = new AbortController();
    const response = await fetch(`http://127.0.0.1:${api.running.port}/api/devices/reader/events`, {
      signal: stop.signal,
    });
    expect(response.headers.get('content-type')).toMatch(/^text\/event-stream/);
    const heard: ReaderSays[] = [];
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    for (;;) {
      const { value, done } = await (reader as NonNullable<typeof reader>).read();
      if (done) return { heard, ended: true };
      text += value;
      const events = text.split('\n\n');
      text = events.pop() ?? '';
      for (const event of events) {
        const data = /^data: (.*)$/m.exec(event)?.[1];
        if (data) {
          heard.push(JSON.parse(data) as ReaderSays);
          await then?.(heard);
        }
      }
      if (enough(heard)) {
        stop.abort();
        return { heard, ended: false };
      }
    }
  }

  test('an errand before anybody listens is refused in a sentence', async () => {
    const { status, body } = await ask({ ...errand('read'), revisionId: null, stage: 'baked' });
    expect([status, (body as Problem).detail]).toEqual([409, 'The reader is not connected.']);
    const wrong = await ask({ ...errand('read'), errand: 'weigh' as never, revisionId: null, stage: 'baked' });
    expect([wrong.status, JSON.stringify(wrong.body)]).toEqual([422, expect.stringContaining('can calibrate or read')]);
  });

  test('hello, white, readings by errand; where the connection is lost the stream ends', async () => {
    const { chalk, beet } = await smallShelf(api);
    const dto = mix('Ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
    const revisionId = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body.revisions[0]?.id ?? '';
    const read = { ...errand('read'), revisionId, stage: 'baked' as const };
    const { heard } = await listen(
      (h) => h.some((s) => s.says === 'reading'),
      async (h) => {
        if (h.length === 1)
          expect((await ask({ ...errand('calibrate'), revisionId: null, stage: 'baked' })).status).toBe(202);
        if (h.length === 2) await ask(read);
      },
    );
    expect(heard[0]).toMatchObject({ says: 'state', standIn: true, calibrated: false });
    expect(heard[1]).toMatchObject({ says: 'state', calibrated: true });
    expect(heard[2]).toMatchObject({ says: 'reading', errand: read.id });

    const { heard: rest, ended } = await listen(
      () => false,
      async (h) => {
        const last = h.at(-1);
        if (last?.says === 'state') await ask({ ...errand('read'), revisionId, stage: 'baked' });
      },
    );
    expect(ended).toBe(true);
    expect(rest.filter((s) => s.says === 'reading').length).toBe(DROPS_EVERY - 2);
  });
});
