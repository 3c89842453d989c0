import { ChakraProvider } from '@chakra-ui/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render, type RenderResult } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { MemoryRouter, Route, Routes, useLocation } from 'react-router';
import type { UnitSystem } from '#core/units';
import { useView } from '../src/state/view.js';
import { system } from '../src/theme/system.js';

// a sentence says what was looked for; the whole page beside it says nothing
// a machine that is busy is no failure
configure({ asyncUtilTimeout: 10_000, getElementError: (sentence) => new Error(sentence ?? 'Not on the page.') });

afterEach(() => {
  cleanup();
  useView.setState({ units: 'metric' });
});

/** A view on a page of its own, and the hands that use it. */
export interface Shown extends RenderResult {
  readonly user: UserEvent;
  /** all words that stand there, values of fields among them */
  words(): string;
}

/** What was read from the server before: answers by the keys they are kept under. */
export type Read = readonly (readonly [key: readonly unknown[], answer: unknown])[];

function clientOf(read: Read): QueryClient {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, enabled: false, staleTime: Infinity } },
  });
  for (const [key, answer] of read) client.setQueryData(key, answer);
  return client;
}

/** Shows a view as the application would, in one of the two systems of units. */
export function shown(view: ReactElement, units: UnitSystem = 'metric', read: Read = []): Shown {
  return onPage(<MemoryRouter>{view}</MemoryRouter>, units, read);
}

function onPage(page: ReactElement, units: UnitSystem, read: Read): Shown {
  useView.setState({ units });
  const result = render(
    <ChakraProvider value={system}>
      <QueryClientProvider client={clientOf(read)}>{page}</QueryClientProvider>
    </ChakraProvider>,
  );
  return { ...result, user: userEvent.setup(), words: () => wordsIn(result.container) };
}

/** A whole station, and the address that it leads to. */
export interface ShownStation extends Shown {
  address(): string;
}

/** Shows a station at its address. @param pattern as in the routes, as `/shelf/:clayId?` */
export function shownAt(
  address: string,
  pattern: string,
  station: ReactElement,
  read: Read,
  units: UnitSystem = 'metric',
): ShownStation {
  let now = address;
  function Told(): null {
    const { pathname, search } = useLocation();
    now = pathname + search;
    return null;
  }
  const page = onPage(
    <MemoryRouter initialEntries={[address]}>
      <Told />
      <Routes>
        <Route path={pattern} element={station} />
        <Route path="*" element={null} />
      </Routes>
    </MemoryRouter>,
    units,
    read,
  );
  return { ...page, address: () => now };
}

type FieldElement = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
const isField = (node: Node): node is FieldElement =>
  node instanceof HTMLInputElement || node instanceof HTMLSelectElement || node instanceof HTMLTextAreaElement;

function saidBy(field: FieldElement): string {
  return field instanceof HTMLSelectElement ? (field.selectedOptions[0]?.text ?? '') : field.value;
}

/** What is read on a page from its top to its end. */
function wordsIn(node: Node): string {
  if (isField(node)) return ` ${saidBy(node)} `;
  if (node.nodeType === Node.TEXT_NODE) return node.textContent ?? '';
  if (node instanceof HTMLStyleElement) return '';
  return [...node.childNodes].map(wordsIn).join('');
}

/** Types something else into a field and keeps it. */
export async function typeInto(page: Shown, label: string, text: string): Promise<void> {
  const field = page.getByLabelText(label);
  await page.user.clear(field);
  await page.user.type(field, `${text}{Enter}`);
}

/** What no view may ever show: values that are none. */
export const NOTHING_SHOWN = /\b(NaN|undefined|null|Infinity)\b|\[object/;

/** Fields and buttons that a reader of the screen could not name. */
export const nameless = ({ container }: Shown): Element[] =>
  [...container.querySelectorAll('input, select, textarea, button, a')].filter((element) => {
    const label = element.getAttribute('aria-label') ?? element.closest('label')?.textContent ?? element.textContent;
    return (label ?? '').trim() === '';
  });

/** Holds that a view shows no value that is none, and that each of its fields and buttons has a name. */
export function expectWhole(page: Shown): void {
  expect(page.words()).not.toMatch(NOTHING_SHOWN);
  expect(nameless(page)).toEqual([]);
}
