import { create } from 'zustand';
import { faultOf, type Fault } from '#core/units';

interface Faults {
  /** what only we can mend and nobody has put aside, the oldest first; one for each thing that was being done */
  readonly told: readonly Fault[];
}
export const useFaults = create<Faults>()(() => ({ told: [] }));

/** Tells of a fault; of one that is told already once. */
export function tellFault(fault: Fault): void {
  console.error(fault);
  useFaults.setState(({ told }) => ({ told: told.some((t) => t.doing === fault.doing) ? told : [...told, fault] }));
}

export function putFaultAside(fault: Fault): void {
  useFaults.setState(({ told }) => ({ told: told.filter((t) => t !== fault) }));
}

/** What happened, as a text that can be handed to whoever mends it. */
export function faultText(fault: Fault): string {
  const causes: string[] = [];
  for (let one: unknown = fault; one instanceof Error; one = one.cause) causes.push(one.stack ?? one.message);
  return `${causes.join('\ncaused by\n')}\n`;
}

/** Tells of everything that was thrown and that nobody caught. */
export function tellUncaught(): void {
  window.addEventListener('unhandledrejection', ({ reason }) => {
    tellFault(faultOf('something was done that you asked for', reason));
  });
  window.addEventListener('error', ({ error, message }) => {
    // a note of the browser itself has no error: what was watched for its size has been drawn a frame later
    if (error instanceof Error) tellFault(faultOf('something was shown', error));
    else console.warn(message);
  });
}
