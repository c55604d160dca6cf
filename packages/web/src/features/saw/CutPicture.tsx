import { tanDeg, type CutStep } from '@long-miter/core';

const W = 420;
const H = 190;

/**
 * The cut from above, as one stands at the saw: fence at the back, the stick against it, the line of the blade, which side
 * is kept. The slant is the true angle.
 */
export function CutPicture({ step }: { step: CutStep }) {
  const { saw, keep } = step;
  const sign = saw.swing === 'right' ? 1 : saw.swing === 'left' ? -1 : 0;
  const x = W / 2;
  const top = 46;
  const band = 60;
  // A handle swung to the right draws the blade from the fence towards the operator and to the right.
  const shift = Math.max(-150, Math.min(150, sign * band * tanDeg(Math.min(80, saw.miter))));
  const nearX = x;
  const farX = x + shift;
  const kept =
    keep === 'left'
      ? `M0 ${top}L${nearX} ${top}L${farX} ${top + band}L0 ${top + band}Z`
      : `M${W} ${top}L${nearX} ${top}L${farX} ${top + band}L${W} ${top + band}Z`;
  const waste =
    keep === 'left'
      ? `M${W} ${top}L${nearX} ${top}L${farX} ${top + band}L${W} ${top + band}Z`
      : `M0 ${top}L${nearX} ${top}L${farX} ${top + band}L0 ${top + band}Z`;
  const ext = 30;
  const slope = shift / band;
  return (
    <svg
      viewBox={`0 0 ${W} ${H}`}
      style={{ width: '100%', maxHeight: 205 }}
      role="img"
      aria-label={`Swing ${saw.swing}, keep the ${keep} side`}
    >
      <defs>
        <pattern id="waste" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill="var(--lm-void)" />
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--lm-line)" strokeWidth="4" />
        </pattern>
      </defs>
      <rect x={0} y={top - 22} width={W} height={18} fill="var(--lm-wall)" />
      <text x={10} y={top - 8} fontSize={13} style={{ fill: 'var(--lm-panel)' }}>
        fence
      </text>
      <path d={waste} fill="url(#waste)" stroke="var(--lm-line)" />
      <path d={kept} fill="var(--lm-wood)" stroke="var(--lm-wood-edge)" strokeWidth={2} />
      <text
        x={keep === 'left' ? 70 : W - 70}
        y={top + band / 2 + 7}
        textAnchor="middle"
        fontSize={20}
        fontWeight={700}
      >
        keep
      </text>
      <text
        x={keep === 'left' ? W - 70 : 70}
        y={top + band / 2 + 7}
        textAnchor="middle"
        fontSize={18}
        style={{ fill: 'var(--mantine-color-dimmed)' }}
      >
        waste
      </text>
      <line
        x1={nearX - slope * 14}
        y1={top - 14}
        x2={farX + slope * ext}
        y2={top + band + ext}
        stroke="var(--lm-bad)"
        strokeWidth={3}
        strokeDasharray="9 5"
      />
      <circle cx={nearX} cy={top} r={7} fill="var(--lm-picked)" />
      <text
        x={farX + slope * ext}
        y={top + band + ext + 22}
        textAnchor="middle"
        fontSize={17}
        fontWeight={650}
      >
        {saw.swing === 'none' ? 'handle straight' : `handle ${saw.swing}`}
      </text>
      <text
        x={nearX + (shift > 0 ? -12 : 12)}
        y={top - 28}
        textAnchor={shift > 0 ? 'end' : 'start'}
        fontSize={15}
        style={{ fill: 'var(--lm-picked)' }}
      >
        mark
      </text>
    </svg>
  );
}
