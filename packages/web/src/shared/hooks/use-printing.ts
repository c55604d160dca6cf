import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** Whether the page is being printed: what is only for paper is made only then. */
export function usePrinting(): boolean {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    const paper = window.matchMedia('print');
    // The browser takes its picture as soon as this returns.
    const begin = (): void => flushSync(() => setPrinting(true));
    const end = (): void => setPrinting(false);
    const change = (): void => (paper.matches ? begin() : end());
    window.addEventListener('beforeprint', begin);
    window.addEventListener('afterprint', end);
    paper.addEventListener('change', change);
    return () => {
      window.removeEventListener('beforeprint', begin);
      window.removeEventListener('afterprint', end);
      paper.removeEventListener('change', change);
    };
  }, []);
  return printing;
}
