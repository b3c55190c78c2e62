import { useEffect } from 'react';

/** Keeps the screen of this tablet lit while a page is looked at, where the browser can. */
export function useWakeLock(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const hold = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock?.request('screen');
      } catch {
        // Battery low, or barred: the tablet dims as it is used to.
      }
    };
    void hold();
    const onSight = () => void hold();
    document.addEventListener('visibilitychange', onSight);
    return () => {
      document.removeEventListener('visibilitychange', onSight);
      void lock?.release();
    };
  }, []);
}
