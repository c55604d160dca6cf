import { message, wordOf } from '../messages/index.ts';
import { area, label, line, type Drawing, vec } from '../geometry/index.ts';
import { roomAlong, type JobFile } from '../job/index.ts';
import type { PlanEnd } from '../plan/index.ts';
import { dropOf } from '../saw/index.ts';
import type { CutStep } from './cut-steps.ts';

/** Joints that stand in a corner. */
const AT_CORNERS: ReadonlySet<PlanEnd['joint']> = new Set(['cope', 'through', 'miter', 'fit', 'transition']);

/** The corner that an end of a crown piece stands at, counted from 1 as its walls are; undefined where it meets none. */
export function cornerOfEnd(
  job: Pick<JobFile, 'rooms'>,
  { piece, end }: Pick<CutStep, 'piece' | 'end'>,
): number | undefined {
  const room = job.rooms.find((one) => one.id === piece.room);
  const trim = room?.trims.find((one) => one.id === piece.trim);
  const along = room && trim && roomAlong(room, trim);
  const wall = along?.walls.findIndex((one) => one.id === piece.wall) ?? -1;
  const { joint, plane } = piece[end];
  // A bend in the middle of a climbing wall is no corner.
  if (!along || wall < 0 || !AT_CORNERS.has(joint) || (joint === 'transition' && plane)) return undefined;
  return end === 'right' ? wall + 1 : ((wall + along.walls.length - 1) % along.walls.length) + 1;
}

/**
 * A crown piece as it hangs, seen from the room: its ceiling edge up, its wall edge down, both ends slanted as they will stand,
 * the end now being cut marked. The middle is shortened.
 * Source: crown, section 5.
 */
export function asItHangs(
  { piece, profile, end }: Pick<CutStep, 'piece' | 'profile' | 'end'>,
  corner: number | undefined,
): Drawing {
  const v = dropOf(profile);
  const [left, right] = [piece.left.reach, piece.right.reach];
  const shown = Math.min(piece.near, 4 * v);
  const wall = [vec(0, 0), vec(shown, 0)] as const;
  const ceiling = [vec(-left, v), vec(shown + right, v)] as const;
  const at = end === 'left' ? 0 : 1;
  const overhang = Math.max(left, right, 0);
  return {
    title: message('hang.as-it-hangs-seen-from-the', {
      end: wordOf(end),
      label: piece.label,
      where: corner === undefined ? '' : message('hang.at-corner', { corner }),
    }),
    shapes: [
      line('guide', vec(-overhang - v * 0.4, v * 1.02), vec(shown + overhang + v * 0.4, v * 1.02)),
      area('wood', wall[0], wall[1], ceiling[1], ceiling[0]),
      line('wall-edge', ...wall),
      line('ceiling-edge', ...ceiling),
      line('marked', wall[at], ceiling[at]),
      label(vec(shown / 2, v * 0.5), piece.label, { as: 'name' }),
      label(vec(shown / 2, v), message('saw.ceiling-edge'), { as: 'small', aside: { x: 0, y: 14 } }),
      label(vec(shown / 2, 0), message('saw.wall-edge'), { as: 'small', aside: { x: 0, y: -14 } }),
      label(
        vec(at === 0 ? 0 : shown, 0),
        corner === undefined
          ? message('hang.hangs-end', { end: wordOf(end) })
          : message('hang.hangs-at-corner', { corner }),
        {
          as: 'name',
          anchor: at === 0 ? 'start' : 'end',
          aside: { x: 0, y: -32 },
        },
      ),
    ],
  };
}
