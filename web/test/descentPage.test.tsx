/** @jest-environment ./web/test/page.mjs */
import { within } from '@testing-library/react';
import type { DescentAnswer, DiaryAnswer } from '#contract/diary';
import { DescentPage } from '../src/stations/diary/descent/DescentPage.js';
import { shown } from './screen.js';

const entry = (id: string, title: string, more: Partial<DiaryAnswer> = {}): DiaryAnswer => ({
  ...{ id, version: 1, madeOn: '2026-11-20', title, note: '', outcome: null, batchId: null },
  ...{ pictures: [], pieces: [], findings: [], mixes: [], blends: [], canes: [], patterns: [], bakes: [] },
  ...{ sheets: [], flows: [], conditioned: [], clays: [] },
  ...more,
});
const chalk = { clayId: 'c', name: 'Chalk', hex: 'F1EEE4', grams: 40 };
const descent: DescentAnswer = {
  made: [
    { entry: entry('e1', 'Brooches', { outcome: 'worked' }), went: [], lines: {} },
    { entry: entry('e2', 'Radish cane'), went: [{ name: 'Radish cane', grams: 12, into: 'e1' }], lines: {} },
    {
      entry: entry('e3', 'Chalk fade', { clays: [chalk], pictures: [{ id: 'p1' }] }),
      went: [{ name: 'Chalk fade, its plug', grams: 31, into: 'e2' }],
      lines: { c: 'Hearth Firm' },
    },
  ],
};

test('each thing stands where it went in, with its clays, their lines and its photographs', () => {
  const page = shown(<DescentPage descent={descent} units="metric" sourceOf={(id) => `kept ${id}`} />);
  const words = (name: string) => page.getByRole('region', { name }).textContent;
  expect(words('What it is made of')).toContain('12 g of Radish cane');
  expect(words('What it is made of')).not.toContain('plug');
  expect(words('Radish cane')).toContain('of it went on: 12 g of Radish cane');
  expect(words('Radish cane')).toContain('31 g of Chalk fade, its plug');
  const fade = page.getByRole('region', { name: 'Chalk fade' });
  expect(fade.textContent).toContain('40 g Chalk Hearth Firm');
  expect(within(fade).getByRole('img', { name: 'Chalk fade' }).getAttribute('src')).toBe('kept p1');
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('Brooches');
});

test('in ounces too; nothing is shown of what there is nothing of', () => {
  const page = shown(<DescentPage descent={descent} units="imperial" sourceOf={() => ''} />);
  expect(page.getByRole('region', { name: 'Chalk fade' }).textContent).toMatch(/1\.41 oz Chalk/);
  expect(page.queryByRole('heading', { name: 'Baked' })).toBeNull();
});

test('of an entry that nothing is known of there is an empty page', () => {
  const page = shown(<DescentPage descent={{ made: [] }} units="metric" sourceOf={() => ''} />);
  expect(page.queryByRole('region')).toBeNull();
});
