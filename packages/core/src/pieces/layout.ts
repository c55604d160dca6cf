import { joinKey, NOISE, SAME_LENGTH, wallPieceKey, type PieceKey, type StretchPart } from '../base/index.ts';
import {
  backerFrame,
  crownOrder,
  endNameOf,
  extentOf,
  keyOfSegment,
  placeOfSegment,
  joinTrim,
  planSplices,
  segmentAllowance,
  trimFrame,
  walkFromEntry,
  type CrownOrder,
  type ReleasedPin,
  seated,
  slopesOf,
  type Segment,
  type SlopeFault,
  type SpliceContext,
  type Stretch,
  type TrimFrame,
  type TrimRun,
  unevenness,
} from '../joinery/index.ts';
import {
  completeHouseRules,
  roomAlong,
  rulesOfRoom,
  kerfOf,
  sawOf,
  traitsOf,
  type HouseRules,
  type JobFile,
  type Room,
  type Trim,
} from '../job/index.ts';
import { walkKey } from './walk-key.ts';
import { dressedOpenings, type PlacedOpening } from './opening-parts.ts';

/** A trim that runs along walls, joined, with its stretches and where they may be spliced. */
export interface RunLayout {
  readonly run: TrimRun;
  readonly stretches: readonly Stretch[];
  /** Splices pinned by hand that their wall no longer has room for. */
  readonly released: readonly ReleasedPin[];
}

export interface RoomLayout {
  readonly room: Room;
  /** The room's own rules over the job's. */
  readonly rules: HouseRules;
  readonly runs: readonly RunLayout[];
  readonly openings: readonly PlacedOpening[];
}

/** Everything about a job that is decided before sticks are chosen: joints, near lines, and where walls may be spliced. */
export interface JobLayout {
  readonly job: JobFile;
  readonly rules: HouseRules;
  readonly kerf: number;
  readonly rooms: readonly RoomLayout[];
  /** Runs that cannot be planned, whatever the stock. */
  readonly blocked: readonly BlockedRun[];
}

/** Crown on a ceiling whose slopes it cannot follow: at which walls, counted from 1, and why. */
export interface BlockedRun {
  readonly room: Room;
  readonly trim: Trim;
  readonly walls: readonly number[];
  readonly why: SlopeFault;
}

/** Usable lengths of the sticks for sale of a profile, longest first. */
export function usableLengths(job: JobFile, rules: HouseRules, profile: string): number[] {
  return lengthsForSale(job, rules, profile).map((one) => one.length);
}

interface LengthForSale {
  /** Less both end trims and the margin of one piece. */
  readonly length: number;
  /** How many there are; Infinity where as many as wanted. */
  readonly count: number;
}

/** The lengths of a profile that can still be had, longest first. */
function lengthsForSale(job: JobFile, rules: HouseRules, profile: string): LengthForSale[] {
  const counts = new Map<number, number>();
  for (const item of job.stock) {
    if (item.profile !== profile || item.count === 0) continue;
    const length = item.length - 2 * rules.endTrim - rules.cutMargin;
    counts.set(length, (counts.get(length) ?? 0) + (item.count ?? Infinity));
  }
  return [...counts].map(([length, count]) => ({ length, count })).sort((a, b) => b.length - a.length);
}

/** The longest length there is as much of as wanted; the longest of all where every length is limited. */
const longestUnlimited = (lengths: readonly LengthForSale[]): number =>
  (lengths.find((one) => one.count === Infinity) ?? lengths[0])?.length ?? Infinity;

/** Trims in the order they go up: what stands on another trim comes after it. */
function inStandingOrder(trims: readonly Trim[]): Trim[] {
  const height = (trim: Trim): number => {
    const under = trims.find((one) => one.id === trim.standsOn);
    return under ? height(under) + 1 : 0;
  };
  return trims
    .map((trim, index) => ({ trim, index }))
    .sort((a, b) => height(a.trim) - height(b.trim) || a.index - b.index)
    .map(({ trim }) => trim);
}

/** A trim's run, after the strip that is hidden behind it. */
function withBacker(job: JobFile, rules: HouseRules, room: Room, trim: Trim): RunLayout[] {
  const frame = trimFrame(job, rules, room, trim);
  const backer = backerFrame(rules, frame);
  // The trim's own run first: it is what is found by the trim's id.
  return [layOutFrame(job, rules, frame), ...(backer ? [layOutFrame(job, rules, backer)] : [])];
}

