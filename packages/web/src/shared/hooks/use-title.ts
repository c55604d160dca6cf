import { useEffect } from 'react';
import { t } from '../../messages/t.ts';

/** What the browser's tab says: the screen and what it is about, the program last. */
export function useTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter((one) => one !== undefined && one !== ''), t('Long Miter')].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
