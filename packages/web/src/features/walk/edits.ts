import type { AngleReading, Corner, Opening, Survey, Wall } from '@long-miter/core';

/** Changes to a survey, as plain functions from one survey to the next. What they make is checked before it is kept. */

/** The next free id with a prefix: w1, w2, … */
export function freeId(prefix: string, used: readonly string[]): string {
  for (let n = used.length + 1; ; n++) if (!used.includes(`${prefix}${n}`)) return `${prefix}${n}`;
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

/** A wall after the last one; the corner after it is assumed square until it is measured. */
export function addWall(survey: Survey, length: number): { survey: Survey; id: string } {
  const id = freeId(
    'w',
    survey.walls.map((wall) => wall.id),
  );
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

/** How far the walls at a corner are off plumb; 0 forgets it. */
export const setLean = (survey: Survey, index: number, lean: number): Survey =>
  withWall(survey, index, (wall) =>
    wall.corner ? { ...wall, corner: withKey(wall.corner, 'lean', lean === 0 ? undefined : lean) } : wall,
  );

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

/** Adds an opening; the first door of a room becomes its entry. */
export function addOpening(survey: Survey, index: number, opening: Omit<Opening, 'id'>): Survey {
  const wall = survey.walls[index]!;
  const id = freeId(
    opening.kind === 'window' ? 'n' : 'd',
    survey.walls.flatMap((one) => (one.openings ?? []).map((other) => other.id)),
  );
  const next = withWall(survey, index, (one) => ({
    ...one,
    openings: [...(one.openings ?? []), { id, ...opening }].sort((a, b) => a.at - b.at),
  }));
  return survey.entry || opening.kind === 'window'
    ? next
    : { ...next, entry: { wall: wall.id, at: opening.at + opening.width / 2 } };
}

export const changeOpening = (
  survey: Survey,
  index: number,
  id: string,
  change: Partial<Opening>,
): Survey => {
  const before = survey.walls[index]!.openings?.find((one) => one.id === id);
  const next = withWall(survey, index, (wall) => ({
    ...wall,
    openings: (wall.openings ?? []).map((one) => (one.id === id ? { ...one, ...change } : one)),
  }));
  const after = next.walls[index]!.openings?.find((one) => one.id === id);
  // The entry moves with its door.
  const isEntry =
    before &&
    after &&
    survey.entry?.wall === survey.walls[index]!.id &&
    Math.abs(survey.entry.at - (before.at + before.width / 2)) < 1e-6;
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
export const setStuds = (
  survey: Survey,
  index: number,
  studs: { first: number; spacing: number } | undefined,
): Survey => withWall(survey, index, (wall) => withKey(wall, 'studs', studs));

export const setClosed = (survey: Survey, closed: boolean): Survey => ({ ...survey, closed });
