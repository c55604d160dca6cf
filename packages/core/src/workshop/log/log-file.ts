import { faultText } from '../../messages/index.ts';
import { message } from '../../messages/index.ts';
import { z } from 'zod';
import { pointer, type Issue, type Result } from '../../base/index.ts';
import { checkJobFile, checkShape, type JobFile } from '../../job/index.ts';

/**
 * The log of a job's workshop: what was given to the saw (issues, each a plan as it stood) and what happened since (events,
 * append-only). Lengths in the job's unit.
 */

/** Largest log read: each issue holds a plan as it stood. */
export const MAX_LOG_BYTES = 100_000_000;

const text = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(200, faultText('fault.must-have-at-most-200-characters'));
const length = z
  .number()
  .min(0, faultText('fault.must-not-be-negative'))
  .max(1_000_000, faultText('fault.must-be-at-most-1000000'));
const positive = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .max(1_000_000, faultText('fault.must-be-at-most-1000000'));
const side = z.enum(['left', 'right'], faultText('fault.must-be-left-or-right'));
const instant = z
  .string()
  .refine((at) => !Number.isNaN(Date.parse(at)), faultText('fault.is-not-a-time-write-it'));

/** What every event carries: its identity, made on the device, and when it was there. */
const common = {
  id: text,
  device: text,
  deviceSeq: z.int(faultText('fault.must-be-a-whole-number')).min(0, faultText('fault.must-not-be-negative')),
  /** The server's number in the job; absent until it has one. */
  seq: z
    .int(faultText('fault.must-be-a-whole-number'))
    .min(0, faultText('fault.must-not-be-negative'))
    .optional(),
  at: instant,
  actor: text.optional(),
};
const tag = text;
const event = <Kind extends string, Shape extends z.ZodRawShape>(kind: Kind, shape: Shape) =>
  // The figures as they were displayed may stand beside: they are kept and not looked at.
  z.looseObject({ ...common, kind: z.literal(kind), ...shape });

export const MISCUTS = ['short', 'slant', 'damaged', 'wrong-stick'] as const;

export const logEventSchema = z.discriminatedUnion('kind', [
  event('stick-taken', {
    letter: text,
    stick: z.string().min(1).max(10_000),
    revision: z.int(),
    measured: positive.optional(),
  }),
  event('end-cut', { tag, end: side, letter: text }),
  event('written', { tag, near: positive.optional() }),
  event('miscut', {
    tag,
    what: z.enum(MISCUTS, faultText('fault.must-be-short-slant-damaged-or-wrong-stick')),
    usable: length.optional(),
  }),
  event('piece-reused', { tag, as: tag }),
  event('remainder-racked', { letter: text, length: positive, label: text }),
  event('dry-fitted', { tag }),
  event('fixed', { tag }),
  event('wall-not-ready', { tag }),
  event('trimmed', { tag, end: side, by: positive }),
  event('sent-back', { tag, near: positive }),
  event('measured-in-place', { tag, near: positive }),
  event('opening-of-joint', {
    tag,
    end: side,
    where: z.enum(['front', 'back'], faultText('fault.must-be-front-or-back')),
    gap: positive,
  }),
  event('undone', { event: text }),
  event('note', { text: z.string().max(4000, faultText('fault.must-have-at-most-4000-characters')) }),
  event('issued', {}),
  event('end-set', {}),
  event('test-cut', {}),
  event('calibrated', {}),
]);
export type LogEvent = z.infer<typeof logEventSchema>;

const end = z.looseObject({ angle: z.number().gt(-90).lt(90), reach: z.number().optional() });

/** A piece of a plan, as far as the log needs it; everything else of it is kept. */
const loggedPieceSchema = z.looseObject({
  id: z.string().min(1).max(10_000),
  room: z.string(),
  profile: z.string(),
  near: length,
  left: end,
  right: end,
  held: z.looseObject({ predicted: z.number(), allowance: z.number() }).optional(),
});
export type LoggedPiece = z.infer<typeof loggedPieceSchema>;

const loggedStick = z.looseObject({
  id: z.string().min(1).max(10_000),
  profile: z.string(),
  /** `opened`: what still comes from a stick that has a letter already. */
  source: z.enum(['buy', 'rack', 'opened']),
  letter: z.string().optional(),
  label: z.string().optional(),
  length: positive,
  price: z.number().optional(),
  cuts: z.array(z.looseObject({ piece: z.string(), start: z.number() })).max(10_000),
});

const loggedPlan = z.looseObject({
  pieces: z.array(loggedPieceSchema).max(100_000),
  sticks: z.array(loggedStick).max(100_000),
});
export type LoggedPlan = z.infer<typeof loggedPlan>;

export const issueSchema = z.strictObject({
  revision: z.int(faultText('fault.must-be-a-whole-number')).min(0, faultText('fault.must-not-be-negative')),
  at: instant,
  by: text.optional(),
  plan: loggedPlan,
  /** Tag of each piece that was given, by the plan's id. */
  tags: z.record(z.string(), tag),
  /** What was assumed and accepted by name. */
  accepted: z.array(z.string()).max(10_000).optional(),
});
export type ShopIssue = z.infer<typeof issueSchema>;

export const logFileSchema = z.strictObject({
  format: z.literal('longmiter-log', faultText('fault.must-be-longmiter-log')),
  version: z.literal(1, faultText('fault.must-be-1')),
  job: z.unknown(),
  issues: z.array(issueSchema).max(10_000),
  events: z.array(logEventSchema).max(1_000_000),
});

export interface LogFile {
  readonly job: JobFile;
  readonly issues: readonly ShopIssue[];
  readonly events: readonly LogEvent[];
}

/**
 * Checks a value against the log format.
 * Issues: pointers into the file, those of its job included; a revision twice; a tag for a piece that its plan does not have;
 * one tag for two pieces of an issue.
 */
export function checkLogFile(value: unknown): Result<LogFile> {
  const shaped = checkShape(logFileSchema, value);
  if (!shaped.ok) return shaped;
  const job = checkJobFile(shaped.value.job);
  const faults: Issue[] = job.ok ? [] : job.issues.map((one) => ({ ...one, at: `/job${one.at}` }));
  const seen = new Set<number>();
  shaped.value.issues.forEach((issue, index) => {
    if (seen.has(issue.revision))
      faults.push({
        at: pointer('issues', index, 'revision'),
        text: message('fault.stands-twice-every-issue-has-a', { revision: issue.revision }),
      });
    seen.add(issue.revision);
    const pieces = new Set(issue.plan.pieces.map((piece) => piece.id));
    const tags = new Set<string>();
    for (const [piece, given] of Object.entries(issue.tags)) {
      const at = pointer('issues', index, 'tags', piece);
      if (!pieces.has(piece)) faults.push({ at, text: message('fault.is-not-a-piece-of-its') });
      if (tags.has(given))
        faults.push({ at, text: message('fault.stands-twice-every-piece-has-a', { given }) });
      tags.add(given);
    }
  });
  const [first, ...rest] = faults;
  if (first) return { ok: false, issues: [first, ...rest] };
  if (!job.ok) return job;
  return { ok: true, value: { job: job.value, issues: shaped.value.issues, events: shaped.value.events } };
}
