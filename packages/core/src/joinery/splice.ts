import { message, type Words } from '../messages/index.ts';
import type { HouseRules } from '../job/index.ts';
import { SAME_LENGTH, tanDeg } from '../base/index.ts';
import { dot, subtract } from '../geometry/index.ts';
import { pointOnWall, studPositions, type RoomPath } from '../survey/index.ts';
import { lapFor } from '../trade/index.ts';
import { overTop } from './leaning.ts';
import { reachOf } from './end-cut.ts';
import { type JoinedSegment, type TrimRun, entryOf, facingOfWalls } from './runs.ts';
import { segmentAllowance } from './spring-fit.ts';
import { FACES_VIEWER } from './through.ts';
import type { TrimFrame } from './trim-frame.ts';

/** A place where a stretch may be spliced. Positions along the wall from its left corner. */
export interface SplicePlace {
  /** Where the two near lines meet. */
  readonly at: number;
  /** Centre of the lap; on a stud where the wall has studs. */
  readonly centre: number;
  /** The left piece lies over: its far line is the long one and the line opens away from a viewer on the left. */
  readonly leftOver: boolean;
  readonly onStud: boolean;
  /** How far along the wall it is from the viewer at the entry; 0 without one. */
  readonly fromViewer: number;
  /** 80 with nothing for or against it, 100 a joint nobody will find; shown with its notes, so that the lead can judge. */
  readonly score: number;
  readonly notes: readonly Words[];
}

/**
 * How much a piece of a spliced stretch goes against the crew's rule on lengths, to be added up over its pieces: squares of
 * shares are small for like lengths and large for one long piece.
 * @param near  of the piece, and `whole` of the stretch
 */
export function unevenness(rule: HouseRules['spliceLengths'], near: number, whole: number): number {
  return rule === 'any' ? 0 : (rule === 'balanced' ? 1 : -1) * (near / whole) ** 2;
}

/** A stretch of near line between two fixed ends, with the places where it may be divided. */
export interface Stretch {
  /** Index of its segment in the run. */
  readonly segment: number;
  readonly from: number;
  readonly to: number;
  readonly leftAngle: number;
  readonly rightAngle: number;
  /** How much longer than at their foot its ends are at their top, where walls lean away. */
  readonly leftTop: number;
  readonly rightTop: number;
  /** The pinned splice at its right end, when there is one. */
  readonly pinnedAfter: SplicePlace | undefined;
  readonly places: readonly SplicePlace[];
  /** It fits no stick that can still be had: it must be spliced. */
  readonly needed: boolean;
  /** It fits a stick of a limited length only: spliced where none is left for it, else whole. */
  readonly scarce: boolean;
  readonly maxSplices: number;
  /** Least distance between two splices of the stretch. */
  readonly apart: number;
  /** How far the rules had to be bent to find any place. */
  readonly relaxed: 'no' | 'distances' | 'studs' | 'impossible';
}

/** What a piece of these ends takes of a stick, without kerf: near line plus what its far line overhangs. */
export const extentOf = (near: number, depth: number, leftAngle: number, rightAngle: number): number =>
  near + Math.max(0, reachOf(depth, leftAngle)) + Math.max(0, reachOf(depth, rightAngle));

export interface SpliceContext {
  readonly run: TrimRun;
  readonly path: RoomPath;
  /** Longest stick for sale less both end trims; Infinity when nothing is for sale. */
  readonly longestUsable: number;
  /** The same of the sticks that there are as many of as wanted; the longest of all where every length is limited. */
  readonly longestUnlimited: number;
  /** Stretches, by index, that get none of the limited lengths: there are too few of them. */
  readonly without: ReadonlySet<number>;
  /** Usable lengths of all sticks for sale, for walls without known studs. */
  readonly usableLengths: readonly number[];
}

/** A splice pinned by hand that its wall no longer has room for. */
export interface ReleasedPin {
  readonly wallIndex: number;
  readonly at: number;
}

/** Where the viewer at the entry stands, measured along a wall's own axis; undefined without an entry. */
function viewerAlong(frame: TrimFrame, path: RoomPath, wallIndex: number): number | undefined {
  const entry = frame.rules.viewFromEntry ? entryOf(frame.room) : undefined;
  if (!entry) return undefined;
  const line = path.walls[wallIndex]!;
  return dot(subtract(pointOnWall(path.walls[entry.wallIndex]!, entry.at), line.start), line.along);
}

interface Viewed {
  readonly viewer: number | undefined;
  readonly facing: number;
}

/** Leaves room above for what hides a splice. */
const NOTHING_AGAINST = 80;

