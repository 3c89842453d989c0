import type { ReactElement } from 'react';
import { useLoaded } from '../../state/useLoaded.js';

const words = () => import('./TradeWords.js');

/** A sentence whose words of the trade explain themselves: at once where they first stand, later when asked. */
export function Told({ children }: { readonly children: string }): ReactElement {
  const loaded = useLoaded(words, children);
  return loaded ? <loaded.TradeWords key={children} sentence={children} /> : <>{children}</>;
}

/** Under a title: what its words of the trade mean, for who begins. */
export function ToldTitle({ children }: { readonly children: string }): ReactElement | null {
  const loaded = useLoaded(words, children);
  return loaded && <loaded.TitleWords key={children} sentence={children} />;
}
