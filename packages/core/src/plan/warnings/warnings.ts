import { cosDeg, SAME_ANGLE } from '../../base/index.ts';
import type { Room } from '../../job/index.ts';
import { FACES_VIEWER, facingOfWalls, walkFromEntry } from '../../joinery/index.ts';
import type { BlockedRun, JobLayout, RoomLayout, RunLayout } from '../../pieces/index.ts';
import {
  angleAt,
  closesWell,
  isAssumed,
  isLeaning,
  leansOf,
  anglesAddUp,
  type Closure,
} from '../../survey/index.ts';
import { materialWarnings } from './material-warnings.ts';
import { crownWatchOuts } from './crown-warnings.ts';
import { openingWarnings } from './opening-warnings.ts';
import type { Piece, PlannedStick, Warning } from '../result/plan-file.ts';
import { tightSticks } from '../result/sticks-of.ts';
import { warningFactory, type MakeWarning } from './warning-factory.ts';

/** Longer than this a piece wants a second pair of hands: 10 ft, 3 m. */
const aloneLimit = (unit: 'in' | 'mm'): number => (unit === 'in' ? 120 : 3000);

/** A wall shorter than this beside an outside corner is mostly bead and filler: 24 in, 600 mm. */
const shortWall = (unit: 'in' | 'mm'): number => (unit === 'in' ? 24 : 600);

/** Degrees off a detent below which a corner counts as that detent. */
const NEAR_DETENT = 2;
const DETENTS = [90, 135, 180, 225, 270];

/** What the walls themselves ask for: hollows, lean, services behind the trim, short walls at outside corners. */
function wallWatchOuts({ job }: JobLayout, room: Room, watch: MakeWarning): Warning[] {
  return room.walls.flatMap((wall, index): Warning[] => {
    const where = { room: room.id, wall: wall.id };
    const at = { room: room.name, wall: index + 1 };
    const before = room.walls[(index + room.walls.length - 1) % room.walls.length]!;
    const outside = [index > 0 || room.closed ? before.corner : undefined, wall.corner].some(
      (corner) => corner !== undefined && angleAt(corner, false) > 180,
    );
    const count = (wall.points ?? []).length;
    return [
      ...(wall.hollow ?? []).map(({ depth, over, near }) =>
        watch('hollow', { ...at, depth, over, near }, where),
      ),
      ...(outside && wall.length < shortWall(job.unit)
        ? [watch('short-wall', { ...at, length: wall.length }, where)]
        : []),
      ...(wall.corner && isLeaning(wall.corner)
        ? [watch('lean', { ...at, ...leansOf(wall.corner) }, { ...where, corner: wall.id })]
        : []),
      ...(count > 0 ? [watch('services', { ...at, count }, where)] : []),
    ];
  });
}

/** What the corners ask for: angles assumed or far from a detent, forms that need relief or cannot be. */
function cornerWatchOuts({ room, rules }: RoomLayout, watch: MakeWarning): Warning[] {
  const out: Warning[] = [];
  room.walls.forEach((wall, index) => {
    if (!wall.corner || (!room.closed && index === room.walls.length - 1)) return;
    const where = { room: room.id, wall: wall.id, corner: wall.id };
    const at = { room: room.name, wall: index + 1 };
    const angle = angleAt(wall.corner, false);
    if (isAssumed(wall.corner)) out.push(watch('assumed-angle', at, where));
    else if (DETENTS.every((one) => Math.abs(angle - one) > NEAR_DETENT))
      out.push(watch('odd-angle', { ...at, angle }, where));
    const { form } = wall.corner;
    const straight = Math.abs(angle - 180) < SAME_ANGLE;
    const rise = (radius: number): number => radius * (1 / cosDeg((180 - angle) / 2) - 1);
    if (form?.kind === 'rounded' && angle < 180)
      out.push(watch('rounded-corner', { ...at, radius: form.radius, relief: rise(form.radius) }, where));
    if (form?.kind === 'bullnose' && angle > 180 && rules.bullnose === 'two-piece')
      out.push(watch('bullnose-gap', { ...at, gap: rise(form.radius) }, where));
    const cannot =
      (form?.kind === 'bullnose' && (angle < 180 || straight)) ||
      (form?.kind === 'rounded' && (angle > 180 || straight));
    if (cannot) out.push(watch('corner-form', { ...at, angle, form: form.kind }, where));
  });
  return out;
}

