import { faultText } from '../messages/index.ts';

import { z } from 'zod';
import { SAME_LENGTH, type PieceKey } from '../base/index.ts';
import { profileSchema, unitSchema, type Profile } from '../job/index.ts';
import { convertLength, toMinor, type Coin, type Unit } from '../measure/index.ts';
import type { CutRecord } from '../plan/index.ts';
import { isSameTrim, usableStretches } from '../takeoff/index.ts';
import { minorSchema, type JobSettings, type RackEntry, type StockLine } from './jobs.ts';

/** What the page and the server say to each other about racks, suppliers and orders. */

const length = z
  .number()
  .gt(0, faultText('fault.must-be-greater-than-0'))
  .max(1_000_000, faultText('fault.is-too-large-to-be-a'));
const place = z.number().min(0, faultText('fault.must-not-be-negative')).max(1_000_000);
const angle = z
  .number()
  .gt(-90, faultText('fault.must-be-more-than-90'))
  .lt(90, faultText('fault.must-be-less-than-90'));
const text = (most: number) =>
  z.string().trim().max(most, faultText('fault.must-have-at-most-characters', { most }));

/** What kind of trim something is, whatever job it comes from. */
export const trimKindSchema = profileSchema
  .pick({ name: true, use: true, width: true, thickness: true, material: true, finish: true })
  .extend({ unit: unitSchema });
export type TrimKindRecord = z.infer<typeof trimKindSchema>;

