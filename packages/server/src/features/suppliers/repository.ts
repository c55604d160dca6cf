import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { OrderRecord, PlaceOrder, Quote, QuoteLine, Supplier } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';

const supplierOf = (row: RowDataPacket): Supplier => ({
  id: String(row['id']),
  name: String(row['name']),
  url: String(row['url']),
});

export async function listSuppliers(db: Pool): Promise<Supplier[]> {
  const [rows] = await db.query<RowDataPacket[]>('SELECT id, name, url FROM supplier ORDER BY name');
  return rows.map(supplierOf);
}

export async function getSupplier(db: Pool, id: string): Promise<Supplier | undefined> {
  const [[row]] = await db.query<RowDataPacket[]>('SELECT id, name, url FROM supplier WHERE id = :id', {
    id,
  });
  return row && supplierOf(row);
}

/** A supplier under its name; one of that name gets the new address. */
export async function keepSupplier(db: Pool, supplier: Supplier): Promise<void> {
  await db.query(
    'INSERT INTO supplier (id, name, url) VALUES (:id, :name, :url) ON DUPLICATE KEY UPDATE url = :url',
    { ...supplier },
  );
}

export async function dropSupplier(db: Pool, id: string): Promise<boolean> {
  const [result] = await db.query<ResultSetHeader>('DELETE FROM supplier WHERE id = :id', { id });
  return result.affectedRows === 1;
}

export async function keepQuote(
  db: Pool,
  supplier: string,
  job: string,
  lines: readonly QuoteLine[],
): Promise<void> {
  await db.query(
    `INSERT INTO quote (supplier_id, job_id, price_lines) VALUES (:supplier, :job, :lines)
     ON DUPLICATE KEY UPDATE price_lines = :lines, fetched_at = CURRENT_TIMESTAMP(3)`,
    { supplier, job, lines: JSON.stringify(lines) },
  );
}

export async function listQuotes(db: Pool, job: string): Promise<Quote[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    'SELECT supplier_id, price_lines, fetched_at FROM quote WHERE job_id = :job',
    { job },
  );
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
  total: Number(row['total']),
  at: (row['created_at'] as Date).toISOString(),
});

const ORDERS =
  'SELECT supplier_order.*, supplier.name AS supplier_name FROM supplier_order LEFT JOIN supplier ON supplier.id = supplier_order.supplier_id';

export async function listOrders(db: Pool, job: string): Promise<OrderRecord[]> {
  const [rows] = await db.query<RowDataPacket[]>(
    `${ORDERS} WHERE job_id = :job ORDER BY supplier_order.created_at DESC`,
    { job },
  );
  return rows.map(orderOf);
}

export async function getOrder(
  db: Pool,
  id: string,
): Promise<(OrderRecord & { supplierId: string | null }) | undefined> {
  const [[row]] = await db.query<RowDataPacket[]>(`${ORDERS} WHERE supplier_order.id = :id`, { id });
  return row && { ...orderOf(row), supplierId: row['supplier_id'] as string | null };
}

export async function insertOrder(
  db: Pool,
  order: { id: string; job: string; supplier: string; lines: PlaceOrder['lines'] },
): Promise<void> {
  await db.query(
    'INSERT INTO supplier_order (id, job_id, supplier_id, order_lines, answer) VALUES (:id, :job, :supplier, :lines, :answer)',
    { ...order, lines: JSON.stringify(order.lines), answer: 'not answered yet' },
  );
}

export async function noteAnswer(
  db: Pool,
  id: string,
  answer: { state: OrderRecord['state']; answer: string; total: number },
): Promise<void> {
  await db.query(
    'UPDATE supplier_order SET state = :state, answer = :answer, total = :total WHERE id = :id',
    { id, ...answer, answer: answer.answer.slice(0, 300) },
  );
}
