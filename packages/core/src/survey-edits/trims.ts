import { SAME_LENGTH } from '../base/index.ts';
import type { JobSettings, StockLine, Survey } from '../api-schemas/index.ts';
import { traitsOf, type Profile, type Trim } from '../job/index.ts';
import type { Unit } from '../measure/index.ts';
import { freeId } from './edits.ts';

/** The trims of a room: which profiles run where, and what lies on what. */

/** Uses that a room can be given, in the order they are hung. */
export const TRIM_USES = ['base', 'shoe', 'backer', 'chair-rail', 'picture-rail', 'crown', 'casing'] as const;
export type TrimUse = (typeof TRIM_USES)[number];

/** Usual height of the lower edge above the floor, for what hangs in the middle of a wall. */
const HEIGHTS: Readonly<Partial<Record<TrimUse, Readonly<Record<Unit, number>>>>> = {
  backer: { in: 31, mm: 790 },
  'chair-rail': { in: 32, mm: 815 },
  'picture-rail': { in: 84, mm: 2130 },
};

/** What a trim lies against where the room has it. */
const STANDS_ON: Readonly<Partial<Record<TrimUse, TrimUse>>> = { shoe: 'base', 'chair-rail': 'backer' };

const SIZES: Readonly<Record<TrimUse, readonly [width: number, thickness: number]>> = {
  base: [5.25, 0.625],
  shoe: [0.75, 0.5],
  backer: [3.5, 0.5],
  'chair-rail': [2.5, 0.75],
  'picture-rail': [1.75, 0.75],
  crown: [3.625, 0.625],
  casing: [2.25, 0.6875],
};

const NAMES: Readonly<Record<TrimUse, string>> = {
  base: 'Base',
  shoe: 'Shoe',
  backer: 'Backer',
  'chair-rail': 'Chair rail',
  'picture-rail': 'Picture rail',
  crown: 'Crown',
  casing: 'Casing',
};

/** A length of a first profile in whole sixteenths or millimetres. */
export const sized = (inches: number, unit: Unit): number =>
  unit === 'in' ? inches : Math.round(inches * 25.4);

/** A profile that is new in a job, with lines of stock that stand as examples until their prices are put right. */
export interface NewProfile {
  readonly profile: Profile;
  readonly stock: readonly StockLine[];
}

/** Price of a foot or 300 mm of trim, in smallest coins, until somebody writes a true one. */
const EXAMPLE_PRICE = 100;

/** The lengths a job buys already as first lines of stock of a profile, at an example price. */
export function firstStock(settings: Pick<JobSettings, 'stock'>, profile: string, unit: Unit): StockLine[] {
  const known = [...new Set(settings.stock.map((item) => item.length))].sort((a, b) => a - b);
  const lengths = known.length > 0 ? known : unit === 'in' ? [96, 144, 192] : [2400, 3600, 4200];
  const ids = settings.stock.map((item) => item.id);
  return lengths.map((length) => {
    const id = freeId('s', ids);
    ids.push(id);
    return { id, profile, length, price: Math.round((length / sized(12, unit)) * EXAMPLE_PRICE) };
  });
}

/** A first profile of a use with its stock, for a job that has none. */
export function newProfile(
  settings: Pick<JobSettings, 'profiles' | 'stock'>,
  use: TrimUse,
  unit: Unit,
): NewProfile {
  const [width, thickness] = SIZES[use];
  const id = freeId(
    use,
    settings.profiles.map((profile) => profile.id).filter((one) => one.startsWith(use)),
  );
  const profile: Profile = {
    id,
    name: NAMES[use],
    use,
    width: sized(width, unit),
    thickness: sized(thickness, unit),
    ...(traitsOf({ use }).sprung ? { springAngle: 38 } : {}),
    material: 'mdf',
    finish: 'paint',
  };
  return { profile, stock: firstStock(settings, id, unit) };
}

/** Adds a trim of a profile to a room: on all walls, at its usual height, against what it lies on if that is there. */
export function addTrim(
  survey: Survey,
  profile: Profile,
  profiles: readonly Profile[],
  unit: Unit,
  tag = '',
): Survey {
  const use = profile.use as TrimUse;
  const useOf = (trim: Trim): string | undefined => profiles.find((one) => one.id === trim.profile)?.use;
  const under = survey.trims.find((trim) => STANDS_ON[use] !== undefined && useOf(trim) === STANDS_ON[use]);
  const height = HEIGHTS[use]?.[unit];
  const id = freeId(
    use,
    survey.trims.map((trim) => trim.id).filter((one) => one.startsWith(use)),
    tag,
  );
  const trim: Trim = {
    id,
    profile: profile.id,
    on: traitsOf(profile).aroundOpenings ? 'openings' : 'walls',
    ...(height === undefined ? {} : { height: under?.height ?? height }),
    ...(under ? { standsOn: under.id } : {}),
  };
  return { ...survey, trims: [...survey.trims, trim] };
}

/** Takes a trim out; what lay on it lies on the wall, and joints pinned for it are released. */
export const removeTrim = (survey: Survey, id: string): Survey => ({
  ...survey,
  walls: survey.walls.map((wall) => {
    if (!wall.corner?.joint || !(id in wall.corner.joint)) return wall;
    const { [id]: _old, ...joint } = wall.corner.joint;
    const { joint: _joint, ...corner } = wall.corner;
    return { ...wall, corner: Object.keys(joint).length > 0 ? { ...corner, joint } : corner };
  }),
  trims: survey.trims
    .filter((trim) => trim.id !== id)
    .map((trim) => {
      if (trim.standsOn !== id) return trim;
      const { standsOn: _old, ...rest } = trim;
      return rest;
    }),
});

/** Changes a trim; a property set to undefined is taken out. */
export const changeTrim = (
  survey: Survey,
  id: string,
  change: { [K in keyof Trim]?: Trim[K] | undefined },
): Survey => ({
  ...survey,
  trims: survey.trims.map((trim) =>
    trim.id === id
      ? (Object.fromEntries(
          Object.entries({ ...trim, ...change }).filter(([, value]) => value !== undefined),
        ) as Trim)
      : trim,
  ),
});

/** Moves a pinned splice, pins a new one, or, without a place, releases it. */
export const moveSplice = (
  survey: Survey,
  trim: string,
  wall: string,
  from: number | undefined,
  to: number | undefined,
): Survey => {
  const others = (survey.trims.find((one) => one.id === trim)?.splices ?? []).filter(
    (one) => one.wall !== wall || from === undefined || Math.abs(one.at - from) > SAME_LENGTH,
  );
  const next = to === undefined ? others : [...others, { wall, at: to }];
  return changeTrim(survey, trim, { splices: next.length > 0 ? next : undefined });
};
