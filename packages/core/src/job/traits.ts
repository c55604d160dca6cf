import type { Profile } from './schema.ts';

/** What the use of a profile means for everything that is decided about it: one table instead of questions in many places. */
interface Traits {
  /** Hung in a spring angle between wall and ceiling; has a projection and a drop. */
  readonly sprung: boolean;
  /** Runs along the ceiling: ceiling lengths and ceiling angles count. */
  readonly atCeiling: boolean;
  /** Hangs in the middle of a wall: its height must be given. */
  readonly needsHeight: boolean;
  /** Whether an inside corner is coped by default: always, in wood only, or never. */
  readonly coped: 'always' | 'wood' | 'never';
  /** Distance between near and far line. */
  readonly depth: 'thickness' | 'projection' | 'width';
  /** What its return is judged by: how far it stands out from the wall. */
  readonly proud: 'thickness' | 'projection';
  /** How it lies on the saw by default: standing with its back to the fence, on its back, or sprung as it hangs. */
  readonly seat: 'standing' | 'flat' | 'sprung';
  /** Long edges that are caulked where it is painted. */
  readonly caulked: number;
  /** Its end may be snipped instead of returned. */
  readonly snips: boolean;
  /** Its ends may be returned in two half turns. */
  readonly halfTurns: boolean;
  /** Its two legs look alike and must not be mixed up where they differ. */
  readonly twoLegs: boolean;
  /** Runs around openings, not along walls. */
  readonly aroundOpenings: boolean;
}

const PLAIN: Traits = {
  sprung: false,
  atCeiling: false,
  needsHeight: false,
  coped: 'always',
  depth: 'thickness',
  proud: 'thickness',
  seat: 'standing',
  caulked: 1,
  snips: false,
  halfTurns: false,
  twoLegs: false,
  aroundOpenings: false,
};

const TRAITS: Readonly<Record<Profile['use'], Traits>> = {
  base: PLAIN,
  shoe: { ...PLAIN, coped: 'never', caulked: 0, snips: true, twoLegs: true },
  casing: { ...PLAIN, depth: 'width', seat: 'flat', aroundOpenings: true },
  crown: {
    ...PLAIN,
    sprung: true,
    atCeiling: true,
    coped: 'wood',
    depth: 'projection',
    proud: 'projection',
    seat: 'sprung',
    caulked: 2,
  },
  'chair-rail': { ...PLAIN, needsHeight: true, caulked: 2, halfTurns: true },
  backer: { ...PLAIN, needsHeight: true, caulked: 0 },
  'back-band': { ...PLAIN, depth: 'width', seat: 'flat', aroundOpenings: true },
  stool: PLAIN,
  apron: PLAIN,
  'picture-rail': { ...PLAIN, needsHeight: true, caulked: 2, halfTurns: true },
  other: PLAIN,
};

export const traitsOf = ({ use }: Pick<Profile, 'use'>): Traits => TRAITS[use];
