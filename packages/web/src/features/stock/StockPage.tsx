import { SegmentedControl, Text, Title } from '@mantine/core';
import { lazy, Suspense, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { JobFile, JobRecord, Piece } from '@long-miter/core';
import { BuyingView } from './BuyingView.tsx';
import { StockEditor } from './StockEditor.tsx';
import { SticksView } from './SticksView.tsx';
import type { LivePlan } from '../../session/use-plan.ts';
import { WhatIfView } from './WhatIfView.tsx';
import { defineMessage } from '../../messages/define-message.ts';
import { t } from '../../messages/t.ts';

/** Charts are fetched when they are looked at. */
const ChartsView = lazy(async () => ({ default: (await import('./ChartsView.tsx')).ChartsView }));

interface Props {
  readonly job: JobRecord;
  readonly file: JobFile;
  readonly live: LivePlan;
  readonly onPiece: (piece: Piece) => void;
  /** What the rack holds for this job. */
  readonly rack: ReactNode;
}

const VIEWS = [
  { value: 'sticks', label: defineMessage('Sticks') },
  { value: 'what-if', label: defineMessage('What if') },
  { value: 'figures', label: defineMessage('Where it goes') },
  { value: 'sale', label: defineMessage('For sale') },
  { value: 'buying', label: defineMessage('Buying') },
  { value: 'rack', label: defineMessage('Rack') },
] as const;
type View = (typeof VIEWS)[number]['value'];

/** Stock: which sticks to buy, how each is divided, what else it could be, what it comes to. */
export function StockPage({ job, file, live, onPiece, rack }: Props) {
  // In the address: what is reloaded or sent to somebody shows the same view.
  const [query, setQuery] = useSearchParams();
  const view: View = VIEWS.find((one) => one.value === query.get('view'))?.value ?? 'sticks';
  const shown = live.plan ?? live.latest;
  return (
    <div className="stock">
      <section aria-label={t('Which view')}>
        <SegmentedControl
          className="stock-views"
          aria-label={t('Views of the stock')}
          value={view}
          data={VIEWS.map(({ value, label }) => ({ value, label: t(label) }))}
          onChange={(value) => setQuery(value === 'sticks' ? {} : { view: value }, { replace: true })}
        />
      </section>
      {view === 'sticks' && <SticksView job={job} file={file} live={live} onPiece={onPiece} />}
      {view === 'what-if' && <WhatIfView job={job} file={file} plan={live.plan} onPiece={onPiece} />}
      {view === 'figures' && (
        <Suspense fallback={<main className="work" aria-busy="true" />}>
          <ChartsView job={job} file={file} plan={shown} />
        </Suspense>
      )}
      {view === 'sale' && (
        <main className="panel scroll for-sale" aria-label={t('For sale')} tabIndex={0}>
          <Title order={2} size="h4">
            {t('What is for sale')}
          </Title>
          <Text size="sm" c="dimmed" maw={760}>
            {t(
              'The lengths the yard has of each trim, for how much, and how many where they are limited. The cut plan buys only these.',
            )}
          </Text>
          <StockEditor job={job} />
        </main>
      )}
      {view === 'buying' && <BuyingView job={job} file={file} plan={shown} />}
      {view === 'rack' && rack}
    </div>
  );
}
