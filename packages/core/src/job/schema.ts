import { faultText } from '../messages/index.ts';
import { z } from 'zod';
import type { PieceKey } from '../base/index.ts';

/**
 * The job file, version 2, and everything in it: the one description of a survey that the page, the server and the
 * headless commands share. Numbers are decimals in the file's unit, angles are degrees. Unknown keys are faults. Files of
 * version 1 are upgraded before they are checked (`upgrade-job.ts`).
 */

const id = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(80, faultText('fault.must-have-at-most-80-characters'));
const name = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(200, faultText('fault.must-have-at-most-200-characters'));
const positive = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .max(1_000_000, faultText('fault.is-too-large-to-be-a'));
const notNegative = z
  .number()
  .min(0, faultText('fault.must-not-be-negative'))
  .max(1_000_000, faultText('fault.is-too-large-to-be-a'));
const money = z
  .number()
  .min(0, faultText('fault.a-price-must-not-be-negative'))
  .max(10_000_000, faultText('fault.is-too-large-to-be-a-2'));
const acute = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .lt(90, faultText('fault.must-be-less-than-90'));
const upTo90 = z
  .number()
  .min(0, faultText('fault.must-not-be-negative'))
  .max(90, faultText('fault.must-be-at-most-90'));

export const unitSchema = z.enum(['in', 'mm'], faultText('fault.must-be-in-or-mm'));

export const profileSchema = z.strictObject({
  id,
  name,
  use: z.enum([
    'base',
    'shoe',
    'casing',
    'crown',
    'chair-rail',
    'backer',
    'back-band',
    'stool',
    'apron',
    'picture-rail',
    'other',
  ]),
  width: positive,
  thickness: positive,
  springAngle: acute.optional(),
  projection: positive.optional(),
  drop: positive.optional(),
  material: z.enum(['mdf', 'softwood', 'hardwood', 'polyurethane', 'pvc', 'other']),
  finish: z.enum(['paint', 'stain', 'prefinished']),
  reversible: z.boolean().optional(),
});

const offBy = z
  .number()
  .min(-10, faultText('fault.is-more-than-any-saw-is'))
  .max(10, faultText('fault.is-more-than-any-saw-is'));
const fine = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .max(15, faultText('fault.must-be-at-most-15'));

export const sawSchema = z.strictObject({
  id,
  name: name.optional(),
  maxMiterLeft: upTo90,
  maxMiterRight: upTo90,
  maxBevelLeft: upTo90,
  maxBevelRight: upTo90,
  standingHeight: notNegative,
  flatWidth: notNegative,
  maxNested: notNegative.optional(),
  kerf: notNegative,
  /** What the dial reads more than the true angle, as found on each side. */
  calibration: z
    .strictObject({
      zero: offBy.optional(),
      left: offBy.optional(),
      right: offBy.optional(),
      bevel: offBy.optional(),
    })
    .optional(),
  detents: z.array(upTo90).max(50).optional(),
  fineness: z.strictObject({ miter: fine.optional(), bevel: fine.optional() }).optional(),
  /** The side its motor stands on: tall stock there may be in its way. */
  motor: z.enum(['left', 'right'], faultText('fault.must-be-left-or-right')).optional(),
  /** What its scales were found to be off by, oldest first. */
  record: z
    .array(
      z.strictObject({
        at: z.string().max(40),
        of: z.enum(['zero', 'left', 'right', 'bevel']),
        reads: offBy,
        was: offBy,
        how: z.enum(['test cut', 'typed']),
      }),
    )
    .max(200, faultText('fault.at-most-200-entries-of-a'))
    .optional(),
});

export const stockSchema = z.strictObject({
  /** Names the line for good; a file without is given some as it is read. */
  id: id.optional(),
  profile: id,
  length: positive,
  price: money,
  count: z
    .number()
    .int(faultText('fault.must-be-a-whole-number'))
    .min(0, faultText('fault.must-not-be-negative'))
    .optional(),
});

export const rackSchema = z.strictObject({
  id: id.optional(),
  profile: id,
  length: positive,
  label: z.string().max(80).optional(),
});

const side = z.enum(['inside', 'outside'], faultText('fault.must-be-inside-or-outside'));
const under180 = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .lt(180, faultText('fault.must-be-less-than-180'));

