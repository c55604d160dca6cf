import { fractionRuns } from '../../shared/fields/Figure.tsx';

/** A figure to be read from two metres: its fraction is stacked and as heavy as the whole number. */
export function BigFigure({ text, testid }: { text: string; testid: string }) {
  return (
    <div className="big" role="img" data-testid={testid} aria-label={text}>
      {fractionRuns(text).map((run, index) => {
        if (!run.frac) return <span key={index}>{run.text.trim()}</span>;
        const [over, under] = run.text.split('/');
        return (
          <span key={index} className="stacked" aria-hidden>
            <span>{over}</span>
            <span>{under}</span>
          </span>
        );
      })}
    </div>
  );
}
