import type { Unit } from '../measure/index.ts';
import {
  roomRulesSchema,
  type HouseRulesInput,
  type InsideJoint,
  type JobFile,
  type Profile,
  type Room,
  type RoomRulesInput,
  type Saw,
} from './schema.ts';
import { traitsOf } from './traits.ts';

/** House rules with every default filled in: what the planner works from. Lengths are in the job's unit. */
export interface HouseRules {
  readonly insideCorner: NonNullable<HouseRulesInput['insideCorner']>;
  readonly miterBias: { readonly degrees: number; readonly on: 'assumed' | 'all' };
  /** Inside corners wider than this are better mitered than coped, degrees. */
  readonly obtuseMiterFrom: number;
  readonly fitThroughEnd: boolean;
  readonly scarfAngle: number;
  readonly splices: 'needed' | 'saving';
  readonly splicePrice: number;
  /** Where the stock leaves a choice: the place that hides best, one piece as long as can be, or pieces of like length. */
  readonly spliceLengths: 'any' | 'longest' | 'balanced';
  readonly spliceFromCorner: number;
  readonly reveal: number;
  readonly returnTolerance: number;
  readonly returnAngle: number;
  readonly bullnose: 'two-piece' | 'transition';
  readonly transitionPieces: number;
  readonly horn: number;
  readonly springFit: readonly { readonly from: number; readonly add: number }[];
  readonly shoeReturn: 'mitered' | 'snipped';
  readonly railReturn: 'single' | 'half-turns';
  readonly numbering: 'entry' | 'installation';
  readonly crownCut: 'nested' | 'flat';
  readonly endTrim: number;
  /** Kept free on each stick for every piece: a kerf that is not quite the kerf, the width of a mark, a skewed end. */
  readonly cutMargin: number;
  readonly minPiece: number;
  readonly minReusable: number;
  readonly viewFromEntry: boolean;
  /** Heads cut from the figures, held until they are measured outside to outside, or cut rough and marked in place. */
  readonly headMode: 'pre-cut' | 'measured' | 'rough';
  /** What a held head is planned longer than predicted. */
  readonly heldAllowance: number;
  /** What a rough head is cut longer. */
  readonly roughAllowance: number;
  /** How far casing laps onto the wall beyond the gap it covers. */
  readonly coverGap: number;
  /** A head out of level by more over its width is worth a word. */
  readonly outOfTrue: number;
  /** A jamb that stands proud of the wall by no more is planed, or the casing back-cut. */
  readonly proudJamb: number;
  /** Degrees by which casing miters are cut back. */
  readonly backCut: number;
  /** Free room of each notch of a stool. */
  readonly stoolPlay: number;
  /** Undefined where the crew has named no school. */
  readonly crownOrder: 'round' | 'opposite' | 'foam' | undefined;
  /** What the piece that closes a crown run is cut longer. */
  readonly closing: number;
  /** Whether it is cut long and pressed in, or waits until it is measured between its neighbours. */
  readonly closingMode: 'long' | 'measured';
  /** What crown glued in between others is cut shorter. */
  readonly shy: number;
  /** What a gap between crown and ceiling may come to and still be caulked. */
  readonly ceilingGap: number;
  /** Whether crown follows the ceiling or keeps a level line under its lowest point. */
  readonly ceilingLine: 'follow' | 'level';
  /** What crown hangs below the ceiling, for a line of light above it. */
  readonly lightGap: number;
  /** How much of an end stays loose until its neighbour is up, by material; "*" for any other. */
  readonly looseEnd: Readonly<Record<string, number>>;
  /** Length of the two blocks of a test pair, cut first where opposite walls hang first; 0 for none. */
  readonly testPiece: number;
  readonly kit: NonNullable<HouseRulesInput['kit']>;
}