const readingSchema = z.discriminatedUnion('as', [
  z.strictObject({
    as: z.literal('wall-angle'),
    degrees: z
      .number()
      .gt(0, faultText('fault.must-be-greater-than-0'))
      .lt(360, faultText('fault.must-be-less-than-360')),
  }),
  z.strictObject({ as: z.literal('protractor'), degrees: under180, side }),
  z.strictObject({
    as: z.literal('deflection'),
    degrees: z
      .number()
      .min(0, faultText('fault.must-not-be-negative'))
      .lt(180, faultText('fault.must-be-less-than-180')),
    side,
  }),
  z.strictObject({
    as: z.literal('miter'),
    degrees: z
      .number()
      .min(0, faultText('fault.must-not-be-negative'))
      .lt(90, faultText('fault.must-be-less-than-90')),
    side,
  }),
  z.strictObject({ as: z.literal('legs'), left: positive, right: positive, across: positive, side }),
  z.strictObject({ as: z.literal('assumed') }),
]);

/** One of several readings of a corner: as it was taken, how, when, by whom, and as it was written. */
const cornerReadingSchema = z.strictObject({
  reading: readingSchema,
  method: z.string().max(60).optional(),
  at: z.string().max(60).optional(),
  by: z.string().max(80).optional(),
  text: z.string().min(1).max(100).optional(),
});

const jointPinSchema = z.enum(['through-left', 'through-right', 'miter']);

const leanSchema = z
  .number()
  .gt(-45, faultText('fault.must-be-more-than-45'))
  .lt(45, faultText('fault.must-be-less-than-45'));

const cornerSchema = z.strictObject({
  reading: readingSchema,
  /** All readings that were taken, and which of them is `reading`, counted from 0. */
  readings: z
    .array(cornerReadingSchema)
    .min(1)
    .max(20, faultText('fault.at-most-20-readings-of-one'))
    .optional(),
  use: z
    .number()
    .int(faultText('fault.must-be-a-whole-number'))
    .min(0, faultText('fault.must-not-be-negative'))
    .optional(),
  method: z.enum(['direct', 'bridged']).optional(),
  ceiling: z
    .number()
    .gt(0, faultText('fault.must-be-greater-than-0'))
    .lt(360, faultText('fault.must-be-less-than-360'))
    .optional(),
  /** Degrees out of plumb of the walls at the corner, positive with the top towards the room; one figure is both. */
  lean: z
    .union([leanSchema, z.strictObject({ left: leanSchema.optional(), right: leanSchema.optional() })])
    .optional(),
  form: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('crisp') }),
      z.strictObject({
        kind: z.literal('bullnose'),
        radius: positive,
        to: z.enum(['curve', 'corner']).optional(),
      }),
      z.strictObject({ kind: z.literal('rounded'), radius: positive }),
    ])
    .optional(),
  joint: z.record(id, jointPinSchema).optional(),
});

const corner4 = z
  .number()
  .min(-1_000, faultText('fault.must-be-at-least-1000'))
  .max(1_000_000, faultText('fault.is-too-large-to-be-a-3'));
const tilt = z
  .number()
  .gt(-30, faultText('fault.must-be-more-than-30'))
  .lt(30, faultText('fault.must-be-less-than-30'));

/**
 * What an opening is dressed with: a set of parts and how they are joined. Keys of the opening win one by one over the
 * house rule for its kind.
 */
export const kitSchema = z.strictObject({
  /** Of leg and head: mitered, the head laid over the legs, or a block at each corner. */
  corners: z.enum(['miter', 'butt', 'block'], faultText('fault.must-be-miter-butt-or-block')).optional(),
  /** Profiles that differ from the casing. */
  leg: id.optional(),
  head: id.optional(),
  sill: id.optional(),
  /** Butt: past the legs' outer edges at each end. */
  overhang: notNegative.optional(),
  cap: id.optional(),
  capOverhang: notNegative.optional(),
  plinth: id.optional(),
  plinthHeight: positive.optional(),
  block: id.optional(),
  /** Its profile's width is what shows beyond the outer edge. */
  band: id.optional(),
  jamb: id.optional(),
  lap: z.enum(['head', 'sides'], faultText('fault.must-be-head-or-sides')).optional(),
  jambReveal: notNegative.optional(),
  /** Legs that are ripped to a width, as seen from their side. */
  ripLeft: positive.optional(),
  ripRight: positive.optional(),
  /** Joined on the bench and set as one. */
  oneUnit: z.boolean().optional(),
});

/** The other side of a wall at an opening, handed as seen from there. */
const openingSideSchema = z.strictObject({
  casing: id.nullable().optional(),
  kit: kitSchema.optional(),
  reveal: notNegative.optional(),
  measuredHead: positive.optional(),
});

