import { z } from 'zod';
import { houseRulesSchema, profileSchema, sawSchema, typedSchema, unitSchema } from '../job/index.ts';
import { choicesSchema, pinSchema, rackEntrySchema, stockLineSchema } from './jobs.ts';
import { cutRecordSchema, orderLineSchema, quoteLineSchema, trimKindSchema } from './stock.ts';
import { notesSchema, surveySchema } from './survey.ts';

/** What the server answers, as schemas: the table of routes names them, the tests hold the answers against them. */

const id = z.string();
export const coinAnswer = z.strictObject({ currency: z.string().optional(), digits: z.number().int() });
export const headAnswer = z.strictObject({
  id,
  version: z.number().int(),
  name: z.string(),
  unit: unitSchema,
  coin: coinAnswer,
  vocabulary: z.enum(['us', 'uk']).optional(),
  archived: z.boolean(),
});
const settingsShape = {
  houseRules: houseRulesSchema,
  saws: z.array(sawSchema),
  profiles: z.array(profileSchema),
  stock: z.array(stockLineSchema),
  rack: z.array(rackEntrySchema),
  pins: z.array(pinSchema),
  choices: choicesSchema,
};
/** The parts that changed, as they stand, and the version of the job that they are of. */
export const settingsAnswer = z.strictObject(settingsShape).partial().extend({ version: z.number().int() });
export const roomAnswer = z.strictObject({
  id,
  name: z.string(),
  version: z.number().int(),
  survey: surveySchema,
  typed: typedSchema,
  notes: notesSchema,
});
export const savedAnswer = z.strictObject({ version: z.number().int() });
export const jobAnswer = headAnswer.extend({
  settings: z.strictObject(settingsShape),
  rooms: z.array(roomAnswer),
});
export const jobsAnswer = z.array(
  z.strictObject({
    id,
    name: z.string(),
    unit: unitSchema,
    rooms: z.number().int(),
    walls: z.number().int(),
    updatedAt: z.string(),
    archived: z.boolean(),
  }),
);
export const offcutAnswer = z.strictObject({
  id,
  label: z.string(),
  trim: trimKindSchema,
  length: z.number(),
  left: z.number(),
  right: z.number(),
  origin: z.enum(['offcut', 'salvaged']),
  place: z.string(),
  note: z.string(),
  damages: z.array(z.strictObject({ from: z.number(), to: z.number(), what: z.string() })),
  state: z.enum(['free', 'taken']),
  job: z.strictObject({ id, name: z.string() }).optional(),
  from: z.string().optional(),
});
export const offcutsAnswer = z.array(offcutAnswer);
export const cutsAnswer = z.array(cutRecordSchema.extend({ left: z.string().optional() }));
export const cutAnswer = z.strictObject({ offcut: offcutAnswer.nullable() });
export const suppliersAnswer = z.array(z.strictObject({ id, name: z.string(), url: z.string() }));
export const quotesAnswer = z.array(
  z.strictObject({ supplier: id, lines: z.array(quoteLineSchema), fetchedAt: z.string() }),
);
export const orderAnswerOut = z.strictObject({
  id,
  supplier: z.string(),
  lines: z.array(orderLineSchema),
  state: z.enum(['sending', 'confirmed', 'failed']),
  answer: z.string(),
  total: z.number(),
  at: z.string(),
});
export const ordersAnswer = z.array(orderAnswerOut);
export const crewSawsAnswer = z.array(
  z.strictObject({ unit: unitSchema, saw: sawSchema, keptAt: z.string() }),
);
export const ruleSetsAnswer = z.array(z.strictObject({ id, name: z.string(), rules: houseRulesSchema }));
export const pairingAnswer = z.strictObject({ code: z.string(), key: z.string() });
