import type { HouseRules, JobFile, Opening, Room, Trim } from '../job/index.ts';
import { casingOf, trimSide, type TrimmedSide, type SideName } from '../openings/index.ts';

/** One side of an opening in its room, with the trim its parts belong to. */
export interface PlacedOpening {
  readonly trimId: string;
  readonly wallId: string;
  readonly opening: Opening;
  readonly dressed: TrimmedSide;
}

/** Parts of an opening in a room without any trim around openings belong to this. */
const NO_TRIM = 'openings';

const covers = (trim: Trim, wall: string): boolean =>
  trim.on === 'openings' && (!trim.walls || trim.walls.includes(wall));

/**
 * Every dressed side of a room's openings. A side's parts belong to the trim of its casing; casing that no trim carries is
 * not planned. The other side, and what stands without casing, goes with the trim of this side, else with any.
 */
export function dressedOpenings(job: JobFile, rules: HouseRules, room: Room): PlacedOpening[] {
  return room.walls.flatMap((wall) => {
    const around = room.trims.filter((trim) => covers(trim, wall.id));
    const withProfile = (profile: string | undefined): Trim | undefined =>
      profile === undefined ? undefined : around.find((trim) => trim.profile === profile);
    return (wall.openings ?? []).flatMap((opening) =>
      (['this', 'other'] as const).flatMap((side: SideName): PlacedOpening[] => {
        const casing = casingOf(opening, side);
        const here = withProfile(casingOf(opening, 'this'));
        const own = withProfile(casing);
        if (side === 'this' && casing !== undefined && !own) return [];
        if (side === 'other' && (casing === undefined || around.length === 0)) return [];
        const dressed = trimSide(job, rules, opening, side);
        if (dressed.parts.length === 0) return [];
        const trimId = (own ?? here ?? around[0])?.id ?? NO_TRIM;
        return [{ trimId, wallId: wall.id, opening, dressed }];
      }),
    );
  });
}
