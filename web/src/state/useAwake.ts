import { useEffect } from 'react';

/** The screen stays awake while a bench is looked at, where the browser can: nobody taps it with clay on the hands. */
export function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let over = false;
    const ask = async (): Promise<void> => {
      if (over || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (over) await lock.release();
      } catch {
        // the battery is low, or the browser does not want to: then it sleeps as always
      }
    };
    const again = (): void => void ask();
    void ask();
    // a screen that was looked away from is let sleep by the browser
    document.addEventListener('visibilitychange', again);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}