/** What a trim's run asks for: stretches without a piece, pins that cannot hold, splices out of place. */
function runWatchOuts(room: Room, { run, stretches, released }: RunLayout, watch: MakeWarning): Warning[] {
  const { frame } = run;
  const out: Warning[] = frame.behind ? [] : crownWatchOuts(room, frame, watch);
  const wallAt = (index: number) => ({
    data: { room: room.name, wall: index + 1 },
    where: { room: room.id, wall: room.walls[index]!.id },
  });
  const profile = frame.profile.name;
  for (const segment of run.dropped) {
    const { data, where } = wallAt(segment.wallIndex);
    out.push(watch('no-room', { ...data, length: segment.to - segment.from, profile }, where));
  }
  if (run.circleAt.length > 0) {
    const walls = run.circleAt.map((id) => room.walls.findIndex((wall) => wall.id === id) + 1);
    out.push(watch('pin-circle', { room: room.name, walls }, { room: room.id, wall: run.circleAt[0]! }));
  }
  for (const { joint } of run.corners) {
    const { data, where } = wallAt(joint.wallIndex);
    if (joint.technique === 'cope' && joint.angle > frame.rules.obtuseMiterFrom)
      out.push(
        watch(
          'obtuse-cope',
          { ...data, angle: joint.angle, relief: joint.angle - 90, profile },
          { ...where, corner: where.wall },
        ),
      );
    if (joint.pin && joint.pin !== 'miter' && joint.angle >= 180)
      out.push(watch('pin-outside', data, { ...where, corner: where.wall }));
  }
  for (const { wallIndex, at } of released)
    if (wallIndex >= 0) {
      const { data, where } = wallAt(wallIndex);
      out.push(watch('pin-released', { ...data, at, profile }, where));
    }
  const facing = facingOfWalls(frame, walkFromEntry(room));
  for (const stretch of stretches) {
    const { wallIndex } = run.segments[stretch.segment]!.segment;
    const { data, where } = wallAt(wallIndex);
    if (stretch.relaxed === 'distances') out.push(watch('splice-distance', data, where));
    if (stretch.pinnedAfter && facing[wallIndex]! > FACES_VIEWER)
      out.push(watch('splice-in-view', data, where));
    if (stretch.relaxed === 'studs') out.push(watch('splice-off-stud', data, where));
  }
  return out;
}

function pieceWatchOuts(layout: JobLayout, pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const { job, rules } = layout;
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  return pieces.flatMap((piece): Warning[] => {
    const { label, near } = piece;
    const where = {
      room: piece.room,
      ...(piece.wall === undefined ? {} : { wall: piece.wall }),
      ...(piece.opening === undefined ? {} : { opening: piece.opening }),
      piece: piece.id,
    };
    const profile = profiles.get(piece.profile)!;
    const out: Warning[] = [];
    if (piece.role !== 'return' && near < rules.minPiece)
      out.push(watch('short-piece', { label, length: near }, where));
    if (near > aloneLimit(job.unit)) out.push(watch('long-piece', { label, length: near }, where));
    if (piece.left.joint === 'cope' && piece.right.joint === 'cope')
      out.push(watch('double-cope', { label }, where));
    for (const end of ['left', 'right'] as const) {
      const { saw: setting, angle } = piece[end];
      if (setting.why)
        out.push(watch('beyond-saw', { label, end, angle: Math.abs(angle), why: setting.why }, where));
      if (setting.block)
        out.push(
          watch(
            'needs-block',
            {
              label,
              end,
              miter: setting.miter,
              block: setting.block.angle,
              thickEnd: setting.block.thickEnd,
            },
            where,
          ),
        );
    }
    if ((piece.left.joint === 'scarf' || piece.right.joint === 'scarf') && profile.finish === 'prefinished')
      out.push(watch('visible-splice', { label }, where));
    return out;
  });
}

/** Crown that is not planned because its ceiling slopes. */
export const slopedWarning = (
  job: JobLayout['job'],
  { room, trim, walls, why }: BlockedRun,
  watch: MakeWarning,
): Warning =>
  watch(
    'sloped-ceiling',
    {
      room: room.name,
      walls,
      why,
      profile: job.profiles.find((one) => one.id === trim.profile)?.name ?? trim.profile,
    },
    { room: room.id, wall: room.walls[walls[0]! - 1]!.id },
  );

