import { z } from 'zod';
import { profileSchema, stockSchema, unitSchema, type JobFile, type Profile } from '../job/index.ts';
import { convertLength, type Unit } from '../measure/index.ts';
import { isSameTrim, usableStretches } from '../takeoff/index.ts';

/** What the page and the server say to each other about racks, suppliers and orders. */

const length = z
  .number()
  .gt(0, 'must be greater than 0')
  .max(1_000_000, 'is too large to be a length: check the figure and its unit');
const place = z.number().min(0, 'must not be negative').max(1_000_000);
const angle = z.number().gt(-90, 'must be more than -90').lt(90, 'must be less than 90');
const text = (most: number) => z.string().trim().max(most, `must have at most ${most} characters`);

/** What kind of trim something is, whatever job it comes from. */
export const trimKindSchema = profileSchema
  .pick({ name: true, use: true, width: true, thickness: true, material: true, finish: true })
  .extend({ unit: unitSchema });
export type TrimKindRecord = z.infer<typeof trimKindSchema>;

export const kindOf = (profile: Profile, unit: Unit): TrimKindRecord => ({
  name: profile.name,
  use: profile.use,
  width: profile.width,
  thickness: profile.thickness,
  material: profile.material,
  finish: profile.finish,
  unit,
});

const damageSchema = z
  .strictObject({ from: place, to: place, what: text(80) })
  .refine((one) => one.to >= one.from, { message: 'must not end before it begins', path: ['to'] });

/** A piece put on the rack by hand: an offcut, or salvaged old trim with what of it cannot be used. */
export const addOffcutSchema = z.strictObject({
  trim: trimKindSchema,
  length,
  left: angle.default(0),
  right: angle.default(0),
  origin: z.enum(['offcut', 'salvaged']),
  place: text(120).default(''),
  note: text(300).default(''),
  damages: z.array(damageSchema).max(100).default([]),
});
export type AddOffcut = z.infer<typeof addOffcutSchema>;

export const patchOffcutSchema = z.strictObject({
  place: text(120).optional(),
  note: text(300).optional(),
  damages: z.array(damageSchema).max(100).optional(),
});

export interface Offcut extends AddOffcut {
  readonly id: string;
  /** Written on the piece: R-14. */
  readonly label: string;
  /** Free, reserved for a job, or cut up. */
  readonly state: 'free' | 'taken';
  readonly job: { readonly id: string; readonly name: string } | undefined;
  /** The job whose plan left it. */
  readonly from: string | undefined;
}

/** Kept clear of damage on both sides: a blade's width and a bit. */
const CLEAR: Readonly<Record<Unit, number>> = { in: 0.5, mm: 12 };

const stretchesOf = (
  { length, damages, trim }: Pick<Offcut, 'length' | 'damages' | 'trim'>,
  unit: Unit,
  atLeast: number,
): { from: number; length: number }[] =>
  usableStretches(length, damages, CLEAR[trim.unit], convertLength(atLeast, unit, trim.unit));

/** What of a piece on the rack can be used, as rack entries of a job: one for each stretch, under its label. */
export function rackEntries(
  offcut: Pick<Offcut, 'label' | 'length' | 'damages' | 'trim'>,
  profile: string,
  unit: Unit,
  atLeast: number,
): { profile: string; length: number; label: string }[] {
  const { unit: own } = offcut.trim;
  const stretches = stretchesOf(offcut, unit, atLeast);
  return stretches.map((stretch, index) => ({
    profile,
    length: convertLength(stretch.length, own, unit),
    label: stretches.length > 1 ? `${offcut.label}${String.fromCharCode(97 + index)}` : offcut.label,
  }));
}

/**
 * A stretch of a piece on the rack has been cut out of it: what cannot be used of it now, and whether anything is left
 * that can. A piece of one stretch is used up; of one with several the others stay on the rack.
 * @param length of the stretch, as the job's rack entry has it
 * @returns undefined where the piece has no stretch of that length
 */
export function cutOut(
  offcut: Pick<Offcut, 'length' | 'damages' | 'trim'>,
  length: number,
  unit: Unit,
  atLeast: number,
): { damages: Offcut['damages']; usedUp: boolean } | undefined {
  const own = convertLength(length, unit, offcut.trim.unit);
  const stretch = stretchesOf(offcut, unit, atLeast).find((one) => Math.abs(one.length - own) < SAME);
  if (!stretch) return undefined;
  const damages = [
    ...offcut.damages,
    { from: stretch.from, to: stretch.from + stretch.length, what: CUT_OUT },
  ];
  return { damages, usedUp: stretchesOf({ ...offcut, damages }, unit, atLeast).length === 0 };
}

const SAME = 1e-6;
const CUT_OUT = 'cut out';

/** Whether a rack entry of a job stands for (a stretch of) a piece on the rack. */
const isEntryOf = (label: string | undefined, offcut: Pick<Offcut, 'label'>): boolean =>
  label !== undefined && new RegExp(`^${offcut.label}[a-z]?$`).test(label);

/**
 * The rack of a job without a piece that is given back. Stretches that have been cut out of it stay: the sticks that were
 * cut from them are done, whatever is planned anew.
 */
