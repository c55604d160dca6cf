import { Stack } from '@mantine/core';
import { Link, useParams } from 'react-router';
import { RackView } from '../features/rack/RackView.tsx';
import { SawShelf } from '../features/setup/SawShelf.tsx';

/** What belongs to the crew and to no job: its saws with their record, its rack. */
export function LibraryPage() {
  const { part = 'saws' } = useParams();
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label="All jobs" title="All jobs" className="back">
            ‹
          </Link>
          <b>Library</b>
          <nav aria-label="Library" style={{ display: 'flex', gap: 4 }}>
            <Link to="/library/saws" className="stage" aria-current={part === 'saws' ? 'page' : undefined}>
              Saws
            </Link>
            <Link to="/library/rack" className="stage" aria-current={part === 'rack' ? 'page' : undefined}>
              Rack
            </Link>
          </nav>
        </div>
      </header>
      <div className="stock">
        {part === 'rack' ? (
          <RackView />
        ) : (
          <main className="work" style={{ display: 'block' }}>
            <Stack gap={10}>
              <SawShelf />
            </Stack>
          </main>
        )}
      </div>
    </div>
  );
}
