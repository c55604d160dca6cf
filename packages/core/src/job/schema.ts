import { z } from 'zod';

/**
 * The job file, version 1, and everything in it: the one description of a survey that the page, the server and the
 * headless commands share. Numbers are decimals in the file's unit, angles are degrees. Unknown keys are faults.
 */

const id = z.string().min(1, 'must not be empty').max(80, 'must have at most 80 characters');
const name = z.string().min(1, 'must not be empty').max(200, 'must have at most 200 characters');
const positive = z
  .number()
  .gt(0, 'must be greater than 0')
  .max(1_000_000, 'is too large to be a length: check the figure and its unit');
const notNegative = z
  .number()
  .min(0, 'must not be negative')
  .max(1_000_000, 'is too large to be a length: check the figure and its unit');
const money = z.number().min(0, 'a price must not be negative').max(10_000_000, 'is too large to be a price');
const acute = z.number().gt(0, 'must be greater than 0').lt(90, 'must be less than 90');
const upTo90 = z.number().min(0, 'must not be negative').max(90, 'must be at most 90');

export const unitSchema = z.enum(['in', 'mm'], 'must be "in" or "mm"');

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

export const sawSchema = z.strictObject({
  maxMiterLeft: upTo90,
  maxMiterRight: upTo90,
  maxBevelLeft: upTo90,
  maxBevelRight: upTo90,
  standingHeight: notNegative,
  flatWidth: notNegative,
  kerf: notNegative,
  calibration: z
    .number()
    .min(-10, 'is more than any saw is out: must be between -10 and 10')
    .max(10, 'is more than any saw is out: must be between -10 and 10')
    .optional(),
  fineness: z.number().gt(0, 'must be greater than 0').max(15, 'must be at most 15').optional(),
});

export const stockSchema = z.strictObject({
  profile: id,
  length: positive,
  price: money,
  count: z.number().int('must be a whole number').min(0, 'must not be negative').optional(),
});

export const rackSchema = z.strictObject({
  profile: id,
  length: positive,
  label: z.string().max(80).optional(),
});

const side = z.enum(['inside', 'outside'], 'must be "inside" or "outside"');
const under180 = z.number().gt(0, 'must be greater than 0').lt(180, 'must be less than 180');

export const readingSchema = z.discriminatedUnion('as', [
  z.strictObject({
    as: z.literal('wall-angle'),
    degrees: z.number().gt(0, 'must be greater than 0').lt(360, 'must be less than 360'),
  }),
  z.strictObject({ as: z.literal('protractor'), degrees: under180, side }),
  z.strictObject({
    as: z.literal('deflection'),
    degrees: z.number().min(0, 'must not be negative').lt(180, 'must be less than 180'),
    side,
  }),
  z.strictObject({
    as: z.literal('miter'),
    degrees: z.number().min(0, 'must not be negative').lt(90, 'must be less than 90'),
    side,
  }),
  z.strictObject({ as: z.literal('legs'), left: positive, right: positive, across: positive, side }),
  z.strictObject({ as: z.literal('assumed') }),
]);

const jointPinSchema = z.enum(['through-left', 'through-right', 'miter']);

