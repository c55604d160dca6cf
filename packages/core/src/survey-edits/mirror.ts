import type { Survey } from '../api-schemas/index.ts';
import type { Corner, Kit, Opening, Wall } from '../job/index.ts';
import { headsOf, leansOfJambs } from '../openings/index.ts';

/** From the other end of the wall. */
const flipped = <T extends { at: number; width?: number | undefined }>(
  list: readonly T[],
  length: number,
): T[] => list.map((one) => ({ ...one, at: length - one.at - (one.width ?? 0) })).reverse();

function mirrorWall(wall: Wall, corner: Corner | undefined): Wall {
  const { length } = wall;
  const {
    corner: _old,
    openings,
    interruptions,
    points,
    furniture,
    studs,
    hollow,
    ceiling,
    ...others
  } = wall;
  const { ceilingHeights: heights, ...rest } = others;
  const studsAt = studs && 'at' in studs ? studs.at : undefined;
  return {
    ...rest,
    ...(corner ? { corner: mirrorCorner(corner) } : {}),
    ...(openings
      ? {
          openings: flipped(openings, length).map(mirrorOpening),
        }
      : {}),
    ...(heights ? { ceilingHeights: flipped(heights, length) } : {}),
    ...(interruptions ? { interruptions: flipped(interruptions, length) } : {}),
    ...(points ? { points: flipped(points, length) } : {}),
    ...(furniture ? { furniture: flipped(furniture, length) } : {}),
    ...(studsAt ? { studs: { at: studsAt.map((x) => length - x).reverse() } } : {}),
    ...(studs && 'spacing' in studs && studs.first < length
      ? { studs: { first: (length - studs.first) % studs.spacing, spacing: studs.spacing } }
      : {}),
    ...(hollow
      ? { hollow: hollow.map((one) => ({ ...one, near: one.near === 'left' ? 'right' : 'left' })) }
      : {}),
    ...(ceiling
      ? { ceiling: { ...ceiling, ...(ceiling.rise === undefined ? {} : { rise: -ceiling.rise }) } }
      : {}),
  };
}

/** Pairs of figures of an opening that change places. */
const SIDES = [
  ['headLeft', 'headRight'],
  ['sillLeft', 'sillRight'],
  ['hornLeft', 'hornRight'],
] as const;

const swapped = <T extends Readonly<Record<string, unknown>>>(
  of: T,
  pairs: readonly (readonly [string, string])[],
): T => {
  const next: Record<string, unknown> = { ...of };
  for (const [left, right] of pairs)
    for (const [to, from] of [
      [left, right],
      [right, left],
    ] as const)
      if (of[from] === undefined) delete next[to];
      else next[to] = of[from];
  return next as T;
};

function mirrorKit(kit: Kit): Kit {
  return swapped(kit, [['ripLeft', 'ripRight']]);
}

function mirrorOpening(opening: Opening): Opening {
  const heads = headsOf(opening);
  // A level reading is taken from the left: in the mirror it starts at the other height.
  const { headLevel, ...plain } = opening;
  const read = headLevel === undefined ? plain : { ...plain, headLeft: heads.left, headRight: heads.right };
  const { lean, jambDepth, kit, other, diagonal: _diagonal, ...rest } = swapped(read, SIDES);
  const leans = opening.diagonal === undefined ? lean : leansOfJambs(opening);
  const turned = leans && {
    ...(leans.right === undefined ? {} : { left: -leans.right }),
    ...(leans.left === undefined ? {} : { right: -leans.left }),
  };
  return {
    ...rest,
    ...(turned ? { lean: turned } : {}),
    ...(jambDepth
      ? {
          jambDepth: swapped(jambDepth, [
            ['topLeft', 'topRight'],
            ['bottomLeft', 'bottomRight'],
          ]),
        }
      : {}),
    ...(kit ? { kit: mirrorKit(kit) } : {}),
    ...(other ? { other: { ...other, ...(other.kit ? { kit: mirrorKit(other.kit) } : {}) } } : {}),
  };
}

function mirrorCorner(corner: Corner): Corner {
  const { reading, joint, lean } = corner;
  const other = { 'through-left': 'through-right', 'through-right': 'through-left', miter: 'miter' } as const;
  return {
    ...corner,
    ...(reading.as === 'legs' ? { reading: { ...reading, left: reading.right, right: reading.left } } : {}),
    ...(typeof lean === 'object' ? { lean: { left: lean.right, right: lean.left } } : {}),
    ...(joint
      ? { joint: Object.fromEntries(Object.entries(joint).map(([trim, pin]) => [trim, other[pin]])) }
      : {}),
  };
}

/**
 * The same room seen in a mirror: walls the other way round, every position from the other end, left and right exchanged.
 * The corner after a wall becomes the corner before it.
 */
export function mirrorSurvey(survey: Survey): Survey {
  const { walls, closed } = survey;
  const count = walls.length;
  const mirrored = walls.map((wall, index) => {
    // In a mirror the wall to the left of the next one comes after it.
    const before = index > 0 ? walls[index - 1]!.corner : closed ? walls[count - 1]!.corner : undefined;
    return mirrorWall(wall, before);
  });
  const lengthOf = new Map(walls.map((wall) => [wall.id, wall.length]));
  const flip = <T extends { wall: string; at: number }>(one: T): T => ({
    ...one,
    at: (lengthOf.get(one.wall) ?? 0) - one.at,
  });
  return {
    ...survey,
    walls: mirrored.reverse(),
    ...(survey.ceilings
      ? {
          ceilings: survey.ceilings.map((loop) => {
            const sides = loop.walls.length;
            const turned = loop.walls.map((side, index) => {
              const { corner: _old, ...rest } = side;
              const before =
                index > 0
                  ? loop.walls[index - 1]!.corner
                  : (loop.closed ?? true)
                    ? loop.walls[sides - 1]!.corner
                    : undefined;
              return before ? { ...rest, corner: mirrorCorner(before) } : rest;
            });
            return { ...loop, walls: turned.reverse() };
          }),
        }
      : {}),
    ...(survey.entry ? { entry: flip(survey.entry) } : {}),
    trims: survey.trims.map((trim) => ({
      ...trim,
      ...(trim.splices ? { splices: trim.splices.map(flip) } : {}),
    })),
  };
}
