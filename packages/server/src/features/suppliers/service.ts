import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import {
  message,
  trimKindOf,
  type addSupplierSchema,
  type JobHead,
  type LibraryPrices,
  type OrderRecord,
  type PlaceOrder,
  type Quote,
  type QuoteLine,
  type Supplier,
} from '@long-miter/core';
import type { Context } from '../../http/context.ts';
import { HttpProblem, invalid, notFound } from '../../http/problem.ts';
import { headOfJob } from '../jobs/service.ts';
import { getSettings } from '../jobs/repository.ts';
import { listTrims } from '../library/repository.ts';
import { fetchQuote, mayAsk, sendOrder } from './client.ts';
import * as repository from './repository.ts';
import { YARDS } from './stand-in.ts';

export const listSuppliers = ({ db }: Context): Promise<Supplier[]> => repository.selectSuppliers(db);

export async function addSupplier(
  { db, note }: Context,
  input: z.infer<typeof addSupplierSchema>,
): Promise<Supplier[]> {
  if (!mayAsk(input.url))
    throw invalid([
      {
        at: '/url',
        text: message('server.is-not-among-the-addresses-that'),
      },
    ]);
  note({ about: input.name });
  await repository.keepSupplier(db, { id: randomUUID(), ...input });
  return repository.selectSuppliers(db);
}

/** The stand-ins are there from the start, at whatever port they have this time. */
export async function nameStandIns({ db }: Context, port: number): Promise<void> {
  if (port === 0) return;
  for (const yard of Object.keys(YARDS))
    await repository.keepSupplier(db, {
      id: randomUUID(),
      name: `${yard[0]!.toUpperCase()}${yard.slice(1)} yard (stand-in)`,
      url: `http://127.0.0.1:${port}/${yard}`,
    });
}

async function supplierBy({ db }: Context, id: string): Promise<Supplier> {
  const supplier = await repository.getSupplier(db, id);
  if (!supplier) throw notFound(message('server.supplier'));
  return supplier;
}

export const dropSupplier = async ({ db }: Context, id: string): Promise<void> =>
  void (await repository.deleteSupplierRow(db, id));

export async function listQuotes(context: Context, job: string): Promise<Quote[]> {
  await headOfJob(context, job);
  return repository.selectQuotes(context.db, job);
}

/** Fetches a supplier's prices and counts for the trim of a job. A list that fails to come leaves the last one as it is. */
export async function askQuote(context: Context, jobId: string, supplierId: string): Promise<Quote[]> {
  const head = await headOfJob(context, jobId);
  const supplier = await supplierBy(context, supplierId);
  const { profiles } = await getSettings(context.db, jobId);
  const lines = await fetchQuote(
    supplier,
    profiles.map((profile) => trimKindOf(profile, head.unit)),
  );
  await repository.keepQuote(context.db, supplierId, jobId, lines);
  return repository.selectQuotes(context.db, jobId);
}

/** How many kinds of trim a supplier is asked for in one question. */
const AT_ONCE = 100;

/** A supplier's prices for the trims of the Library, as he has them now. Whoever asked decides what of it is kept. */
export async function askForLibrary(context: Context, supplierId: string): Promise<LibraryPrices> {
  const supplier = await supplierBy(context, supplierId);
  const trims = await listTrims(context.db);
  if (trims.length === 0) throw invalid([{ at: '', text: message('server.the-library-has-no-trim-yet') }]);
  const wanted = trims.map(({ profile, unit }) => trimKindOf(profile, unit));
  const lines: QuoteLine[] = [];
  for (let at = 0; at < wanted.length; at += AT_ONCE)
    lines.push(...(await fetchQuote(supplier, wanted.slice(at, at + AT_ONCE))));
  return { lines, askedAt: new Date().toISOString() };
}

export async function listOrders(context: Context, job: string): Promise<OrderRecord[]> {
  await headOfJob(context, job);
  return repository.selectOrders(context.db, job);
}

async function trySending(
  { db }: Context,
  head: JobHead,
  supplier: Supplier,
  id: string,
  lines: PlaceOrder['lines'],
): Promise<OrderRecord> {
  try {
    const { confirmation, total } = await sendOrder(supplier, id, lines, head.coin);
    await repository.noteAnswer(db, id, { state: 'confirmed', answer: confirmation, total });
  } catch (error) {
    if (!(error instanceof HttpProblem)) throw error;
    await repository.noteAnswer(db, id, { state: 'failed', answer: error.message, total: 0 });
  }
  const { job: _job, supplierId: _supplier, ...order } = (await repository.getOrder(db, id))!;
  return order;
}

/**
 * Writes an order down and sends it; one that fails stays on the list and can be sent again. The caller names it: the same
 * order placed once more is the order that is there.
 */
export async function placeOrder(context: Context, jobId: string, input: PlaceOrder): Promise<OrderRecord> {
  const head = await headOfJob(context, jobId);
  const supplier = await supplierBy(context, input.supplier);
  const isNew = await context.transaction(async ({ db, note }) => {
    await headOfJob({ ...context, db }, jobId, true);
    const known = await repository.getOrder(db, input.id);
    if (known && known.job !== jobId) throw notFound(message('server.order'));
    if (known) return false;
    await repository.insertOrder(db, {
      id: input.id,
      job: jobId,
      supplier: supplier.id,
      lines: input.lines,
    });
    note({ about: `${supplier.name}, ${input.lines.length} lines` });
    return true;
  });
  if (isNew) return trySending(context, head, supplier, input.id, input.lines);
  const { job: _job, supplierId: _supplier, ...order } = (await repository.getOrder(context.db, input.id))!;
  return order;
}

/** Sends an order again under its own reference: a supplier who had it after all does not deliver twice. */
export async function sendAgain(context: Context, id: string): Promise<OrderRecord> {
  const known = await repository.getOrder(context.db, id);
  if (!known?.supplierId) throw notFound(message('server.order'));
  const { job, supplierId, ...order } = known;
  if (order.state === 'confirmed') return order;
  const head = await headOfJob(context, job);
  await context.transaction(async ({ db, note }) => {
    await repository.noteSending(db, id);
    note({ job, about: (await supplierBy(context, supplierId)).name });
  });
  return trySending(context, head, await supplierBy(context, supplierId), id, order.lines);
}