/** The crew's rules over the published defaults (job file format, "HouseRules"). */
export function completeHouseRules(input: HouseRulesInput | undefined, unit: Unit): HouseRules {
  const size = (inches: number, mm: number): number => (unit === 'in' ? inches : mm);
  const given = input ?? {};
  return {
    insideCorner: given.insideCorner ?? {},
    miterBias: given.miterBias ?? { degrees: 0, on: 'assumed' },
    obtuseMiterFrom: given.obtuseMiterFrom ?? 120,
    fitThroughEnd: given.fitThroughEnd ?? false,
    scarfAngle: given.scarfAngle ?? 45,
    splices: given.splices ?? 'needed',
    splicePrice: given.splicePrice ?? 3,
    spliceLengths: given.spliceLengths ?? 'any',
    spliceFromCorner: given.spliceFromCorner ?? size(24, 600),
    reveal: given.reveal ?? size(3 / 16, 5),
    returnTolerance: given.returnTolerance ?? size(1 / 8, 3),
    returnAngle: given.returnAngle ?? 45,
    bullnose: given.bullnose ?? 'transition',
    transitionPieces: given.transitionPieces ?? 1,
    horn: given.horn ?? size(3 / 4, 20),
    springFit: given.springFit ?? [],
    shoeReturn: given.shoeReturn ?? 'mitered',
    railReturn: given.railReturn ?? 'single',
    numbering: given.numbering ?? 'entry',
    crownCut: given.crownCut ?? 'nested',
    endTrim: given.endTrim ?? size(1 / 16, 2),
    cutMargin: given.cutMargin ?? size(1 / 32, 1),
    minPiece: given.minPiece ?? size(8, 200),
    minReusable: given.minReusable ?? size(24, 600),
    viewFromEntry: given.viewFromEntry ?? true,
    headMode: given.headMode ?? 'measured',
    heldAllowance: given.heldAllowance ?? size(1 / 2, 12),
    roughAllowance: given.roughAllowance ?? size(1, 25),
    coverGap: given.coverGap ?? 0,
    outOfTrue: given.outOfTrue ?? size(1 / 4, 6),
    proudJamb: given.proudJamb ?? size(1 / 8, 3),
    backCut: given.backCut ?? 0,
    stoolPlay: given.stoolPlay ?? 0,
    crownOrder: given.crownOrder,
    closing: given.closing ?? size(1 / 16, 1.5),
    closingMode: given.closingMode ?? 'long',
    shy: given.shy ?? size(1 / 16, 1.5),
    ceilingGap: given.ceilingGap ?? size(1 / 4, 6),
    ceilingLine: given.ceilingLine ?? 'level',
    lightGap: given.lightGap ?? 0,
    looseEnd: { polyurethane: size(18, 450), '*': size(10, 250), ...given.looseEnd },
    testPiece: given.testPiece ?? size(12, 300),
    kit: given.kit ?? {},
  };
}

/** The rules of a room: its own over the job's over the defaults. */
export const rulesOfRoom = (
  job: Pick<JobFile, 'houseRules' | 'unit'>,
  room: Pick<Room, 'houseRules'>,
): HouseRules => completeHouseRules({ ...job.houseRules, ...room.houseRules }, job.unit);

/** Of a set of rules, what a room may decide for itself. */
export const ofRoom = (rules: HouseRulesInput): RoomRulesInput =>
  Object.fromEntries(Object.entries(rules).filter(([key]) => key in roomRulesSchema.shape));

/**
 * The inside joint for a profile by house rule: one rule for all, a rule by use, else the trade's default
 * (cope; miter for shoe; crown coped in wood only). Polyurethane breaks at a cope and is mitered instead.
 */
export function insideJointFor(rules: HouseRules, profile: Profile): InsideJoint {
  const asked = typeof rules.insideCorner === 'string' ? rules.insideCorner : rules.insideCorner[profile.use];
  const wood = profile.material === 'softwood' || profile.material === 'hardwood';
  const { coped } = traitsOf(profile);
  const usual: InsideJoint = coped === 'never' || (coped === 'wood' && !wood) ? 'miter' : 'cope';
  const joint = asked ?? usual;
  return joint === 'cope' && profile.material === 'polyurethane' ? 'miter' : joint;
}

/** The saw in use; undefined where the job names none. */
export const sawOf = (job: Pick<JobFile, 'saws' | 'saw'>): Saw | undefined =>
  job.saws?.find((one) => one.id === job.saw);

/** Width of the blade's cut, by default 1/8 in or 3 mm. */
export const kerfOf = (saw: Saw | undefined, unit: Unit): number => saw?.kerf ?? (unit === 'in' ? 1 / 8 : 3);
