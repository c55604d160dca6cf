import { Fragment, lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { Outlet, useMatch } from 'react-router';
import { useShownJob } from '../session/shown-job.ts';
import { loadTexts } from '../messages/load-texts.ts';
import { setVocabulary } from '../messages/vocabulary.ts';

const Palette = lazy(async () => {
  const [{ Palette: shown }] = await Promise.all([import('./Palette.tsx'), loadTexts()]);
  return { default: shown };
});

/** Sets the trade's words to those of the job that is open, before anything of it is drawn; anew where they change. */
function InWords({ children }: { readonly children: ReactNode }) {
  const jobId = useMatch('/jobs/:jobId/*')?.params.jobId;
  const { data: job } = useShownJob(jobId ?? '', { skip: jobId === undefined });
  const vocabulary = jobId === undefined ? undefined : (job?.vocabulary ?? 'us');
  setVocabulary(vocabulary);
  return <Fragment key={vocabulary ?? 'own'}>{children}</Fragment>;
}

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
      <InWords>
        <Outlet />
      </InWords>
      {wanted && (
        <Suspense fallback={null}>
          <Palette />
        </Suspense>
      )}
    </>
  );
}
