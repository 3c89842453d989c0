import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addHours, differenceInCalendarDays, format, subDays } from 'date-fns';
import { CHANGE_HEADER, type ArchiveAnswer, type Problem, type RuleAnswer, type ShelfAnswer } from '#contract';
import { RULE, staysByRule } from '../src/archive/rule.js';
import { readRule, writeRule } from '../src/archive/ruleState.js';
import { Api, line, smallShelf } from './api.js';
import { ended, said, started } from './processes.js';

const NOW = new Date(2026, 10, 28, 20, 0);
const copy = (at: Date) => ({ name: format(at, 'yyyy-MM-dd HH:mm:ss'), at: at.toISOString() });

describe('the rule of copies', () => {
  test('one a day for two years: 7 days, 4 weeks and 12 months are there, and no more than those', () => {
    let kept: ReturnType<typeof copy>[] = [];
    for (let day = 730; day >= 0; day--) {
      const now = subDays(NOW, day);
      kept = [...kept, copy(now)];
      const stays = staysByRule(kept, now);
      kept = kept.filter(({ name }) => stays.has(name));
      expect(kept.length).toBeLessThanOrEqual(RULE.days + RULE.weeks + RULE.months);
    }
    const ages = kept.map(({ at }) => differenceInCalendarDays(NOW, new Date(at)));
    for (let day = 0; day < RULE.days; day++) expect(ages).toContain(day);
    const months = new Set(kept.map(({ at }) => at.slice(0, 7)));
    expect(months.size).toBe(RULE.months);
    expect(Math.max(...ages)).toBeGreaterThan(330);
  });

  test('whatever is there, the newest stays, and nothing is kept that the rule does not ask for', () => {
    const hours = fc.uniqueArray(fc.integer({ min: 0, max: 24 * 800 }), { minLength: 1, maxLength: 60 });
    fc.assert(
      fc.property(hours, (all) => {
        const copies = all.map((h) => copy(addHours(NOW, -h)));
        const stays = staysByRule(copies, NOW);
        const newest = [...copies].sort((a, b) => (a.at < b.at ? 1 : -1))[0]!;
        expect(stays.has(newest.name)).toBe(true);
        expect(stays.size).toBeLessThanOrEqual(RULE.days + RULE.weeks + RULE.months);
        // of one day no more than one
        const days = copies.filter(({ name }) => stays.has(name)).map(({ at }) => format(new Date(at), 'yyyy-MM-dd'));
        expect(new Set(days).size).toBe(days.length);
        // a second look lets nothing more go
        const again = staysByRule(
          copies.filter(({ name }) => stays.has(name)),
          NOW,
        );
        expect(again).toEqual(stays);
      }),
    );
  });

  test('none: none stays', () => {
    expect(staysByRule([], NOW).size).toBe(0);
  });
});

