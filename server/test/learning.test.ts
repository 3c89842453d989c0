import { ofClay } from '#core/material';
import { randomUUID } from 'node:crypto';
import type { ChipDto, LearningAnswer, LearningDto, MixAnswer, MixListAnswer, Problem } from '#contract';
import { learn } from '#core/mix';
import { Api, mix, smallShelf } from './api.js';

let api: Api;
beforeEach(async () => {
  api = await Api.open();
});
afterEach(() => api.close());

const now = async (): Promise<LearningAnswer> => (await api.get<LearningAnswer>('/api/learning')).body;
const cardHex = async (): Promise<string | undefined> =>
  (await api.get<MixListAnswer>('/api/mixes')).body.cards[0]?.hex;
const lessonOf = ({ key, clays, chips }: LearningAnswer): LearningDto => ({
  key,
  clays: Object.entries(learn(clays, chips).learned).map(([clayId, own]) => ({
    clayId,
    ...own,
    curve: [...own.curve],
  })),
});

async function withChip(): Promise<{ chip: ChipDto; beetId: string }> {
  const { chalk, beet } = await smallShelf(api);
  const dto = mix('Beet ring', ['4', ofClay(chalk.id)], ['1', ofClay(beet.id)]);
  const ring = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
  const chip: ChipDto = {
    id: randomUUID(),
    version: 0,
    revisionId: ring.revisions[0]?.id ?? '',
    madeOn: '2026-11-20',
    stage: 'baked',
    l: 42,
    a: 44,
    b: -6,
    way: 'colour reader',
  };
  return { chip: (await api.put('chips', chip)).body, beetId: beet.id };
}

test(
  'what a window learned from the chips colours the board, until it is switched off or the file is ' + 'opened again',
  async () => {
    const { beetId } = await withChip();
    const stated = await cardHex();
    const before = await now();
    expect(before).toMatchObject({ learned: null, learnedKey: null, use: true });
    expect(before.chips).toMatchObject([
      {
        mixName: 'Beet ring',
        notation: expect.stringMatching(/^4 Chalk.* \+ 1 Beetroot/) as string,
        stage: 'baked',
        lab: { l: 42, a: 44, b: -6 },
        shares: [{ volume: 0.8 }, { volume: 0.2 }],
      },
    ]);
    const kept = (await api.ask<LearningAnswer>('PUT', '/api/learning', lessonOf(before))).body;
    expect(kept.learnedKey).toBe(before.key);
    expect(kept.learned?.[beetId]?.logStrength).toBeGreaterThan(0.2);
    const learned = await cardHex();
    expect(learned).not.toBe(stated);
    await api.ask('PUT', '/api/learning/use', { use: false });
    expect(await cardHex()).toBe(stated);
    await api.ask('PUT', '/api/learning/use', { use: true });
    await api.reopen();
    expect(await cardHex()).toBe(learned);
  },
);

test('the key changes with every chip, also with one that is taken back, and with a clay', async () => {
  const { chip, beetId } = await withChip();
  const first = await now();
  await api.put('chips', { ...chip, l: 43 });
  const second = await now();
  expect(second.key).not.toBe(first.key);
  await api.ask('POST', '/api/undo');
  expect((await now()).key).toBe(first.key);
  const beet = (await api.get<{ clays: { id: string }[] }>('/api/shelf')).body.clays.find((c) => c.id === beetId);
  await api.put('clays', { ...beet, id: beetId, bakedHex: '7B1E4C' });
  expect((await now()).key).not.toBe(first.key);
});

test('a lesson of chips that have changed meanwhile is refused', async () => {
  await withChip();
  const lesson = lessonOf(await now());
  const { status, body } = await api.ask<Problem>('PUT', '/api/learning', { ...lesson, key: '0'.repeat(40) });
  expect([status, body.detail]).toEqual([409, 'The chips have changed since this was learned.']);
  expect((await now()).learned).toBeNull();
});

test.each<[string, (dto: LearningDto) => unknown, RegExp]>([
  ['no key', (dto) => ({ ...dto, key: 'x' }), /which chips/],
  ['a short curve', (dto) => ({ ...dto, clays: [{ ...dto.clays[0], curve: [1] }] }), /has 9 numbers/],
  [
    'a curve of words',
    (dto) => ({ ...dto, clays: [{ ...dto.clays[0], curve: ['a', 1, 1, 1, 1, 1, 1, 1, 1] }] }),
    /list of numbers/,
  ],
  ['an endless strength', (dto) => ({ ...dto, clays: [{ ...dto.clays[0], logStrength: 99 }] }), /The learned strength/],
  ['no list', (dto) => ({ ...dto, clays: 'all' }), /clays/],
])('%s is refused', async (_, wrong, sentence) => {
  await withChip();
  const { status, body } = await api.ask<Problem>('PUT', '/api/learning', wrong(lessonOf(await now())));
  expect([status, JSON.stringify(body)]).toEqual([422, expect.stringMatching(sentence)]);
});

test('a mix remembers the colour it is to have, and a change that does not speak of it leaves it', async () => {
  const { chalk } = await smallShelf(api);
  const dto = { ...mix('Pale', ['1', ofClay(chalk.id)]), wantedHex: 'f0e0d0' };
  const saved = (await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, dto)).body;
  expect(saved.wantedHex).toBe('F0E0D0');
  const { wantedHex: _, ...rest } = dto;
  const renamed = (
    await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, { ...rest, name: 'Paler', version: saved.version })
  ).body;
  expect([renamed.name, renamed.wantedHex]).toEqual(['Paler', 'F0E0D0']);
  const cleared = (
    await api.ask<MixAnswer>('PUT', `/api/mixes/${dto.id}`, { ...rest, wantedHex: null, version: renamed.version })
  ).body;
  expect(cleared.wantedHex).toBeNull();
  expect(
    (await api.ask('PUT', `/api/mixes/${dto.id}`, { ...rest, wantedHex: 'red', version: cleared.version })).status,
  ).toBe(422);
});
