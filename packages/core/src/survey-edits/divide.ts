import { SAME_LENGTH } from '../base/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import type { Corner, Wall } from '../job/index.ts';
import { lowestCeiling } from '../survey/index.ts';
import { freeId, newWallId } from './edits.ts';

/** What stands on one side of a cut through a wall, moved so that it is measured from its new left corner. */
function partOf(
  wall: Wall,
  from: number,
  to: number,
): Pick<Wall, 'openings' | 'interruptions' | 'points' | 'furniture' | 'studs' | 'ceilingHeights'> {
  const within = <T extends { at: number }>(list: readonly T[] | undefined): T[] =>
    (list ?? [])
      .filter((one) => one.at >= from - SAME_LENGTH && one.at < to - SAME_LENGTH)
      .map((one) => ({ ...one, at: Math.max(0, one.at - from) }));
  const openings = within(wall.openings);
  const interruptions = within(wall.interruptions);
  const points = within(wall.points);
  const furniture = within(wall.furniture);
  const { studs, ceilingHeights: read } = wall;
  const heightAt = (x: number): number => lowestCeiling({ walls: [] }, wall, x, x)!;
  const heights = read && [
    { at: 0, height: heightAt(from) },
    ...read.filter((one) => one.at > from && one.at < to).map((one) => ({ ...one, at: one.at - from })),
    { at: to - from, height: heightAt(to) },
  ];
  const moved =
    studs && 'at' in studs
      ? { at: studs.at.filter((x) => x > from && x < to).map((x) => x - from) }
      : studs && {
          first:
            studs.first >= from
              ? studs.first - from
              : (studs.spacing - ((from - studs.first) % studs.spacing)) % studs.spacing,
          spacing: studs.spacing,
        };
  return {
    ...(openings.length > 0 ? { openings } : {}),
    ...(interruptions.length > 0 ? { interruptions } : {}),
    ...(points.length > 0 ? { points } : {}),
    ...(furniture.length > 0 ? { furniture } : {}),
    ...(moved ? { studs: moved } : {}),
    ...(heights ? { ceilingHeights: heights } : {}),
  };
}

/** Trims on a wall that is divided are on all of its parts; pinned splices and the entry go with the part they lie in. */
function follow(
  survey: Survey,
  old: string,
  parts: readonly { id: string; from: number; to: number }[],
): Survey {
  const place = <T extends { wall: string; at: number }>(one: T): T => {
    if (one.wall !== old) return one;
    const part = parts.find(({ from, to }) => one.at >= from && one.at <= to) ?? parts[0]!;
    return { ...one, wall: part.id, at: one.at - part.from };
  };
  return {
    ...survey,
    ...(survey.entry ? { entry: place(survey.entry) } : {}),
    trims: survey.trims.map((trim) => ({
      ...trim,
      ...(trim.walls
        ? { walls: trim.walls.flatMap((id) => (id === old ? parts.map((part) => part.id) : [id])) }
        : {}),
      ...(trim.splices ? { splices: trim.splices.map(place) } : {}),
    })),
  };
}

/** Puts walls in the place of one, with what follows from it. */
function divide(
  survey: Survey,
  index: number,
  walls: readonly Wall[],
  parts: readonly { id: string; from: number; to: number }[],
): Survey {
  const next = {
    ...survey,
    walls: [...survey.walls.slice(0, index), ...walls, ...survey.walls.slice(index + 1)],
  };
  return follow(next, survey.walls[index]!.id, parts);
}

/** What of a wall stays with the part that has its left end. */
const bare = ({ id, ceiling }: Wall): Pick<Wall, 'id' | 'ceiling'> => ({
  id,
  ...(ceiling ? { ceiling } : {}),
});

/**
 * Divides a wall that turns out to be two: a straight corner between them, to be measured.
 * @param at from the wall's left corner; must lie inside the wall and in no opening, else the survey stays as it is
 */
export function splitWall(survey: Survey, index: number, at: number, tag = ''): Survey {
  const wall = survey.walls[index]!;
  if (!isFree(wall, at)) return survey;
  const id = newWallId(survey, tag);
  const first: Wall = {
    ...bare(wall),
    length: at,
    corner: { reading: { as: 'deflection', degrees: 0, side: 'inside' } },
    ...partOf(wall, 0, at),
  };
  const second: Wall = {
    ...bare(wall),
    id,
    length: wall.length - at,
    ...(wall.corner ? { corner: wall.corner } : {}),
    ...partOf(wall, at, wall.length),
  };
  return divide(
    survey,
    index,
    [first, second],
    [
      { id: wall.id, from: 0, to: at },
      { id, from: at, to: wall.length },
    ],
  );
}

/** Whether a wall can be divided there: inside it, and not in an opening or a built-in. */
export const isFree = (wall: Wall, at: number): boolean =>
  at > SAME_LENGTH &&
  at < wall.length - SAME_LENGTH &&
  ![...(wall.openings ?? []), ...(wall.interruptions ?? [])].some(
    (one) => at > one.at + SAME_LENGTH && at < one.at + one.width - SAME_LENGTH,
  );

/**
 * Puts a jog into a wall: two corners and the return wall between them.
 * @param depth how far the wall goes on from there
 * @param way   `in`: what is right of it stands farther into the room; `out`: farther back
 * @returns ids of the corners that are square by assumption, with the survey; both are to be measured
 */
export function insertJog(
  survey: Survey,
  index: number,
  at: number,
  depth: number,
  way: 'in' | 'out',
  tag = '',
): { survey: Survey; assumed: readonly string[] } {
  const wall = survey.walls[index]!;
  if (!isFree(wall, at) || !(depth > 0)) return { survey, assumed: [] };
  const jog = newWallId(survey, tag);
  const rest = freeId('w', [...survey.walls.map((one) => one.id), jog], tag);
  const inside: Corner = { reading: { as: 'assumed' } };
  // "Assumed" means 90 inside in the job file; an outside corner needs its reading written out.
  const outside: Corner = { reading: { as: 'protractor', degrees: 90, side: 'outside' } };
  const [before, after] = way === 'in' ? [inside, outside] : [outside, inside];
  const walls: Wall[] = [
    { ...bare(wall), length: at, corner: before, ...partOf(wall, 0, at) },
    { id: jog, length: depth, corner: after },
    {
      ...bare(wall),
      id: rest,
      length: wall.length - at,
      ...(wall.corner ? { corner: wall.corner } : {}),
      ...partOf(wall, at, wall.length),
    },
  ];
  return {
    survey: divide(survey, index, walls, [
      { id: wall.id, from: 0, to: at },
      { id: rest, from: at, to: wall.length },
    ]),
    assumed: [way === 'in' ? jog : wall.id],
  };
}
