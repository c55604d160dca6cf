import { faultText } from '../messages/index.ts';
import { z } from 'zod';

/** People of the crew, how they come in, and what they may do. One schema for each thing, for the page and the server. */

export const CREW_ROLES = ['lead', 'measurer', 'cutter', 'hanger', 'guest'] as const;
export type CrewRole = (typeof CREW_ROLES)[number];

/** What one can be allowed to: to read, to see who belongs to the crew and who changed what, to record rooms, to plan, to cut and hang, all else. */
export type Right = 'read' | 'crew' | 'measure' | 'plan' | 'cut' | 'lead';
/** Who may what; what is not here is denied. The server asks it for every request, the page for what it offers. */
export const RIGHTS: Readonly<Record<CrewRole, readonly Right[]>> = {
  lead: ['read', 'crew', 'measure', 'plan', 'cut', 'lead'],
  measurer: ['read', 'crew', 'measure'],
  cutter: ['read', 'crew', 'cut'],
  hanger: ['read', 'crew', 'cut'],
  guest: ['read'],
};

const personName = z
  .string()
  .trim()
  .min(1, faultText('fault.write-a-name'))
  .max(80, faultText('fault.must-have-at-most-80-characters'));
/** Long beats strange: nothing is asked of it but its length. */
const newPassword = z
  .string()
  .min(10, faultText('fault.must-have-at-least-10-characters'))
  .max(200, faultText('fault.must-have-at-most-200-characters'));
const device = z.string().trim().max(80, faultText('fault.must-have-at-most-80-characters')).default('');
const token = z
  .string()
  .min(1, faultText('fault.must-not-be-empty'))
  .max(200, faultText('fault.is-no-code-of-ours'));

export const signInSchema = z.strictObject({
  name: personName,
  password: z
    .string()
    .min(1, faultText('fault.write-your-password'))
    .max(200, faultText('fault.must-have-at-most-200-characters')),
  device,
});
/** The lead of a house that has no account yet, with the code on the terminal. */
export const firstAccountSchema = z.strictObject({
  code: token,
  name: personName,
  password: newPassword,
  device,
});
/** Somebody of the demo, by one click. */
export const demoSignInSchema = z.strictObject({
  role: z.enum(CREW_ROLES, faultText('fault.must-be-lead-measurer-cutter-hanger-or-guest')),
});
export const joinSchema = z.strictObject({ token, name: personName, password: newPassword, device });
export const inviteSchema = z
  .strictObject({
    role: z.enum(CREW_ROLES, faultText('fault.must-be-lead-measurer-cutter-hanger-or-guest')),
    job: z.uuid(faultText('fault.must-be-a-job')).optional(),
    /** Days that the invitation may be used, and, for a guest, that the account lasts after that. */
    days: z
      .int(faultText('fault.must-be-a-whole-number'))
      .min(1, faultText('fault.must-be-at-least-1'))
      .max(90, faultText('fault.must-be-at-most-90'))
      .default(7),
  })
  .refine((one) => (one.role === 'guest') === (one.job !== undefined), {
    path: ['job'],
    message: faultText('fault.a-guest-is-invited-to-one'),
  });
export const changeMemberSchema = z.strictObject({
  role: z.enum(
    ['lead', 'measurer', 'cutter', 'hanger'],
    faultText('fault.must-be-lead-measurer-cutter-or-hanger'),
  ),
});

export const meSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  role: z.enum(CREW_ROLES),
  job: z.uuid().optional(),
});
export type Me = z.infer<typeof meSchema>;
/**
 * How this page stands: nobody has an account yet and everything is open on this machine, or who is signed in; and whether one looks at
 * the demo, as whom one likes.
 */
export const sessionAnswer = z.object({
  open: z.boolean(),
  demo: z.boolean(),
  me: meSchema.optional(),
  /** Sent back with every change: a page elsewhere that has the cookie sent along cannot know it. */
  token: z.string().optional(),
});
export type SessionAnswer = z.infer<typeof sessionAnswer>;

const memberSchema = meSchema.extend({ expires: z.string().optional(), createdAt: z.string() });
export type Member = z.infer<typeof memberSchema>;
export const membersAnswer = z.array(memberSchema);
/** People by their names: who is at the saw is picked among them. */
export const peopleAnswer = z.array(z.strictObject({ id: z.uuid(), name: z.string() }));
export type Person = z.infer<typeof peopleAnswer>[number];
export const invitedAnswer = z.object({ token: z.string(), expires: z.string() });
export type Invited = z.infer<typeof invitedAnswer>;
export const deviceSessionsAnswer = z.array(
  z.object({
    id: z.uuid(),
    device: z.string(),
    createdAt: z.string(),
    seenAt: z.string(),
    here: z.boolean(),
  }),
);
export type DeviceSession = z.infer<typeof deviceSessionsAnswer>[number];

/** Access of a program, named after what it is for; its role is one's own or, for the lead, any of the crew's. */
export const newTokenSchema = z.strictObject({
  name: personName,
  role: z.enum(
    ['lead', 'measurer', 'cutter', 'hanger'],
    faultText('fault.must-be-lead-measurer-cutter-or-hanger'),
  ),
});
export const tokensAnswer = z.array(
  z.object({
    id: z.uuid(),
    name: z.string(),
    role: z.enum(CREW_ROLES),
    createdAt: z.string(),
    seenAt: z.string().optional(),
  }),
);
export type AccessToken = z.infer<typeof tokensAnswer>[number];
export const tokenMadeAnswer = z.object({ token: z.string() });
