import { randomUUID } from 'node:crypto';
import type { Pool } from 'mysql2/promise';
import { kindOf, type OrderRecord, type PlaceOrder, type Quote, type Supplier } from '@long-miter/core';
import { HttpProblem, notFound } from '../../http/problem.ts';
import { getJob } from '../jobs/service.ts';
import { fetchQuote, sendOrder } from './client.ts';
import * as repository from './repository.ts';
import { YARDS } from './stand-in.ts';

export const listSuppliers = (pool: Pool): Promise<Supplier[]> => repository.listSuppliers(pool);

export async function addSupplier(pool: Pool, input: { name: string; url: string }): Promise<Supplier[]> {
  await repository.keepSupplier(pool, { id: randomUUID(), ...input });
  return repository.listSuppliers(pool);
}

/** The stand-ins are there from the start, at whatever port they have this time. */
export async function nameStandIns(pool: Pool, port: number): Promise<void> {
  if (port === 0) return;
  for (const yard of Object.keys(YARDS))
    await repository.keepSupplier(pool, {
      id: randomUUID(),
      name: `${yard[0]!.toUpperCase()}${yard.slice(1)} yard (stand-in)`,
      url: `http://127.0.0.1:${port}/${yard}`,
    });
}

const supplierBy = async (pool: Pool, id: string): Promise<Supplier> => {
  const supplier = await repository.getSupplier(pool, id);
  if (!supplier) throw notFound('supplier');
  return supplier;
};

export async function dropSupplier(pool: Pool, id: string): Promise<void> {
  if (!(await repository.dropSupplier(pool, id))) throw notFound('supplier');
}

export const listQuotes = (pool: Pool, job: string): Promise<Quote[]> => repository.listQuotes(pool, job);

/** Fetches a supplier's prices and counts for the trim of a job. A list that fails to come leaves the last one as it is. */
export async function askQuote(pool: Pool, jobId: string, supplierId: string): Promise<Quote[]> {
  const [job, supplier] = [await getJob(pool, jobId), await supplierBy(pool, supplierId)];
  const lines = await fetchQuote(
    supplier,
    job.settings.profiles.map((profile) => kindOf(profile, job.unit)),
  );
  await repository.keepQuote(pool, supplierId, jobId, lines);
  return repository.listQuotes(pool, jobId);
}

export const listOrders = (pool: Pool, job: string): Promise<OrderRecord[]> =>
  repository.listOrders(pool, job);

async function trySending(
  pool: Pool,
  supplier: Supplier,
  id: string,
  lines: PlaceOrder['lines'],
): Promise<OrderRecord> {
  try {
    const { confirmation, total } = await sendOrder(supplier, id, lines);
    await repository.noteAnswer(pool, id, { state: 'confirmed', answer: confirmation, total });
  } catch (error) {
    if (!(error instanceof HttpProblem)) throw error;
    await repository.noteAnswer(pool, id, { state: 'failed', answer: error.message, total: 0 });
  }
  return (await repository.getOrder(pool, id))!;
}

/** Writes an order down and sends it; one that fails stays on the list and can be sent again. */
export async function placeOrder(pool: Pool, jobId: string, input: PlaceOrder): Promise<OrderRecord> {
  await getJob(pool, jobId);
  const supplier = await supplierBy(pool, input.supplier);
  const id = randomUUID();
  await repository.insertOrder(pool, { id, job: jobId, supplier: supplier.id, lines: input.lines });
  return trySending(pool, supplier, id, input.lines);
}

/** Sends a failed order again under its own reference: a supplier who had it after all does not deliver twice. */
export async function sendAgain(pool: Pool, id: string): Promise<OrderRecord> {
  const order = await repository.getOrder(pool, id);
  if (!order?.supplierId) throw notFound('order');
  if (order.state === 'confirmed') return order;
  return trySending(pool, await supplierBy(pool, order.supplierId), id, order.lines);
}
