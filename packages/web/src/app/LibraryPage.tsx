import { Stack } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { KitShelf } from '../features/openings/KitShelf.tsx';
import { RackView } from '../features/rack/RackView.tsx';
import { RuleShelf } from '../features/rules/RuleShelf.tsx';
import { SawShelf } from '../features/setup/SawShelf.tsx';
import { SupplierShelf } from '../features/suppliers/SupplierShelf.tsx';
import { useTitle } from '../shared/hooks/use-title.ts';
import { TrimShelf } from '../features/setup/TrimShelf.tsx';
import { t } from '../messages/t.ts';

const PARTS = [
  { key: 'trims', label: t('Trims') },
  { key: 'kits', label: t('Kits') },
  { key: 'saws', label: t('Saws') },
  { key: 'rack', label: t('Rack') },
  { key: 'rules', label: t('House rules') },
  { key: 'suppliers', label: t('Suppliers') },
] as const;

/** What belongs to the crew and to no job: its trims with their prices, its saws with their record, its rack, its rules. */
export function LibraryPage() {
  const { part = 'trims' } = useParams();
  useTitle(PARTS.find((one) => one.key === part)?.label, t('Library'));
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label={t('All jobs')} title={t('All jobs')} className="back">
            ‹
          </Link>
          <h1 className="bar-title">{t('Library')}</h1>
          <nav aria-label={t('Library')} style={{ display: 'flex', flexWrap: 'wrap', gap: 4 }}>
            {PARTS.map(({ key, label }) => (
              <Link
                key={key}
                to={`/library/${key}`}
                className="stage"
                aria-current={part === key ? 'page' : undefined}
              >
                {label}
              </Link>
            ))}
          </nav>
        </div>
      </header>
      <div className="stock">
        {part === 'rack' ? (
          <RackView />
        ) : (
          <main className="work scroll" style={{ display: 'block' }}>
            <Stack gap={10} maw={1100}>
              {part === 'saws' ? (
                <SawShelf />
              ) : part === 'rules' ? (
                <RuleShelf />
              ) : part === 'kits' ? (
                <KitShelf />
              ) : part === 'suppliers' ? (
                <SupplierShelf />
              ) : (
                <TrimShelf />
              )}
            </Stack>
          </main>
        )}
      </div>
    </div>
  );
}
