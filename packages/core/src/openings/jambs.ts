import { message } from '../messages/index.ts';
import { length, subtract } from '../geometry/index.ts';
import type { Opening, Profile } from '../job/index.ts';
import type { TrimKit } from './trim-kit.ts';
import type { Measures } from './measures.ts';
import { plain, type OpeningPart } from './part.ts';
import { stoolTopOf } from './stool.ts';

/** Widths of a strip at its own ends; undefined where they were not measured. */
interface Widths {
  readonly left: number | undefined;
  readonly right: number | undefined;
}

/** What a strip is ripped to; nothing is left to fill where the jamb stands flush or proud at both ends. */
function rippedTo({ left, right }: Widths): Pick<OpeningPart, 'width' | 'taper'> | 'none' {
  if (left === undefined || right === undefined) return {};
  const width = Math.max(left, right);
  if (width <= 0) return 'none';
  return left === right ? { width } : { width, taper: { left, right } };
}

/**
 * Strips that bring the jamb out to the wall plane, or line a plain opening: three, or four where it is framed. They stand
 * square on the stool or the floor; which run over is the lap.
 * Source: job file format, "Openings, to the letter".
 */
export function jambStrips(opening: Opening, dress: TrimKit, measures: Measures): OpeningPart[] {
  const { jamb, lap, jambReveal: back } = dress;
  if (!jamb) return [];
  const t = jamb.thickness;
  const { topLeft, topRight, bottomLeft, bottomRight, jambDepth: depth } = measures;
  const framed = opening.kind === 'window' && !dress.stool && opening.picture === true;
  const base = {
    left: dress.stool ? stoolTopOf(opening, dress) : bottomLeft.y + (opening.floorGap ?? 0),
    right: dress.stool ? stoolTopOf(opening, dress) : bottomRight.y + (opening.floorGap ?? 0),
  };
  const over = lap === 'sides' ? t * (framed ? 2 : 1) : 0;
  const side = (head: number, foot: number): number => head + back - (framed ? foot - back : foot) + over;
  const across = (a: number): number => a + 2 * back + (lap === 'head' ? 2 * t : 0);
  const strip = (place: 'left' | 'right' | 'head' | 'sill', near: number, widths: Widths): OpeningPart[] => {
    const ripped = rippedTo(widths);
    return ripped === 'none' ? [] : [stripOf(jamb, place, near, lap, ripped)];
  };
  return [
    ...strip('left', side(topLeft.y, base.left), { left: depth.bottomLeft, right: depth.topLeft }),
    ...strip('head', across(length(subtract(topRight, topLeft))), {
      left: depth.topLeft,
      right: depth.topRight,
    }),
    ...strip('right', side(topRight.y, base.right), { left: depth.topRight, right: depth.bottomRight }),
    ...(framed
      ? strip('sill', across(length(subtract(bottomRight, bottomLeft))), {
          left: depth.bottomRight,
          right: depth.bottomLeft,
        })
      : []),
  ];
}

function stripOf(
  jamb: Profile,
  place: 'left' | 'right' | 'head' | 'sill',
  near: number,
  lap: 'head' | 'sides',
  ripped: Pick<OpeningPart, 'width' | 'taper'>,
): OpeningPart {
  const upright = place === 'left' || place === 'right';
  const runsOver = upright === (lap === 'sides');
  return plain({
    key: `jamb-${place}`,
    role: 'jamb',
    place,
    profile: jamb,
    near,
    step: runsOver ? 0.2 : 0.1,
    reason: [
      runsOver ? message('opening.runs-over-the-others') : message('opening.stands-between-the-others'),
      ...(ripped.taper ? [message('opening.tapered-ripped-on-the-sled-never')] : []),
    ],
    ...ripped,
  });
}
