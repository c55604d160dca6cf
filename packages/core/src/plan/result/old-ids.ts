import type { PieceKey } from '../../base/index.ts';
import type { JobFile } from '../../job/index.ts';
import { layOutJob, piecesOfStretch, stretchesOf } from '../../pieces/index.ts';
import { draftJob } from '../solve/cut-problems.ts';

/** How often a wall of old can have been divided: enough for every splice it may have had. */
const MOST = 12;

/**
 * The keys of a job's pieces by the ids they had before there were keys: room, trim, wall and a running number on the wall,
 * joined by dots. Only for what was kept under the old ids; a number that meant several splices is taken for the part it
 * stands for most likely.
 */
export function keysByOldId(job: JobFile): ReadonlyMap<string, PieceKey> {
  const layout = layOutJob(job);
  const keys = new Map<string, PieceKey>();
  const counts = new Map<string, number>();
  for (const placed of stretchesOf(layout)) {
    const { frame, segments } = placed.layout.run;
    const { wallIndex } = segments[placed.stretch.segment]!.segment;
    const wall = `${frame.room.id}.${frame.trim.id}.${frame.room.walls[wallIndex]!.id}`;
    const possible = piecesOfStretch(placed);
    const [whole] = possible;
    const n = (counts.get(wall) ?? 0) + 1;
    counts.set(wall, n);
    const spliced = placed.stretch.needed && possible.length > 1;
    // A stretch that needs a splice had a left part first and a right part after it.
    const parts = spliced ? possible.filter((key) => key !== whole).slice(0, 2) : [whole!];
    parts.forEach((key, k) => {
      const old = `${wall}.${n + k}`;
      if (!keys.has(old) && n + k <= MOST) keys.set(old, key);
    });
    if (spliced) counts.set(wall, n + parts.length - 1);
  }
  for (const draft of draftJob(layout, new Map())) {
    if (draft.openingId === undefined || draft.wallId === undefined) continue;
    const room = layout.rooms[draft.roomIndex]!.room.id;
    const part = draft.role === 'return' ? undefined : draft.role;
    if (part) keys.set(`${room}.${draft.trimId}.${draft.wallId}.${draft.openingId}.${part}`, draft.id);
  }
  return keys;
}