export const trimKindOf = (profile: Profile, unit: Unit): TrimKindRecord => ({
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
  .refine((one) => one.to >= one.from, {
    message: faultText('fault.must-not-end-before-it-begins'),
    path: ['to'],
  });

/** A piece put on the rack by hand: an offcut, or salvaged old trim with what of it cannot be used. */
export const addOffcutSchema = z.strictObject({
  id: z.uuid(faultText('fault.must-be-a-uuid')).optional(),
  trim: trimKindSchema,
  length,
  left: angle.default(0),
  right: angle.default(0),
  origin: z.enum(['offcut', 'salvaged']),
  place: text(120).default(''),
  note: text(300).default(''),
  damages: z.array(damageSchema).max(100).default([]),
});
export type AddOffcut = Omit<z.infer<typeof addOffcutSchema>, 'id'>;

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
  offcut: Pick<Offcut, 'id' | 'label' | 'length' | 'damages' | 'trim'>,
  profile: string,
  unit: Unit,
  atLeast: number,
): RackEntry[] {
  const { unit: own } = offcut.trim;
  const stretches = stretchesOf(offcut, unit, atLeast);
  return stretches.map((stretch, index) => ({
    id: `${offcut.id}-${index + 1}`,
    profile,
    length: convertLength(stretch.length, own, unit),
    label: stretches.length > 1 ? `${offcut.label}${String.fromCharCode(97 + index)}` : offcut.label,
    offcut: offcut.id,
    from: stretch.from,
    to: stretch.from + stretch.length,
  }));
}

const CUT_OUT = 'cut out';

/** A stretch of a piece on the rack that a job has taken, in the piece's own unit. */
interface RackStretch {
  readonly from: number;
  readonly to: number;
}

/**
 * A stretch of a piece on the rack has been cut out of it: what cannot be used of it now, and whether anything is left
 * that can. A piece of one stretch is used up; of one with several the others stay on the rack.
 */
export function cutOut(
  offcut: Pick<Offcut, 'length' | 'damages' | 'trim'>,
  { from, to }: RackStretch,
  unit: Unit,
  atLeast: number,
): { damages: Offcut['damages']; usedUp: boolean } {
  const damages = [...offcut.damages, { from, to, what: CUT_OUT }];
  return { damages, usedUp: stretchesOf({ ...offcut, damages }, unit, atLeast).length === 0 };
}

/** The damages of a piece once a stretch turns out not to have been cut out of it. */
export const putBack = (damages: Offcut['damages'], { from, to }: RackStretch): Offcut['damages'] => {
  const at = damages.findIndex((one) => one.what === CUT_OUT && one.from === from && one.to === to);
  return damages.filter((_, index) => index !== at);
};

export const takeOffcutSchema = z.strictObject({
  offcut: z.uuid(faultText('fault.must-be-the-id-of-a')),
  profile: z.string().min(1),
});

const signed = z.number().gt(-90).lt(90);
const key = z.string().min(1).max(4000) as unknown as z.ZodType<PieceKey>;

/** A stick that has been cut: what it was, what was cut from it and to which figures, and what it leaves for the rack. */
export const cutRecordSchema = z.strictObject({
  id: z.uuid(faultText('fault.must-be-a-uuid-made-by')),
  profile: z.string().min(1).max(80),
  source: z.enum(['buy', 'rack']),
  stock: z.string().min(1).max(200),
  label: text(80).optional(),
  length,
  price: minorSchema,
  pieces: z
    .array(
      z.strictObject({
        id: key,
        label: text(80),
        near: z.number().gt(0).max(1_000_000),
        left: signed,
        right: signed,
        start: z.number().min(0).max(1_000_000),
        from: z.number().optional(),
        to: z.number().optional(),
      }),
    )
    .min(1)
    .max(200),
  leftover: z.number().min(0).max(1_000_000),
});
export const cutStickSchema = z.strictObject({
  record: cutRecordSchema,
  leaving: z.strictObject({ length, left: angle, right: angle }).optional(),
  place: text(120).default(''),
});

/** A cut stick as the server has it: with the label of what it left on the rack, while that is there. */
export interface KeptCut extends CutRecord {
  readonly left: string | undefined;
}

/** Which addresses may be asked at all the server is told where it is started. */
const ADDRESS = /^https?:\/\/[\w.-]+(:\d{1,5})?(\/[\w\-./]*)?$/;
export const addSupplierSchema = z.strictObject({
  name: text(80).min(1, faultText('fault.give-the-supplier-a-name')),
  url: z
    .string()
    .max(300, faultText('fault.must-have-at-most-300-characters'))
    .regex(ADDRESS, faultText('fault.must-be-an-address-such-as')),
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
  profile: z.string().min(1).max(80),
  trim: trimKindSchema,
  length,
  count: z.number().int().min(1, faultText('fault.must-be-at-least-1')).max(100_000),
  /** Smallest units of the job's money. */
  price: minorSchema,
});
export const placeOrderSchema = z.strictObject({
  /** Names the order for good: the supplier's reference, by which a repeat is known. */
  id: z.uuid(faultText('fault.must-be-a-uuid-made-by-2')),
  supplier: z.uuid(faultText('fault.must-be-the-id-of-a-2')),
  lines: z.array(orderLineSchema).min(1, faultText('fault.there-is-nothing-to-order')).max(500),
});
export type PlaceOrder = z.infer<typeof placeOrderSchema>;
export const orderAnswerSchema = z.strictObject({
  confirmation: z.string().min(1).max(80),
  total: z.number().min(0).max(100_000_000),
});

export interface OrderRecord {
  readonly id: string;
  readonly supplier: string;
  readonly lines: PlaceOrder['lines'];
  /** Sent and not answered yet, taken by the supplier, or not. */
  readonly state: 'sending' | 'confirmed' | 'failed';
  /** The supplier's number, or why it did not work. */
  readonly answer: string;
  /** Smallest units of the job's money. */
  readonly total: number;
  readonly at: string;
}

/** How a stand-in for a supplier behaves. */
export const standInBehaviourSchema = z.strictObject({
  delay: z
    .number()
    .int()
    .min(0, faultText('fault.must-not-be-negative'))
    .max(30_000, faultText('fault.must-be-at-most-30-000')),
  failure: z.enum(['none', 'error', 'silent', 'garbled']),
});
export type StandInBehaviour = z.infer<typeof standInBehaviourSchema>;

type Stocked = { readonly unit: Unit; readonly coin: Coin } & Pick<JobSettings, 'profiles' | 'stock'>;

/**
 * The stock of a job at a supplier's prices and counts: lengths he does not have are gone, trim he does not sell stays.
 * A length that the job had keeps its line.
 * @param newId for a line that is new
 */
export function stockOfQuote(job: Stocked, lines: readonly QuoteLine[], newId: () => string): StockLine[] {
  return job.profiles.flatMap((profile) => {
    const own = lines.filter((line) => isSameTrim(line.trim, profile, job.unit));
    const had = job.stock.filter((item) => item.profile === profile.id);
    if (own.length === 0) return had;
    return own
      .map((line): StockLine => {
        const length = convertLength(line.length, line.trim.unit, job.unit);
        return {
          id: had.find((item) => Math.abs(item.length - length) < SAME_LENGTH)?.id ?? newId(),
          profile: profile.id,
          length,
          price: toMinor(line.price, job.coin),
          count: line.available,
        };
      })
      .sort((a, b) => a.length - b.length);
  });
}

/** What an order would come to at a supplier's prices, in smallest coins, and what of it he cannot serve. */
export function orderAt(
  job: Omit<Stocked, 'stock'>,
  lines: readonly { readonly profile: string; readonly length: number; readonly count: number }[],
  quote: readonly QuoteLine[],
): { total: number; short: { profile: string; length: number; available: number }[] } {
  const stock = stockOfQuote({ ...job, stock: [] }, quote, () => 'quoted');
  let total = 0;
  const short: { profile: string; length: number; available: number }[] = [];
  for (const { profile, length: wanted, count } of lines) {
    const item = stock.find((one) => one.profile === profile && Math.abs(one.length - wanted) < SAME_LENGTH);
    const available = item?.count ?? 0;
    if (!item || available < count) short.push({ profile, length: wanted, available });
    else total += item.price * count;
  }
  return { total, short };
}
