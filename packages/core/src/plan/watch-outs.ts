import type { Room } from '../job/index.ts';
import { formatWithUnit } from '../measure/index.ts';
import type { JobLayout } from '../pieces/index.ts';
import { canCut } from '../saw/index.ts';
import { angleAt, closesWell, isAssumed, type Closure } from '../survey/index.ts';
import { cosDeg, cotDeg } from '../base/index.ts';
import { materialWatchOuts } from './material-watch-outs.ts';
import type { Piece, WatchOut } from './plan-file.ts';

const deg = (angle: number): string => `${Number(angle.toFixed(2))}°`;

/** Longer than this a piece wants a second pair of hands: 10 ft, 3 m. */
const aloneLimit = (unit: 'in' | 'mm'): number => (unit === 'in' ? 120 : 3000);

/** A wall shorter than this beside an outside corner is mostly bead and filler: 24 in, 600 mm. */
const shortWall = (unit: 'in' | 'mm'): number => (unit === 'in' ? 24 : 600);

/** What the walls themselves ask for: hollows, lean, services behind the trim, short walls at outside corners. */
function wallWatchOuts({ job }: JobLayout, room: Room): WatchOut[] {
  return room.walls.flatMap((wall, index): WatchOut[] => {
    const where = { room: room.id, wall: wall.id };
    const name = `${room.name}, wall ${index + 1}`;
    const before = room.walls[(index + room.walls.length - 1) % room.walls.length]!;
    const outside = [index > 0 || room.closed ? before.corner : undefined, wall.corner].some(
      (corner) => corner !== undefined && angleAt(corner, false) > 180,
    );
    const services = (wall.points ?? []).length;
    return [
      ...(wall.hollow ?? []).map((one) => ({
        code: 'hollow',
        ...where,
        text: `${name}: ${one.depth < 0 ? 'bulges' : 'is hollow'} by ${formatWithUnit(Math.abs(one.depth), job.unit)} over ${formatWithUnit(one.over, job.unit)} near its ${one.near} end; nail the high spots, do not push the end in`,
      })),
      ...(outside && wall.length < shortWall(job.unit)
        ? [
            {
              code: 'short-wall',
              ...where,
              text: `${name}: only ${formatWithUnit(wall.length, job.unit)} beside an outside corner; its angles are best read over a straight board`,
            },
          ]
        : []),
      ...(wall.corner?.lean
        ? [
            {
              code: 'lean',
              ...where,
              text: `${room.name}: the corner after wall ${index + 1} is ${deg(Math.abs(wall.corner.lean))} off plumb; the joint closes only when that is cut too`,
            },
          ]
        : []),
      ...(services > 0
        ? [
            {
              code: 'services',
              ...where,
              text: `${name}: ${services === 1 ? 'a socket, switch or pipe' : `${services} sockets, switches or pipes`}; no nails in line with them, up, down or across`,
            },
          ]
        : []),
    ];
  });
}

function roomWatchOuts(layout: JobLayout): WatchOut[] {
  const out: WatchOut[] = [];
  for (const { room, rules, runs } of layout.rooms) {
    out.push(...wallWatchOuts(layout, room));
    room.walls.forEach((wall, index) => {
      if (!wall.corner || (!room.closed && index === room.walls.length - 1)) return;
      const where = { room: room.id, wall: wall.id };
      const angle = angleAt(wall.corner, false);
      if (isAssumed(wall.corner))
        out.push({
          code: 'assumed-angle',
          ...where,
          text: `${room.name}: the corner after wall ${index + 1} is only assumed square; measure it before cutting`,
        });
      else if (
        angle < 180
          ? Math.abs(angle - 90) > 2 && Math.abs(angle - 135) > 2
          : Math.abs(angle - 270) > 2 && Math.abs(angle - 225) > 2
      )
        out.push({
          code: 'odd-angle',
          ...where,
          text: `${room.name}: the corner after wall ${index + 1} is ${deg(angle)}; set the saw to its own angle, not to a detent`,
        });
      const { form } = wall.corner;
      if (form?.kind === 'rounded' && angle < 180)
        out.push({
          code: 'rounded-corner',
          ...where,
          text: `${room.name}: inside corner after wall ${index + 1} is rounded (radius ${form.radius}); relieve the back by ${Number((form.radius * (1 / cosDeg((180 - angle) / 2) - 1)).toFixed(3))} on the diagonal`,
        });
      if (form?.kind === 'bullnose' && angle >= 180 && rules.bullnose === 'two-piece')
        out.push({
          code: 'bullnose-gap',
          ...where,
          text: `${room.name}: two pieces round the bullnose after wall ${index + 1} leave ${Number((form.radius * (1 / cosDeg((angle - 180) / 2) - 1)).toFixed(3))} behind the miter`,
        });
      if ((form?.kind === 'bullnose' && angle < 180) || (form?.kind === 'rounded' && angle >= 180))
        out.push({
          code: 'corner-form',
          ...where,
          text: `${room.name}: the corner after wall ${index + 1} is ${deg(angle)}, which no ${form.kind} corner can be; it is treated as crisp`,
        });
    });
    for (const { run, stretches } of runs) {
      for (const segment of run.dropped)
        out.push({
          code: 'no-room',
          room: room.id,
          wall: room.walls[segment.wallIndex]!.id,
          text: `${room.name}, wall ${segment.wallIndex + 1}: ${formatWithUnit(segment.to - segment.from, layout.job.unit)} is too short for a piece of ${run.frame.profile.name} with its ends; none is planned there`,
        });
      if (run.circleAt.length > 0)
        out.push({
          code: 'pin-circle',
          room: room.id,
          wall: run.circleAt[0]!,
          text: `${room.name}: the joints pinned at the corners after ${run.circleAt
            .map((id) => `wall ${room.walls.findIndex((wall) => wall.id === id) + 1}`)
            .join(', ')} leave no piece to hang first; release one`,
        });
      run.corners.forEach(({ joint }) => {
        if (joint.pin && joint.pin !== 'miter' && joint.angle >= 180)
          out.push({
            code: 'pin-outside',
            room: room.id,
            wall: room.walls[joint.wallIndex]!.id,
            text: `${room.name}: an outside corner is always mitered; the pin there does nothing`,
          });
      });
      run.segments.forEach(({ segment, leftCut, rightCut, leftMate, rightMate }) => {
        const before = room.walls[(segment.wallIndex + room.walls.length - 1) % room.walls.length]!;
        const ends = [
          [leftCut, leftMate, segment.left, segment.wallIndex > 0 || room.closed ? before.corner : undefined],
          [rightCut, rightMate, segment.right, room.walls[segment.wallIndex]!.corner],
        ] as const;
        for (const [cut, mate, stop, corner] of ends)
          if (
            cut.joint === 'square' &&
            stop.kind === 'corner' &&
            mate === undefined &&
            corner &&
            angleAt(corner, run.frame.atCeiling) < 90
          )
            out.push({
              code: 'square-end-fouls',
              room: room.id,
              wall: room.walls[segment.wallIndex]!.id,
              text: `${room.name}, wall ${segment.wallIndex + 1}: a square end fouls the other wall in the ${deg(angleAt(corner, run.frame.atCeiling))} corner; hold it back ${Number((run.frame.depth * cotDeg(angleAt(corner, run.frame.atCeiling))).toFixed(3))}`,
            });
      });
      for (const stretch of stretches) {
        const wallIndex = run.segments[stretch.segment]!.segment.wallIndex;
        const where = { room: room.id, wall: room.walls[wallIndex]!.id };
        const name = `${room.name}, wall ${wallIndex + 1}`;
        if (stretch.relaxed === 'distances')
          out.push({
            code: 'splice-distance',
            ...where,
            text: `${name}: no splice keeps the house distance from corners and openings; the best remaining studs are used`,
          });
        const pin = stretch.pinnedAfter;
        if (pin?.notes.some((note) => note.includes('faces the entry')))
          out.push({
            code: 'splice-in-view',
            ...where,
            text: `${name}: the pinned splice lies in the wall one looks at on coming in`,
          });
        if (stretch.relaxed === 'studs')
          out.push({
            code: 'splice-off-stud',
            ...where,
            text: `${name}: no stud gives pieces that fit the stock; the splice falls between studs`,
          });
      }
    }
  }
  return out;
}

