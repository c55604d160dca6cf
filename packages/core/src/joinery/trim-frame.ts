import {
  insideJointFor,
  traitsOf,
  type HouseRules,
  type InsideJoint,
  type JobFile,
  type Profile,
  type Room,
  type Trim,
} from '../job/index.ts';
import type { Unit } from '../measure/index.ts';
import { dropOf, projectionOf, springOf } from '../saw/index.ts';
import { slopesOf, type SlopePlan, type Slopes } from './slopes.ts';

/**
 * What every decision about one trim in one room needs: where its near line runs and how far its far line is from it.
 * `depth` is the thickness of trim on a wall, the projection of crown, the face width of casing.
 */
export interface TrimFrame {
  readonly room: Room;
  readonly trim: Trim;
  readonly profile: Profile;
  readonly rules: HouseRules;
  readonly unit: Unit;
  readonly insideJoint: InsideJoint;
  /** Distance from near line to far line. */
  readonly depth: number;
  /** Distance of the near line from the wall, when the trim lies on another trim. */
  readonly standoff: number;
  /** Crown runs along the ceiling: ceiling lengths and ceiling angles count. */
  readonly atCeiling: boolean;
  /** What it covers of the wall, above the floor. */
  readonly low: number;
  readonly high: number;
  /** Crown whose ceiling slopes and whose corners mate. */
  readonly slopes: Slopes | undefined;
  /** The strip that is hidden behind this crown. */
  readonly strip?: Profile;
  /** A strip hidden behind crown: the crown's trim, and how far that stands out. */
  readonly behind?: { readonly trim: string; readonly projection: number };
}

const profileById = (job: JobFile, id: string): Profile => {
  const profile = job.profiles.find((one) => one.id === id);
  if (!profile) throw new Error(`profile ${id} is not in the job: check the job before planning it`);
  return profile;
};

function standoffOf(job: JobFile, room: Room, trim: Trim): number {
  if (trim.standsOn === undefined) return 0;
  const under = room.trims.find((one) => one.id === trim.standsOn);
  return under ? profileById(job, under.profile).thickness + standoffOf(job, room, under) : 0;
}

/** Foam breaks along a scarf's thin edge: its splices are butted, whatever the rule. Source: joinery rules, section 4. */
const rulesForProfile = (rules: HouseRules, { material }: Profile): HouseRules =>
  material === 'polyurethane' ? { ...rules, scarfAngle: 0 } : rules;

/** Crown with its other edge down: what was its drop is its projection. */
export function seated(profile: Profile, { seatDown }: Pick<Trim, 'seatDown'>): Profile {
  if (seatDown !== 'other' || !traitsOf(profile).sprung) return profile;
  return {
    ...profile,
    springAngle: 90 - springOf(profile),
    drop: projectionOf(profile),
    projection: dropOf(profile),
  };
}

const slopesWhere = (plan: SlopePlan): Slopes | undefined =>
  plan.kind === 'slopes' ? plan.slopes : undefined;

/** The frame of a trim that runs along walls. The job must have passed its check. */
export function trimFrame(job: JobFile, rules: HouseRules, room: Room, trim: Trim): TrimFrame {
  const profile = seated(profileById(job, trim.profile), trim);
  const { atCeiling, depth } = traitsOf(profile);
  const ceiling = (room.ceilingHeight ?? 0) - rules.lightGap;
  const low = atCeiling ? ceiling - dropOf(profile) : (trim.height ?? 0);
  return {
    room,
    trim,
    profile,
    rules: rulesForProfile(rules, profile),
    unit: job.unit,
    insideJoint: insideJointFor(rules, profile),
    depth: depth === 'projection' ? projectionOf(profile) : profile.thickness,
    standoff: standoffOf(job, room, trim),
    atCeiling,
    low,
    high: atCeiling ? ceiling : low + profile.width,
    ...(trim.backer && atCeiling ? { strip: profileById(job, trim.backer.profile) } : {}),
    slopes: atCeiling ? slopesWhere(slopesOf(room, trim, profile)) : undefined,
  };
}
