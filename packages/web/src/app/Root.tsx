import { lazy, Suspense, useEffect, useState } from 'react';
import { Outlet } from 'react-router';

const Palette = lazy(async () => ({ default: (await import('./Palette.tsx')).Palette }));

/** Around every screen: what finds anything by its name is fetched when Ctrl K first asks for it. */
export function Root() {
  const [wanted, setWanted] = useState(false);
  useEffect(() => {
    if (wanted) return;
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      setWanted(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [wanted]);
  return (
    <>
      <Outlet />
      {wanted && (
        <Suspense fallback={null}>
          <Palette />
        </Suspense>
      )}
    </>
  );
}
