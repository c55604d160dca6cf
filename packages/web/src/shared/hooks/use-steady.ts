import { useCallback, useLayoutEffect, useRef } from 'react';

/** The same function at every drawing, which does what the newest one does: rows that get it need not be drawn again. */
export function useSteady<A extends unknown[], R>(now: (...args: A) => R): (...args: A) => R {
  const newest = useRef(now);
  useLayoutEffect(() => {
    newest.current = now;
  });
  return useCallback((...args: A) => newest.current(...args), []);
}
