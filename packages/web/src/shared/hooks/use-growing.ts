import { useEffect, useState } from 'react';
import { usePrinting } from './use-printing.ts';

/**
 * How many of a long row of heavy things to draw: one or a few at once, the others bit by bit, so that the page answers meanwhile.
 * When the page is printed all are there.
 */
export function useGrowing(total: number, key: string, step = 1): number {
  const [state, setState] = useState({ key, count: step });
  const count = state.key === key ? state.count : step;
  const printing = usePrinting();
  useEffect(() => {
    if (count >= total) return;
    const timer = setTimeout(() => setState({ key, count: count + step }), 0);
    return () => clearTimeout(timer);
  }, [count, total, key, step]);
  return printing ? total : Math.min(count, total);
}
