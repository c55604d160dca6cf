import type { Mark } from '@long-miter/core';
import type { ScreenPoint } from './fit.ts';

const WALL = 'var(--lm-wall)';

/** Sockets are squares, switches upright, pipes round, registers lying. */
const BOXES = { socket: [8, 8], switch: [5, 10], pipe: [9, 9], register: [14, 6] } as const;

/** A sign of one size, at its place on the page. `toward` is a direction of the page, y down. */
export function MarkSign({
  mark,
  at,
  toward,
}: {
  mark: Mark;
  at: ScreenPoint;
  toward: ScreenPoint | undefined;
}) {
  const { x, y } = at;
  switch (mark) {
    case 'socket':
    case 'switch':
    case 'pipe':
    case 'register': {
      const [w, h] = BOXES[mark];
      return (
        <rect
          x={x - w / 2}
          y={y - h / 2}
          width={w}
          height={h}
          rx={mark === 'pipe' ? w / 2 : 1}
          fill="var(--lm-panel)"
          stroke={WALL}
          strokeWidth={1.4}
        />
      );
    }
    case 'splice':
    case 'splice-pinned':
      return (
        <circle
          cx={x}
          cy={y}
          r={5}
          fill={mark === 'splice' ? 'var(--lm-panel)' : 'var(--lm-picked)'}
          stroke="var(--lm-picked)"
          strokeWidth={2}
        />
      );
    case 'inner-point':
    case 'outer-point':
      return (
        <circle
          cx={x}
          cy={y}
          r={3.2}
          fill={mark === 'inner-point' ? WALL : 'var(--lm-panel)'}
          stroke={WALL}
          strokeWidth={1.5}
        />
      );
    case 'point':
      return <circle cx={x} cy={y} r={7} fill="var(--lm-picked)" />;
    case 'entry': {
      const u = toward ?? { x: 0, y: -1 };
      const tip = { x: x + u.x * 16, y: y + u.y * 16 };
      const back = (side: 1 | -1): string =>
        `${tip.x - u.x * 8 - side * u.y * 5} ${tip.y - u.y * 8 + side * u.x * 5}`;
      return (
        <path
          d={`M${x - u.x * 14} ${y - u.y * 14}L${tip.x} ${tip.y}M${back(1)}L${tip.x} ${tip.y}L${back(-1)}`}
          stroke="var(--lm-picked)"
          strokeWidth={2.4}
          fill="none"
        />
      );
    }
    default: {
      // An outside corner points out of the room, an inside one into it; dashed where it is only assumed.
      const out = mark.startsWith('outside') ? -1 : 1;
      const assumed = mark.endsWith('assumed');
      return (
        <path
          d={`M${x - 5} ${y - 3.5 * out}L${x} ${y + 3.5 * out}L${x + 5} ${y - 3.5 * out}`}
          fill="none"
          stroke={assumed ? 'var(--lm-assumed)' : WALL}
          strokeWidth={2}
          strokeDasharray={assumed ? '2 2' : undefined}
        />
      );
    }
  }
}
