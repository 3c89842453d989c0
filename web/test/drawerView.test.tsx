/** @jest-environment ./web/test/page.mjs */
import { cutterOf, cutterOfSize, type Cutter } from '#core/cutter';
import type { OwnCutterDto } from '#contract';
import { FromDrawer } from '../src/parts/cutters/FromDrawer.js';
import { inDrawer, newCutter } from '../src/parts/cutters/ownCutters.js';
import Drawer from '../src/stations/batches/drawer/Drawer.js';
import { cutterFrom, readCorners } from '../src/stations/batches/drawer/corners.js';
import { post } from './letters.js';
import { expectWhole, shown, shownAt } from './screen.js';

const LEAF: OwnCutterDto = {
  ...{ id: 'c1', version: 3, name: 'Pea leaf', shape: 'leaf', widthMm: 14, heightMm: 36, rimMm: null, points: null },
};
const RING: OwnCutterDto = { ...LEAF, id: 'c2', name: 'Ring', shape: 'round', widthMm: 26, heightMm: null, rimMm: 6 };

const READ = [[['/api/cutters'], [LEAF, RING]]] as const;

describe('corners and drawings', () => {
  test('corners are read in mm, in any spelling of their list', () => {
    const wanted = { shape: 'drawn', width: 24, height: 30 };
    expect(readCorners('0 0, 24 0, 12 30')).toMatchObject(wanted);
    expect(readCorners('0,0; 24,0; 12,30')).toMatchObject(wanted);
    expect(readCorners('-12 -15\n12 -15\n0 15.0').points).toHaveLength(3);
  });
  test.each([
    ['two corners', '0 0, 24 0', /At least three/],
    ['words', '0 0, 24 0, up', /Write the corners/],
    ['a line that crosses itself', '0 0, 9 9, 9 0, 0 7', /crosses itself/],
    ['nothing in it', '0 0, 9 0, 18 0', /cutter/i],
  ])('%s are refused', (_, text, words) => {
    expect(() => readCorners(text)).toThrow(words);
  });
  test('of a drawing the largest region is the cutter', () => {
    const points = [
      [0, 0],
      [20, 0],
      [20, 8],
    ] as const;
    expect(cutterFrom({ regions: [{ name: '', hex: '000000', points }], notes: [] })).toMatchObject({ width: 20 });
    expect(() => cutterFrom({ regions: [], notes: [] })).toThrow(/no closed area/);
  });
  test('a cutter is known again by its shape and size, not by its name', () => {
    expect(inDrawer([LEAF, RING], cutterOf(RING))).toBe(RING);
    expect(inDrawer([LEAF], { ...cutterOf(LEAF), width: 15 })).toBeUndefined();
    expect(inDrawer([newCutter(cutterOfSize(18, null), 'Radish')], cutterOfSize(18, null))?.name).toBe('Radish');
  });
});

test('the drawer: another is opened, written anew, and one more put in', async () => {
  const page = shownAt('/batches/drawer', '/batches/drawer', <Drawer />, READ);
  expect(page.getByRole('button', { name: /Pea leaf/ }).getAttribute('aria-pressed')).toBe('true');
  await page.user.click(page.getByRole('button', { name: /^Ring/ }));
  // π (13² − 7²) = 377 mm²
  expect(page.words()).toContain('3.8 cm² of clay a piece');
  const size = page.getByRole('textbox', { name: 'Shape and size of the cutter' });
  await page.user.clear(size);
  await page.user.type(size, '30 mm round, rim 4{Enter}');
  expect((await post.next()).body).toMatchObject({ id: 'c2', shape: 'round', widthMm: 30, rimMm: 4, name: 'Ring' });
  const more = page.getByRole('textbox', { name: /shape and size, or its corners/ });
  await page.user.type(more, '20 mm star{Enter}');
  expect(page.words()).toContain('"star" is no shape of a cutter');
  await page.user.clear(more);
  await page.user.type(more, '0 0, 24 0, 12 30{Enter}');
  expect((await post.next()).body).toMatchObject({ shape: 'drawn', widthMm: 24, heightMm: 30 });
  await expectWhole(page);
});

test('beside a piece a cutter is taken out of the drawer, or put there', async () => {
  const chosen: Cutter[] = [];
  const page = shown(<FromDrawer cutter={cutterOfSize(18, null)} onChoose={(c) => chosen.push(c)} />, 'metric', READ);
  await page.user.click(page.getByRole('button', { name: 'keep this cutter there' }));
  expect((await post.next()).body).toMatchObject({ name: '18 mm round', shape: 'round', widthMm: 18 });
  await page.user.click(page.getByRole('button', { name: 'from the drawer' }));
  await page.user.click(page.getByRole('button', { name: 'Ring' }));
  expect(chosen).toEqual([cutterOf(RING)]);
});
