import type { RowDataPacket } from 'mysql2/promise';
import type { OrderRecord, PlaceOrder, Quote, QuoteLine, Supplier } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

const supplierOf = (row: RowDataPacket): Supplier => ({
  id: String(row['id']),
  name: String(row['name']),
  url: String(row['url']),
});

export async function selectSuppliers(db: Db): Promise<Supplier[]> {
  return (await db.rows('SELECT id, name, url FROM supplier ORDER BY name')).map(supplierOf);
}

export async function getSupplier(db: Db, id: string): Promise<Supplier | undefined> {
  const [row] = await db.rows('SELECT id, name, url FROM supplier WHERE id = :id', { id });
  return row && supplierOf(row);
}

/** A supplier under its name; one of just that name gets the new address. */
export const keepSupplier = (db: Db, { id, name, url }: Supplier): Promise<number> =>
  db.change(
    'INSERT INTO supplier (id, name, url) VALUES (:id, :name, :url) ON DUPLICATE KEY UPDATE url = VALUES(url)',
    { id, name, url },
  );

export const deleteSupplierRow = (db: Db, id: string): Promise<number> =>
  db.change('DELETE FROM supplier WHERE id = :id', { id });

export const keepQuote = (
  db: Db,
  supplier: string,
  job: string,
  lines: readonly QuoteLine[],
): Promise<number> =>
  db.change(
    `INSERT INTO quote (supplier_id, job_id, price_lines) VALUES (:supplier, :job, :lines)
     ON DUPLICATE KEY UPDATE price_lines = VALUES(price_lines), fetched_at = CURRENT_TIMESTAMP(3)`,
    { supplier, job, lines: JSON.stringify(lines) },
  );

export async function selectQuotes(db: Db, job: string): Promise<Quote[]> {
  const rows = await db.rows('SELECT supplier_id, price_lines, fetched_at FROM quote WHERE job_id = :job', {
    job,
  });
  return rows.map((row) => ({
    supplier: String(row['supplier_id']),
    lines: fromJson<QuoteLine[]>(row['price_lines']),
    fetchedAt: (row['fetched_at'] as Date).toISOString(),
  }));
}

const orderOf = (row: RowDataPacket): OrderRecord => ({
  id: String(row['id']),
  supplier: String(row['supplier_name'] ?? ''),
  lines: fromJson<PlaceOrder['lines']>(row['order_lines']),
  state: row['state'] as OrderRecord['state'],
  answer: String(row['answer']),
  total: Number(row['total_minor']),
  at: (row['created_at'] as Date).toISOString(),
});

const ORDERS =
  'SELECT supplier_order.*, supplier.name AS supplier_name FROM supplier_order LEFT JOIN supplier ON supplier.id = supplier_order.supplier_id';

export async function selectOrders(db: Db, job: string): Promise<OrderRecord[]> {
  return (
    await db.rows(
      `${ORDERS} WHERE job_id = :job ORDER BY supplier_order.created_at DESC, supplier_order.id`,
      { job },
    )
  ).map(orderOf);
}

interface OrderRow extends OrderRecord {
  readonly job: string;
  readonly supplierId: string | null;
}

export async function getOrder(db: Db, id: string): Promise<OrderRow | undefined> {
  const [row] = await db.rows(`${ORDERS} WHERE supplier_order.id = :id`, { id });
  return (
    row && {
      ...orderOf(row),
      job: String(row['job_id']),
      supplierId: row['supplier_id'] as string | null,
    }
  );
}

export const insertOrder = (
  db: Db,
  order: { id: string; job: string; supplier: string; lines: PlaceOrder['lines'] },
): Promise<number> =>
  db.change(
    "INSERT INTO supplier_order (id, job_id, supplier_id, order_lines, answer) VALUES (:id, :job, :supplier, :lines, 'not answered yet')",
    { ...order, lines: JSON.stringify(order.lines) },
  );

/** Notes that an order is on its way again, unless the supplier has it. */
export const noteSending = (db: Db, id: string): Promise<number> =>
  db.change(
    "UPDATE supplier_order SET state = 'sending', answer = 'not answered yet', sent_at = CURRENT_TIMESTAMP(3) WHERE id = :id AND state <> 'confirmed'",
    { id },
  );

/** What came of sending. A confirmation stands, whatever another try says later. */
export const noteAnswer = (
  db: Db,
  id: string,
  { state, answer, total }: { state: 'confirmed' | 'failed'; answer: string; total: number },
): Promise<number> =>
  db.change(
    "UPDATE supplier_order SET state = :state, answer = :answer, total_minor = :total WHERE id = :id AND state <> 'confirmed'",
    { id, state, answer: answer.slice(0, 300), total },
  );
