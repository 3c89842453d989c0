import { ofMix } from '#core/material';
import fc from 'fast-check';
import { pigmentsWith } from '#core/mix';
import { dialLabels } from '#core/sheet';
import type { BlendPlanDto, MachineDto } from '#contract';
import { coloursIn, compensatedIn, workedBlend, type WorkedBlend } from '../src/stations/blends/workedBlend.js';
import { SHELF, blend, plan, revision } from './kitchen.js';

const stated = pigmentsWith(null);
const machine: MachineDto = {
  id: 'm',
  version: 1,
  name: 'Bench roller',
  rollerWidthMm: 145,
  retired: false,
  settings: dialLabels('0', '9', '1').map((label) => ({ id: label, label })),
  readings: [
    ['0', 3.2],
    ['9', 0.42],
  ].map(([settingId, mm]) => ({
    id: `r${settingId}`,
    settingId: String(settingId),
    mm: Number(mm),
    sigmaMm: 0.05,
    way: 'calipers' as const,
    takenOn: '2026-11-01',
  })),
} as unknown as MachineDto;
function worked(of: BlendPlanDto, own?: MachineDto, cuts = of.cuts): WorkedBlend {
  const base = coloursIn(blend(of), SHELF, stated);
  if (typeof base === 'string') throw new Error(base);
  return workedBlend(blend(of), cuts, base, compensatedIn(of, base), own);
}

test('the clay of a blend is all on its sheet: areas, layers and thickness, and the grams of every clay', () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray(['Chalk', 'Soot', 'Beetroot', 'Squash', 'Leek', 'Corn'], { minLength: 2, maxLength: 4 }),
      fc.integer({ min: 1, max: 5 }),
      fc.constantFrom(undefined, machine),
      fc.constantFrom('0', '4', null),
      (names, layers, own, settingId) => {
        const { colours, grams, mm, setting } = worked(plan(names, { layers, settingId }), own);
        expect(colours.map((c) => c.name)).toEqual(names);
        expect(colours.reduce((sum, c) => sum + c.area, 0)).toBeCloseTo(180 * 120, 6);
        // without a machine or a setting the sheets are assumed to be of 2 mm
        expect(setting === null ? mm : setting.mm).toBe(mm);
        expect(setting === null).toBe(own === undefined);
        // a machine that is described later gives the setting nearest to that
        if (settingId === null && setting) expect(Math.abs(setting.mm - 2)).toBeLessThan(0.3);
        if (setting === null) expect(mm).toBe(2);
        for (const c of colours) {
          expect(c.grams).toBeCloseTo((c.area * mm * layers * c.density) / 1000, 9);
          expect(c.perClay.reduce((sum, p) => sum + p.grams, 0)).toBeCloseTo(c.grams + c.over, 9);
          // the other halves of an odd number of layers are rolled too
          expect(c.over).toBeCloseTo(layers % 2 === 0 ? 0 : c.grams / layers, 9);
        }
        expect(grams).toBeCloseTo(
          colours.reduce((sum, c) => sum + c.grams, 0),
          9,
        );
      },
    ),
    { numRuns: 25 },
  );
});

test('the plug has the clay of the sheet, and every tape laid on it is as much again', () => {
  const of = (more: Partial<BlendPlanDto>): WorkedBlend => worked(plan(['Leek', 'Corn'], more), machine);
  const [one, three] = [of({}), of({ stack: 3 })];
  expect(three.grams / one.grams).toBeCloseTo(3, 9);
  const volume = ({ plug }: WorkedBlend): number =>
    (Math.PI / 4) * (plug as { diameter: number }).diameter ** 2 * plug.height;
  expect(volume(one)).toBeCloseTo(180 * 120 * one.mm * 2, 3);
  expect(volume(three) / volume(one)).toBeCloseTo(3, 6);
  const more = of({ extraAt: 'last', extraMm: 100 });
  expect(more.extraGrams).toBeGreaterThan(0);
  expect(more.grams - one.grams).toBeCloseTo(more.extraGrams, 9);
  expect(more.tape.length - one.tape.length).toBeCloseTo(100, 6);
});

test('while a cut is dragged only what follows from the cut is new', () => {
  const of = plan(['Leek', 'Corn']);
  const moved = of.cuts.map((c) => ({ points: c.points.map((p) => ({ ...p, x: p.x + 12 })) }));
  const [still, dragged] = [worked(of, machine), worked(of, machine, moved)];
  expect(dragged.colours[0]?.area).toBeCloseTo((still.colours[0]?.area ?? 0) + 12 * 120, 6);
  expect(dragged.fade).not.toEqual(still.fade);
  expect(dragged.compensatedFade).toEqual(still.compensatedFade);
  const across = ({ plug }: WorkedBlend): number => (plug as { diameter: number }).diameter;
  expect([across(dragged), dragged.contrast]).toEqual([expect.closeTo(across(still), 6), still.contrast]);
});

test('a colour may be a mix; one that is not known is said', () => {
  const mix = revision('Pod mix', { Leek: '3', Chalk: '1' });
  const of = plan(['Leek', 'Corn'], { colours: [ofMix(mix.id), plan(['Corn', 'Leek']).colours[0]!] });
  const base = coloursIn(blend(of, [mix]), SHELF, stated);
  expect(typeof base === 'string' ? base : base.map((c) => c.name)).toEqual(['Pod mix', 'Corn']);
  expect(coloursIn(blend(of), SHELF, stated)).toMatch(/^[A-Z].*\.$/);
});

test('the tape is the thickest that shows no steps, and its width is a part of the finished blend', () => {
  for (const names of [
    ['Leek', 'Corn'],
    ['Chalk', 'Soot'],
    ['Corn', 'Chalk'],
  ]) {
    for (const turning of ['folded', 'rolled', 'cut'] as const) {
      const {
        mm,
        turning: { finished, turned, choices, tapeSetting, steps },
        tape,
        plug,
      } = worked(plan(names, { turning }), machine);
      expect(finished.width * finished.length * finished.mm).toBeCloseTo(180 * 120 * 2 * mm, -2);
      expect(tape.width).toBe(turned.width);
      expect(plug.height).toBe(turned.width);
      const smooth = choices.filter((c) => c.steps.mean <= 2.5);
      expect(tapeSetting?.id).toBe((smooth[0] ?? choices.at(-1))?.setting.id);
      expect(steps).toEqual(choices.find((c) => c.setting.id === tapeSetting?.id)?.steps);
      // thinner is never rougher
      choices.slice(1).forEach((c, i) => {
        expect(c.steps.mean).toBeLessThanOrEqual((choices[i]?.steps.mean ?? 0) + 0.05);
      });
    }
  }
});