const openCornerSchema = z.strictObject({
  at: z.enum(['inner', 'outer'], faultText('fault.must-be-inner-or-outer')),
  by: positive,
});

export const openingSchema = z.strictObject({
  id,
  kind: z.enum(['door', 'cased', 'pocket', 'window', 'drywall']),
  /** Written on every piece and list: D1, W2. */
  name: z
    .string()
    .min(1, faultText('fault.must-not-be-empty'))
    .max(20, faultText('fault.must-have-at-most-20-characters'))
    .optional(),
  /** What it is called beside its name. */
  word: z.string().max(80).optional(),
  at: notNegative,
  width: positive,
  widthTop: positive.optional(),
  headHeight: positive,
  sillHeight: notNegative.optional(),
  casing: id.nullable().optional(),
  headLeft: positive.optional(),
  headRight: positive.optional(),
  /** How much the head rises to the right over the width. */
  headLevel: z.number().gt(-1_000).lt(1_000).optional(),
  sillLeft: notNegative.optional(),
  sillRight: notNegative.optional(),
  sillIs: z.enum(['stool-top', 'frame'], faultText('fault.must-be-stool-top-or-frame')).optional(),
  /** From bottom left to top right, inside the jambs. */
  diagonal: positive.optional(),
  /** Degrees out of plumb in the plane of the wall, positive with the top to the right. */
  lean: z.strictObject({ left: tilt.optional(), right: tilt.optional() }).optional(),
  /** From frame out to the wall plane: positive where the jamb is shy, negative where it stands proud. */
  jambDepth: z
    .strictObject({
      topLeft: corner4.optional(),
      topRight: corner4.optional(),
      bottomLeft: corner4.optional(),
      bottomRight: corner4.optional(),
    })
    .optional(),
  roughGap: notNegative.optional(),
  /** Of the wall's edge, where it is rounded into the opening. */
  drywallRadius: notNegative.optional(),
  floorGap: notNegative.optional(),
  reveal: notNegative.optional(),
  kit: kitSchema.optional(),
  other: openingSideSchema.optional(),
  stool: id.optional(),
  apron: id.optional(),
  picture: z.boolean().optional(),
  nose: notNegative.optional(),
  hornLeft: notNegative.optional(),
  hornRight: notNegative.optional(),
  /** Along the head's outer edge, outside to outside of the legs as they stand. */
  measuredHead: positive.optional(),
  /** What leaves no room for casing. */
  clear: z.enum(['blind', 'shutter', 'tile', 'other']).optional(),
  /** Head corners that stayed open when they were fitted: at which point of the miter, and by how much. */
  opens: z.strictObject({ left: openCornerSchema.optional(), right: openCornerSchema.optional() }).optional(),
  /** Casing that comes off again: head and one leg are screwed, not glued. */
  removable: z.boolean().optional(),
  /** From the wall's face to the path of a pocket door. */
  pocketDepth: notNegative.optional(),
});

const interruptionSchema = z.strictObject({
  id,
  at: notNegative,
  width: positive,
  low: notNegative,
  high: positive,
  name: z.string().max(200).optional(),
});

const wallSchema = z.strictObject({
  id,
  length: positive,
  ceilingLength: positive.optional(),
  corner: cornerSchema.optional(),
  openings: z.array(openingSchema).max(100, faultText('fault.must-have-at-most-100-openings')).optional(),
  interruptions: z
    .array(interruptionSchema)
    .max(100, faultText('fault.must-have-at-most-100-entries'))
    .optional(),
  points: z
    .array(
      z.strictObject({
        kind: z.enum(['socket', 'switch', 'pipe', 'register']),
        at: notNegative,
        width: positive.optional(),
        /** The radiator on these pipes is taken off while the trim goes in. */
        comesOff: z.boolean().optional(),
      }),
    )
    .max(200)
    .optional(),
  furniture: z
    .array(z.strictObject({ at: notNegative, width: positive, name: z.string().max(200).optional() }))
    .max(50, faultText('fault.must-have-at-most-50-pieces'))
    .optional(),
  studs: z
    .union([
      z.strictObject({ first: notNegative, spacing: positive }),
      z.strictObject({ at: z.array(notNegative).max(1000) }),
    ])
    .optional(),
  ceiling: z
    .strictObject({ rise: z.number().gt(-90).lt(90).optional(), pitch: z.number().gt(-90).lt(90).optional() })
    .optional(),
  /** What the wall is built of behind its skin: decides how a strip behind crown is fixed. */
  substrate: z.enum(['wood', 'masonry'], faultText('fault.must-be-wood-or-masonry')).optional(),
  /** Heights of the ceiling along it, where it is not that of the room all along. */
  ceilingHeights: z
    .array(z.strictObject({ at: notNegative, height: positive }))
    .max(100, faultText('fault.must-have-at-most-100-heights'))
    .optional(),
  hollow: z
    .array(z.strictObject({ depth: z.number(), over: positive, near: z.enum(['left', 'right']) }))
    .max(100)
    .optional(),
});