export const cornerSchema = z.strictObject({
  reading: readingSchema,
  method: z.enum(['direct', 'bridged']).optional(),
  ceiling: z.number().gt(0, 'must be greater than 0').lt(360, 'must be less than 360').optional(),
  lean: z.number().gt(-45, 'must be more than -45').lt(45, 'must be less than 45').optional(),
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

export const openingSchema = z.strictObject({
  id,
  kind: z.enum(['door', 'cased', 'pocket', 'window', 'drywall']),
  at: notNegative,
  width: positive,
  headHeight: positive,
  sillHeight: notNegative.optional(),
  casing: id.nullable().optional(),
  headLeft: positive.optional(),
  headRight: positive.optional(),
  stool: id.optional(),
  apron: id.optional(),
  picture: z.boolean().optional(),
});

export const interruptionSchema = z.strictObject({
  id,
  at: notNegative,
  width: positive,
  low: notNegative,
  high: positive,
  name: z.string().max(200).optional(),
});

export const wallSchema = z.strictObject({
  id,
  length: positive,
  ceilingLength: positive.optional(),
  corner: cornerSchema.optional(),
  openings: z.array(openingSchema).max(100, 'must have at most 100 openings').optional(),
  interruptions: z.array(interruptionSchema).max(100, 'must have at most 100 entries').optional(),
  points: z
    .array(
      z.strictObject({
        kind: z.enum(['socket', 'switch', 'pipe', 'register']),
        at: notNegative,
        width: positive.optional(),
      }),
    )
    .max(200)
    .optional(),
  furniture: z
    .array(z.strictObject({ at: notNegative, width: positive, name: z.string().max(200).optional() }))
    .max(50, 'must have at most 50 pieces of furniture')
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
  hollow: z
    .array(z.strictObject({ depth: z.number(), over: positive, near: z.enum(['left', 'right']) }))
    .max(100)
    .optional(),
});

export const trimSchema = z.strictObject({
  id,
  profile: id,
  on: z.enum(['walls', 'openings']),
  walls: z.array(id).max(1000).optional(),
  height: notNegative.optional(),
  standsOn: id.optional(),
  splices: z
    .array(z.strictObject({ wall: id, at: notNegative }))
    .max(1000)
    .optional(),
});

const joint = z.enum(['cope', 'miter', 'butt'], 'must be "cope", "miter" or "butt"');

export const houseRulesSchema = z.strictObject({
  insideCorner: z.union([joint, z.partialRecord(profileSchema.shape.use, joint)]).optional(),
  miterBias: z
    .strictObject({
      degrees: z.number().min(0, 'must not be negative').lt(10, 'must be less than 10'),
      on: z.enum(['assumed', 'all']),
    })
    .optional(),
  fitThroughEnd: z.boolean().optional(),
  scarfAngle: z.literal([45, 30, 22.5, 0], 'must be 45, 30, 22.5 or 0').optional(),
  splices: z.enum(['needed', 'saving']).optional(),
  splicePrice: money.optional(),
  spliceFromCorner: notNegative.optional(),
  reveal: notNegative.optional(),
  returnTolerance: notNegative.optional(),
  returnAngle: z.literal(45, 'must be 45').optional(),
  bullnose: z.enum(['two-piece', 'transition']).optional(),
  transitionPieces: z
    .number()
    .int('must be a whole number')
    .min(1, 'must be at least 1')
    .max(20, 'must be at most 20')
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
  minPiece: notNegative.optional(),
  minReusable: notNegative.optional(),
  viewFromEntry: z.boolean().optional(),
});

/**
 * What a room may decide for itself: everything about joints. What belongs to the shop (money, the saw, the rack, how
 * pieces are numbered) is one for the whole job.
 */
export const roomRulesSchema = houseRulesSchema.omit({
  splicePrice: true,
  endTrim: true,
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
  walls: z.array(wallSchema).min(1, 'must have at least one wall').max(500, 'must have at most 500 walls'),
  trims: z.array(trimSchema).max(50, 'must have at most 50 trims'),
});

export const jobFileSchema = z.strictObject({
  format: z.literal('longmiter-job', 'must be "longmiter-job"'),
  version: z.literal(1, 'must be 1, the version this program reads'),
  name,
  unit: unitSchema,
  houseRules: houseRulesSchema.optional(),
  saw: sawSchema.optional(),
  profiles: z.array(profileSchema).max(200, 'must have at most 200 profiles'),
  stock: z.array(stockSchema).max(2000),
  rack: z.array(rackSchema).max(5000).optional(),
  rooms: z.array(roomSchema).max(2000, 'must have at most 2000 rooms'),
});

export type Profile = z.infer<typeof profileSchema>;
export type Saw = z.infer<typeof sawSchema>;
export type StockItem = z.infer<typeof stockSchema>;
export type RackItem = z.infer<typeof rackSchema>;
export type AngleReading = z.infer<typeof readingSchema>;
export type Corner = z.infer<typeof cornerSchema>;
export type JointPin = z.infer<typeof jointPinSchema>;
export type Opening = z.infer<typeof openingSchema>;
export type Interruption = z.infer<typeof interruptionSchema>;
export type Wall = z.infer<typeof wallSchema>;
export type Trim = z.infer<typeof trimSchema>;
export type Room = z.infer<typeof roomSchema>;
export type HouseRulesInput = z.infer<typeof houseRulesSchema>;
export type RoomRulesInput = z.infer<typeof roomRulesSchema>;
export type JobFile = z.infer<typeof jobFileSchema>;
export type InsideJoint = z.infer<typeof joint>;
