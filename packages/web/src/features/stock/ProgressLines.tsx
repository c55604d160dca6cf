import type { ProgressStep } from '../../session/slices/plan-slice.ts';
import { t } from '../../messages/t.ts';

const WIDTH = 260;
const HEIGHT = 54;

/** Best and bound while the search goes on: two lines that close on each other; where they meet the plan is proven. */
export function ProgressLines({ steps }: { steps: readonly ProgressStep[] }) {
  if (steps.length < 2) return null;
  const end = Math.max(1, steps.at(-1)!.at);
  const top = Math.max(...steps.map((step) => step.cost));
  const bottom = Math.min(...steps.map((step) => step.lowerBound));
  const x = (at: number): number => 2 + (at / end) * (WIDTH - 4);
  const y = (cents: number): number => 4 + ((top - cents) / Math.max(1, top - bottom)) * (HEIGHT - 8);
  const line = (of: (step: ProgressStep) => number): string =>
    steps
      .map((step, index) =>
        index === 0 ? `M${x(step.at)} ${y(of(step))}` : `H${x(step.at).toFixed(1)}V${y(of(step)).toFixed(1)}`,
      )
      .join('');
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={t('Best plan so far and the bound below it, over the time of the search')}
    >
      <path d={line((step) => step.cost)} fill="none" stroke="var(--lm-picked)" strokeWidth={2.5} />
      <path
        d={line((step) => step.lowerBound)}
        fill="none"
        stroke="var(--lm-wall)"
        strokeWidth={2}
        strokeDasharray="5 3"
      />
    </svg>
  );
}
