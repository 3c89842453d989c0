/** @jest-environment ./web/test/page.mjs */
import fc from 'fast-check';
import { machines, setup } from '#demo';
import type { MachineDto, ThereAnswer, TubAnswer } from '#contract';
import { Cores } from '../src/stations/shelf/there/Cores.js';
import { Stretch, TubRules } from '../src/stations/shelf/there/TubRules.js';
import { USUAL_ROLLING, laidDto, rolledOut, type Rolling } from '../src/stations/shelf/there/rollSlices.js';
import { shareOf, stretchedHex } from '../src/stations/shelf/there/tubMoves.js';
import { pigmentsWith } from '#core/mix';
import { SHELF, clayId } from './kitchen.js';
import { post } from './letters.js';
import { expectWhole, shown, typeInto } from './screen.js';

const [roller] = machines as readonly [MachineDto, ...MachineDto[]];
const SLICES = {
  ...{ id: 's1', version: 4, name: 'Beetroot ring, slices', ofName: 'Beetroot ring', form: 'slices', keptIn: 'drawer' },
  ...{ widthMm: 16, lengthMm: 16, mm: 2, count: 40, grams: 30.6, left: 30.6, density: 1.9 },
} as unknown as ThereAnswer;

describe('slices that are rolled', () => {
  const rolling = fc.record({
    laying: fc.constantFrom('puzzle' as const, 'rows' as const),
    backing: fc.double({ min: 0, max: 3, noNaN: true }),
    to: fc.double({ min: 0.5, max: 3, noNaN: true }),
    turned: fc.boolean(),
    along: fc.integer({ min: 20, max: 120 }),
    across: fc.integer({ min: 20, max: 120 }),
  });

  test('cover the sheet that is wanted, with a machine or without, and weigh what they weigh', () => {
    fc.assert(
      fc.property(rolling, fc.boolean(), (r: Rolling, own) => {
        const { slice, count, grams, backingGrams } = rolledOut(SLICES, r, own ? roller : undefined);
        const face = (Math.PI / 4) * 16 ** 2 * slice.growth;
        expect(count * face).toBeGreaterThanOrEqual(r.along * r.across * (r.laying === 'puzzle' ? 1 : 0.7) - 1e-6);
        expect(grams).toBeCloseTo((30.6 * count) / 40, 9);
        // what lies under them is the rest of the thickness
        const thick = Math.min(r.to, 2 + r.backing);
        expect(slice.mm + slice.backing).toBeCloseTo(thick, 6);
        expect(backingGrams).toBeCloseTo((r.along * r.across * slice.backing * 1.9) / 1000, 6);
      }),
      { numRuns: 60 },
    );
  });

  test('are sent with their number, the size of the sheet and what lay under them', () => {
    const backing = [{ of: { kind: 'scrap' as const, id: 'dark' }, grams: 4 }];
    expect(laidDto(SLICES, USUAL_ROLLING, 12, backing)).toMatchObject({
      ...{ version: 4, name: 'Beetroot ring, laid', count: 12, widthMm: 60, lengthMm: 60, mm: 1.5, keptIn: 'drawer' },
      backing,
    });
    // a sheet is never thicker than what it is rolled of
    expect(laidDto(SLICES, { ...USUAL_ROLLING, backing: 0, to: 5 }, 1, null)).toMatchObject({ mm: 2, backing: null });
  });
});

const MACHINES = [[['/api/machines'], { machines, setup }]] as const;

test('cores: discs of a cutter as balls and beads, and what slices cover', async () => {
  const page = shown(<Cores grams={40} density={1.9} slices={null} />, 'metric', MACHINES);
  // π/4 · 15² · 3 mm³ at 1.9 g/cm³: 1.01 g each
  expect(page.words()).toContain('each: 39 of them');
  expect(page.words()).toContain('a ball of 10 mm');
  await typeInto(page, 'Cutter of the cores', '20 mm');
  expect(page.words()).toContain('each: 22 of them');
  expectWhole(page);
  page.unmount();
  const covered = shown(
    <Cores grams={30} density={1.9} slices={{ count: 40, across: 16, mm: 2 }} />,
    'metric',
    MACHINES,
  );
  // 1.1 π (10.04 + 2)² ÷ 201 mm²: three slices
  expect(covered.words()).toContain('a ball of 10 mm takes 3 slices and is a bead of 14 mm: enough for 13');
});

describe('a tub', () => {
  const TUB = {
    ...{ id: 't1', version: 2, name: 'Dark scrap', keptIn: '', takes: [], rule: 'dark', of: null, grams: 30 },
    ...{ hex: '884455', rawHex: '884455' },
    clays: [
      { clayId: clayId('Chalk'), name: 'Chalk', grams: 20 },
      { clayId: clayId('Beetroot'), name: 'Beetroot', grams: 10 },
    ],
  } as unknown as TubAnswer;

  test('gets darker the more black is put in; its share is told by weight', () => {
    const dark = (grams: number): number =>
      parseInt(stretchedHex(TUB, clayId('Soot'), grams, SHELF, pigmentsWith(null))!.slice(0, 2), 16);
    expect(dark(1)).toBeGreaterThan(dark(5));
    expect(dark(5)).toBeGreaterThan(dark(30));
    expect(shareOf(10, 30)).toBe(0.25);
    expect(shareOf(0, 30)).toBe(0);
    expect(stretchedHex({ ...TUB, clays: [] }, clayId('Soot'), 0, SHELF, pigmentsWith(null))).toBeNull();
  });

  test('is stretched with what one says, and takes the scrap of clays that are named', async () => {
    const takes: string[][] = [];
    const page = shown(
      <>
        <TubRules tub={TUB} shelf={SHELF} onTakes={(t) => takes.push(t)} />
        <Stretch tub={TUB} shelf={SHELF} />
      </>,
    );
    await page.user.selectOptions(page.getByLabelText('A clay whose scrap comes here'), 'Chalk');
    expect(takes).toEqual([[clayId('Chalk')]]);
    await typeInto(page, 'Clay to stretch it with, weight', '15 g');
    expect(page.words()).toContain('33 % of 45 g by weight');
    await page.user.click(page.getByRole('button', { name: 'Put it in' }));
    expect((await post.next()).body).toMatchObject({ used: [{ clayId: clayId('Soot'), grams: 15 }] });
    expectWhole(page);
  });
});
