import { Stack } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { RackView } from '../features/rack/RackView.tsx';
import { RuleShelf } from '../features/rules/RuleShelf.tsx';
import { SawShelf } from '../features/setup/SawShelf.tsx';
import { useTitle } from '../shared/use-title.ts';
import { TrimShelf } from '../features/setup/TrimShelf.tsx';

const PARTS = [
  { key: 'trims', label: 'Trims' },
  { key: 'saws', label: 'Saws' },
  { key: 'rack', label: 'Rack' },
  { key: 'rules', label: 'House rules' },
] as const;

/** What belongs to the crew and to no job: its trims with their prices, its saws with their record, its rack, its rules. */
export function LibraryPage() {
  const { part = 'trims' } = useParams();
  useTitle(PARTS.find((one) => one.key === part)?.label, 'Library');
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label="All jobs" title="All jobs" className="back">
            ‹
          </Link>
          <h1 className="bar-title">Library</h1>
          <nav aria-label="Library" style={{ display: 'flex', gap: 4 }}>
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
              {part === 'saws' ? <SawShelf /> : part === 'rules' ? <RuleShelf /> : <TrimShelf />}
            </Stack>
          </main>
        )}
      </div>
    </div>
  );
}
