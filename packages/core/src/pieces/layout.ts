import {
  extentOf,
  joinTrim,
  planSplices,
  segmentAllowance,
  trimFrame,
  walkFromEntry,
  type Segment,
  type Stretch,
  type TrimRun,
} from '../joinery/index.ts';
import {
  completeHouseRules,
  rulesOfRoom,
  kerfOf,
  type HouseRules,
  type JobFile,
  type Room,
  type Trim,
} from '../job/index.ts';
import { openingParts, type OpeningPart } from './opening-parts.ts';

/** A trim that runs along walls, joined, with its stretches and where they may be spliced. */
export interface RunLayout {
  readonly run: TrimRun;
  readonly stretches: readonly Stretch[];
}

export interface RoomLayout {
  readonly room: Room;
  /** The room's own rules over the job's. */
  readonly rules: HouseRules;
  readonly runs: readonly RunLayout[];
  readonly openings: readonly OpeningPart[];
}

/** Everything about a job that is decided before sticks are chosen: joints, near lines, and where walls may be spliced. */
export interface JobLayout {
  readonly job: JobFile;
  readonly rules: HouseRules;
  readonly kerf: number;
  readonly rooms: readonly RoomLayout[];
}

/** Usable lengths of the sticks for sale of a profile, longest first. */
export function usableLengths(job: JobFile, rules: HouseRules, profile: string): number[] {
  const lengths = job.stock
    .filter((item) => item.profile === profile && item.count !== 0)
    .map((item) => item.length - 2 * rules.endTrim);
  return [...new Set(lengths)].sort((a, b) => b - a);
}

/** Trims in the order they go up: what stands on another trim comes after it. */
export function inStandingOrder(trims: readonly Trim[]): Trim[] {
  const height = (trim: Trim): number => {
    const under = trims.find((one) => one.id === trim.standsOn);
    return under ? height(under) + 1 : 0;
  };
  return trims
    .map((trim, index) => ({ trim, index }))
    .sort((a, b) => height(a.trim) - height(b.trim) || a.index - b.index)
    .map(({ trim }) => trim);
}

function layOutTrim(job: JobFile, rules: HouseRules, room: Room, trim: Trim): RunLayout {
  const frame = trimFrame(job, rules, room, trim);
  const usable = usableLengths(job, rules, trim.profile);
  // Whether a stretch will be spliced matters to the joints only roughly: its ends then belong to two pieces.
  const longest = usable[0] ?? Infinity;
  const pinned = (segment: Segment): boolean =>
    (trim.splices ?? []).some(
      (pin) => pin.wall === room.walls[segment.wallIndex]!.id && pin.at > segment.from && pin.at < segment.to,
    );
  const willSplice = (segment: Segment): boolean =>
    pinned(segment) || extentOf(segment.to - segment.from, frame.depth, 0, 0) > longest;
  const run = joinTrim(job, frame, willSplice);
  const stretches = planSplices({
    run,
    path: walkFromEntry(room),
    longestUsable: longest,
    usableLengths: usable,
  });
  return { run, stretches };
}

/**
 * Lays out every trim of every room: which joints, which near lines, which places for splices.
 * @param job must have passed its check
 */
export function layOutJob(job: JobFile): JobLayout {
  const rules = completeHouseRules(job.houseRules, job.unit);
  const layOutRoom = (room: Room): RoomLayout => {
    const own = rulesOfRoom(job, room);
    return {
      room,
      rules: own,
      runs: inStandingOrder(room.trims)
        .filter((trim) => trim.on === 'walls')
        .map((trim) => layOutTrim(job, own, room, trim)),
      openings: room.trims
        .filter((trim) => trim.on === 'openings')
        .flatMap((trim) => openingParts(job, own, room, trim)),
    };
  };
  const rooms = job.rooms.map(layOutRoom);
  return { job, rules, kerf: kerfOf(job.saw, job.unit), rooms };
}

/** Name of a stretch in the cutting problem: unique in the job. */
export const stretchId = (roomIndex: number, runIndex: number, stretchIndex: number): string =>
  `${roomIndex}/${runIndex}/${stretchIndex}`;

/** Which of its places each divided stretch uses, by stretch id: indices into `places`, left to right. */
export type SpliceChoices = ReadonlyMap<string, readonly number[]>;

/** What a stretch left whole is cut longer. */
export function stretchAllowance(layout: RunLayout, stretch: Stretch): number {
  const joined = layout.run.segments[stretch.segment]!;
  const whole = stretch.from === joined.from && stretch.to === joined.to;
  return whole ? segmentAllowance(layout.run.frame.rules, joined) : 0;
}

/**
 * A quick choice of splices that needs no cut plan: as few as will do, at the places with the best scores. Shown while the
 * optimiser has not answered yet.
 */
export function quickSplices(layout: JobLayout): SpliceChoices {
  const choices = new Map<string, readonly number[]>();
  layout.rooms.forEach((room, roomIndex) =>
    room.runs.forEach((runLayout, runIndex) => {
      const { frame } = runLayout.run;
      const longest = usableLengths(layout.job, layout.rules, frame.profile.id)[0] ?? Infinity;
      runLayout.stretches.forEach((stretch, index) => {
        if (stretch.needed && stretch.relaxed !== 'impossible')
          choices.set(
            stretchId(roomIndex, runIndex, index),
            bestPlaces(stretch, frame.depth, frame.rules.scarfAngle, longest, frame.rules.minPiece),
          );
      });
    }),
  );
  return choices;
}

/** Points for a unit of distance from the viewer: any wall's length weighs less than one point of score. */
const FARTHER = 1e-6;

function bestPlaces(
  stretch: Stretch,
  depth: number,
  scarf: number,
  longest: number,
  minPiece: number,
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
  // Each splice costs far more than any score can give back.
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
        (inner && near < stretch.apart - 1e-6) ||
        extentOf(near, depth, nodes[i]!.begins, nodes[j]!.ends) > longest
      )
        continue;
      const cost = from.cost + 1000 - nodes[j]!.score;
      if (!best[j] || cost < best[j]!.cost)
        best[j] = { cost, path: j < nodes.length - 1 ? [...from.path, j - 1] : from.path };
    }
  return best[nodes.length - 1]?.path ?? [];
}