function scorePlace(
  frame: TrimFrame,
  path: RoomPath,
  joined: JoinedSegment,
  centre: number,
  onStud: boolean,
  viewed: Viewed,
): { score: number; notes: Words[] } {
  const wall = frame.room.walls[joined.segment.wallIndex]!;
  const notes: Words[] = [];
  let score = NOTHING_AGAINST;
  const note = (points: number, text: Words): void => {
    score += points;
    notes.push(message('splice.joined', { sign: points > 0 ? '+' : '−', points: Math.abs(points), text }));
  };
  if (!onStud && wall.studs) note(-30, message('splice.not-on-a-stud'));
  if (viewed.facing > FACES_VIEWER) note(-20, message('splice.in-the-wall-that-faces-the'));
  const windows = (wall.openings ?? []).filter((opening) => opening.kind === 'window');
  if (windows.some((one) => centre > one.at && centre < one.at + one.width))
    note(-15, message('splice.below-a-window'));
  if (facesWindow(frame, path, joined.segment.wallIndex, centre))
    note(-15, message('splice.opposite-a-window-in-raking-light'));
  const pipes = (wall.points ?? []).filter((point) => point.kind === 'pipe');
  if (pipes.some((pipe) => Math.abs(pipe.at - centre) <= frame.rules.spliceFromCorner / 8))
    note(10, message('splice.behind-the-pipes'));
  const hidden = (wall.furniture ?? []).find((one) => centre > one.at && centre < one.at + one.width);
  if (hidden) note(15, message('splice.behind-the', { name: hidden.name ?? message('splice.furniture') }));
  const room = Math.min(centre - joined.segment.from, joined.segment.to - centre);
  if (room < frame.rules.spliceFromCorner) note(-25, message('splice.nearer-to-a-corner-or-opening'));
  return { score: Math.max(0, Math.min(100, score)), notes };
}

function facesWindow(frame: TrimFrame, path: RoomPath, wallIndex: number, centre: number): boolean {
  const line = path.walls[wallIndex]!;
  const from = pointOnWall(line, centre);
  return path.walls.some((other, index) => {
    if (index === wallIndex || dot(other.inward, line.inward) > -0.7) return false;
    const x = dot(subtract(from, other.start), other.along);
    return (frame.room.walls[index]!.openings ?? []).some(
      (one) => one.kind === 'window' && x > one.at && x < one.at + one.width,
    );
  });
}

/** Turns the centre of a lap into a place: which piece lies over decides on which side of it the near lines meet. */
function placeAt(
  context: Pick<SpliceContext, 'run' | 'path'>,
  joined: JoinedSegment,
  centre: number,
  onStud: boolean,
  viewed: Viewed,
): SplicePlace {
  const { frame } = context.run;
  // Viewer left of the joint: left over right, so that the line opens away from the eye. Straight in front: either.
  const leftOver = viewed.viewer === undefined || lapFor(centre, viewed.viewer) !== 'rightOver';
  const halfLap = (frame.depth * tanDeg(frame.rules.scarfAngle)) / 2;
  return {
    at: centre + (leftOver ? -halfLap : halfLap),
    centre,
    leftOver,
    onStud,
    fromViewer: viewed.viewer === undefined ? 0 : Math.abs(centre - viewed.viewer),
    ...scorePlace(frame, context.path, joined, centre, onStud, viewed),
  };
}

/** Any place will do: an even grid, and the places that use a whole stick from either end. */
function freePlaces(context: SpliceContext, from: number, to: number, longest: number): number[] {
  const steps = Math.min(48, Math.max(8, Math.ceil(((to - from) / Math.max(1, longest)) * 12)));
  const grid = Array.from({ length: steps - 1 }, (_, k) => from + ((to - from) * (k + 1)) / steps);
  const slack = 2 * context.run.frame.depth;
  const whole = context.usableLengths.flatMap((length) => [from + length - slack, to - length + slack]);
  return [
    ...new Set([...grid, ...whole].filter((x) => x > from && x < to).map((x) => Math.round(x * 8) / 8)),
  ].sort((a, b) => a - b);
}

