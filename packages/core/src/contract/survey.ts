import { z } from 'zod';
import { failIfAny, type Issue, type Result } from '../base/index.ts';
import {
  checkJob,
  checkShape,
  houseRulesSchema,
  profileSchema,
  rackSchema,
  readingSchema,
  roomSchema,
  sawSchema,
  stockSchema,
  unitSchema,
  type HouseRulesInput,
  type JobFile,
  type Room,
} from '../job/index.ts';
import type { Unit } from '../measure/index.ts';

/**
 * What the server keeps of a room and of a job, shared with the page. A survey is a room of the job file still being
 * walked: it may have no wall yet, and a room meant to close need not close until its third wall is in.
 */

export const surveySchema = roomSchema.omit({ id: true, name: true }).extend({
  walls: z.array(roomSchema.shape.walls.element).max(500, 'must have at most 500 walls'),
});
export type Survey = z.infer<typeof surveySchema>;

/** Texts as they were typed, by the JSON pointer of the figure in the survey they stand for. */
export const typedSchema = z.record(z.string().max(400), z.string().max(100));
export type Typed = z.infer<typeof typedSchema>;

/** One reading of a figure that was taken more than once, as it was typed, with how it was taken. */
export const readingNoteSchema = z.strictObject({
  text: z.string().min(1).max(100),
  value: z.union([z.number(), readingSchema]),
  how: z.string().max(60),
});
export type ReadingNote = z.infer<typeof readingNoteSchema>;

/** Any value a survey can hold; `null` stands for none. */
const anyValue: z.ZodType<unknown> = z.json();
const place = z.string().min(1).max(400);

/**
 * What a crew notes beside the survey: further readings of a figure, what is to be measured (again) and why, and figures
 * that two people set to different values. Places are named by ids: `/walls/w3/length`.
 */
export const notesSchema = z.strictObject({
  readings: z
    .record(place, z.array(readingNoteSchema).max(20, 'at most 20 readings of one figure'))
    .optional(),
  check: z.record(place, z.string().max(300)).optional(),
  disputes: z
    .array(z.strictObject({ at: place, stands: anyValue, other: anyValue }))
    .max(200)
    .optional(),
});
export type Notes = z.infer<typeof notesSchema>;
export type Dispute = NonNullable<Notes['disputes']>[number];

export const roomNameSchema = z
  .string()
  .trim()
  .min(1, 'give the room a name')
  .max(200, 'must have at most 200 characters');
export const jobNameSchema = z
  .string()
  .trim()
  .min(1, 'give the job a name')
  .max(200, 'must have at most 200 characters');

/** What the lead decides about stock beside the job file: sticks pinned by hand, spare sticks, rules for the rest. */
export const choicesSchema = z.strictObject({
  pins: z
    .array(
      z.strictObject({
        profile: z.string().min(1).max(80),
        source: z.enum(['buy', 'rack']),
        length: z.number().gt(0),
        pieces: z
          .array(
            z.strictObject({
              id: z.string().min(1).max(400),
              from: z.number().optional(),
              to: z.number().optional(),
            }),
          )
          .min(1)
          .max(200),
      }),
    )
    .max(1000, 'at most 1000 sticks can be pinned')
    .optional(),
  allowance: z
    .record(z.string(), z.number().min(0, 'must not be negative').max(100, 'must be at most 100 percent'))
    .optional(),
  materials: z
    .strictObject({
      coats: z.number().int('must be a whole number').min(0, 'must not be negative').max(10),
      primer: z.boolean(),
      nailSpacing: z.number().gt(0, 'must be greater than 0').max(10_000),
    })
    .optional(),
});
export type StockChoices = z.infer<typeof choicesSchema>;

/** Everything of a job that is not a room: rules, saw, profiles, stock. */
export const settingsSchema = z.strictObject({
  houseRules: houseRulesSchema,
  saw: sawSchema,
  profiles: z.array(profileSchema).max(200, 'must have at most 200 profiles'),
  stock: z.array(stockSchema).max(2000),
  rack: z.array(rackSchema).max(5000),
  choices: choicesSchema.optional(),
});
export type JobSettings = z.infer<typeof settingsSchema>;

const version = z.number().int().min(1);

export const createJobSchema = z.strictObject({ name: jobNameSchema, unit: unitSchema });
export const patchJobSchema = z.strictObject({
  version,
  archived: z.boolean().optional(),
  name: jobNameSchema.optional(),
  settings: settingsSchema.optional(),
});
export const createRoomSchema = z.strictObject({
  name: roomNameSchema,
  survey: surveySchema.optional(),
  typed: typedSchema.optional(),
  notes: notesSchema.optional(),
});
export const putRoomSchema = z.strictObject({
  version,
  name: roomNameSchema,
  survey: surveySchema,
  typed: typedSchema,
  notes: notesSchema,
});

