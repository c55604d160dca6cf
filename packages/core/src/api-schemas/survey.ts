import { faultText } from '../messages/index.ts';
import { z } from 'zod';
import { failIfAny, type Issue, type Result } from '../base/index.ts';
import {
  checkJob,
  checkShape,
  disputeSchema,
  houseRulesSchema,
  placeSchema,
  readingNoteSchema,
  roomSchema,
  sawSchema,
  typedSchema,
  unitSchema,
  type HouseRulesInput,
  type Profile,
  type Room,
  type Saw,
} from '../job/index.ts';
import { plainText, type Unit } from '../measure/index.ts';
import type { Words } from '../messages/index.ts';

/**
 * What the server keeps of a room, shared with the page. A survey is a room of the job file still being walked: it may
 * have no wall yet, and a room meant to close need not close until its third wall is in.
 */

export const surveySchema = roomSchema
  .omit({
    id: true,
    name: true,
    closesLater: true,
    readings: true,
    listToMeasure: true,
    disputes: true,
    typed: true,
    notes: true,
  })
  .extend({
    walls: z.array(roomSchema.shape.walls.element).max(500, faultText('fault.must-have-at-most-500-walls')),
  });
export type Survey = z.infer<typeof surveySchema>;

export type Typed = z.infer<typeof typedSchema>;

/**
 * What a crew notes beside the survey: further readings of a figure, what is to be measured (again) and why, and figures
 * that two people set to different values. Places are named by ids: `/walls/w3/length`.
 */
export const notesSchema = z.strictObject({
  readings: z
    .record(placeSchema, z.array(readingNoteSchema).max(20, faultText('fault.at-most-20-readings-of-one-2')))
    .optional(),
  check: z.record(placeSchema, z.string().max(300)).optional(),
  disputes: z.array(disputeSchema).max(200).optional(),
  text: z.string().max(10_000).optional(),
});
export type Notes = z.infer<typeof notesSchema>;

const roomNameSchema = z
  .string()
  .trim()
  .min(1, faultText('fault.give-the-room-a-name'))
  .max(200, faultText('fault.must-have-at-most-200-characters'));

/** What one person sees and changes of a room. */
export interface RoomSheet {
  readonly name: string;
  readonly survey: Survey;
  /** Texts as they were typed for the survey's figures. */
  readonly typed: Typed;
  readonly notes: Notes;
}

export interface RoomRecord extends RoomSheet {
  /** Unique in its job; what its pieces are known by. */
  readonly id: string;
  readonly version: number;
}

const version = z.number().int().min(1);
/** Ids of rooms are made by whoever makes the room, so that a repeated request makes none twice. */
const roomIdSchema = z.string().min(1).max(80, faultText('fault.must-have-at-most-80-characters'));

export const createRoomSchema = z.strictObject({
  id: roomIdSchema.optional(),
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
/** A saw kept for the crew, its lengths in this unit. */
export const keepSawSchema = z.strictObject({ unit: unitSchema, saw: sawSchema });
export interface CrewSaw {
  readonly unit: Unit;
  readonly saw: Saw;
  readonly keptAt: string;
}

export const keepRuleSetSchema = z.strictObject({
  name: z
    .string()
    .trim()
    .min(1, faultText('fault.give-the-set-a-name'))
    .max(80, faultText('fault.must-have-at-most-80-characters')),
  rules: houseRulesSchema,
});
export interface RuleSet {
  readonly id: string;
  readonly name: string;
  readonly rules: HouseRulesInput;
}

/** Body of every failure of the API (application/problem+json). */
export interface Problem {
  readonly type: 'about:blank';
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  /** The same as a message, for whoever reads another language. */
  readonly message?: Words;
  readonly code: ProblemCode;
  readonly issues: readonly PublishedIssue[];
}

/** A fault as it goes over the line: a sentence for whoever reads it as it is, and the message for a page in its language. */
interface PublishedIssue extends Omit<Issue, 'text'> {
  readonly text: string;
  readonly message?: Words;
}

/** A fault made ready for the line. */
export const publishedIssue = (issue: Issue): PublishedIssue => ({
  ...issue,
  text: plainText(issue.text),
  ...(typeof issue.text === 'string' ? {} : { message: issue.text }),
});

export type ProblemCode =
  /** The body is not what the address expects; `issues` says where and why. */
  | 'invalid'
  /** Nobody is signed in, or the session has ended. */
  | 'sign-in'
  /** Signed in, but not as somebody who may do that. */
  | 'forbidden'
  /** No such job, room or address. */
  | 'not-found'
  /** Someone saved a newer version first. */
  | 'conflict'
  /** The room was deleted by somebody; it can be restored. */
  | 'deleted'
  /** The body is larger than the server reads. */
  | 'too-large'
  /** The database does not answer just now, or too many ask at once; nothing was changed. */
  | 'unavailable'
  /** Our own mistake; the server's log has it. */
  | 'internal';

/** A survey as a room of the job file: not closed before its third wall. Rooms without walls have no such form. */
export function roomOf(record: Pick<RoomRecord, 'id' | 'name' | 'survey'>): Room | undefined {
  const { survey } = record;
  if (survey.walls.length === 0) return undefined;
  return { id: record.id, name: record.name, ...survey, closed: survey.closed && survey.walls.length >= 3 };
}

/** Checks a survey with all that belongs to it; faults carry pointers into the survey. */
export function checkSurvey(
  value: unknown,
  unit: Unit,
  settings: { readonly profiles: readonly Profile[]; readonly houseRules: HouseRulesInput },
): Result<Survey> {
  const shaped = checkShape(surveySchema, value);
  if (!shaped.ok) return shaped;
  const room = roomOf({ id: 'room', name: 'Room', survey: shaped.value });
  // A room without walls has trims already: it must be able to go out and come in like any other.
  const at = room ? '/rooms/0' : '/unwalked/0';
  const issues = checkJob({
    format: 'longmiter-job',
    version: 2,
    name: 'Job',
    unit,
    houseRules: settings.houseRules,
    profiles: [...settings.profiles],
    stock: [],
    rooms: room ? [room] : [],
    ...(room ? {} : { unwalked: [{ id: 'room', name: 'Room', ...shaped.value, closed: false }] }),
  });
  const own = issues
    .filter((issue) => issue.at.startsWith(at))
    .map((issue): Issue => ({ ...issue, at: issue.at.slice(at.length) }));
  return failIfAny(own, shaped.value);
}
