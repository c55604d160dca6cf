import { useEffect, useRef, useState } from 'react';

/** Long enough for the frame of a key to hold its field alone, short enough to be seen as the same moment. */
const LATER = 80;

/**
 * A value for what is drawn large: it follows within a moment, so that the frame of a key holds only its field. Keys that
 * come quickly do not put it off; where it is of something else (another room), it changes at once.
 * @param of what the value is of; the value itself where it must not wait
 */
export function useLater<T>(value: T, of: unknown): T {
  const [held, setHeld] = useState({ value, of });
  const newest = useRef({ value, of });
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const now = of === held.of ? held.value : value;
  useEffect(() => {
    newest.current = { value, of };
    if (of !== held.of) {
      clearTimeout(timer.current);
      timer.current = undefined;
      setHeld({ value, of });
    } else if (value !== held.value)
      timer.current ??= setTimeout(() => {
        timer.current = undefined;
        setHeld(newest.current);
      }, LATER);
  }, [value, of, held]);
  useEffect(
    () => () => {
      clearTimeout(timer.current);
      timer.current = undefined;
    },
    [],
  );
  return now;
}