/** House rules of the crew under a name, to start jobs from. */
export const keepRuleSetSchema = z.strictObject({
  name: z.string().trim().min(1, 'give the set a name').max(80, 'must have at most 80 characters'),
  rules: houseRulesSchema,
});
export interface RuleSet {
  readonly id: string;
  readonly name: string;
  readonly rules: HouseRulesInput;
}

export interface JobSummary {
  readonly id: string;
  readonly name: string;
  readonly unit: Unit;
  readonly rooms: number;
  readonly walls: number;
  readonly updatedAt: string;
  readonly archived: boolean;
}

/** What one person sees and changes of a room. */
export interface RoomSheet {
  readonly name: string;
  readonly survey: Survey;
  /** Texts as they were typed for the survey's figures. */
  readonly typed: Typed;
  readonly notes: Notes;
}

export interface RoomRecord extends RoomSheet {
  readonly id: string;
  readonly version: number;
}

export interface JobRecord {
  readonly id: string;
  readonly name: string;
  readonly unit: Unit;
  readonly version: number;
  readonly settings: JobSettings;
  readonly rooms: readonly RoomRecord[];
}

/** What the server tells everyone who looks at a job: a room as it now is, or that rooms or settings are others. */
export type JobEvent =
  { readonly kind: 'room'; readonly room: RoomRecord } | { readonly kind: 'job'; readonly version: number };

/** Body of every failure of the API (application/problem+json). */
export interface Problem {
  readonly type: 'about:blank';
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly code: ProblemCode;
  readonly issues: readonly Issue[];
}

export type ProblemCode =
  /** The body is not what the address expects; `issues` says where and why. */
  | 'invalid'
  /** No such job, room or address. */
  | 'not-found'
  /** Someone saved a newer version first. */
  | 'conflict'
  /** The body is larger than the server reads. */
  | 'too-large'
  /** The database does not answer just now. */
  | 'unavailable'
  /** Our own mistake; the server's log has it. */
  | 'internal';

/** A survey as a room of the job file: not closed before its third wall. Rooms without walls have no such form. */
export function roomOf(record: Pick<RoomRecord, 'id' | 'name' | 'survey'>): Room | undefined {
  const { survey } = record;
  if (survey.walls.length === 0) return undefined;
  return { id: record.id, name: record.name, ...survey, closed: survey.closed && survey.walls.length >= 3 };
}

/** The job as a job file, rooms that have walls only. */
export function jobFileOf(job: Pick<JobRecord, 'name' | 'unit' | 'settings' | 'rooms'>): JobFile {
  const { houseRules, saw, profiles, stock, rack } = job.settings;
  return {
    format: 'longmiter-job',
    version: 1,
    name: job.name,
    unit: job.unit,
    houseRules,
    saw,
    profiles,
    stock,
    rack,
    rooms: job.rooms.flatMap((room) => roomOf(room) ?? []),
  };
}

/** Checks a survey with all that belongs to it; faults carry pointers into the survey. */
export function checkSurvey(value: unknown, unit: Unit, settings: JobSettings): Result<Survey> {
  const shaped = checkShape(surveySchema, value);
  if (!shaped.ok) return shaped;
  const room = roomOf({ id: 'room', name: 'Room', survey: shaped.value });
  if (!room) return shaped;
  const issues = checkJob(
    jobFileOf({
      name: 'Job',
      unit,
      settings,
      rooms: [{ id: 'room', name: 'Room', version: 1, survey: shaped.value, typed: {}, notes: {} }],
    }),
  );
  const own = issues
    .filter((issue) => issue.at.startsWith('/rooms/0'))
    .map((issue) => ({ ...issue, at: issue.at.slice('/rooms/0'.length) }));
  return failIfAny(own, shaped.value);
}

/** Settings and rooms of an imported job file, in the form the server keeps. */
export function recordsOf(
  file: JobFile,
  starter: JobSettings,
): { name: string; unit: Unit; settings: JobSettings; rooms: { name: string; survey: Survey }[] } {
  return {
    name: file.name,
    unit: file.unit,
    settings: {
      houseRules: file.houseRules ?? {},
      saw: file.saw ?? starter.saw,
      profiles: file.profiles,
      stock: file.stock,
      rack: file.rack ?? [],
    },
    rooms: file.rooms.map(({ id: _id, name, ...survey }) => ({ name, survey })),
  };
}
