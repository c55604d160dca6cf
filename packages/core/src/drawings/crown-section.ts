import { message, angleFigure } from '../messages/index.ts';
import { area, label, line, size, type Drawing, add, fromHeading, scale, vec } from '../geometry/index.ts';
import type { Profile } from '../job/index.ts';
import { formatLength, type Unit } from '../measure/index.ts';
import type { BackerFit } from '../joinery/index.ts';
import { dropOf, projectionOf, springOf } from '../saw/index.ts';

/** How a crown hangs on its wall: what its wall edge lies below the ceiling line, and how the ceiling goes on into the room. */
interface CrownPlace {
  /** From the wall's ceiling line down to the wall edge, plumb. */
  readonly drop: number;
  /** Degrees that the ceiling climbs away from the wall. */
  readonly pitch: number;
}

/** What is above and behind crown: the light gap it leaves, and the strip it is nailed into. */
interface CrownBehind {
  readonly lightGap: number;
  readonly strip?: BackerFit & { readonly name: string };
}

/**
 * Crown in section, seen along the wall to its right: wall, ceiling, the profile as a board of its width and thickness at its
 * spring, with what is measured to hang it.
 * @param profile as it hangs
 * @param place   where nothing slopes its own drop below a level ceiling
 */
export function crownSection(
  profile: Profile,
  unit: Unit,
  place?: CrownPlace,
  behind?: CrownBehind,
): Drawing {
  const [v, p, spring] = [dropOf(profile), projectionOf(profile), springOf(profile)];
  const { drop, pitch } = place ?? { drop: v + (behind?.lightGap ?? 0), pitch: 0 };
  const strip = behind?.strip;
  const text = (value: number): string => formatLength(value, unit, { inchParts: 32 });
  // Origin: the wall edge of the crown's back. x out of the wall, y up.
  const wallTop = vec(0, drop);
  const reach = Math.max(p, v) * 1.9;
  const ceiling = add(wallTop, scale(fromHeading(pitch), reach));
  const top = vec(p, v);
  // The face lies square to the back, into the room and down.
  const out = scale(fromHeading(-spring), profile.thickness);
  const below = Math.max(p, v) * 0.7;
  const open = wallTop.y + p * Math.tan((pitch * Math.PI) / 180) - v;
  return {
    title: message('draw.in-section-below-the-ceiling-line', {
      drop: text(drop),
      projection: text(p),
      spring: angleFigure(spring),
      behind: strip
        ? strip.fits
          ? message('draw.behind-it-clear-of-its-back', {
              name: strip.name,
              turned: strip.turned ? message('draw.its-narrow-face-on-the-wall') : '',
            })
          : message('draw.behind-it-does-not-clear-its', { name: strip.name })
        : '',
    }),
    shapes: [
      area('wall', vec(-p * 0.25, -below), vec(0, -below), wallTop, vec(-p * 0.25, wallTop.y)),
      line('wall-line', vec(0, -below), wallTop, ceiling),
      area('wood', vec(0, 0), top, add(top, out), out),
      line('wall-edge', vec(0, 0), out),
      line('ceiling-edge', top, add(top, out)),
      ...(strip
        ? [
            area(
              strip.fits ? 'wood-other' : 'clash',
              vec(0, drop),
              vec(strip.alongCeiling, drop),
              vec(strip.alongCeiling, drop - strip.alongWall),
              vec(0, drop - strip.alongWall),
            ),
          ]
        : []),
      size(vec(-p * 0.5, 0), vec(-p * 0.5, drop), text(drop)),
      size(vec(0, -below * 0.55), vec(p, -below * 0.55), text(p)),
      ...(Math.abs(open) > p * 0.005
        ? [
            label(
              add(top, vec(0, open / 2)),
              open > 0
                ? message('draw.joined', {
                    what: behind && behind.lightGap > 0 ? message('draw.light-gap') : message('draw.open'),
                    open: text(open),
                  })
                : message('draw.too-high', { open: text(-open) }),
              {
                as: 'small' as const,
                anchor: 'start' as const,
                aside: vec(8, 0),
              },
            ),
          ]
        : []),
    ],
  };
}
