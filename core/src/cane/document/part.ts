import { object, text, whichever } from '#core/document';

/** Another cane, by its revision or with its steps. */
export const part = whichever(
  { ref: object({ ref: text(80), 'name?': text(80) }) },
  object({
    steps: (value, where, inner) => {
      inner.steps(value, where);
    },
    'name?': text(80),
  }),
);