/** What the sticks ask for: those filled so that a cut that loses a little leaves the last piece short. */
export function stickWarnings(
  layout: JobLayout,
  pieces: readonly Piece[],
  sticks: readonly PlannedStick[],
): Warning[] {
  const watch = warningFactory(layout.job);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  return tightSticks(layout, pieces, sticks).map(({ stick, spare }) => {
    const own = stick.cuts.map((cut) => byId.get(cut.piece)!);
    const labels = own.map((piece) => piece.label);
    return watch(
      'tight-stick',
      { labels, spare, margin: stick.margin },
      { room: own[0]!.room, pieces: own.map((piece) => piece.id) },
    );
  });
}

/** Pipes nearer to each other than this belong to one radiator: 12 in, 300 mm. */
const pairOf = (unit: 'in' | 'mm'): number => (unit === 'in' ? 12 : 300);
/** A splice this near the middle of a pair is behind its pipes: 3 in, 75 mm. */
const behind = (unit: 'in' | 'mm'): number => (unit === 'in' ? 3 : 75);

/** Pipe pairs of a wall whose radiator stays on: from and to. */
function pipePairs(wall: Room['walls'][number], unit: 'in' | 'mm'): { from: number; to: number }[] {
  const at = (wall.points ?? [])
    .flatMap((point) => (point.kind === 'pipe' && !point.comesOff ? [point.at] : []))
    .sort((a, b) => a - b);
  const pairs: { from: number; to: number }[] = [];
  for (const x of at) {
    const last = pairs.at(-1);
    if (last && x - last.to <= pairOf(unit)) last.to = x;
    else pairs.push({ from: x, to: x });
  }
  return pairs;
}

/** Pieces at the floor that pipes come down through: they go in only in two, spliced behind the pipes. */
function pipeWatchOuts({ job, rooms }: JobLayout, pieces: readonly Piece[], watch: MakeWarning): Warning[] {
  const tolerance = behind(job.unit);
  return rooms.flatMap(({ room, runs }) =>
    runs.flatMap(({ run: { frame } }) => {
      if (frame.low > 0) return [];
      return room.walls.flatMap((wall, index) =>
        pipePairs(wall, job.unit).flatMap(({ from, to }): Warning[] => {
          const at = (from + to) / 2;
          const through = pieces.find(
            (piece) =>
              piece.room === room.id &&
              piece.trim === frame.trim.id &&
              piece.wall === wall.id &&
              piece.role === 'wall' &&
              piece.from! < at - tolerance &&
              piece.to! > at + tolerance,
          );
          const data = {
            room: room.name,
            wall: index + 1,
            at,
            from,
            to,
            profile: frame.profile.name,
            trim: frame.trim.id,
          };
          return through
            ? [watch('pipes-splice', data, { room: room.id, wall: wall.id, piece: through.id })]
            : [];
        }),
      );
    }),
  );
}

/** Everything a careful lead would point out, each derived from the survey and the plan, never typed. */
export function warningsOf(
  layout: JobLayout,
  pieces: readonly Piece[],
  closures: readonly Closure[],
): Warning[] {
  const watch = warningFactory(layout.job);
  const rooms = new Map(layout.job.rooms.map((room) => [room.id, room]));
  return [
    ...closures.flatMap((closure): Warning[] => {
      const room = rooms.get(closure.room)!;
      const { gap, angleGap } = closure;
      return closesWell(closure)
        ? []
        : [
            watch(
              'closure',
              { room: room.name, gap, angleGap, angles: !anglesAddUp(closure) },
              { room: room.id },
            ),
          ];
    }),
    ...layout.rooms.flatMap((one) => [
      ...wallWatchOuts(layout, one.room, watch),
      ...cornerWatchOuts(one, watch),
      ...one.runs.flatMap((run) => runWatchOuts(run.run.frame.room, run, watch)),
    ]),
    ...layout.blocked.map((run) => slopedWarning(layout.job, run, watch)),
    ...openingWarnings(layout, pieces, watch),
    ...pipeWatchOuts(layout, pieces, watch),
    ...pieceWatchOuts(layout, pieces, watch),
    ...materialWarnings(layout, pieces, watch),
  ];
}
