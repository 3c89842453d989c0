import type { ReactElement } from 'react';
import { useShutOut } from '../state/shutOut.js';
import { Action } from '../theme/pieces.js';
import { Bar } from './Bar.js';
import { Warning } from './Warning.js';

/** This device was shut out at the computer. */
export function ShutOutBar(): ReactElement | null {
  const out = useShutOut((s) => s.out);
  if (!out) return null;
  return (
    <Bar
      label="Shut out"
      actions={
        <Action
          onClick={() => {
            window.location.assign('/bench');
          }}
        >
          Ask to be let in
        </Action>
      }
    >
      <Warning>
        This device was shut out of Sledge. What you entered since is kept here until it is let in again.
      </Warning>
    </Bar>
  );
}
