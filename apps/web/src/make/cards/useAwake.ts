import { useEffect } from 'react';

/** Keeps the screen awake while a card is looked at, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    let [lock, left]: [WakeLockSentinel | null, boolean] = [null, false];
    const hold = async () => {
      if (document.visibilityState !== 'visible' || left || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (left) void lock.release();
      } catch {
        // A battery that is low says no; the screen sleeps as it usually does.
      }
    };
    void hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}