function layOutFrame(job: JobFile, rules: HouseRules, frame: TrimFrame): RunLayout {
  const { room, trim } = frame;
  const longest = usableLengths(job, rules, trim.profile)[0] ?? Infinity;
  // Whether a stretch will be spliced matters to the joints only roughly: its ends then belong to two pieces.
  const pinned = (segment: Segment): boolean =>
    (trim.splices ?? []).some(
      (pin) => pin.wall === room.walls[segment.wallIndex]!.id && pin.at > segment.from && pin.at < segment.to,
    );
  const willSplice = (segment: Segment): boolean =>
    pinned(segment) || extentOf(segment.to - segment.from, frame.depth, 0, 0) > longest;
  const run = joinTrim(job, frame, willSplice);
  return { run, ...planSplices(spliceContext(job, rules, run, new Set())) };
}

function spliceContext(
  job: JobFile,
  rules: HouseRules,
  run: TrimRun,
  without: ReadonlySet<number>,
): SpliceContext {
  const lengths = lengthsForSale(job, rules, run.frame.profile.id);
  return {
    run,
    path: walkFromEntry(run.frame.room),
    longestUsable: lengths[0]?.length ?? Infinity,
    longestUnlimited: longestUnlimited(lengths),
    without,
    usableLengths: lengths.map((one) => one.length),
  };
}

/**
 * Limited lengths count only as often as they are there: of the stretches that fit nothing else, the longest get them, as
 * many as they hold, and the rest is to be spliced.
 */
function shareLimitedLengths(job: JobFile, rooms: readonly RoomLayout[], kerf: number): RoomLayout[] {
  const limited = new Set(job.stock.filter((item) => item.count !== undefined).map((item) => item.profile));
  if (limited.size === 0) return [...rooms];
  interface Wanting {
    readonly run: RunLayout;
    readonly index: number;
    readonly extent: number;
  }
  const byProfile = new Map<string, Wanting[]>();
  for (const { runs } of rooms)
    for (const run of runs) {
      const { profile, depth } = run.run.frame;
      run.stretches.forEach((stretch, index) => {
        if (!stretch.scarce) return;
        const { leftTop, rightTop } = stretch;
        const extent =
          extentOf(stretch.to - stretch.from, depth, stretch.leftAngle, stretch.rightAngle) +
          leftTop +
          rightTop;
        byProfile.set(profile.id, [...(byProfile.get(profile.id) ?? []), { run, index, extent }]);
      });
    }
  const without = new Map<RunLayout, Set<number>>();
  for (const [profile, wanting] of byProfile) {
    const rules = wanting[0]!.run.run.frame.rules;
    const lengths = lengthsForSale(job, rules, profile);
    const most = longestUnlimited(lengths);
    const sticks = lengths
      .filter((one) => one.length > most)
      .flatMap(({ length, count }) => Array.from({ length: Math.min(count, wanting.length) }, () => length))
      .sort((a, b) => a - b);
    for (const { run, index, extent } of [...wanting].sort((a, b) => b.extent - a.extent)) {
      const at = sticks.findIndex((left) => left >= extent - NOISE);
      if (at >= 0) sticks[at]! -= extent + kerf;
      else without.set(run, (without.get(run) ?? new Set()).add(index));
    }
  }
  return rooms.map((room) => ({
    ...room,
    runs: room.runs.map((run) => {
      const none = without.get(run);
      return none ? { ...run, ...planSplices(spliceContext(job, room.rules, run.run, none)) } : run;
    }),
  }));
}

/** Why crown cannot be planned under a room's slopes; undefined where it can. */
function slopeFault(job: JobFile, room: Room, trim: Trim): Pick<BlockedRun, 'walls' | 'why'> | undefined {
  const profile = job.profiles.find((one) => one.id === trim.profile);
  const along = roomAlong(room, trim);
  if (!profile || !along || !traitsOf(profile).atCeiling) return undefined;
  const plan = slopesOf(along, trim, seated(profile, trim));
  return plan.kind === 'cannot' ? { walls: plan.walls, why: plan.why } : undefined;
}

/**
 * Lays out every trim of every room: which joints, which near lines, which places for splices.
 * @param job must have passed its check
 */