export function withoutOffcut<E extends { length: number; label?: string | undefined }>(
  rack: readonly E[],
  offcut: Pick<Offcut, 'label' | 'damages' | 'trim'>,
  unit: Unit,
): E[] {
  const cut = offcut.damages
    .filter((one) => one.what === CUT_OUT)
    .map((one) => convertLength(one.to - one.from, offcut.trim.unit, unit));
  return rack.filter(
    (entry) =>
      !isEntryOf(entry.label, offcut) || cut.some((length) => Math.abs(length - entry.length) < SAME),
  );
}

export const takeOffcutSchema = z.strictObject({
  version: z.number().int().min(1),
  offcut: z.uuid('must be the id of a piece on the rack'),
  profile: z.string().min(1),
});

/** A stick that has been cut: what names it, and what it leaves for the rack. */
export const cutStickSchema = z.strictObject({
  key: z.string().min(1).max(4000),
  profile: z.string().min(1),
  /** Length of the rack entry it was, where it came from the rack. */
  fromRack: length.optional(),
  leaving: z.strictObject({ length, left: angle, right: angle }).optional(),
  place: text(120).default(''),
});
export type CutStickInput = z.input<typeof cutStickSchema>;

/** Suppliers are programs on this machine: nothing leaves it. */
const LOOPBACK = /^http:\/\/(127\.0\.0\.1|localhost)(:\d{1,5})?(\/[\w\-./]*)?$/;
export const addSupplierSchema = z.strictObject({
  name: text(80).min(1, 'give the supplier a name'),
  url: z.string().regex(LOOPBACK, 'must be an address on this machine, such as http://127.0.0.1:4102/north'),
});

/** What a supplier has of one kind of trim in one length. */
export const quoteLineSchema = z.strictObject({
  trim: trimKindSchema,
  length,
  price: z.number().min(0).max(1_000_000),
  available: z.number().int().min(0).max(1_000_000),
});
export const quoteAnswerSchema = z.strictObject({ lines: z.array(quoteLineSchema).max(2000) });
export type QuoteLine = z.infer<typeof quoteLineSchema>;

export interface Supplier {
  readonly id: string;
  readonly name: string;
  readonly url: string;
}
export interface Quote {
  readonly supplier: string;
  readonly lines: readonly QuoteLine[];
  readonly fetchedAt: string;
}

export const orderLineSchema = z.strictObject({
  profile: z.string().min(1),
  trim: trimKindSchema,
  length,
  count: z.number().int().min(1, 'must be at least 1').max(100_000),
  price: z.number().min(0).max(1_000_000),
});
export const placeOrderSchema = z.strictObject({
  supplier: z.uuid('must be the id of a supplier'),
  lines: z.array(orderLineSchema).min(1, 'there is nothing to order').max(500),
});
export type PlaceOrder = z.infer<typeof placeOrderSchema>;
export const orderAnswerSchema = z.strictObject({
  confirmation: z.string().min(1).max(80),
  total: z.number(),
});

export interface OrderRecord {
  readonly id: string;
  readonly supplier: string;
  readonly lines: PlaceOrder['lines'];
  readonly state: 'confirmed' | 'failed';
  /** The supplier's number, or why it did not work. */
  readonly answer: string;
  readonly total: number;
  readonly at: string;
}

/** How a stand-in for a supplier behaves. */
export const standInBehaviourSchema = z.strictObject({
  delay: z.number().int().min(0, 'must not be negative').max(30_000, 'must be at most 30 000 milliseconds'),
  failure: z.enum(['none', 'error', 'silent', 'garbled']),
});
export type StandInBehaviour = z.infer<typeof standInBehaviourSchema>;

/** The stock of a job at a supplier's prices and counts: lengths he does not have are gone, trim he does not sell stays. */
export function stockOfQuote(
  job: Pick<JobFile, 'unit' | 'profiles' | 'stock'>,
  lines: readonly QuoteLine[],
): JobFile['stock'] {
  return job.profiles.flatMap((profile) => {
    const own = lines.filter((line) => isSameTrim(line.trim, profile, job.unit));
    if (own.length === 0) return job.stock.filter((item) => item.profile === profile.id);
    return own
      .map((line) =>
        stockSchema.parse({
          profile: profile.id,
          length: convertLength(line.length, line.trim.unit, job.unit),
          price: line.price,
          count: line.available,
        }),
      )
      .sort((a, b) => a.length - b.length);
  });
}

/** What an order would come to at a supplier's prices, and what of it he cannot serve. */
export function orderAt(
  job: Pick<JobFile, 'unit' | 'profiles'>,
  lines: readonly { readonly profile: string; readonly length: number; readonly count: number }[],
  quote: readonly QuoteLine[],
): { total: number; short: { profile: string; length: number; available: number }[] } {
  const stock = stockOfQuote({ ...job, stock: [] }, quote);
  let total = 0;
  const short: { profile: string; length: number; available: number }[] = [];
  for (const { profile, length: wanted, count } of lines) {
    const item = stock.find((one) => one.profile === profile && Math.abs(one.length - wanted) < SAME);
    const available = item?.count ?? 0;
    if (!item || available < count) short.push({ profile, length: wanted, available });
    else total += item.price * count;
  }
  return { total, short };
}
