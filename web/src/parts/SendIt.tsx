import type { ReactElement } from 'react';
import type { CarriedKind } from '#contract/archive';

interface SendItProps {
  readonly kind: CarriedKind;
  readonly id: string;
}

/** One thing as a small file, with all that it needs, for another maker. */
export function SendIt({ kind, id }: SendItProps): ReactElement {
  return (
    <a href={`/api/archive/thing/${kind}/${id}`} download aria-label="Send it as a file, with all that it needs">
      send it
    </a>
  );
}