/** A line of the ceiling besides its walls: a tray, a soffit, the top of a cabinet. */
const ceilingLoopSchema = z.strictObject({
  id,
  name: name.optional(),
  /** Of the ceiling above it. */
  height: positive,
  /** Whether it comes back to where it began; by default it does. */
  closed: z.boolean().optional(),
  walls: z
    .array(
      z.strictObject({
        id,
        length: positive,
        corner: cornerSchema.optional(),
      }),
    )
    .min(1, faultText('fault.must-have-at-least-one-side'))
    .max(100, faultText('fault.must-have-at-most-100-sides')),
});

const trimSchema = z.strictObject({
  id,
  profile: id,
  /** Along the walls, around openings, or along a loop of the ceiling by its id. */
  on: z.union(
    [z.enum(['walls', 'openings']), z.templateLiteral(['ceiling:', z.string().min(1).max(80)])],
    faultText('fault.must-be-walls-openings-or-ceiling'),
  ),
  walls: z.array(id).max(1000).optional(),
  height: notNegative.optional(),
  standsOn: id.optional(),
  /** Crown that is hung with its other edge down: drop and projection change places. */
  seatDown: z.enum(['usual', 'other'], faultText('fault.must-be-usual-or-other')).optional(),
  /** A strip hidden behind crown, of a profile of its own; with its outer edge bevelled to the crown's back. */
  backer: z.strictObject({ profile: id, bevelled: z.boolean().optional() }).optional(),
  /** The closing piece as it was measured between its neighbours, along the wall edge, and the wall it is on. */
  measuredClosing: z.strictObject({ wall: id, near: positive }).optional(),
  splices: z
    .array(z.strictObject({ wall: id, at: notNegative }))
    .max(1000)
    .optional(),
});

/** A place in a room by the ids on the way there: `/walls/w3/length`. */
export const placeSchema = z.string().min(1).max(400);

/** One reading of a figure that was taken more than once, as it was typed, with how it was taken. */
export const readingNoteSchema = z.strictObject({
  text: z.string().min(1).max(100),
  value: z.union([z.number(), readingSchema]),
  how: z.string().max(60),
});
export type ReadingNote = z.infer<typeof readingNoteSchema>;

/** A figure that two people set to different values; the first stands until somebody decides. `null` stands for none. */
const anyValue: z.ZodType<unknown> = z.json();
export const disputeSchema = z.strictObject({ at: placeSchema, stands: anyValue, other: anyValue });
export type Dispute = z.infer<typeof disputeSchema>;

/** Texts as they were typed, by the place of the figure they stand for. */
export const typedSchema = z.record(z.string().max(400), z.string().max(100));

const joint = z.enum(['cope', 'miter', 'butt'], faultText('fault.must-be-cope-miter-or-butt'));

