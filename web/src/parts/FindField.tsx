import type { ReactElement } from 'react';
import { Field } from '../theme/pieces.js';

interface FindFieldProps {
  readonly label: string;
  /** what can be typed */
  readonly hint: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly width?: string;
}

/** The field by which one finds something in a list: its key goes to it, Escape empties it. */
export function FindField({ label, hint, value, onChange, width }: FindFieldProps): ReactElement {
  return (
    <Field
      data-find
      {...(width === undefined ? {} : { width })}
      aria-label={label}
      placeholder={hint}
      value={value}
      onChange={(e) => {
        onChange(e.currentTarget.value);
      }}
      onKeyDown={(e) => {
        if (e.key === 'Escape') onChange('');
      }}
    />
  );
}
