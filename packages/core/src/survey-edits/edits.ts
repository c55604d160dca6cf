import { SAME_LENGTH } from '../base/index.ts';
import type { Survey } from '../api-schemas/index.ts';
import { leansOf } from '../survey/index.ts';
import type { AngleReading, Corner, Interruption, Opening, Wall } from '../job/index.ts';

/** Changes to a survey, as plain functions from one survey to the next. What they make is checked before it is kept. */

/**
 * The next free id with a prefix: w1, w2, …
 * @param tag of the person's page, so that two people adding at once do not both make w5
 */
export function freeId(prefix: string, used: readonly string[], tag = ''): string {
  for (let n = used.length + 1; ; n++) {
    const id = `${prefix}${n}${tag}`;
    if (!used.includes(id)) return id;
  }
}

const withWall = (survey: Survey, index: number, change: (wall: Wall) => Wall): Survey => ({
  ...survey,
  walls: survey.walls.map((wall, i) => (i === index ? change(wall) : wall)),
});

/** Leaves a key out when its value is undefined: an absent key and `undefined` are not the same in the file. */
function withKey<T extends object, K extends keyof T>(target: T, key: K, value: T[K] | undefined): T {
  const { [key]: _old, ...rest } = target;
  return (value === undefined ? rest : { ...rest, [key]: value }) as T;
}

/** The id that a new wall will get. */
export const newWallId = (survey: Survey, tag: string): string =>
  freeId(
    'w',
    survey.walls.map((wall) => wall.id),
    tag,
  );

/** A wall after the last one; the corner after it is assumed square until it is measured. */
export function addWall(survey: Survey, length: number, tag = ''): { survey: Survey; id: string } {
  const id = newWallId(survey, tag);
  return {
    id,
    survey: { ...survey, walls: [...survey.walls, { id, length, corner: { reading: { as: 'assumed' } } }] },
  };
}

/** Takes a wall out, with whatever pointed at it. */
export function removeWall(survey: Survey, index: number): Survey {
  const { id } = survey.walls[index]!;
  const next: Survey = {
    ...survey,
    walls: survey.walls.filter((_, i) => i !== index),
    trims: survey.trims.map((trim) => ({
      ...trim,
      ...(trim.walls ? { walls: trim.walls.filter((one) => one !== id) } : {}),
      ...(trim.splices ? { splices: trim.splices.filter((one) => one.wall !== id) } : {}),
    })),
  };
  return survey.entry?.wall === id ? withKey(next, 'entry', undefined) : next;
}

export const setLength = (survey: Survey, index: number, length: number): Survey =>
  withWall(survey, index, (wall) => ({ ...wall, length }));

export const setReading = (survey: Survey, index: number, reading: AngleReading): Survey =>
  withWall(survey, index, (wall) => ({ ...wall, corner: { ...wall.corner, reading } }));

/** How the corner is made: crisp, bullnose, filled round. */
export const setForm = (survey: Survey, index: number, form: Corner['form']): Survey =>
  withWall(survey, index, (wall) =>
    wall.corner ? { ...wall, corner: withKey(wall.corner, 'form', form) } : wall,
  );

/** How far the walls at a corner are off plumb, both alike or one of them; upright walls have no such figure. */
export const setLean = (
  survey: Survey,
  index: number,
  lean: number | { readonly left?: number; readonly right?: number },
): Survey =>
  withWall(survey, index, ({ corner, ...wall }) => {
    if (!corner) return wall;
    const { left, right } =
      typeof lean === 'number' ? { left: lean, right: lean } : { ...leansOf(corner), ...lean };
    const next = left === right ? (left === 0 ? undefined : left) : { left, right };
    return { ...wall, corner: withKey(corner, 'lean', next) };
  });

/** Pins a splice of a trim at a place on a wall. */
export const addSplice = (survey: Survey, index: number, trim: string, at: number): Survey => {
  const wall = survey.walls[index]!.id;
  return {
    ...survey,
    trims: survey.trims.map((one) =>
      one.id === trim ? { ...one, splices: [...(one.splices ?? []), { wall, at }] } : one,
    ),
  };
};