export const houseRulesSchema = z.strictObject({
  insideCorner: z.union([joint, z.partialRecord(profileSchema.shape.use, joint)]).optional(),
  miterBias: z
    .strictObject({
      degrees: z
        .number()
        .min(0, faultText('fault.must-not-be-negative'))
        .lt(10, faultText('fault.must-be-less-than-10')),
      on: z.enum(['assumed', 'all']),
    })
    .optional(),
  obtuseMiterFrom: z
    .number()
    .min(90, faultText('fault.must-be-at-least-90'))
    .max(180, faultText('fault.must-be-at-most-180'))
    .optional(),
  fitThroughEnd: z.boolean().optional(),
  scarfAngle: z.literal([45, 30, 22.5, 0], faultText('fault.must-be-45-30-22-5-or-0')).optional(),
  splices: z.enum(['needed', 'saving']).optional(),
  splicePrice: money.optional(),
  spliceLengths: z.enum(['any', 'longest', 'balanced']).optional(),
  spliceFromCorner: notNegative.optional(),
  reveal: notNegative.optional(),
  returnTolerance: notNegative.optional(),
  returnAngle: z.literal(45, faultText('fault.must-be-45')).optional(),
  bullnose: z.enum(['two-piece', 'transition']).optional(),
  transitionPieces: z
    .number()
    .int(faultText('fault.must-be-a-whole-number'))
    .min(1, faultText('fault.must-be-at-least-1'))
    .max(20, faultText('fault.must-be-at-most-20'))
    .optional(),
  horn: notNegative.optional(),
  springFit: z
    .array(z.strictObject({ from: notNegative, add: notNegative }))
    .max(20)
    .optional(),
  shoeReturn: z.enum(['mitered', 'snipped']).optional(),
  railReturn: z.enum(['single', 'half-turns']).optional(),
  numbering: z.enum(['entry', 'installation']).optional(),
  crownCut: z.enum(['nested', 'flat']).optional(),
  endTrim: notNegative.optional(),
  /** Kept free on each stick for every piece cut from it. */
  cutMargin: notNegative.max(1_000, faultText('fault.must-be-at-most-1000')).optional(),
  minPiece: notNegative.optional(),
  minReusable: notNegative.optional(),
  viewFromEntry: z.boolean().optional(),
  headMode: z
    .enum(['pre-cut', 'measured', 'rough'], faultText('fault.must-be-pre-cut-measured-or-rough'))
    .optional(),
  heldAllowance: notNegative.optional(),
  roughAllowance: notNegative.optional(),
  coverGap: notNegative.optional(),
  outOfTrue: notNegative.optional(),
  proudJamb: notNegative.optional(),
  backCut: z
    .number()
    .min(0, faultText('fault.must-not-be-negative'))
    .max(10, faultText('fault.must-be-at-most-10'))
    .optional(),
  stoolPlay: notNegative.optional(),
  /** How crown is hung: round the room, opposite walls first, or as foam. */
  crownOrder: z
    .enum(['round', 'opposite', 'foam'], faultText('fault.must-be-round-opposite-or-foam'))
    .optional(),
  closing: notNegative.max(1_000).optional(),
  closingMode: z.enum(['long', 'measured'], faultText('fault.must-be-long-or-measured')).optional(),
  shy: notNegative.max(1_000).optional(),
  /** What a gap between crown and ceiling may come to and still be caulked. */
  ceilingGap: notNegative.max(1_000).optional(),
  /** Whether crown follows the ceiling or keeps a level line under its lowest point. */
  ceilingLine: z.enum(['follow', 'level'], faultText('fault.must-be-follow-or-level')).optional(),
  /** What crown hangs below the ceiling, for a line of light above it; 0 for none. */
  lightGap: notNegative.max(1_000).optional(),
  /** How much of an end stays loose until its neighbour is up, by material; "*" for any other. */
  looseEnd: z.record(z.string().min(1).max(40), notNegative.max(100_000)).optional(),
  testPiece: notNegative.optional(),
  kit: z.partialRecord(openingSchema.shape.kind, kitSchema).optional(),
});

/**
 * What a room may decide for itself: everything about joints. What belongs to the shop (money, the saw, the rack, how
 * pieces are numbered) is one for the whole job.
 */
export const roomRulesSchema = houseRulesSchema.omit({
  splicePrice: true,
  endTrim: true,
  cutMargin: true,
  minPiece: true,
  minReusable: true,
  numbering: true,
  crownCut: true,
});

export const roomSchema = z.strictObject({
  id,
  name,
  closed: z.boolean(),
  ceilingHeight: positive.optional(),
  wet: z.boolean().optional(),
  floatingFloorGap: notNegative.optional(),
  entry: z.strictObject({ wall: id, at: notNegative }).optional(),
  houseRules: roomRulesSchema.optional(),
  ceilings: z.array(ceilingLoopSchema).max(20, faultText('fault.must-have-at-most-20-loops')).optional(),
  walls: z
    .array(wallSchema)
    .min(1, faultText('fault.must-have-at-least-one-wall'))
    .max(500, faultText('fault.must-have-at-most-500-walls')),
  trims: z.array(trimSchema).max(50, faultText('fault.must-have-at-most-50-trims')),
  /** The room is meant to close once its third wall is in. */
  closesLater: z.boolean().optional(),
  /** Readings of figures other than corners, by place. */
  readings: z.record(placeSchema, z.array(readingNoteSchema).min(1).max(20)).optional(),
  /** What is to be measured (again), and why. */
  listToMeasure: z.record(placeSchema, z.string().max(300)).optional(),
  disputes: z.array(disputeSchema).max(200).optional(),
  typed: typedSchema.optional(),
  notes: z.string().max(10_000).optional(),
});

