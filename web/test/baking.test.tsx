/** @jest-environment ./web/test/page.mjs */
import { act, cleanup, render, screen } from '@testing-library/react';
import { ChakraProvider } from '@chakra-ui/react';
import { MemoryRouter } from 'react-router';
import { OvenBar } from '../src/parts/baking/OvenBar.js';
import {
  alarmWords,
  countedWords,
  itemsWords,
  leftOutWords,
  standsAt,
  unknownWords,
  whereWords,
} from '../src/parts/baking/bakeWords.js';
import { bakedWords } from '../src/stations/diary/OneBake.js';
import { minutesIn, useBaking, type InOven } from '../src/state/baking.js';
import { system } from '../src/theme/system.js';

const MINUTE = 60_000;
const NOW = 1_800_000_000_000;
const TO_PUT_IN = {
  ...{ ovenId: 'o', ovenName: 'Small oven', dial: 137, celsius: 130, low: 125, maxC: 150, minutes: 30 },
  items: [{ batchId: 'b', pieceId: 'p', name: 'Basket bead', count: 22, cores: true }],
};
const load = (more: Partial<InOven> = {}): InOven => ({
  ...{ id: 'l', startedAt: NOW, probeAhead: null, dialFrom: 0, curve: [] },
  ...TO_PUT_IN,
  ...more,
});
const steady = (celsius: number, minutes: number) =>
  Array.from({ length: minutes + 1 }, (_, i) => ({ at: i, celsius }));

beforeEach(() => {
  useBaking.setState({ load: null });
  localStorage.clear();
});
afterEach(cleanup);

test('without a probe the clock counts, and that is said', () => {
  const stands = standsAt(load(), NOW + 12 * MINUTE);
  expect(countedWords(stands, load())).toBe('12 of 30 min');
  expect(whereWords(stands, load(), 'metric')).toMatch(/No probe is heard/);
  expect(standsAt(load(), NOW + 30 * MINUTE).enough).toBe(true);
  expect(minutesIn(load(), NOW - MINUTE)).toBe(0);
});

test.each([
  [100, /^It warms up to 125 °C to 135 °C/],
  [130, /^Within 125 °C to 135 °C: the minutes count/],
  [140, /^Above 125 °C to 135 °C: the minutes stand still/],
])('at %s °C it says where it is', (celsius, sentence) => {
  const own = load({ curve: steady(celsius, 5) });
  expect(whereWords(standsAt(own, NOW), own, 'metric')).toMatch(sentence);
});

test('what is over is told in whole minutes, and never more than there were', () => {
  const own = load({ curve: [...steady(130, 12), { at: 12.9, celsius: 130 }] });
  expect(countedWords(standsAt(own, NOW), own)).toBe('12 of 30 min');
  const cold = load({ curve: [...own.curve, { at: 13.5, celsius: 90 }] });
  expect(whereWords(standsAt(cold, NOW), cold, 'metric')).toMatch(/^Below/);
  const gone = load({ curve: [...own.curve, { at: 22.9, celsius: 130 }] });
  expect(unknownWords(standsAt(gone, NOW))).toBe('Nobody heard it for 10 min: these do not count.');
  expect(unknownWords(standsAt(own, NOW))).toBeNull();
});

test('the alarm names what to do, in one system of units', () => {
  const soon = load({ curve: [0, 1, 2].map((i) => ({ at: i, celsius: 136 + 6 * i })) });
  expect(alarmWords(standsAt(soon, NOW), soon, 'imperial')).toBe('It is about to pass 302 °F: open the door.');
  const over = load({ curve: steady(155, 2) });
  expect(alarmWords(standsAt(over, NOW), over, 'metric')).toMatch(/^Above 150 °C: switch off/);
  const fine = load({ curve: steady(130, 2) });
  expect(alarmWords(standsAt(fine, NOW), fine, 'metric')).toBeNull();
  expect(itemsWords(load())).toBe('22 Basket bead, cores');
  expect(leftOutWords(1, 900, 'metric')).toBe('One reading was left out: the last said 900 °C. Look at its plug.');
  expect(leftOutWords(3, null, 'metric')).toMatch(/^3 readings were left out: the last said nothing/);
});

test('a load is kept for the next visit; the clock of the probe may be another one', () => {
  const { putIn, hear, takeOut } = useBaking.getState();
  putIn(TO_PUT_IN, NOW);
  // an hour ahead of this clock
  hear(NOW + 61 * MINUTE, 40, NOW + MINUTE);
  hear(NOW + 63 * MINUTE, 60, NOW + MINUTE + 2000);
  expect(useBaking.getState().load!.curve).toEqual([
    { at: 1, celsius: 40 },
    { at: 3, celsius: 60 },
  ]);
  const kept = JSON.parse(localStorage.getItem('sledge-oven') ?? '') as { state: { load: InOven } };
  expect(kept.state.load.curve).toHaveLength(2);
  useBaking.getState().setDial(150);
  expect(useBaking.getState().load).toMatchObject({ dial: 150, dialFrom: 3 });
  takeOut();
  hear(NOW, 50, NOW);
  expect(useBaking.getState().load).toBeNull();
});

test('the bar is on every page while something is in the oven, and rings where it is over the maximum', () => {
  const bar = () =>
    render(
      <ChakraProvider value={system}>
        <MemoryRouter>
          <OvenBar />
        </MemoryRouter>
      </ChakraProvider>,
    );
  expect(bar().container.textContent).toBe('');
  act(() => {
    useBaking.setState({ load: load({ startedAt: Date.now(), curve: steady(130, 8) }) });
  });
  expect(screen.getByRole('region', { name: 'In the oven' }).textContent).toMatch(/^130 °C, 8 of 30 min/);
  act(() => {
    useBaking.setState({ load: load({ startedAt: Date.now(), curve: steady(155, 8) }) });
  });
  expect(screen.getByRole('alert').textContent).toContain('switch off, open the door');
});

test('the diary says how it was meant and how it went', () => {
  const bake = {
    ...{ ovenName: 'Small oven', dial: 137, celsius: 130, low: 125, high: 135, maxC: 150, minutes: 30, lasted: 49 },
    ...{ inBand: 31.7, hottest: 138.2, curve: [], items: [] },
  };
  expect(bakedWords(bake, 'metric')).toBe(
    'Meant: 30 min at 130 °C. Really 31 min within 125 °C to 135 °C, hottest 138 °C.',
  );
  expect(bakedWords({ ...bake, inBand: null, hottest: null }, 'metric')).toMatch(/49 min by the clock; no probe/);
});