export function layOutJob(job: JobFile): JobLayout {
  const rules = completeHouseRules(job.houseRules, job.unit);
  const blocked = job.rooms.flatMap((room) =>
    room.trims.flatMap((trim): BlockedRun[] => {
      const fault = slopeFault(job, room, trim);
      return fault ? [{ room, trim, ...fault }] : [];
    }),
  );
  const layOutRoom = (room: Room): RoomLayout => {
    const own = rulesOfRoom(job, room);
    return {
      room,
      rules: own,
      runs: inStandingOrder(room.trims)
        .filter((trim) => !blocked.some((one) => one.room === room && one.trim === trim))
        .flatMap((trim) => {
          const along = roomAlong(room, trim);
          return along ? withBacker(job, own, along, trim) : [];
        }),
      openings: dressedOpenings(job, own, room),
    };
  };
  const kerf = kerfOf(sawOf(job), job.unit);
  return { job, rules, kerf, rooms: shareLimitedLengths(job, job.rooms.map(layOutRoom), kerf), blocked };
}

/** Name of a stretch in the cutting problem: its segment, and which of the stretches between pinned splices it is. */
export function stretchId(layout: RunLayout, index: number): string {
  const { run, stretches } = layout;
  const { segment } = stretches[index]!;
  const first = stretches.findIndex((one) => one.segment === segment);
  return joinKey(keyOfSegment(run.frame, run.segments[segment]!.segment), index - first);
}

/** A stretch with where it is. */
export interface PlacedStretch {
  readonly id: string;
  readonly room: RoomLayout;
  readonly layout: RunLayout;
  readonly stretch: Stretch;
}

/** Every stretch of a job, in its order. */
export const stretchesOf = (layout: Pick<JobLayout, 'rooms'>): PlacedStretch[] =>
  layout.rooms.flatMap((room) =>
    room.runs.flatMap((run) =>
      run.stretches.map((stretch, index) => ({ id: stretchId(run, index), room, layout: run, stretch })),
    ),
  );

/** Every key that a piece cut from a stretch can have, however it is spliced. */
export function piecesOfStretch({ layout, stretch }: PlacedStretch): PieceKey[] {
  const { frame, segments } = layout.run;
  const joined = segments[stretch.segment]!;
  const { segment } = joined;
  const place = placeOfSegment(frame, segment);
  const [left, right] = [endNameOf(segment.left), endNameOf(segment.right)];
  const key = (part: StretchPart): PieceKey => wallPieceKey(place, left, right, part);
  const inner = layout.stretches.filter((one) => one.segment === stretch.segment);
  const most = inner.reduce((sum, one) => sum + one.places.length + 1, 0);
  return [
    ...(inner.length === 1 ? [key({ part: 'whole' })] : []),
    ...(stretch.from === joined.from ? [key({ part: 'left' })] : []),
    ...(stretch.to === joined.to ? [key({ part: 'right' })] : []),
    ...Array.from({ length: Math.max(0, most - 2) }, (_, k) => key({ part: 'middle', number: k + 1 })),
  ];
}

/** Which of its places each divided stretch uses, by stretch id: indices into `places`, left to right. */
export type SpliceChoices = ReadonlyMap<string, readonly number[]>;

/** Stretches of a run as one comes to them, walking from the entry. */
function inWalkingOrder({ run, stretches }: RunLayout): Stretch[] {
  const key = (one: Stretch): [number, number] =>
    walkKey(run.frame.room, [run.segments[one.segment]!.segment.wallIndex, one.from]);
  return [...stretches].sort((a, b) => {
    const [[aw, ax], [bw, bx]] = [key(a), key(b)];
    return aw - bw || ax - bx;
  });
}

/** What the crew's school makes of a run, beginning with what hangs first. */
export const hangingOf = (layout: RunLayout): CrownOrder =>
  crownOrder(layout.run, inWalkingOrder(layout)[0]?.segment ?? 0);

/** The stretch that closes a crown run: the last one comes to. */
export const closingOf = (layout: RunLayout): Stretch | undefined =>
  hangingOf(layout).closes ? inWalkingOrder(layout).at(-1) : undefined;

/** What the closing piece measured in its place, where it was; a measure counts for the wall it was taken on. */
export function measuredClosing({ run }: RunLayout, stretch: Stretch): number | undefined {
  const measured = run.frame.trim.measuredClosing;
  const { wallIndex } = run.segments[stretch.segment]!.segment;
  return measured?.wall === run.frame.room.walls[wallIndex]!.id ? measured.near : undefined;
}

