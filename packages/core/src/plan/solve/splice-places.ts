import type { Room } from '../../job/index.ts';
import { spliceAt, walkFromEntry, type SplicePlace } from '../../joinery/index.ts';
import type { QuickPlan } from '../plan-job.ts';
import type { Piece } from '../result/plan-file.ts';

/**
 * Where the splice at an end of a piece is or could be, each place with its score and what makes it.
 * @returns undefined for a piece without a splice
 */
export function splicePlaces(
  piece: Piece,
  room: Room,
  quick: QuickPlan,
): { readonly pinned: SplicePlace | undefined; readonly places: readonly SplicePlace[] } | undefined {
  if (piece.left.joint !== 'scarf' && piece.right.joint !== 'scarf') return undefined;
  const run = quick.layout.rooms[0]?.runs.find(
    (one) =>
      one.run.frame.trim.id === piece.trim &&
      one.stretches.some(
        (stretch) => room.walls[one.run.segments[stretch.segment]!.segment.wallIndex]!.id === piece.wall,
      ),
  );
  if (!run) return undefined;
  const own = run.stretches.filter(
    (stretch) => room.walls[run.run.segments[stretch.segment]!.segment.wallIndex]!.id === piece.wall,
  );
  const at = piece.right.joint === 'scarf' ? piece.to! : piece.from!;
  return {
    pinned: own.map((stretch) => stretch.pinnedAfter).find((place) => place && Math.abs(place.at - at) < 1),
    places: own.flatMap((stretch) => stretch.places),
  };
}

/**
 * What a splice would be worth at a place along the wall of a piece: its score and what makes it.
 * @returns undefined where the trim does not run
 */
export function spliceWorth(
  piece: Piece,
  room: Room,
  quick: QuickPlan,
  centre: number,
): SplicePlace | undefined {
  const run = quick.layout.rooms[0]?.runs.find((one) => one.run.frame.trim.id === piece.trim)?.run;
  const joined = run?.segments.find(
    (one) => room.walls[one.segment.wallIndex]!.id === piece.wall && centre >= one.from && centre <= one.to,
  );
  return run && joined && spliceAt({ run, path: walkFromEntry(room) }, joined, centre);
}
