import { tanDeg, type PlanEnd } from '@long-miter/core';

const W = 150;
const H = 74;
const BAND = 34;

/** One end from above, true in its angle: the wall on top, the room below. */
export function EndCloseUp({ end, side }: { end: PlanEnd; side: 'left' | 'right' }) {
  const out = side === 'right' ? 1 : -1;
  const x = side === 'right' ? 96 : 54;
  const far = x + out * Math.max(-50, Math.min(50, -BAND * tanDeg(end.angle)));
  const base = side === 'right' ? -10 : W + 10;
  const cope = end.joint === 'cope';
  const edge = cope
    ? `L${x} 14C${x - out * 26} 18 ${x - out * 10} 34 ${far} ${14 + BAND}`
    : `L${x} 14L${far} ${14 + BAND}`;
  return (
    <svg width={W} height={H} role="img" aria-label={`${side} end from above`}>
      <line x1={0} x2={W} y1={11} y2={11} stroke="var(--lm-wall)" strokeWidth={4} />
      <path
        d={`M${base} 14${edge}L${base} ${14 + BAND}Z`}
        fill="var(--lm-wood)"
        stroke="var(--lm-wood-edge)"
        strokeWidth={1.5}
      />
      {cope && <path d={`M${x} 14L${far} ${14 + BAND}`} stroke="var(--lm-wood-edge)" strokeDasharray="3 3" />}
      {end.joint === 'return' && (
        <path
          d={`M${x} 14L${far} ${14 + BAND}L${far} 14Z`}
          fill="var(--lm-wood-other)"
          stroke="var(--lm-wood-edge)"
        />
      )}
      <text x={W / 2} y={H - 6} fontSize={12} textAnchor="middle">
        {side} end
      </text>
    </svg>
  );
}