/** Pins which piece runs through at a corner, or releases it. */
export const pinJoint = (
  survey: Survey,
  index: number,
  trim: string,
  joint: 'through-left' | 'through-right' | 'miter' | undefined,
): Survey =>
  withWall(survey, index, (wall) => {
    if (!wall.corner) return wall;
    const { [trim]: _old, ...others } = wall.corner.joint ?? {};
    const pins = joint === undefined ? others : { ...others, [trim]: joint };
    return {
      ...wall,
      corner: withKey(wall.corner, 'joint', Object.keys(pins).length > 0 ? pins : undefined),
    };
  });

/**
 * Jamb and clear width of an opening whose casing is fixed already.
 * @param at    from the wall's left corner to the outer edge of the left casing
 * @param width over both casings
 * @returns undefined where the casings alone fill the width
 * Source: joinery rules, section 2: positions of fixed casing are measured to its outer edges.
 * @example insideCasing(40, 36.875, 2.25, 3 / 16) // at 42.4375, width 32
 */
export function insideCasing(
  at: number,
  width: number,
  casing: number,
  reveal: number,
): { at: number; width: number } | undefined {
  const edge = casing + reveal;
  return width > 2 * edge ? { at: at + edge, width: width - 2 * edge } : undefined;
}

/** The id that addOpening will give. */
export const newOpeningId = (survey: Survey, kind: Opening['kind'], tag = ''): string =>
  freeId(
    kind === 'window' ? 'n' : 'd',
    survey.walls.flatMap((one) => (one.openings ?? []).map((other) => other.id)),
    tag,
  );

/** Adds an opening; the first door of a room becomes its entry. */
export function addOpening(survey: Survey, index: number, opening: Omit<Opening, 'id'>, tag = ''): Survey {
  const wall = survey.walls[index]!;
  const id = newOpeningId(survey, opening.kind, tag);
  const next = withWall(survey, index, (one) => ({
    ...one,
    openings: [...(one.openings ?? []), { id, ...opening }].sort((a, b) => a.at - b.at),
  }));
  return survey.entry || opening.kind === 'window'
    ? next
    : { ...next, entry: { wall: wall.id, at: opening.at + opening.width / 2 } };
}

/** Changes an opening; a property set to undefined is taken out. */
export const changeOpening = (
  survey: Survey,
  index: number,
  id: string,
  change: { [K in keyof Opening]?: Opening[K] | undefined },
): Survey => {
  const before = survey.walls[index]!.openings?.find((one) => one.id === id);
  const next = withWall(survey, index, (wall) => ({
    ...wall,
    openings: (wall.openings ?? []).map((one) =>
      one.id === id
        ? (Object.fromEntries(
            Object.entries({ ...one, ...change }).filter(([, value]) => value !== undefined),
          ) as Opening)
        : one,
    ),
  }));
  const after = next.walls[index]!.openings?.find((one) => one.id === id);
  // The entry moves with its door.
  const isEntry =
    before &&
    after &&
    survey.entry?.wall === survey.walls[index]!.id &&
    Math.abs(survey.entry.at - (before.at + before.width / 2)) < SAME_LENGTH;
  return isEntry
    ? { ...next, entry: { wall: survey.walls[index]!.id, at: after.at + after.width / 2 } }
    : next;
};

export const removeOpening = (survey: Survey, index: number, id: string): Survey =>
  withWall(survey, index, (wall) => {
    const left = (wall.openings ?? []).filter((one) => one.id !== id);
    return withKey(wall, 'openings', left.length > 0 ? left : undefined);
  });

export const setEntry = (survey: Survey, index: number, opening: Opening): Survey => ({
  ...survey,
  entry: { wall: survey.walls[index]!.id, at: opening.at + opening.width / 2 },
});

/** Studs by the first one and their spacing; undefined forgets them. */
export const setStuds = (survey: Survey, index: number, studs: Wall['studs']): Survey =>
  withWall(survey, index, (wall) => withKey(wall, 'studs', studs));

