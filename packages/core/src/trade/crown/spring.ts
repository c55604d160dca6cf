/** A piece cut long and sprung in. Source: geometry notes, section 11. */

/** How far a piece `over` too long for a span bows out: by the shallow rule, as an exact arc, as a buckled strut. */
export function springBow(
  span: number,
  over: number,
): { approx: number; arcExact: number; sine: number; endSlopeDeg: number } {
  const ratio = (span + over) / span;
  // x / sin x grows from 1 without bound on (0, π): halving finds it surely.
  let [low, high] = [0, Math.PI];
  for (let i = 0; i < 200; i++) {
    const x = (low + high) / 2;
    if (x / Math.sin(x) < ratio) low = x;
    else high = x;
  }
  const x = (low + high) / 2;
  return {
    approx: Math.sqrt((3 * over * span) / 8),
    arcExact: (span / 2) * Math.tan(x / 2),
    sine: (2 / Math.PI) * Math.sqrt(span * over),
    endSlopeDeg: x * (180 / Math.PI),
  };
}

/** Over-length that makes a bow, by the shallow rule. */
export const overFromBow = (span: number, bow: number): { over: number } => ({
  over: (8 * bow * bow) / (3 * span),
});