/** Least number of splices with which every piece of the stretch fits a stick; undefined when no choice of places does. */
function fewestSplices(
  context: SpliceContext,
  stretch: Omit<Stretch, 'maxSplices' | 'needed' | 'relaxed'>,
  longest: number,
): number | undefined {
  const { frame } = context.run;
  const s = frame.rules.scarfAngle;
  const nodes = [
    { at: stretch.from, leftEnd: stretch.leftAngle, rightEnd: 0 },
    ...stretch.places.map((place) => ({
      at: place.at,
      leftEnd: place.leftOver ? s : -s,
      rightEnd: place.leftOver ? -s : s,
    })),
    { at: stretch.to, leftEnd: 0, rightEnd: stretch.rightAngle },
  ];
  const best = nodes.map((_, index) => (index === 0 ? 0 : Infinity));
  for (let j = 1; j < nodes.length; j++) {
    for (let i = 0; i < j; i++) {
      const near = nodes[j]!.at - nodes[i]!.at;
      const inner = i > 0 && j < nodes.length - 1;
      if (near < frame.rules.minPiece || (inner && near < stretch.apart - SAME_LENGTH)) continue;
      if (extentOf(near, frame.depth, nodes[i]!.leftEnd, nodes[j]!.rightEnd) > longest) continue;
      best[j] = Math.min(best[j]!, best[i]! + 1);
    }
  }
  const pieces = best[nodes.length - 1]!;
  return pieces === Infinity ? undefined : pieces - 1;
}

function planStretch(
  context: SpliceContext,
  joined: JoinedSegment,
  base: Pick<
    Stretch,
    'segment' | 'from' | 'to' | 'leftAngle' | 'rightAngle' | 'leftTop' | 'rightTop' | 'pinnedAfter'
  >,
  viewed: Viewed,
  index: number,
): Stretch {
  const { frame } = context.run;
  const distance = frame.rules.spliceFromCorner;
  const whole = base.from === joined.from && base.to === joined.to;
  const near = base.to - base.from + (whole ? segmentAllowance(frame.rules, joined) : 0);
  const extent = extentOf(near, frame.depth, base.leftAngle, base.rightAngle) + base.leftTop + base.rightTop;
  const scarce = extent > context.longestUnlimited && extent <= context.longestUsable;
  const needed = extent > context.longestUsable || (scarce && context.without.has(index));
  // What it is cut into must fit what can still be had.
  const longest = scarce ? context.longestUnlimited : context.longestUsable;
  const none: Stretch = {
    ...base,
    places: [],
    needed,
    scarce,
    maxSplices: 0,
    apart: distance,
    relaxed: 'no',
  };
  const worthwhile =
    frame.rules.splices === 'saving' && base.to - base.from > 2 * Math.max(distance, frame.rules.minPiece);
  if (!needed && !scarce && !worthwhile) return none;
  const studs = studPositions(frame.room.walls[joined.segment.wallIndex]!, base.from, base.to);
  // Distances count to corners and openings, which are the ends of the segment, and to pinned splices, the ends of the stretch.
  const keeps = (x: number): boolean =>
    x - joined.segment.from >= distance - SAME_LENGTH &&
    joined.segment.to - x >= distance - SAME_LENGTH &&
    (base.from === joined.from || x - base.from >= distance) &&
    (base.to === joined.to || base.to - x >= distance);
  const free = (): number[] => freePlaces(context, base.from, base.to, longest);
  const attempts: { relaxed: Stretch['relaxed']; apart: number; centres: number[]; onStud: boolean }[] = [
    { relaxed: 'no', apart: distance, centres: (studs ?? free()).filter(keeps), onStud: studs !== undefined },
    {
      relaxed: 'distances',
      apart: frame.rules.minPiece,
      centres: studs ?? free(),
      onStud: studs !== undefined,
    },
    { relaxed: 'studs', apart: frame.rules.minPiece, centres: free(), onStud: false },
  ];
  for (const attempt of attempts) {
    const stretch = {
      ...none,
      apart: attempt.apart,
      places: attempt.centres.map((x) => placeAt(context, joined, x, attempt.onStud, viewed)),
    };
    const must = needed || scarce;
    const fewest = must
      ? fewestSplices(context, stretch, longest)
      : stretch.places.length > 0
        ? 0
        : undefined;
    if (fewest !== undefined) return { ...stretch, maxSplices: fewest + 1, relaxed: attempt.relaxed };
    if (!must) return none;
  }
  return needed ? { ...none, relaxed: 'impossible' } : none;
}

/** A splice anywhere along a segment, with its score: what a lead sees while dragging one. */
export function spliceAt(
  context: Pick<SpliceContext, 'run' | 'path'>,
  joined: JoinedSegment,
  centre: number,
): SplicePlace {
  const { frame } = context.run;
  const { wallIndex } = joined.segment;
  const viewed: Viewed = {
    viewer: viewerAlong(frame, context.path, wallIndex),
    facing: facingOfWalls(frame, context.path)[wallIndex]!,
  };
  const studs = studPositions(frame.room.walls[wallIndex]!, joined.from, joined.to) ?? [];
  return placeAt(context, joined, centre, isOnStud(studs, centre, frame), viewed);
}