/** A stick that the lead has pinned: its kind, and the pieces cut from it. */
export const stickPinSchema = z.strictObject({
  profile: id,
  source: z.enum(['buy', 'rack']),
  /** The line for sale or the piece of the rack. */
  stock: id,
  pieces: z
    .array(
      z.strictObject({
        id: z.string().min(1).max(4000) as unknown as z.ZodType<PieceKey>,
        /** Where on its wall it lies: which part of a spliced wall it is. */
        from: z.number().optional(),
        to: z.number().optional(),
      }),
    )
    .min(1)
    .max(200),
});
export type StickPin = z.infer<typeof stickPinSchema>;

export const currencySchema = z.string().regex(/^[A-Z]{3}$/, faultText('fault.must-be-a-currency-by-its'));

/**
 * What a lead decides about stock beside the rules: the fields that the job file and the settings of a job share.
 * @param profileId what names a profile there
 */
export const stockFigures = (profileId: z.ZodString) => ({
  /** Spare sticks bought on top, percent by profile. */
  spares: z
    .record(
      profileId,
      z
        .number()
        .min(0, faultText('fault.must-not-be-negative'))
        .max(100, faultText('fault.must-be-at-most-100-percent')),
    )
    .optional(),
  coats: z
    .number()
    .int(faultText('fault.must-be-a-whole-number'))
    .min(0, faultText('fault.must-not-be-negative'))
    .max(10)
    .optional(),
});
/** The same of materials and of what is spoilt. */
export const materialFigures = {
  primer: z.boolean().optional(),
  nailSpacing: z.number().gt(0, faultText('fault.must-be-greater-than-0')).max(10_000).optional(),
  /** Pieces spoilt of a hundred cut, as the crew knows itself. */
  miscuts: z
    .number()
    .min(0, faultText('fault.must-not-be-negative'))
    .max(50, faultText('fault.must-be-at-most-50-of'))
    .optional(),
};

export const jobFileSchema = z.strictObject({
  format: z.literal('longmiter-job', faultText('fault.must-be-longmiter-job')),
  version: z.literal(2, faultText('fault.must-be-1-or-2-the-versions-this-program-reads')),
  name,
  unit: unitSchema,
  currency: currencySchema.optional(),
  vocabulary: z.enum(['us', 'uk'], faultText('fault.must-be-us-or-uk')).optional(),
  houseRules: houseRulesSchema.optional(),
  saws: z.array(sawSchema).max(50, faultText('fault.must-have-at-most-50-saws')).optional(),
  /** Id of the saw in use. */
  saw: id.optional(),
  profiles: z.array(profileSchema).max(200, faultText('fault.must-have-at-most-200-profiles')),
  stock: z.array(stockSchema).max(2000),
  rack: z.array(rackSchema).max(5000).optional(),
  rooms: z.array(roomSchema).max(2000, faultText('fault.must-have-at-most-2000-rooms')),
  /** Rooms that have a name but no wall yet. */
  unwalked: z
    .array(
      roomSchema.extend({ walls: z.array(wallSchema).max(0, faultText('fault.must-be-empty-the-room-has')) }),
    )
    .max(2000)
    .optional(),
  pins: z.array(stickPinSchema).max(1000, faultText('fault.at-most-1000-sticks-can-be')).optional(),
  ...stockFigures(id),
  choices: z.strictObject(materialFigures).optional(),
});

export type Profile = z.infer<typeof profileSchema>;
export type Saw = z.infer<typeof sawSchema>;
export type AngleReading = z.infer<typeof readingSchema>;
export type Corner = z.infer<typeof cornerSchema>;
export type JointPin = z.infer<typeof jointPinSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Kit = z.infer<typeof kitSchema>;
export type Interruption = z.infer<typeof interruptionSchema>;
export type Wall = z.infer<typeof wallSchema>;
export type Trim = z.infer<typeof trimSchema>;
export type CeilingLoop = z.infer<typeof ceilingLoopSchema>;
export type Room = z.infer<typeof roomSchema>;
export type HouseRulesInput = z.infer<typeof houseRulesSchema>;
export type RoomRulesInput = z.infer<typeof roomRulesSchema>;
export type JobFile = z.infer<typeof jobFileSchema>;
export type InsideJoint = z.infer<typeof joint>;
