/** @jest-environment ./web/test/page.mjs */
import { ChakraProvider } from '@chakra-ui/react';
import { cleanup, render, screen } from '@testing-library/react';
import type { PlainStep } from '#contract';
import { OnceCaution } from '../src/stations/bench/OnceCaution.js';
import { CAUTIONS, cautionFor, useSaidCautions } from '../src/stations/bench/cautions.js';
import { system } from '../src/theme/system.js';

const step = (kind: string, more: object = {}) => ({ kind, ...more }) as unknown as PlainStep;
const show = (of: PlainStep, at: string) =>
  render(
    <ChakraProvider value={system}>
      <OnceCaution step={of} at={at} />
    </ChakraProvider>,
  );
beforeEach(() => {
  useSaidCautions.setState({ at: {} });
});
afterEach(cleanup);

test('a caution stands where it applies first, and nowhere after that', () => {
  show(step('roll'), 'b 3');
  expect(screen.getByText(CAUTIONS.food)).toBeTruthy();
  cleanup();
  show(step('roll'), 'b 7');
  expect(screen.queryByText(CAUTIONS.food)).toBeNull();
  cleanup();
  // back at the first one it is there still
  show(step('roll'), 'b 3');
  expect(screen.getByText(CAUTIONS.food)).toBeTruthy();
});

test('only long conditioning is hard on the hands', () => {
  expect(cautionFor(step('condition', { how: { minutes: 40 } }))).toBe('hands');
  expect(cautionFor(step('condition', { how: { minutes: 6 } }))).toBeNull();
  expect(cautionFor(step('finish', { step: { kind: 'card' } }))).toBe('children');
  expect(cautionFor(step('stack'))).toBeNull();
});