const isOnStud = (studs: readonly number[], at: number, frame: TrimFrame): boolean =>
  studs.some((stud) => Math.abs(stud - at) < frame.depth);

/** Where the pinned splices of a segment lie, and those that it has no room for: each part must have both of its lines. */
function pinsOf(
  context: SpliceContext,
  joined: JoinedSegment,
  viewed: Viewed,
): { held: SplicePlace[]; released: number[] } {
  const { frame } = context.run;
  const { wallIndex } = joined.segment;
  const wall = frame.room.walls[wallIndex]!;
  const s = frame.rules.scarfAngle;
  const studs = studPositions(wall, joined.from, joined.to) ?? [];
  const pins = (frame.trim.splices ?? [])
    .filter((pin) => pin.wall === wall.id && pin.at >= joined.segment.from && pin.at <= joined.segment.to)
    .map((pin) => placeAt(context, joined, pin.at, isOnStud(studs, pin.at, frame), viewed))
    .sort((a, b) => a.at - b.at);
  const hasRoom = (from: number, to: number, left: number, right: number): boolean =>
    to - from > SAME_LENGTH &&
    to - from + reachOf(frame.depth, left) + reachOf(frame.depth, right) > SAME_LENGTH;
  const held: SplicePlace[] = [];
  const released: number[] = [];
  let from = joined.from;
  let left = joined.leftCut.angle;
  for (const pin of pins) {
    const ends = pin.leftOver ? -s : s;
    if (hasRoom(from, pin.at, left, ends) && hasRoom(pin.at, joined.to, -ends, joined.rightCut.angle)) {
      held.push(pin);
      from = pin.at;
      left = -ends;
    } else released.push(pin.centre);
  }
  return { held, released };
}

/** Pins that lie on no segment at all: their wall has become too short, or something stands there now. */
function pinsOffTheRun(run: TrimRun): ReleasedPin[] {
  const { frame, segments } = run;
  return (frame.trim.splices ?? []).flatMap((pin): ReleasedPin[] => {
    const wallIndex = frame.room.walls.findIndex((wall) => wall.id === pin.wall);
    const lies = segments.some(
      ({ segment }) => segment.wallIndex === wallIndex && pin.at >= segment.from && pin.at <= segment.to,
    );
    return lies ? [] : [{ wallIndex, at: pin.at }];
  });
}

/**
 * Divides every segment of a run at its pinned splices and finds, for each stretch between them, where it may be spliced.
 * A splice is wanted only where the stretch fits no stick that can still be had, or, where the house rules allow it, to
 * save stock. A pin that its wall has no room for is released.
 * Source: joinery rules, section 4 "Splice"; job file format, rule 5.
 */
export function planSplices(context: SpliceContext): {
  stretches: Stretch[];
  released: ReleasedPin[];
} {
  const { run, path } = context;
  const { frame } = run;
  const s = frame.rules.scarfAngle;
  const facing = facingOfWalls(frame, path);
  const released = pinsOffTheRun(run);
  const stretches: Stretch[] = [];
  run.segments.forEach((joined, segment) => {
    const { wallIndex } = joined.segment;
    // Crown that climbs is not spliced: its pieces are drafted by themselves.
    if (frame.slopes?.rakes.has(wallIndex)) return;
    const viewed: Viewed = { viewer: viewerAlong(frame, path, wallIndex), facing: facing[wallIndex]! };
    const { held: pins, released: gone } = pinsOf(context, joined, viewed);
    released.push(...gone.map((at) => ({ wallIndex, at })));
    [...pins, undefined].forEach((pin, k) => {
      const before = k > 0 ? pins[k - 1] : undefined;
      stretches.push(
        planStretch(
          context,
          joined,
          {
            segment,
            from: before ? before.at : joined.from,
            to: pin ? pin.at : joined.to,
            leftAngle: before ? (before.leftOver ? s : -s) : joined.leftCut.angle,
            rightAngle: pin ? (pin.leftOver ? -s : s) : joined.rightCut.angle,
            leftTop: before ? 0 : overTop(joined.leftCut.plane, frame.profile),
            rightTop: pin ? 0 : overTop(joined.rightCut.plane, frame.profile),
            pinnedAfter: pin,
          },
          viewed,
          stretches.length,
        ),
      );
    });
  });
  return { stretches, released };
}
