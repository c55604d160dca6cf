import { useEffect } from 'react';

/**
 * The page without a line: a worker keeps the program and what was read last. Browsers give that, and a screen that stays
 * awake, only to pages that are served securely or from the same machine.
 */
const isSecure = (): boolean => window.isSecureContext;

/** Has the program kept for when there is no line. A newer one waits until all pages of the old one are closed. */
export function startOffline(): void {
  if (!import.meta.env.PROD || !isSecure() || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/sw.js').catch((error: unknown) => {
    console.info('the page is not kept for work without a line', error);
  });
}

/** Keeps the screen awake while the calling screen is shown, where the browser can. */
export function useAwake(): void {
  useEffect(() => {
    if (!isSecure() || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    const ask = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          lock = got;
          if (gone) void got.release().catch(() => undefined);
        },
        // Low battery, or the system does not want to: the screen may sleep then.
        () => undefined,
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release().catch(() => undefined);
    };
  }, []);
}