/** Whether a stretch waits until it is measured between its neighbours: the closing piece of crown, by the crew's rule. */
export const waitsForMeasure = (layout: RunLayout, stretch: Stretch): boolean =>
  layout.run.frame.rules.closingMode === 'measured' &&
  closingOf(layout) === stretch &&
  measuredClosing(layout, stretch) === undefined;

/**
 * What a stretch is cut longer than its place, or, glued in between crown that hangs, shorter: springing in for one left
 * whole, the closing of a crown run for its last piece.
 */
export function stretchAllowance(layout: RunLayout, stretch: Stretch): number {
  const { run } = layout;
  const joined = run.segments[stretch.segment]!;
  const { rules } = run.frame;
  const whole = stretch.from === joined.from && stretch.to === joined.to;
  if (hangingOf(layout).glued.has(stretch.segment)) return whole ? -rules.shy : 0;
  if (closingOf(layout) === stretch) {
    const measured = measuredClosing(layout, stretch);
    if (measured !== undefined) return measured - (stretch.to - stretch.from);
    return rules.closingMode === 'measured' ? rules.heldAllowance : rules.closing;
  }
  return whole ? segmentAllowance(rules, joined) : 0;
}

/**
 * A quick choice of splices that needs no cut plan: as few as will do, at the places with the best scores. Shown while the
 * optimiser has not answered yet.
 */
export function quickSplices(layout: JobLayout): SpliceChoices {
  const choices = new Map<string, readonly number[]>();
  layout.rooms.forEach((room) =>
    room.runs.forEach((runLayout) => {
      const { frame } = runLayout.run;
      const lengths = lengthsForSale(layout.job, layout.rules, frame.profile.id);
      const longest = lengths[0]?.length ?? Infinity;
      const unlimited = longestUnlimited(lengths);
      runLayout.stretches.forEach((stretch, index) => {
        if (stretch.needed && stretch.relaxed !== 'impossible')
          choices.set(
            stretchId(runLayout, index),
            bestPlaces(stretch, frame.depth, frame.rules, stretch.scarce ? unlimited : longest),
          );
      });
    }),
  );
  return choices;
}

/** Points for a unit of distance from the viewer: any wall's length weighs less than one point of score. */
const FARTHER = 1e-6;

/** Points of one splice, and of pieces that are as uneven as the crew does not want them. */
const SPLICE = 1e6;
const LENGTHS = 1e4;

function bestPlaces(
  stretch: Stretch,
  depth: number,
  { scarfAngle: scarf, minPiece, spliceLengths }: HouseRules,
  longest: number,
): number[] {
  const nodes = [
    { at: stretch.from, begins: stretch.leftAngle, ends: 0, score: 0 },
    ...stretch.places.map((place) => ({
      at: place.at,
      begins: place.leftOver ? scarf : -scarf,
      ends: place.leftOver ? -scarf : scarf,
      // Of places with the same score the one farthest from where one comes in: it is seen least.
      score: place.score + place.fromViewer * FARTHER,
    })),
    { at: stretch.to, begins: 0, ends: stretch.rightAngle, score: 0 },
  ];
  // Each splice costs far more than any score can give back, and how long the pieces are counts for more than the score.
  const best = nodes.map((_, index): { cost: number; path: number[] } | undefined =>
    index === 0 ? { cost: 0, path: [] } : undefined,
  );
  for (let j = 1; j < nodes.length; j++)
    for (let i = 0; i < j; i++) {
      const from = best[i];
      const near = nodes[j]!.at - nodes[i]!.at;
      const inner = i > 0 && j < nodes.length - 1;
      if (
        !from ||
        near < minPiece ||
        (inner && near < stretch.apart - SAME_LENGTH) ||
        extentOf(near, depth, nodes[i]!.begins, nodes[j]!.ends) > longest
      )
        continue;
      const cost =
        from.cost +
        SPLICE -
        nodes[j]!.score +
        LENGTHS * unevenness(spliceLengths, near, stretch.to - stretch.from);
      if (!best[j] || cost < best[j]!.cost)
        best[j] = { cost, path: j < nodes.length - 1 ? [...from.path, j - 1] : from.path };
    }
  return best[nodes.length - 1]?.path ?? [];
}
