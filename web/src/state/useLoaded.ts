import { useEffect, useState } from 'react';

/**
 * A part of the application that is loaded ahead of its use, since the network may be gone by then; null until it is
 * there. What could not be loaded is asked for again whenever `again` is another.
 */
export function useLoaded<T>(load: () => Promise<T>, again: unknown): T | null {
  const [loaded, setLoaded] = useState<{ readonly part: T } | null>(null);
  useEffect(() => {
    if (loaded) return;
    let here = true;
    load().then(
      (part) => {
        if (here) setLoaded({ part });
      },
      () => undefined,
    );
    return () => {
      here = false;
    };
  }, [load, loaded, again]);
  return loaded?.part ?? null;
}
