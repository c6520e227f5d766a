import { useEffect } from 'react';

/** Keeps the screen from going dark while something runs, where the browser can. */
export function useAwake(isWanted: boolean) {
  useEffect(() => {
    if (!isWanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let isOver = false;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          lock = held;
          if (isOver) void held.release();
        },
        () => {}, // a tablet that saves its battery says no; the clock goes on all the same
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      isOver = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [isWanted]);
}
