import { faultText } from '../messages/index.ts';
import { z } from 'zod';
import { issueSchema, logEventSchema, type LogEvent, type ShopIssue } from '../workshop/index.ts';

/** What happened on a device, in its own order. */
export const shopEventsSchema = z.strictObject({
  events: z
    .array(logEventSchema)
    .min(1, faultText('fault.must-have-at-least-one-event'))
    .max(500, faultText('fault.must-have-at-most-500-events')),
});

/** Gives a plan to the saw: the plan as it stands, which rooms go along, and what was assumed and accepted by name. */
export const giveSchema = z.strictObject({
  plan: issueSchema.shape.plan,
  rooms: z.array(z.string().min(1).max(80)).max(2000).optional(),
  accepted: issueSchema.shape.accepted,
});
export type Give = z.infer<typeof giveSchema>;

/** Issues, and events from a number on, in the server's order. */
export const shopAnswer = z.strictObject({
  issues: z.array(issueSchema),
  events: z.array(logEventSchema),
});
export interface ShopLog {
  readonly issues: readonly ShopIssue[];
  readonly events: readonly LogEvent[];
}

/** What a document is made of: the plan that the page shows, one room or all, the paper it is for. */
export const documentSchema = z.strictObject({
  plan: issueSchema.shape.plan.optional(),
  room: z.string().max(200).optional(),
  paper: z.enum(['letter', 'a4'], faultText('fault.must-be-letter-or-a4')).optional(),
});
