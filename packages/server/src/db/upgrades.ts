import { randomUUID } from 'node:crypto';
import type { PoolConnection, RowDataPacket } from 'mysql2/promise';
import {
  checkJobFile,
  keysByOldId,
  planQuickly,
  jobRecordsOf,
  starterSettings,
  type CutRecord,
  type JobFile,
  type PieceKey,
  type Unit,
  plainText,
} from '@long-miter/core';
import { fromJson } from './columns.ts';

/**
 * Changes of what is kept that SQL alone cannot make. They stand in the same row of numbers as the files, run once, and can
 * run again after a crash: each job is one transaction, and one that was done is skipped.
 */
interface Upgrade {
  readonly number: number;
  readonly name: string;
  readonly run: (connection: PoolConnection) => Promise<void>;
  /** It writes down that it ran in its own transaction. */
  readonly notesItself?: true;
}

interface OldPin {
  readonly profile: string;
  readonly source: 'buy' | 'rack';
  readonly length: number;
  readonly pieces: readonly { readonly id: string; readonly from?: number; readonly to?: number }[];
}
interface OldSettings {
  readonly houseRules: JobFile['houseRules'];
  readonly saw: object;
  readonly profiles: JobFile['profiles'];
  readonly stock: JobFile['stock'];
  readonly rack: JobFile['rack'];
  readonly choices?: {
    readonly pins?: readonly OldPin[];
    readonly allowance?: Readonly<Record<string, number>>;
    readonly materials?: { readonly coats: number; readonly primer: boolean; readonly nailSpacing: number };
  };
}

type Row = RowDataPacket;
const rowsOf = async (connection: PoolConnection, sql: string, values: object): Promise<Row[]> => {
  const [rows] = await connection.query<Row[]>(sql, values as never);
  return rows;
};

/** Names of a stick of old: the pieces cut from it, in alphabetical order, with spaces between. */
const oldStickName = (pieces: readonly { readonly id: string }[]): string =>
  pieces
    .map((piece) => piece.id)
    .sort()
    .join(' ');

/** A pin of old under the new keys and the line of stock it meant; undefined where neither is there any more. */
function newPin(
  old: OldPin,
  file: JobFile,
  keys: ReadonlyMap<string, PieceKey>,
):
  | {
      id: string;
      profile: string;
      source: 'buy' | 'rack';
      stock: string;
      pieces: { id: PieceKey; from?: number; to?: number }[];
    }
  | undefined {
  const list = old.source === 'rack' ? (file.rack ?? []) : file.stock;
  const item = list.find((one) => one.profile === old.profile && Math.abs(one.length - old.length) < 1e-3);
  const pieces = old.pieces.flatMap(({ id, from, to }) => {
    const key = keys.get(id);
    return key === undefined
      ? []
      : [{ id: key, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }];
  });
  if (!item?.id || pieces.length === 0) return undefined;
  return { id: randomUUID(), profile: old.profile, source: old.source, stock: item.id, pieces };
}

/** What is known of a stick that was ticked off: from the pin that a tick made, and the pieces as they are planned now. */
function recordOfPin(pin: NonNullable<ReturnType<typeof newPin>>, file: JobFile, digits: number): CutRecord {
  const list = pin.source === 'rack' ? (file.rack ?? []) : file.stock;
  const item = list.find((one) => one.id === pin.stock)!;
  const planned = new Map(planQuickly(file).pieces.map((piece) => [piece.id, piece]));
  let start = 0;
  const pieces = pin.pieces.map(({ id, from, to }) => {
    const now = planned.get(id);
    const near = from !== undefined && to !== undefined ? to - from : (now?.near ?? 0);
    const piece = {
      id,
      label: now?.label ?? '',
      near,
      left: now?.left.angle ?? 0,
      right: now?.right.angle ?? 0,
      start,
      ...(from === undefined ? {} : { from }),
      ...(to === undefined ? {} : { to }),
    };
    start += near;
    return piece;
  });
  return {
    id: randomUUID(),
    profile: pin.profile,
    source: pin.source,
    stock: pin.stock,
    ...('label' in item && item.label !== undefined ? { label: item.label } : {}),
    length: item.length,
    price: 'price' in item ? Math.round(item.price * 10 ** digits) : 0,
    pieces: pieces.filter((piece) => piece.near > 0),
    leftover: 0,
  };
}

