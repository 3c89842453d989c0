/** @jest-environment ./web/test/page.mjs */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { ChakraProvider } from '@chakra-ui/react';
import { TimerBar } from '../src/parts/TimerBar.js';
import { MOST_TIMERS, leftWords, useTimers } from '../src/state/timers.js';
import { system } from '../src/theme/system.js';

const MINUTE = 60_000;
beforeEach(() => {
  useTimers.setState({ timers: [] });
  localStorage.clear();
});
afterEach(cleanup);

const bar = () =>
  render(
    <ChakraProvider value={system}>
      <TimerBar />
    </ChakraProvider>,
  );

test('what is left is said to the second, of long waits to the minute', () => {
  expect(leftWords(40 * MINUTE)).toBe('40:00');
  expect(leftWords(61_001)).toBe('1:02');
  expect(leftWords(24 * 60 * MINUTE)).toBe('24 h 0 min');
  expect(leftWords(-5)).toBe('0:00');
});

test('several run at once, each on its own, and are kept for the next visit', () => {
  const now = Date.now();
  useTimers.getState().start('glue of the blossoms', 24 * 60, now);
  useTimers.getState().start('bake', 40, now);
  expect(JSON.parse(localStorage.getItem('sledge-timers') ?? '').state.timers).toHaveLength(2);
  bar();
  expect(screen.getByRole('timer', { name: 'Timers' }).textContent).toContain('bake');
  fireEvent.click(screen.getByRole('button', { name: 'Stop: bake' }));
  expect(useTimers.getState().timers.map((t) => t.label)).toEqual(['glue of the blossoms']);
});

test('one that was over while nobody looked says so at once, until it was heard', () => {
  useTimers.setState({ timers: [{ id: 't', label: 'cool', endsAt: Date.now() - MINUTE, rung: false }] });
  act(() => {
    bar();
  });
  expect(screen.getByRole('timer').textContent).toContain('over');
  expect(useTimers.getState().timers[0]!.rung).toBe(true);
  fireEvent.click(screen.getByRole('button', { name: 'Heard: cool' }));
  expect(screen.queryByRole('timer')).toBeNull();
});

test(`at most ${MOST_TIMERS} run, the newest ones`, () => {
  for (let i = 0; i < MOST_TIMERS + 3; i++) useTimers.getState().start(`t${i}`, 1, Date.now());
  const { timers } = useTimers.getState();
  expect(timers).toHaveLength(MOST_TIMERS);
  expect(timers.at(-1)!.label).toBe(`t${MOST_TIMERS + 2}`);
});
