import { causesFor } from '#core/trouble';
import type { ShelfAnswer } from '#contract';
import type { DiaryAnswer } from '#contract/diary';
import { stackedIn, troubleFacts } from '../src/stations/diary/trouble/troubleFacts.js';
import { troubleNote, withTrouble } from '../src/stations/diary/trouble/WentWrong.js';

const shelf = {
  lines: [
    { id: 'hard', firmness: 'crumbly', toughness: 'brittle' },
    { id: 'mild', firmness: 'soft', toughness: 'flexible' },
  ],
  clays: [
    { id: 'a', lineId: 'hard', kind: 'opaque' },
    { id: 'b', lineId: 'mild', kind: 'translucent' },
  ],
  blocks: [
    { clayId: 'a', madeOn: '2021-11-01' },
    { clayId: 'b', madeOn: '2026-09-01' },
    { clayId: 'a', madeOn: '2027-01-01' },
  ],
} as unknown as ShelfAnswer;
const told = {
  ...{ madeOn: '2026-11-01', canes: [], patterns: [], bakes: [], blends: [] },
  clays: [
    { clayId: 'a', grams: 30 },
    { clayId: 'b', grams: 10 },
  ],
  conditioned: [{ clayId: 'a', school: 'thin slices', squeeze: null, passes: 12, roomC: 16 }],
} as unknown as DiaryAnswer;

test('what is known of an entry: age on that day, shares by mass, passes beside those wanted, the room', () => {
  const facts = troubleFacts(told, shelf);
  expect([facts.months, facts.crumbly, facts.soft, facts.brittle, facts.translucent, facts.mica]).toEqual([
    ...[60, 0.75, 0.25, 0.75, 0.25, 0],
  ]);
  expect(facts.roomC).toBe(16);
  // a crumbly line of five years in a cold room wants far more than twelve
  expect(facts.passes).toBeLessThan(0.4);
  expect([facts.hottestC, facts.baked, facts.restedDays]).toEqual([null, null, null]);
  expect(causesFor('cracks at a fold', facts)[0]?.because.length).toBeGreaterThan(1);
});

test('of several loads the one that is furthest off; nothing of a clay that is not there any more', () => {
  const load = (hottest: number | null, inBand: number | null) => ({
    hottest,
    inBand,
    low: 125,
    high: 135,
    maxC: 150,
    minutes: 30,
  });
  const bakes = [load(131, 30), load(104, 3), load(null, null)];
  const facts = troubleFacts({ ...told, bakes: bakes as never, clays: [{ clayId: 'gone', grams: 4 }] as never }, shelf);
  expect([facts.hottestC, facts.lowC, facts.baked, facts.crumbly, facts.months]).toEqual([104, 125, 0.1, null, null]);
  expect(causesFor('pale or soft', facts)[0]?.cause.id).toBe('too cool or too short');
});

test('ends and slices of a cane and passes of a blend speak too, beside what was wanted', () => {
  const canes = [{ endsShare: 0.3, sliceMm: 1.2, slices: 20 }];
  const blends = [
    { passes: 6, wantedPasses: 12 },
    { passes: 1, wantedPasses: 0 },
  ];
  const facts = troubleFacts({ ...told, canes: canes as never, blends: blends as never }, shelf);
  expect([facts.ends, facts.sliceMm, facts.blendPasses, facts.restedDays]).toEqual([0.3, 1.2, 0.5, 0]);
  expect(causesFor('streaks', facts)[0]?.cause.id).toBe('too few blend passes');
});

test('clay that was squeezed and gives wants fewer passes than its line lets one guess', () => {
  const soft = [{ clayId: 'a', school: 'thin slices', squeeze: 'gives', passes: 12, roomC: 16 }];
  const squeezed = troubleFacts({ ...told, conditioned: soft as never }, shelf).passes ?? 0;
  expect(squeezed).toBeGreaterThan(2 * (troubleFacts(told, shelf).passes ?? 1));
});

test('it is written down once, in words that the search finds', () => {
  const [first] = causesFor('scorched', troubleFacts(told, shelf));
  if (!first) throw new Error('no cause');
  const line = troubleNote('scorched', first);
  expect(line).toMatch(/^Went wrong: scorched\. .* Next time: /);
  expect(withTrouble('', line)).toBe(line);
  expect(withTrouble('sold two\n', line)).toBe(`sold two\n${line}`);
  expect(withTrouble(`sold two\n${line}`, line)).toBe(`sold two\n${line}`);
});

test('the thickest stack and the highest one of its plan; nothing where no setting is known any more', () => {
  const layers = (...ids: string[]) => ({ layers: ids.map((settingId) => ({ settingId })) });
  const batch = { pieces: [layers('s1', 's1', 's1'), layers('s3')] } as never;
  const settings = [
    { id: 's1', mm: 0.5 },
    { id: 's3', mm: 3 },
  ];
  expect(stackedIn(batch, settings)).toEqual({ thickMm: 3, layers: 3 });
  expect(stackedIn(batch, [])).toEqual({ thickMm: null, layers: 3 });
  expect(stackedIn({ pieces: [] }, settings)).toEqual({ thickMm: null, layers: null });
  const facts = troubleFacts(told, shelf, stackedIn(batch, settings));
  expect([facts.thickMm, facts.layers]).toEqual([3, 3]);
});

test('folds beyond the stop: each one halves the veins', () => {
  const patterns = (...veins: number[]) => [{ stops: veins.map((veinMm) => ({ kind: 'fold', times: 6, veinMm })) }];
  const beyond = (...veins: number[]) => troubleFacts({ ...told, patterns: patterns(...veins) as never }, shelf).beyond;
  expect([beyond(3), beyond(0.7), beyond(3, 0.3), beyond(0)]).toEqual([0, 1, 2, null]);
});