describe('copies that are kept by it', () => {
  let api: Api;
  beforeEach(async () => {
    api = await Api.open();
  });
  afterEach(() => api.close());
  const archive = async (): Promise<ArchiveAnswer> => (await api.get<ArchiveAnswer>('/api/archive')).body;
  const keep = async (): Promise<RuleAnswer> => (await api.ask<RuleAnswer>('POST', '/api/archive/rule/now')).body;
  const choose = (folder: string | null) => api.ask<RuleAnswer & Problem>('PUT', '/api/archive/rule', { folder });

  test('are whole, told with what they hold, and old ones go by the rule', async () => {
    await smallShelf(api);
    expect((await archive()).rule).toMatchObject({ last: null, failed: null, chosen: false });
    const first = await keep();
    expect(first.last!.holds).toMatchObject({ clays: 2, mixes: 0 });
    // twenty days ago, and one of each of three evenings of one week of last year
    const { folder } = await archive();
    for (const days of [20, 395, 396, 397]) {
      const name = `${format(subDays(new Date(), days), 'yyyy-MM-dd')} 200000 by rule, change 1`;
      writeFileSync(join(folder, `${name}.db`), readFileSync(join(folder, `${first.last!.name}.db`)));
      const at = subDays(new Date(), days);
      utimesSync(join(folder, `${name}.db`), at, at);
    }
    expect((await archive()).copies.filter((c) => c.ruled)).toHaveLength(5);
    await new Promise((done) => setTimeout(done, 1100));
    await keep();
    const ages = (await archive()).copies
      .filter((c) => c.ruled)
      .map((c) => differenceInCalendarDays(new Date(), new Date(c.at)));
    expect(ages).toEqual([0, 20]);
  });

  test('lie in a folder of one’s own, and can be taken up from there', async () => {
    await smallShelf(api);
    const other = mkdtempSync(join(tmpdir(), 'sledge-other-disk-'));
    const { body } = await choose(join(other, 'copies of sledge'));
    expect(body).toMatchObject({ chosen: true, folder: join(other, 'copies of sledge'), failed: null });
    const [ruled] = (await archive()).copies.filter((c) => c.ruled);
    expect(existsSync(join(body.folder, `${ruled!.name}.db`))).toBe(true);
    const looked = await api.ask<{ holds: { clays: number } }>('POST', '/api/archive/look', { name: ruled!.name });
    expect(looked.body.holds.clays).toBe(2);
    await api.reopen();
    expect((await archive()).rule).toMatchObject({ chosen: true, last: { name: body.last!.name } });
    await choose(null);
    expect((await archive()).rule.chosen).toBe(false);
    rmSync(other, { recursive: true });
  });

  test('a folder that cannot be is refused where it is said, and the old one stays', async () => {
    const file = join(api.folder, 'no folder');
    writeFileSync(file, 'x');
    for (const [folder, sentence] of [
      ['copies', /whole path/],
      [file, /cannot be written to/],
    ] as const) {
      const { status, body } = await choose(folder);
      expect([status, body.fields![0]!.field]).toEqual([422, 'folder']);
      expect(body.fields![0]!.sentence).toMatch(sentence);
    }
    expect((await archive()).rule.chosen).toBe(false);
  });

  test('a disk that is gone is told, and the data goes on; once it is back nothing is told any more', async () => {
    await smallShelf(api);
    const disk = join(api.folder, 'disk');
    const { body } = await choose(disk);
    rmSync(disk, { recursive: true });
    // somebody’s file lies where the folder was
    writeFileSync(disk, 'x');
    const failed = await keep();
    expect(failed.failed!.why).not.toBe('');
    expect(failed.last!.name).toBe(body.last!.name);
    await smallShelf(api);
    rmSync(disk);
    mkdirSync(disk);
    expect((await keep()).failed).toBeNull();
  });

  test('what is remembered is read as nothing where it is damaged', () => {
    const data = join(api.folder, 'sledge.db');
    writeRule(data, { folder: '/disk', last: null, failed: null });
    expect(readRule(data).folder).toBe('/disk');
    writeFileSync(join(api.folder, 'copies.json'), '{ half');
    expect(readRule(data)).toEqual({ folder: null, last: null, failed: null });
    chmodSync(join(api.folder, 'copies.json'), 0o600);
  });
});

describe('by a command', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sledge-commands-'));
  const data = join(folder, 'data');
  const environment = { SLEDGE_DATA: data, SLEDGE_PORT: '0' };
  afterAll(() => {
    rmSync(folder, { recursive: true });
  });

  test('a backup and the way back, while Sledge runs and while it does not', async () => {
    mkdirSync(data);
    const { child, url } = await started(data);
    const put = async (name: string): Promise<void> => {
      const own = line(name);
      const headers = { 'content-type': 'application/json', [CHANGE_HEADER]: randomUUID() };
      const response = await fetch(`${url}/api/lines/${own.id}`, { method: 'PUT', headers, body: JSON.stringify(own) });
      expect(response.status).toBe(200);
    };
    await put('Hearth Firm');
    const other = join(folder, 'other disk');
    const kept = await said(environment, 'backup.mjs', [other]);
    expect(kept).toMatchObject({ code: 0, error: '' });
    expect(kept.out).toMatch(/Kept .*by rule.*: whole, with 0 clays, 0 mixes/);
    const [file] = readdirSync(other);
    await put('Brook Soft');
    await ended(child, 'SIGTERM');
    const back = await said(environment, 'restore.mjs', [join(other, file!)]);
    expect(back.out).toMatch(/is taken up\. What was there before is kept/);
    const again = await started(data);
    const { lines } = (await (await fetch(`${again.url}/api/shelf`)).json()) as ShelfAnswer;
    expect(lines.map((l) => l.name)).toEqual(['Hearth Firm']);
    await ended(again.child, 'SIGTERM');
    expect((await said(environment, 'backup.mjs')).out).toMatch(/^(Building …\s*)?Kept .*copies/);
  });

  test('what is no copy is refused in a sentence, and nothing is changed', async () => {
    const none = await said(environment, 'restore.mjs', [join(folder, 'none.db')]);
    expect([none.code, none.error]).toEqual([1, `There is no file ${join(folder, 'none.db')}.`]);
    const wrong = join(folder, 'wrong.db');
    writeFileSync(wrong, 'no database');
    const told = await said(environment, 'restore.mjs', [wrong]);
    expect(told.code).toBe(1);
    expect(told.error).toMatch(/not a database|no database|damaged/i);
    expect((await said(environment, 'restore.mjs')).error).toMatch(/Say which copy/);
  });
});
