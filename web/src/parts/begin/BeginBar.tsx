import { Suspense, lazy, type ReactElement } from 'react';
import { useBegun, useMe } from '../../wire/queries.js';

const AskNext = lazy(() => import('./AskNext.js'));

/** Until the first card is done, each station asks for the next useful thing. */
export function BeginBar(): ReactElement | null {
  const begun = useBegun().data;
  const rights = useMe().data?.rights ?? 'all';
  if (!begun || begun.entries > 0 || rights !== 'all') return null;
  return (
    <Suspense>
      <AskNext begun={begun} />
    </Suspense>
  );
}
