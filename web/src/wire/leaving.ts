import { isQuiet } from './outbox.js';

/** A form whose fields are sent only when it is: what is typed there is lost with the page. */
export const UNSENT = { 'data-unsent': true } as const;
/** A field that asks the server what its text means before it is kept, so that it cannot go with a reload. */
export const ASKS_FIRST = { 'data-asks-first': true } as const;

const asksFirst = (field: Element): boolean => field.matches('[data-asks-first]');

const typed = new Set<Element>();

/** Whether something was typed in a form that was not sent, and is still on the screen. */
function isUnsent(): boolean {
  for (const field of typed) if (!field.isConnected) typed.delete(field);
  return [...typed].some((field) => 'value' in field && field.value !== '');
}

/** Keeps what is typed from being lost without a word when the page is left or read anew. */
export function guardLeaving(): void {
  document.addEventListener('input', ({ target }) => {
    if (target instanceof Element && (asksFirst(target) || target.closest('[data-unsent]') !== null)) typed.add(target);
  });
  // it is on its way once it was left
  document.addEventListener('focusout', ({ target }) => {
    if (target instanceof Element && asksFirst(target)) typed.delete(target);
  });
  document.addEventListener('submit', ({ target }) => {
    for (const field of typed) if (target instanceof Element && target.contains(field)) typed.delete(field);
  });
  window.addEventListener('beforeunload', (event) => {
    const unsent = isUnsent();
    // a value that is edited where it stands is kept as if the field were left, and goes with the rest
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    const wrong = document.querySelector('[aria-invalid=true]') !== null;
    if (!isQuiet() || wrong || unsent) event.preventDefault();
  });
}
