import { SAME_LENGTH } from '../../base/index.ts';
import type { Room } from '../../job/index.ts';
import { backerOf, dropLine, markEvery, type TrimFrame } from '../../joinery/index.ts';
import type { Warning } from '../result/plan-file.ts';
import type { MakeWarning } from './warning-factory.ts';

/** What a ceiling out of level leaves open above crown, a strip that its back does not clear, and corners under slopes. */
export function crownWatchOuts(room: Room, frame: TrimFrame, watch: MakeWarning): Warning[] {
  const out: Warning[] = [];
  const { rules, trim, profile, unit } = frame;
  const where = { room: room.id };
  const { ceilingLine: line, ceilingGap: most } = rules;
  const hung = dropLine(frame, line, markEvery(unit));
  const other = dropLine(frame, line === 'level' ? 'follow' : 'level', markEvery(unit));
  if (hung && other && Math.max(hung.gap, hung.presses) > most + SAME_LENGTH)
    out.push(
      watch(
        'ceiling-gap',
        {
          room: room.name,
          profile: profile.name,
          line,
          gap: hung.gap,
          presses: hung.presses,
          most,
          other: other.gap,
          otherPresses: other.presses,
        },
        where,
      ),
    );
  const strip = backerOf(frame);
  if (strip && !strip.fits)
    out.push(
      watch(
        'backer-fit',
        { room: room.name, profile: profile.name, strip: strip.name, taken: strip.taken },
        where,
      ),
    );
  const climbing = trim.backer
    ? room.walls.flatMap((wall, index) => ((wall.ceiling?.rise ?? 0) !== 0 ? [index + 1] : []))
    : [];
  if (climbing.length > 0) out.push(watch('backer-climbs', { room: room.name, walls: climbing }, where));
  for (const { wallIndex, end, turn, misses, otherSpring } of frame.slopes?.corners ?? []) {
    const wall = room.walls[wallIndex]!.id;
    out.push(
      watch(
        'slope-corner',
        { room: room.name, wall: wallIndex + 1, profile: profile.name, end, turn, misses, otherSpring },
        { ...where, wall, corner: wall },
      ),
    );
  }
  return out;
}
