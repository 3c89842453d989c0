/** @jest-environment ./web/test/page.mjs */
import { within } from '@testing-library/react';
import type { CarryAnswer, MeAnswer, NetworkAnswer, WholeAnswer } from '#contract';
import Others from '../src/stations/bench/others/Others.js';
import { codeAddress, inGroups } from '../src/stations/bench/others/networkWords.js';
import { ComingThings, countsWords } from '../src/stations/copies/ComingThings.js';
import { Everything } from '../src/stations/copies/Everything.js';
import type { Copies } from '../src/stations/copies/useCopies.js';
import { isAtTable, stationsFor } from '../src/frame/stations.js';
import { expectWhole, shown, type Shown } from './screen.js';

const HERE: MeAnswer = { here: true, name: null, rights: 'all' };
const OFF: NetworkAnswer = {
  ...{ possible: true, on: false, fixed: false, addresses: [], failed: null, fingerprint: null },
  ...{ devices: [], code: null, wrong: 0 },
};
const ON: NetworkAnswer = {
  ...OFF,
  on: true,
  addresses: ['https://192.168.1.20:5418', 'https://10.0.0.3:5418'],
  fingerprint: Array.from({ length: 32 }, (_, i) => (i + 16).toString(16).toUpperCase()).join(':'),
};
const others = (network: NetworkAnswer, me = HERE): Shown =>
  shown(<Others />, 'metric', [
    [['/api/network/me'], me],
    [['/api/network'], network],
  ]);

describe('tablet and phone', () => {
  test('off it says what it would be, with one switch', () => {
    const page = others(OFF);
    expectWhole(page);
    expect(page.words()).toContain('Sledge answers only this computer');
    expect(page.getAllByRole('button').map((b) => b.textContent)).toEqual(['Switch it on']);
  });

  test('a code stands as a picture and as six words, with the fingerprint to compare', () => {
    const words = ['beet', 'leek', 'pea', 'corn', 'swede', 'squash'];
    const until = new Date(Date.now() + 200_000).toISOString();
    const page = others({ ...ON, code: { words, rights: 'all', until } });
    expectWhole(page);
    const code = within(page.getByRole('region', { name: 'A code' }));
    expect(within(code.getByRole('list', { name: 'The six words' })).getAllByRole('listitem')).toHaveLength(6);
    expect(code.getByTitle(/Photograph this/)).toBeTruthy();
    expect(code.getByLabelText('Fingerprint').textContent).toMatch(/^1011/);
    // of several addresses one is chosen
    expect(code.getByLabelText<HTMLSelectElement>('Address').value).toBe('https://192.168.1.20:5418');
    expect(page.words()).toMatch(/good once, for 3:\d\d/);
  });

  test('a code that is over is not shown', () => {
    const code = { words: ['a'], rights: 'all' as const, until: new Date(Date.now() - 1000).toISOString() };
    expect(others({ ...ON, code }).queryByRole('region', { name: 'A code' })).toBeNull();
  });

  test('who was let in stands with what they may do; wrong codes are counted', () => {
    const device = { id: 'd', name: 'Kitchen tablet', rights: 'bench' as const, since: '2026-11-02T10:00:00Z' };
    const page = others({ ...ON, wrong: 7, devices: [{ ...device, seen: '2026-11-20T10:00:00Z', there: false }] });
    expectWhole(page);
    const list = page.getByRole('region', { name: 'Who is let in' });
    expect(within(list).getByRole('button', { name: 'Shut out Kitchen tablet' })).toBeTruthy();
    expect(list.textContent).toMatch(/here last .*20/);
    expect(page.words()).toContain('7 wrong codes were typed');
  });

  test.each([
    [{ ...OFF, possible: false }, HERE, 'not at one to look round in'],
    [{ ...OFF, on: true, failed: 'Port 5418 is taken by another program.' }, HERE, 'Port 5418 is taken'],
    [{ ...OFF, on: true }, HERE, 'This computer is on no network now'],
    [{ ...ON, fixed: true }, HERE, 'switched on by SLEDGE_LAN'],
    [OFF, { here: false, name: 'Tablet', rights: 'all' as const }, 'at the computer that Sledge runs on'],
  ])('it says how it stands (%#)', (network, me, sentence) => {
    const page = others(network, me);
    expectWhole(page);
    expect(page.words()).toContain(sentence);
  });

  test('what is photographed keeps its words behind the #, where no server is told of them', () => {
    const address = new URL(codeAddress('https://192.168.1.20:5418', ['beet', 'leek']));
    expect([address.pathname, address.search, address.hash]).toEqual(['/in', '', '#beet-leek']);
    expect(inGroups('AB:CD:EF:01:23')).toEqual(['ABCD', 'EF01', '23']);
  });

  test('a device of the bench finds its two stations; days are no page for a table', () => {
    expect(stationsFor('bench').map(([path]) => path)).toEqual(['bench', 'diary']);
    expect(stationsFor('all')).toHaveLength(9);
    expect(['/batches/days', '/batches/x', '/mixes', '/bench/x', '/shelf'].map(isAtTable)).toEqual([
      ...[false, true, true, false, false],
    ]);
  });
});

