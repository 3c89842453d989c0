import { useCallback, useState } from 'react';

/** Which part of a long list is on the screen: from the first place to the last. */
export function useSeen() {
  const [seen, setSeen] = useState<readonly [from: number, to: number]>([0, 0]);
  const onSeen = useCallback((from: number, to: number) => {
    setSeen([from, to]);
  }, []);
  return { seen, onSeen };
}