function pieceWatchOuts(layout: JobLayout, pieces: readonly Piece[]): WatchOut[] {
  const { job, rules } = layout;
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  return pieces.flatMap((piece): WatchOut[] => {
    const where = {
      room: piece.room,
      ...(piece.wall === undefined ? {} : { wall: piece.wall }),
      piece: piece.id,
    };
    const out: WatchOut[] = [];
    if (piece.role !== 'return' && piece.near < rules.minPiece)
      out.push({
        code: 'short-piece',
        ...where,
        text: `${piece.label} is only ${formatWithUnit(piece.near, job.unit)}: cut it off a longer piece and hold the waste, not the part`,
      });
    if (piece.near > aloneLimit(job.unit))
      out.push({
        code: 'long-piece',
        ...where,
        text: `${piece.label} is ${formatWithUnit(piece.near, job.unit)}: two people to carry and hang it`,
      });
    if (piece.left.joint === 'cope' && piece.right.joint === 'cope')
      out.push({
        code: 'double-cope',
        ...where,
        text: `${piece.label} is coped at both ends: cut it a little long and fit one end first`,
      });
    for (const end of [piece.left, piece.right]) {
      if (end.saw.block !== undefined)
        out.push({
          code: canCut(profiles.get(piece.profile)!, end.saw, job.saw) ? 'needs-block' : 'beyond-saw',
          ...where,
          text: `${piece.label}: ${deg(end.saw.miter)} is beyond the saw; clamp a ${deg(end.saw.block)} block to the fence`,
        });
      else if (!canCut({ ...profiles.get(piece.profile)! }, end.saw, job.saw))
        out.push({
          code: 'beyond-saw',
          ...where,
          text: `${piece.label}: the saw is too small for this profile at ${deg(Math.abs(end.angle))}`,
        });
    }
    if (
      (piece.left.joint === 'scarf' || piece.right.joint === 'scarf') &&
      profiles.get(piece.profile)!.finish === 'prefinished'
    )
      out.push({
        code: 'visible-splice',
        ...where,
        text: `${piece.label}: a splice in prefinished trim will show`,
      });
    return out;
  });
}

/** Everything a careful lead would point out, each derived from the survey and the plan, never typed. */
export function watchOutsOf(
  layout: JobLayout,
  pieces: readonly Piece[],
  closures: readonly Closure[],
): WatchOut[] {
  return [
    ...closures.flatMap((closure): WatchOut[] => {
      const room = layout.job.rooms.find((one) => one.id === closure.room)!;
      if (closesWell(closure)) return [];
      return [
        {
          code: 'closure',
          room: room.id,
          text: `${room.name}: the readings miss closing by ${formatWithUnit(closure.gap, layout.job.unit)} and ${deg(closure.angleGap)}; measure again before cutting`,
        },
      ];
    }),
    ...roomWatchOuts(layout),
    ...pieceWatchOuts(layout, pieces),
    ...materialWatchOuts(layout, pieces),
  ];
}
