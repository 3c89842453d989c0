/** @jest-environment ./web/test/page.mjs */
import { act } from '@testing-library/react';
import { thicknesses } from '#core/sheet';
import { showLength, type UnitSystem } from '#core/units';
import { machines, setup } from '#demo';
import type { MachineDto } from '#contract';
import { FeedPlan } from '../src/stations/sheets/FeedPlan.js';
import { useRollPlan, workRoll } from '../src/stations/sheets/rollPlan.js';
import { expectWhole, shown, typeInto, type Shown } from './screen.js';

const OWN = machines.find((m) => m.id === setup.machineId) as unknown as MachineDto;
const SETTINGS = thicknesses(OWN);
const idOf = (label: string): string => SETTINGS.find((s) => s.label === label)?.id ?? '';

beforeEach(() => {
  useRollPlan.setState({
    ...{ layers: 2, fromId: idOf('3'), toId: idOf('5'), size: { width: 60, height: 90 } },
    ...{ thinning: 'one at a time', turns: false },
  });
});

const feeding = (units: UnitSystem = 'metric'): Shown => shown(<FeedPlan own={OWN} />, units);
const passes = (page: Shown): string[] =>
  page
    .getAllByRole('listitem')
    .map((item) => item.textContent ?? '')
    .slice(1);

describe('the way from a stack to a setting', () => {
  test.each(['metric', 'imperial'] as const)('is shown in the %s system, each value under a name', (units) => {
    const page = feeding(units);
    expectWhole(page);
  });

  test('goes through the settings that core says, each thinner, each sheet longer', () => {
    const page = feeding();
    const worked = workRoll(OWN, useRollPlan.getState())!;
    expect(passes(page)).toHaveLength(worked.feeds.feeds.length);
    worked.feeds.feeds.forEach((feed, i) => {
      expect(passes(page)[i]).toContain(feed.setting.label);
      expect(passes(page)[i]).toContain(showLength(feed.mm, 'metric', true));
    });
    // 2 × 2.06 mm to 1.21 mm: constant volume, constant width
    const last = worked.feeds.feeds.at(-1)!;
    expect(last.length * last.mm * last.width).toBeCloseTo(60 * 90 * worked.mm, 3);
  });

  test.each<[string, string, object]>([
    ['Sheets in the stack', '4', { layers: 4 }],
    ['Size of the stack', '50 × 70 mm', { size: { width: 50, height: 70 } }],
    ['Size of the stack', '2 × 4 in', { size: { width: 50.8, height: 101.6 } }],
  ])('%s is taken as %s', async (label, text, wanted) => {
    const page = feeding();
    await typeInto(page, label, text);
    expect(useRollPlan.getState()).toMatchObject(wanted);
  });

  test.each([
    ['Sheets in the stack', '0'],
    ['Sheets in the stack', '13'],
    ['Size of the stack', '50 mm'],
  ])('%s cannot be %s', async (label, text) => {
    const before = useRollPlan.getState();
    const page = feeding();
    await typeInto(page, label, text);
    expect(useRollPlan.getState()).toMatchObject({ layers: before.layers, size: before.size });
  });

  test('ends where it is told to, in one go where that is asked', async () => {
    const page = feeding();
    await page.user.selectOptions(page.getByLabelText('Setting to end at'), '7');
    expect(useRollPlan.getState().toId).toBe(idOf('7'));
    const slow = passes(page).length;
    await page.user.selectOptions(page.getByLabelText('How it is thinned'), 'straight to it');
    expect(passes(page).length).toBeLessThan(slow);
    expect(passes(page).at(-1)).toContain('7');
  });

  test('says where a stack is no thicker than that already', () => {
    act(() => {
      useRollPlan.setState({ layers: 1, fromId: idOf('6'), toId: idOf('2') });
    });
    expect(feeding().words()).toContain('It is no thicker than that already.');
  });

  test('says what to do with a stack that is too thick, and with one that is too wide', () => {
    act(() => {
      useRollPlan.setState({ layers: 8, fromId: idOf('0') });
    });
    const thick = feeding();
    expect(thick.words()).toMatch(/Too thick for your machine: roll it by hand to [\d.]+ mm first\./);
    thick.unmount();
    act(() => {
      useRollPlan.setState({ layers: 2, fromId: idOf('3'), size: { width: 300, height: 90 } });
    });
    expect(feeding().words()).toMatch(/wider than your rollers: cut it in \d strips first\./);
  });

  test('quarter turns are ticked, and where they cannot be it says from where on', async () => {
    act(() => {
      useRollPlan.setState({ size: { width: 60, height: 140 }, toId: idOf('8') });
    });
    const page = feeding();
    await page.user.click(page.getByRole('checkbox'));
    expect(useRollPlan.getState().turns).toBe(true);
    expect(page.words()).toMatch(/From \d on it is longer than your rollers are wide/);
  });
});