export const setClosed = (survey: Survey, closed: boolean): Survey => ({ ...survey, closed });

/** The radiator on the pipes of a wall between two places is taken off while the trim goes in, or stays on. */
export const setComesOff = (survey: Survey, index: number, from: number, to: number, off: boolean): Survey =>
  withWall(survey, index, (wall) => ({
    ...wall,
    points: (wall.points ?? []).map(({ comesOff: _was, ...point }) =>
      point.kind === 'pipe' && point.at >= from && point.at <= to
        ? { ...point, ...(off ? { comesOff: true } : {}) }
        : { ...point, ...(_was ? { comesOff: true } : {}) },
    ),
  }));

/** Sets or forgets one property of a wall: ceiling length, ceiling slope, hollows, points. */
export const setOfWall = <
  K extends 'ceilingLength' | 'substrate' | 'ceilingHeights' | 'ceiling' | 'hollow' | 'points' | 'furniture',
>(
  survey: Survey,
  index: number,
  key: K,
  value: Wall[K] | undefined,
): Survey => withWall(survey, index, (wall) => withKey(wall, key, value));

/** Sets or forgets how a corner was taken, or its angle at the ceiling. */
export const setOfCorner = <K extends 'method' | 'ceiling'>(
  survey: Survey,
  index: number,
  key: K,
  value: Corner[K] | undefined,
): Survey =>
  withWall(survey, index, (wall) =>
    wall.corner ? { ...wall, corner: withKey(wall.corner, key, value) } : wall,
  );

/** Adds a built-in, hearth or other interruption. */
export function addInterruption(
  survey: Survey,
  index: number,
  item: Omit<Interruption, 'id'>,
  tag = '',
): Survey {
  const id = freeId(
    'b',
    survey.walls.flatMap((one) => (one.interruptions ?? []).map((other) => other.id)),
    tag,
  );
  return withWall(survey, index, (wall) => ({
    ...wall,
    interruptions: [...(wall.interruptions ?? []), { id, ...item }].sort((a, b) => a.at - b.at),
  }));
}

export const changeInterruption = (
  survey: Survey,
  index: number,
  id: string,
  change: Partial<Interruption>,
): Survey =>
  withWall(survey, index, (wall) => ({
    ...wall,
    interruptions: (wall.interruptions ?? []).map((one) => (one.id === id ? { ...one, ...change } : one)),
  }));

export const removeInterruption = (survey: Survey, index: number, id: string): Survey =>
  withWall(survey, index, (wall) => {
    const left = (wall.interruptions ?? []).filter((one) => one.id !== id);
    return withKey(wall, 'interruptions', left.length > 0 ? left : undefined);
  });

/** Moves a wall, with the corner after it, one place earlier or later in the walk. */
export function moveWall(survey: Survey, index: number, by: -1 | 1): Survey {
  const to = index + by;
  if (to < 0 || to >= survey.walls.length) return survey;
  const walls = [...survey.walls];
  [walls[index], walls[to]] = [walls[to]!, walls[index]!];
  // The last wall of an open chain has no corner after it, the others have one.
  return { ...survey, walls: fixCorners(walls, survey.closed) };
}

/** Starts the walk at another wall of a closed room; what is seen and cut does not change. */
export const startAt = (survey: Survey, index: number): Survey =>
  survey.closed
    ? { ...survey, walls: [...survey.walls.slice(index), ...survey.walls.slice(0, index)] }
    : survey;

const fixCorners = (walls: readonly Wall[], closed: boolean): Wall[] =>
  walls.map((wall, index) =>
    !wall.corner && (closed || index < walls.length - 1)
      ? { ...wall, corner: { reading: { as: 'assumed' as const } } }
      : wall,
  );

/** Takes over another room's trims: what is on all of its walls goes on all of this room's. Pins and splices stay behind. */
export const copyTrims = (survey: Survey, from: Survey): Survey => ({
  ...survey,
  trims: from.trims.map(({ walls: _walls, splices: _splices, ...trim }) => trim),
});
