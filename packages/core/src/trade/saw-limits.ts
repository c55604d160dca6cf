/** What a saw reaches, with a wedge block or lying flat. Angles positive with the handle to the right. */

/** Setting left to do when the stock is turned by a wedge. A wedge thick at the right is positive. */
export const wedgeSetting = (wanted: number, wedge: number): { setting: number } => ({
  setting: wanted - wedge,
});

/** Smallest wedge that brings a miter into the saw's reach, and what is set then. 0 when the saw reaches by itself. */
export function smallestWedge(wanted: number, max: number): { minWedge: number; setting: number } {
  const minWedge = Math.max(0, wanted - max);
  return { minWedge, setting: wanted - minWedge };
}

interface SawCaps {
  readonly miterMax: number;
  readonly bevelMax: number;
  readonly standHeight: number;
  readonly flatWidth: number;
}

/**
 * How a miter in trim of a height is cut: standing, else flat with the bevel, else standing against the smallest wedge,
 * else not at all. Magnitudes. Source: geometry notes, section 3.
 */
export function planCut(
  A: number,
  height: number,
  caps: SawCaps,
): { method: 'stand' | 'flat' | 'wedge' | 'none'; miter: number; bevel: number; wedge: number } {
  const m = Math.abs(180 - A) / 2;
  if (height <= caps.standHeight && m <= caps.miterMax)
    return { method: 'stand', miter: m, bevel: 0, wedge: 0 };
  if (height <= caps.flatWidth && m <= caps.bevelMax) return { method: 'flat', miter: 0, bevel: m, wedge: 0 };
  if (height <= caps.standHeight)
    return { method: 'wedge', miter: caps.miterMax, bevel: 0, wedge: m - caps.miterMax };
  return { method: 'none', miter: m, bevel: 0, wedge: 0 };
}
