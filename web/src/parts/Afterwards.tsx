import { useDeferredValue, type ReactElement, type ReactNode } from 'react';

/** What stands below and takes its time: drawn when what stands above it is there. */
export function Afterwards({ children }: { readonly children: ReactNode }): ReactElement {
  const now = useDeferredValue(true, false);
  return <>{now && children}</>;
}
