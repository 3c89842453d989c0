import { ofClay, ofMix, type Mixable } from '#core/material';
import type { BenchStep } from '#core/batch';
import { cleanedBetween, crumblyLate, rolledOnce } from '../src/batch/workingOrder.js';

const L: Readonly<Record<string, number>> = { Chalk: 93, Soot: 15, Beetroot: 30, Corn: 84, Ring: 55 };
const shown = (name: string, of: Mixable = ofClay(name)) => ({ of, name, hex: '000000' });
const condition = (name: string, useSameDay = false): BenchStep =>
  ({
    ...{ kind: 'condition', clay: shown(name), grams: 20, months: 3, bought: false, lots: 1 },
    how: { minutes: 6, warmFirst: false, useSameDay, softener: false },
  }) as BenchStep;
const mix = (name: string, ...of: string[]): BenchStep =>
  ({
    ...{ kind: 'mix', mix: shown(name, ofMix(name)), made: 30, discError: 0 },
    portions: of.map((n) => ({ ...shown(n), grams: 10, discs: null })),
  }) as unknown as BenchStep;
const roll = (name: string, pieceName: string, settingLabel = '3'): BenchStep =>
  ({
    ...{ kind: 'roll', sheet: shown(name), pieceId: pieceName, pieceName, machineName: 'Bench roller', settingLabel },
    ...{ mm: 2, assumed: false, width: 100, length: 50, sheets: 1, grams: 12, more: [] },
  }) as BenchStep;
const lightness = ({ name }: { readonly name: string }): number => L[name] ?? 50;
const told = (steps: readonly BenchStep[]): string[] =>
  steps.map((s) => {
    if (s.kind === 'clean') return `clean before ${s.before.name}`;
    if (s.kind === 'condition') return `condition ${s.clay.name}`;
    return s.kind === 'mix' ? `mix ${s.mix.name}` : `roll ${'sheet' in s ? s.sheet.name : ''}`;
  });

test('hands are cleaned where dark goes before light, and not for a mix that the dark clay goes into', () => {
  const steps = [condition('Chalk'), condition('Beetroot'), mix('Ring', 'Chalk', 'Beetroot'), roll('Chalk', 'base')];
  expect(told(cleanedBetween(steps, lightness))).toEqual([
    'condition Chalk',
    'condition Beetroot',
    'mix Ring',
    'clean before Chalk',
    'roll Chalk',
  ]);
  expect(told(cleanedBetween([condition('Soot'), mix('Ring', 'Chalk')], lightness))).toContain('clean before Ring');
  expect(told(cleanedBetween([condition('Chalk'), condition('Soot')], lightness))).toHaveLength(2);
});

test('what is of one clay at one setting is rolled once, for all that need it', () => {
  const steps = rolledOnce([
    roll('Chalk', 'base'),
    roll('Soot', 'edge'),
    roll('Chalk', 'top'),
    roll('Chalk', 'x', '5'),
  ]);
  expect(told(steps)).toEqual(['roll Chalk', 'roll Soot', 'roll Chalk']);
  expect(steps[0]).toMatchObject({ grams: 24, more: [{ pieceName: 'top', width: 100, length: 50, sheets: 1 }] });
});

test('clay that goes back to crumbs is conditioned just before its use', () => {
  const steps = [condition('Corn', true), condition('Chalk'), roll('Chalk', 'base'), roll('Corn', 'seed')];
  expect(told(crumblyLate(steps))).toEqual(['condition Chalk', 'roll Chalk', 'condition Corn', 'roll Corn']);
  expect(crumblyLate([condition('Corn', true), roll('Corn', 'seed')])).toHaveLength(2);
});
