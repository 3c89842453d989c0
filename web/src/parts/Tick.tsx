import type { ReactElement, ReactNode } from 'react';
import { grey } from '../theme/grey.js';

interface TickProps {
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly children: ReactNode;
}

/** A box to tick with its words. */
export function Tick({ checked, onChange, children }: TickProps): ReactElement {
  return (
    <label>
      <input
        type="checkbox"
        checked={checked}
        onChange={(e) => {
          onChange(e.currentTarget.checked);
        }}
        style={{ accentColor: grey.ink }}
      />{' '}
      {children}
    </label>
  );
}
