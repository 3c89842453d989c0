import type { ReactElement } from 'react';
import type { Fault } from '#core/units';
import { faultText, putFaultAside, useFaults } from '../state/faults.js';
import { Action } from '../theme/pieces.js';
import { Crash } from '../workers/bridge.js';
import { Bar } from './Bar.js';
import { saveFile } from './saveFile.js';
import { Warning } from './Warning.js';

/** What happened, and what is left of it. */
function faultWords(fault: Fault): string {
  if (fault instanceof Crash)
    return `Sledge stopped while ${fault.doing}, and has begun again. Nothing of yours is lost.`;
  return `Something went wrong inside Sledge while ${fault.doing}. What you made before is kept.`;
}

export const saveFault = (fault: Fault): void => {
  saveFile('what happened', 'txt', 'text/plain', faultText(fault));
};

/** What only we can mend: said once, with a file that can be handed on. */
export function FaultBar(): ReactElement | null {
  const [fault] = useFaults((s) => s.told);
  if (!fault) return null;
  return (
    <Bar
      label="A fault of Sledge"
      actions={
        <>
          <Action
            onClick={() => {
              saveFault(fault);
            }}
          >
            Save what happened
          </Action>
          <Action
            onClick={() => {
              putFaultAside(fault);
            }}
          >
            I have read it
          </Action>
        </>
      }
    >
      <Warning>{faultWords(fault)}</Warning>
    </Bar>
  );
}
