import { Link } from 'react-router';
import { RackView } from './RackView.tsx';

/** The crew's rack by itself, without a job. */
export function RackPage() {
  return (
    <div className="frame">
      <header>
        <div className="bar">
          <Link to="/" aria-label="All jobs" title="All jobs" className="back">
            ‹
          </Link>
          <b>Rack</b>
        </div>
      </header>
      <div className="stock">
        <RackView />
      </div>
    </div>
  );
}
