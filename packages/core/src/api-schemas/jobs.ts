import { faultText } from '../messages/index.ts';
import { z } from 'zod';
import { sameValue } from '../base/index.ts';
import {
  currencySchema,
  houseRulesSchema,
  profileSchema,
  rackSchema,
  sawSchema,
  materialFigures,
  stickPinSchema,
  stockFigures,
  stockSchema,
  unitSchema,
  type HouseRulesInput,
  type Profile,
  type Saw,
  type StickPin,
} from '../job/index.ts';
import type { Coin, Unit } from '../measure/index.ts';
import type { Vocabulary } from '../messages/index.ts';
import type { RoomRecord } from './survey.ts';

/**
 * A job as resources that are kept, versioned and changed each by itself: its head, its profiles, lines of stock, saws and
 * pins, its house rules, its choices, its pieces of the rack, its rooms. Money is in smallest units of the job's coin.
 */

const ownId = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(80, faultText('fault.must-have-at-most-80-characters'));
export const minorSchema = z
  .number()
  .int(faultText('fault.must-be-a-whole-number-of'))
  .min(0, faultText('fault.a-price-must-not-be-negative'))
  .max(100_000_000_000, faultText('fault.is-too-large-to-be-a-2'));

export const stockLineSchema = stockSchema.extend({ id: ownId, price: minorSchema });
export type StockLine = z.infer<typeof stockLineSchema>;
/** A piece of the rack that a job has taken; of one on the crew's rack which, and which stretch of it, in its own unit. */
export const rackEntrySchema = rackSchema.extend({
  id: ownId,
  offcut: z.uuid().optional(),
  from: z.number().optional(),
  to: z.number().optional(),
});
export type RackEntry = z.infer<typeof rackEntrySchema>;
export const pinSchema = stickPinSchema.extend({ id: ownId });
export type JobPin = StickPin & { readonly id: string };

/** What the lead decides about stock beside the rules. */
export const choicesSchema = z.strictObject({
  ...stockFigures(ownId),
  ...materialFigures,
  /** Which of the saws is in use. */
  saw: ownId.optional(),
  /** Somebody has said that the lengths and prices a new job begins with are right. */
  stockSeen: z.boolean().optional(),
});
export type StockChoices = z.infer<typeof choicesSchema>;

/** Everything of a job that is not a room, put together from its resources. */
export interface JobSettings {
  readonly houseRules: HouseRulesInput;
  readonly saws: readonly Saw[];
  readonly profiles: readonly Profile[];
  readonly stock: readonly StockLine[];
  readonly rack: readonly RackEntry[];
  readonly pins: readonly JobPin[];
  readonly choices: StockChoices;
}

/** Resources of which a job has several, by the word in their address. */
export const LISTS = {
  profiles: profileSchema,
  stock: stockLineSchema,
  saws: sawSchema,
  pins: pinSchema,
} as const;
export type ListName = keyof typeof LISTS;
/** Resources of which a job has one. */
export const SINGLES = { rules: houseRulesSchema, choices: choicesSchema } as const;
export type SingleName = keyof typeof SINGLES;

/**
 * A small change of one resource: what its fields become and what they were when the person changed them; null stands for
 * none. A field that somebody else has set to a third value meanwhile is a conflict; the others are not touched.
 */
const fields = z.record(z.string().max(80), z.json());
export const changeSchema = z.strictObject({ set: fields, was: fields });
export type Change = { readonly set: Fields; readonly was: Fields };
export type Fields = Readonly<Record<string, unknown>>;

const jobNameSchema = z
  .string()
  .trim()
  .min(1, faultText('fault.give-the-job-a-name'))
  .max(200, faultText('fault.must-have-at-most-200-characters'));

/** The head of a job: what is not about its wood. */
export const headSchema = z.strictObject({
  name: jobNameSchema,
  currency: currencySchema.optional(),
  vocabulary: z.enum(['us', 'uk'], faultText('fault.must-be-us-or-uk')).optional(),
  archived: z.boolean(),
});

