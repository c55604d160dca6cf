import { message, type Words } from '../../messages/index.ts';
import { acosDeg, asinDeg, atan2Deg, cosDeg, sinDeg, type Result } from '../../base/index.ts';

/** What was read of a crown; the spring between its back and the wall. Lengths in one unit. */
interface CrownReadings {
  readonly width?: number | undefined;
  readonly spring?: number | undefined;
  readonly drop?: number | undefined;
  readonly projection?: number | undefined;
}

/** All four figures of a crown. */
export interface CrownFigures {
  readonly width: number;
  readonly spring: number;
  readonly drop: number;
  readonly projection: number;
}

const fault = <T>(at: string, text: Words): Result<T> => ({ ok: false, issues: [{ at, text }] });

/**
 * The rest of a crown from any two of its figures: width is the hypotenuse of drop and projection, spring the angle at the wall.
 * More than two are taken as read; whether they agree is checked with the job.
 * Source: crown, section 1.
 * @returns a fault where fewer than two were read, or no crown has such figures
 */
export function crownFigures({ width, spring, drop, projection }: CrownReadings): Result<CrownFigures> {
  const read = [width, spring, drop, projection].filter((one) => one !== undefined).length;
  if (read < 2) return fault('', message('crown.two-of-the-figures-give-the'));
  const leg = drop !== undefined ? 'drop' : 'projection';
  if (width !== undefined && (drop ?? 0) >= width && spring === undefined)
    return fault('/drop', message('crown.is-not-less-than-the-width'));
  if (width !== undefined && (projection ?? 0) >= width && spring === undefined)
    return fault('/projection', message('crown.is-not-less-than-the-width'));
  const angle =
    spring ??
    (drop !== undefined && projection !== undefined
      ? atan2Deg(projection, drop)
      : leg === 'drop'
        ? acosDeg(drop! / width!)
        : asinDeg(projection! / width!));
  const wide =
    width ??
    (drop !== undefined && projection !== undefined
      ? Math.hypot(drop, projection)
      : leg === 'drop'
        ? drop! / cosDeg(angle)
        : projection! / sinDeg(angle));
  return {
    ok: true,
    value: {
      width: wide,
      spring: angle,
      drop: drop ?? wide * cosDeg(angle),
      projection: projection ?? wide * sinDeg(angle),
    },
  };
}
