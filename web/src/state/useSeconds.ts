import { useEffect, useState } from 'react';

const SECOND = 1000;

/** The moment of now, each second, while there is something to wait for. */
export function useSeconds(waiting: boolean): number {
  const [now, setNow] = useState(Date.now);
  useEffect(() => {
    if (!waiting) return;
    const look = (): void => {
      setNow(Date.now());
    };
    look();
    const timer = setInterval(look, SECOND);
    return () => {
      clearInterval(timer);
    };
  }, [waiting]);
  return now;
}