describe('everything as one file', () => {
  const shelf = {} as Copies;
  const NONE: WholeAnswer = { way: null, state: 'none', done: 0, total: 0, why: null, copy: null, bytes: 0 };
  const everything = (now: WholeAnswer): Shown =>
    shown(<Everything shelf={shelf} onCarryAll={() => undefined} />, 'metric', [[['/api/archive/whole'], now]]);

  test('it says how far it is, and can be stopped', () => {
    const page = everything({ ...NONE, way: 'out', state: 'running', done: 12_300, total: 60_000 });
    expectWhole(page);
    expect(page.getByRole('progressbar').getAttribute('aria-valuenow')).toBe('21');
    expect(page.words()).toContain('12,300 of 60,000 rows and photographs');
    expect(page.getByRole('button', { name: 'Stop' })).toBeTruthy();
    expect(page.getByRole('button', { name: 'Write everything' }).hasAttribute('disabled')).toBe(true);
  });

  test('written it can be saved; what could not be read says why; what was read is a copy', () => {
    const written = everything({ ...NONE, way: 'out', state: 'ready', total: 401, bytes: 214_000 });
    expect(written.getByRole('link', { name: 'Save it' }).getAttribute('href')).toBe('/api/archive/whole/file');
    const failed = everything({ ...NONE, way: 'in', state: 'failed', why: 'This file is empty.' });
    expect(failed.words()).toContain('This file is empty.');
    const holds = { clays: 14, mixes: 25, batches: 6, entries: 13, lastEntry: '2026-11-20' };
    const copy = { name: 'from garden', bytes: 900, holds };
    const read = everything({ ...NONE, way: 'in', state: 'ready', copy });
    expectWhole(read);
    expect(read.words()).toContain('from garden, whole and looked through: 14 clays');
  });

  test('few things are named one by one; of many there are counts, and those under other names', () => {
    const thing = (i: number, as?: string): CarryAnswer['things'][number] => ({
      ...{ kind: i % 2 === 0 ? 'mix' : 'cane', name: `Leek ${i}`, as: as ?? `Leek ${i}` },
    });
    const few = shown(<ComingThings things={[thing(0), thing(1, 'Leek 1, from garden')]} />);
    expect(few.words()).toContain('the mix Leek 0');
    expect(few.words()).toContain('as “Leek 1, from garden”');
    few.unmount();
    const many = [...Array.from({ length: 40 }, (_, i) => thing(i)), thing(40, 'Leek 40, from garden')];
    expect(countsWords(many)).toBe('21 mixes, 20 canes');
    const page = shown(<ComingThings things={many} />);
    expect(page.getAllByRole('listitem')).toHaveLength(2);
    expect(countsWords([thing(0)])).toBe('1 mix');
  });
});