/** The one settings document of a job becomes resources of their own, under identities instead of places. */
async function splitSettings(connection: PoolConnection, job: Row): Promise<void> {
  const id = String(job['id']);
  const old = fromJson<OldSettings>(job['settings']);
  const rooms = await rowsOf(
    connection,
    'SELECT id, name, survey FROM room WHERE job_id = :id AND deleted_at IS NULL ORDER BY position',
    { id },
  );
  const unit = job['unit'] as Unit;
  const walked = rooms
    .map((room) => ({
      ...fromJson<JobFile['rooms'][number]>(room['survey']),
      id: String(room['id']),
      name: String(room['name']),
    }))
    .filter((room) => room.walls.length > 0)
    .map((room) => ({ ...room, closed: room.closed && room.walls.length >= 3 }));
  const asFile = (list: readonly object[]): unknown => ({
    format: 'longmiter-job',
    version: 1,
    name: String(job['name']),
    unit,
    houseRules: old.houseRules,
    saw: old.saw,
    profiles: old.profiles,
    stock: old.stock,
    rack: old.rack,
    rooms: list,
  });
  // A job that today's checks would refuse keeps its settings; only its pins cannot be followed.
  const whole = checkJobFile(asFile(walked));
  const file = whole.ok ? whole : checkJobFile(asFile([]));
  if (!file.ok) throw new Error(`job ${id}: ${file.issues[0].at} ${plainText(file.issues[0].text)}`);
  const { settings, coin } = jobRecordsOf(file.value, starterSettings(unit));
  const keys = keysByOldId(file.value);
  const oldPins = old.choices?.pins ?? [];
  const pins = oldPins.flatMap((pin) => newPin(pin, file.value, keys) ?? []);
  const put = async (kind: string, part: string, position: number, value: unknown): Promise<void> => {
    await connection.query(
      'INSERT INTO job_part (job_id, kind, id, position, value) VALUES (:id, :kind, :part, :position, :value)',
      { id, kind, part, position, value: JSON.stringify(value) },
    );
  };
  const lists = {
    profiles: settings.profiles,
    stock: settings.stock,
    saws: settings.saws,
    rack: settings.rack,
    pins,
  };
  for (const [kind, list] of Object.entries(lists))
    for (const [index, item] of list.entries()) await put(kind, item.id, index + 1, item);
  await put('rules', '', 1, settings.houseRules);
  await put('choices', '', 1, {
    ...(old.choices?.allowance ? { spares: old.choices.allowance } : {}),
    ...old.choices?.materials,
    ...settings.choices,
  });
  const cut = await rowsOf(connection, 'SELECT stick_key FROM cut_stick WHERE job_id = :id', { id });
  for (const row of cut) {
    const pin = oldPins.find((one) => oldStickName(one.pieces) === String(row['stick_key']));
    const known = pin && newPin(pin, file.value, keys);
    const record = known && recordOfPin(known, file.value, coin.digits);
    if (record && record.pieces.length > 0)
      await connection.query('INSERT INTO cut_record (job_id, id, record) VALUES (:id, :record, :value)', {
        id,
        record: record.id,
        value: JSON.stringify(record),
      });
  }
  await connection.query('UPDATE job SET digits = :digits WHERE id = :id', {
    id,
    digits: coin.digits,
  });
}

export const UPGRADES: readonly Upgrade[] = [
  {
    number: 21,
    name: 'settings become resources',
    run: async (connection) => {
      const jobs = await rowsOf(
        connection,
        'SELECT id, name, unit, settings FROM job WHERE settings IS NOT NULL AND NOT EXISTS (SELECT 1 FROM job_part WHERE job_part.job_id = job.id)',
        {},
      );
      for (const job of jobs) {
        await connection.beginTransaction();
        try {
          await splitSettings(connection, job);
          await connection.commit();
        } catch (error) {
          await connection.rollback();
          throw error;
        }
      }
    },
  },
  {
    number: 22,
    name: 'sums of orders in coins',
    run: async (connection) => {
      // All or nothing: run again after a crash it must not count the same money twice.
      await connection.beginTransaction();
      await connection.query(
        'UPDATE supplier_order JOIN job ON job.id = supplier_order.job_id SET total_minor = ROUND(total * POW(10, job.digits)) WHERE total_minor = 0 AND total > 0',
      );
      const orders = await rowsOf(
        connection,
        'SELECT supplier_order.id, order_lines, digits FROM supplier_order JOIN job ON job.id = supplier_order.job_id',
        {},
      );
      for (const order of orders) {
        const lines = fromJson<{ price: number }[]>(order['order_lines']);
        const factor = 10 ** Number(order['digits']);
        const next = lines.map((line) => ({ ...line, price: Math.round(line.price * factor) }));
        await connection.query('UPDATE supplier_order SET order_lines = :lines WHERE id = :id', {
          id: String(order['id']),
          lines: JSON.stringify(next),
        });
      }
      await connection.query(
        "INSERT INTO migration (number, file, checksum) VALUES (22, 'sums of orders in coins', '')",
      );
      await connection.commit();
    },
    notesItself: true,
  },
];