export const createJobSchema = z.strictObject({
  id: z.uuid(faultText('fault.must-be-a-uuid')).optional(),
  name: jobNameSchema,
  unit: unitSchema,
  currency: currencySchema.optional(),
  vocabulary: headSchema.shape.vocabulary,
});

/** A profile that is new in a job may come with its first lines of stock. */
export const addProfileSchema = z.strictObject({
  profile: profileSchema,
  stock: z.array(stockLineSchema).max(100).default([]),
});
export const replaceStockSchema = z.strictObject({ lines: z.array(stockLineSchema).max(2000) });
/** All of a job's own rules at once, as a set that was looked at before it was applied. */
export const pinsSchema = z.strictObject({
  add: z.array(pinSchema).max(200).default([]),
  drop: z.array(ownId).max(1000).default([]),
});

export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly unit: Unit;
  readonly rooms: number;
  readonly walls: number;
  readonly updatedAt: string;
  readonly archived: boolean;
}

export interface JobHead {
  readonly id: string;
  /** Counts the changes of its head and settings; rooms count their own. */
  readonly version: number;
  readonly name: string;
  readonly unit: Unit;
  readonly coin: Coin;
  readonly vocabulary: Vocabulary | undefined;
  readonly archived: boolean;
}

export interface JobRecord extends JobHead {
  readonly settings: JobSettings;
  readonly rooms: readonly RoomRecord[];
}

/** What the server tells everyone who looks at a job. */
export type JobEvent =
  | { readonly kind: 'head'; readonly head: JobHead }
  /** Something was added to the shop log: whoever wants it asks from the number he has. */
  | { readonly kind: 'shop' }
  | { readonly kind: 'settings'; readonly part: SettingsPart; readonly version: number }
  | { readonly kind: 'room'; readonly room: RoomRecord }
  /** A room was made, deleted or restored, or the job was: what is shown is to be loaded again. */
  | { readonly kind: 'rooms' }
  /** A stick was cut, or said not to be. */
  | { readonly kind: 'cuts' }
  | { readonly kind: 'rack' };

/** Some of the lists and singles of a job's settings, as they now are. */
type SettingsPart = Partial<JobSettings>;
/** What a change of the settings answers: the parts it changed, and the version of the job that they are of. */
export type SettingsAnswer = SettingsPart & { readonly version: number };

/** The saw in use: the chosen one, else the first. */
export const sawInUse = ({ saws, choices }: Pick<JobSettings, 'saws' | 'choices'>): Saw | undefined =>
  saws.find((saw) => saw.id === choices.saw) ?? saws[0];

const same = (a: unknown, b: unknown): boolean => sameValue(a ?? null, b ?? null);

/**
 * Applies a small change to the fields of a resource. A field that is neither what it was nor what it is to become has
 * been set by somebody else: it clashes, and nothing is changed.
 */
export function applyChange(
  now: Fields,
  { set, was }: Change,
): {
  readonly next: Fields;
  readonly clashes: readonly { readonly field: string; readonly stands: unknown }[];
} {
  const clashes = Object.keys(set)
    .filter((field) => !same(now[field], was[field]) && !same(now[field], set[field]))
    .map((field) => ({ field, stands: now[field] ?? null }));
  if (clashes.length > 0) return { next: now, clashes };
  const next = Object.fromEntries(
    Object.entries({ ...now, ...set }).filter(([, value]) => value !== null && value !== undefined),
  );
  return { next, clashes };
}

/** The change from one state of a resource to another: only the fields that differ. */
export function changeBetween(before: Fields, after: Fields): Change {
  const fields = [...new Set([...Object.keys(before), ...Object.keys(after)])].filter(
    (field) => !same(before[field], after[field]),
  );
  const of = (from: Fields): Fields =>
    Object.fromEntries(fields.map((field) => [field, from[field] ?? null]));
  return { set: of(after), was: of(before) };
}
