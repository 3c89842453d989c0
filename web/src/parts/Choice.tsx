import type { ReactElement } from 'react';
import { InlineSelect } from '../theme/pieces.js';

export interface Option<T extends string = string> {
  readonly value: T;
  readonly text: string;
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly Option<T>[];
  readonly onChange: (value: T) => void;
  readonly disabled?: boolean;
}

/** One of a few, as an underlined word. */
export function Choice<T extends string>({ label, value, options, onChange, disabled }: ChoiceProps<T>): ReactElement {
  return (
    <InlineSelect
      aria-label={label}
      value={value}
      disabled={disabled}
      onChange={(e) => {
        const chosen = options.find((o) => o.value === e.currentTarget.value);
        if (chosen) onChange(chosen.value);
      }}
    >
      {options.map((o) => (
        <option key={o.value} value={o.value}>
          {o.text}
        </option>
      ))}
    </InlineSelect>
  );
}
