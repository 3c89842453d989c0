/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import { setup } from '#demo';
import type { OverPlan, TaughtAnswer, TaughtFigure } from '#contract';
import { planOfEntry, moved, scaled, turned, AS_IT_FILLS } from '../src/stations/diary/laidOver.js';
import Rescue from '../src/stations/shelf/rescue/Rescue.js';
import Condition from '../src/stations/sheets/Condition.js';
import Taught from '../src/stations/diary/taught/Taught.js';
import { teachWords } from '../src/stations/diary/taught/taughtWords.js';
import { SHELF, clayId } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shownAt, type Read } from './screen.js';

const figure = (more: Partial<TaughtFigure>): TaughtFigure => ({
  ...{ key: 'passes l', kind: 'passes', name: 'Hearth Firm', assumed: 26, learned: 32.4, from: 7 },
  ...{ odd: 1, off: 0.05, aside: false },
  ...more,
});
const TAUGHT: TaughtAnswer = {
  figures: [
    figure({}),
    figure({ key: 'minutes sand', kind: 'minutes', name: 'sand', assumed: 1, learned: 1.27, from: 1, odd: 0 }),
    figure({ key: 'ends', kind: 'ends', name: '', assumed: 0.6, learned: 0.6, from: 0, odd: 0 }),
    figure({ key: 'sheen', kind: 'sheen', name: '', assumed: 10, learned: 12, from: 3, aside: true }),
    figure({ key: 'blends', kind: 'blends', name: '', assumed: 15, learned: 11, from: 2, odd: 2 }),
  ],
  next: ['ends', 'minutes sand'],
};

describe('what the bench taught', () => {
  const taughtAt = () => shownAt('/diary/taught', '/diary/taught', <Taught />, [[['/api/taught'], TAUGHT]]);

  test('each figure stands beside what is assumed, with its counts, and what would teach most', () => {
    const page = taughtAt();
    expectWhole(page);
    const words = page.words();
    expect(words).toContain('Passes for half a block of Hearth Firm');
    for (const part of ['~26', '32', '7 counts, one odd one left out', 'one count', 'nothing counted yet', '1.27 ×'])
      expect(words).toContain(part);
    expect(words).toContain(teachWords({ kind: 'ends', name: '' }));
    // of what was never counted nothing can be set aside
    expect(page.getAllByRole('button', { name: /^Set aside|^Use/ })).toHaveLength(4);
  });

  test('one is set aside, and another used again', async () => {
    const page = taughtAt();
    await page.user.click(page.getByRole('button', { name: /^Set aside: Passes for half/ }));
    expect(await post.next()).toMatchObject({ path: '/api/taught/passes%20l', body: { aside: true } });
    await page.user.click(page.getByRole('button', { name: /^Use: Passes until a sheen/ }));
    expect(await post.next()).toMatchObject({ path: '/api/taught/sheen', body: { aside: false } });
  });
});

const READ: Read = [
  [['/api/shelf'], SHELF],
  [['/api/machines'], { machines: [], setup }],
  [['/api/conditioned'], []],
  [['/api/exchange/mixes'], []],
  [['/api/learning'], { use: false, learned: null, chips: [], clays: [], key: '', learnedKey: null }],
];

describe('conditioning', () => {
  const at = (of: string) => shownAt(`/sheets/condition?of=${of}`, '/sheets/:page', <Condition />, READ);

  test.each(['metric', 'imperial'] as const)('several clays stand in their order, in the %s system', (units) => {
    const of = `${clayId('Carrot')}:20,${clayId('Pea')}:20,${clayId('Chalk')}:20`;
    const page = shownAt(`/sheets/condition?of=${of}`, '/sheets/:page', <Condition />, READ, units);
    expectWhole(page);
    const turns = page.getAllByText(/passes, minute \d+ to \d+/);
    expect(turns.length).toBeGreaterThanOrEqual(3);
    expect(page.words()).toMatch(/Put to warm now, wrapped and close to the body: .*Carrot/);
  });

  test('one key says what the block does, and is kept for it', async () => {
    const page = at(`${clayId('Pea')}:10`);
    await page.user.keyboard('c');
    const { method, path, body } = await post.next();
    expect([method, body.squeezed]).toEqual(['PUT', 'cracks']);
    expect(path).toMatch(/^\/api\/blocks\//);
  });
});

describe('a block that is brought back', () => {
  const block = SHELF.blocks.find((b) => b.clayId === clayId('Beetroot') && b.leftGrams > 0);
  const at = (id: string) => shownAt(`/shelf/back/${id}`, '/shelf/back/:blockId', <Rescue />, READ);

  test('says what to work in, what comes of it, and how hands do it', () => {
    const page = at(block?.id ?? '');
    expectWhole(page);
    expect(page.words()).toMatch(/What to work in.*drops? of softener/);
    expect(page.getByText(/^It becomes/)).toBeDefined();
    expect(page.words()).toContain('Or leave it as it is');
  });

  test('done, it is sent with how it went', async () => {
    post.answer(() => ({ entryId: 'e', made: 'block', grams: 5 }));
    const page = at(block?.id ?? '');
    await page.user.click(page.getByRole('button', { name: /^Done: it is brought back/ }));
    await page.user.click(page.getByRole('button', { name: /^It worked/ }));
    await page.user.click(page.getByRole('button', { name: 'Done, write it down' }));
    const { path, body } = await post.next();
    expect(path).toBe(`/api/blocks/${block?.id ?? ''}/rescued`);
    expect(body).toMatchObject({ outcome: 'worked', from: 'crumbles', lostGrams: 0, revisionId: null });
  });

  test('a block that is gone says so', () => {
    expect(at('nothing').words()).toContain('not on the shelf any more');
  });
});

describe('a photograph over the plan', () => {
  const lay: fc.Arbitrary<OverPlan> = fc.record({
    ...{ x: fc.double({ min: -2, max: 2, noNaN: true }), y: fc.double({ min: -2, max: 2, noNaN: true }) },
    scale: fc.double({ min: 0.05, max: 20, noNaN: true }),
    turn: fc.double({ min: -180, max: 180, noNaN: true }),
  });

  test('is never moved, sized or turned out of reach, and one does not change the others', () => {
    const far = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(lay, far, far, (own, a, b) => {
        const [went, grew, turns] = [moved(own, a, b), scaled(own, Math.abs(a)), turned(own, 10 * b)];
        for (const { x, y, scale, turn } of [went, grew, turns]) {
          expect([Math.abs(x) <= 2, Math.abs(y) <= 2, scale >= 0.05 - 1e-9, scale <= 20]).toEqual(Array(4).fill(true));
          expect(Math.abs(turn)).toBeLessThanOrEqual(180);
        }
        expect([went.scale, went.turn, grew.x, turns.y]).toEqual([own.scale, own.turn, own.x, own.y]);
      }),
    );
    expect(moved(AS_IT_FILLS, 0.1, 0)).toEqual({ ...AS_IT_FILLS, x: 0.1 });
  });

  test('lies over the cane that was made, else over the sheet, else over nothing', () => {
    const cane = { revisionId: 'c', name: 'Beetroot ring' };
    const pattern = { revisionId: 'p', name: 'Onion skins', hands: 3 };
    expect(planOfEntry({ canes: [cane], patterns: [pattern] } as never)).toMatchObject({ kind: 'cane', hands: 0 });
    expect(planOfEntry({ canes: [], patterns: [pattern] } as never)).toMatchObject({ kind: 'pattern', hands: 3 });
    expect(planOfEntry({ canes: [], patterns: [] })).toBeNull();
  });
});
