import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import type { RowDataPacket } from 'mysql2/promise';
import type { AccessToken, CrewRole, DeviceSession, Me, Member } from '@long-miter/core';
import type { Db } from '../../db/pool.ts';

/** Accounts, sessions and invitations as they are kept. Secrets are kept as hashes only. */

/** Source: OWASP's lowest setting for argon2id; about 75 ms here, off the main thread. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
/** Days that a session lasts without being used. */
const SESSION_DAYS = 60;
/** A session that was seen this lately is not written again for being seen. */
const SEEN_EVERY = 60_000;

const newToken = (): string => randomBytes(32).toString('base64url');
const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();
export const hashPassword = (password: string): Promise<string> => hash(password, COST);

/** Compared where there is no such account, so that an unknown name takes as long as a known one. */
const NOBODY = hash(randomBytes(16).toString('hex'), COST);
NOBODY.catch(() => undefined);

const meOf = (row: RowDataPacket): Me => ({
  id: String(row['account_id'] ?? row['id']),
  name: String(row['name']),
  role: row['role'] as CrewRole,
  ...(row['job_id'] === null ? {} : { job: String(row['job_id']) }),
});

const LIVES =
  'account.removed_at IS NULL AND (account.expires_at IS NULL OR account.expires_at > CURRENT_TIMESTAMP(3))';

/** Whether anybody has ever had an account here. */
export async function anyAccount(db: Db): Promise<boolean> {
  return (await db.rows('SELECT 1 FROM account WHERE NOT demo LIMIT 1')).length > 0;
}

/** Somebody of the demo's crew, called by the role, who can only be looked at it as: there is no password for it. */
export async function demoAccount(db: Db, role: CrewRole, job: string | undefined): Promise<Me> {
  const name = `${role[0]!.toUpperCase()}${role.slice(1)}`;
  const find = async () =>
    (await db.rows(`SELECT * FROM account WHERE demo AND role = :role AND ${LIVES}`, { role }))[0];
  const known = await find();
  if (known && (role !== 'guest' || known['job_id'] === job)) return meOf(known);
  if (known) await removeAccount(db, String(known['id']));
  await db.change(
    `INSERT INTO account (id, name, role, password, job_id, demo) VALUES (:id, :name, :role, '', :job, TRUE)`,
    { id: randomUUID(), name, role, job: job ?? null },
  );
  return meOf((await find())!);
}

/** The demo's crew goes when the first account is made. */
export async function dropDemo(db: Db): Promise<void> {
  for (const row of await db.rows('SELECT id FROM account WHERE demo AND removed_at IS NULL'))
    await removeAccount(db, String(row['id']));
}

/** Names of the crew. */
export async function selectPeople(db: Db): Promise<{ id: string; name: string }[]> {
  const rows = await db.rows(
    `SELECT id, name FROM account WHERE role <> 'guest' AND ${LIVES} ORDER BY name, id`,
  );
  return rows.map((row) => ({ id: String(row['id']), name: String(row['name']) }));
}

export async function selectMembers(db: Db): Promise<Member[]> {
  const rows = await db.rows(`SELECT * FROM account WHERE ${LIVES} ORDER BY created_at, id`);
  return rows.map((row) => ({
    ...meOf(row),
    createdAt: (row['created_at'] as Date).toISOString(),
    ...(row['expires_at'] === null ? {} : { expires: (row['expires_at'] as Date).toISOString() }),
  }));
}

/** The account of a name and password; undefined where they do not go together, whatever the reason, in the same time. */
export async function accountFor(db: Db, name: string, password: string): Promise<Me | undefined> {
  const [row] = await db.rows(`SELECT * FROM account WHERE live_name = :name AND NOT demo AND ${LIVES}`, {
    name,
  });
  const good = await verify(row ? String(row['password']) : await NOBODY, password);
  return row && good ? meOf(row) : undefined;
}

export async function nameTaken(db: Db, name: string): Promise<boolean> {
  return (await db.rows('SELECT 1 FROM account WHERE live_name = :name', { name })).length > 0;
}

export async function insertAccount(
  db: Db,
  {
    name,
    role,
    password,
    job,
    days,
  }: { name: string; role: CrewRole; password: string; job?: string; days?: number },
): Promise<Me> {
  const id = randomUUID();
  await db.change(
    `INSERT INTO account (id, name, role, password, job_id, expires_at)
     VALUES (:id, :name, :role, :password, :job, IF(:days IS NULL, NULL, CURRENT_TIMESTAMP(3) + INTERVAL :days DAY))`,
    { id, name, role, password, job: job ?? null, days: days ?? null },
  );
  return { id, name, role, ...(job === undefined ? {} : { job }) };
}

/** The account, its row held until the transaction ends. */
export async function holdAccount(db: Db, id: string): Promise<Me | undefined> {
  const [row] = await db.rows(`SELECT * FROM account WHERE id = :id AND ${LIVES} FOR UPDATE`, { id });
  return row && meOf(row);
}

/** How many leads there are, all their rows held by being written, on any node: the last one stays. */
export const holdLeads = (db: Db): Promise<number> =>
  db.change(`UPDATE account SET turn = turn + 1 WHERE role = 'lead' AND NOT demo AND ${LIVES}`);

export const setRole = (db: Db, id: string, role: CrewRole): Promise<number> =>
  db.change('UPDATE account SET role = :role WHERE id = :id', { id, role });

export async function removeAccount(db: Db, id: string): Promise<void> {
  await db.change('UPDATE account SET removed_at = CURRENT_TIMESTAMP(3) WHERE id = :id', { id });
  await db.change('DELETE FROM session WHERE account_id = :id', { id });
  await db.change('DELETE FROM access_token WHERE account_id = :id', { id });
}

/** Begins a session. @returns the token for the cookie, which is kept nowhere else */
export async function beginSession(db: Db, account: string, device: string): Promise<string> {
  const token = newToken();
  await db.change('DELETE FROM session WHERE expires_at < CURRENT_TIMESTAMP(3)');
  await db.change(
    `INSERT INTO session (token_hash, id, account_id, device, expires_at)
     VALUES (:hash, :id, :account, :device, CURRENT_TIMESTAMP(3) + INTERVAL ${SESSION_DAYS} DAY)`,
    { hash: hashOf(token), id: randomUUID(), account, device },
  );
  return token;
}

/** Who a token stands for, while its session and its account live; a session that is used lasts. */
export async function sessionOf(
  db: Db,
  token: string,
): Promise<{ me: Me; hash: string; device: string; demo: boolean } | undefined> {
  const own = hashOf(token);
  const [row] = await db.rows(
    `SELECT session.seen_at, session.device, account.demo, account.id AS account_id, account.name, account.role, account.job_id
     FROM session JOIN account ON account.id = session.account_id
     WHERE session.token_hash = :own AND session.expires_at > CURRENT_TIMESTAMP(3) AND ${LIVES}`,
    { own },
  );
  if (!row) return undefined;
  if (Date.now() - (row['seen_at'] as Date).getTime() > SEEN_EVERY)
    await db.change(
      `UPDATE session SET seen_at = CURRENT_TIMESTAMP(3), expires_at = CURRENT_TIMESTAMP(3) + INTERVAL ${SESSION_DAYS} DAY
       WHERE token_hash = :own`,
      { own },
    );
  return {
    me: meOf(row),
    hash: own.toString('hex'),
    device: String(row['device']),
    demo: Boolean(row['demo']),
  };
}

/** Tokens of programs begin so, that they are known for what they are where they should not stand. */
const TOKEN_MARK = 'lmt_';

/** Who a program's token stands for, with the role it was given. */
export async function tokenOf(
  db: Db,
  token: string,
): Promise<{ me: Me; hash: string; device: string; demo: boolean } | undefined> {
  const own = hashOf(token);
  const [row] = await db.rows(
    `SELECT access_token.seen_at, access_token.name AS device, access_token.role, account.id AS account_id, account.name, account.job_id
     FROM access_token JOIN account ON account.id = access_token.account_id
     WHERE access_token.token_hash = :own AND ${LIVES} AND (account.role = 'lead' OR account.role = access_token.role)`,
    { own },
  );
  if (!row) return undefined;
  const seen = row['seen_at'] as Date | null;
  if (seen === null || Date.now() - seen.getTime() > SEEN_EVERY)
    await db.change('UPDATE access_token SET seen_at = CURRENT_TIMESTAMP(3) WHERE token_hash = :own', {
      own,
    });
  return {
    me: meOf(row),
    hash: own.toString('hex'),
    device: `program: ${String(row['device'])}`,
    demo: false,
  };
}

/** @returns the token, which is kept nowhere else */
export async function insertToken(db: Db, account: string, name: string, role: CrewRole): Promise<string> {
  const token = `${TOKEN_MARK}${newToken()}`;
  await db.change(
    'INSERT INTO access_token (token_hash, id, account_id, name, role) VALUES (:hash, :id, :account, :name, :role)',
    { hash: hashOf(token), id: randomUUID(), account, name, role },
  );
  return token;
}

export async function listTokens(db: Db, account: string): Promise<AccessToken[]> {
  const rows = await db.rows(
    'SELECT * FROM access_token WHERE account_id = :account ORDER BY created_at, id',
    {
      account,
    },
  );
  return rows.map((row) => ({
    id: String(row['id']),
    name: String(row['name']),
    role: row['role'] as CrewRole,
    createdAt: (row['created_at'] as Date).toISOString(),
    ...(row['seen_at'] === null ? {} : { seenAt: (row['seen_at'] as Date).toISOString() }),
  }));
}

export const deleteToken = (db: Db, account: string, id: string): Promise<number> =>
  db.change('DELETE FROM access_token WHERE account_id = :account AND id = :id', { account, id });

/** Of these sessions and tokens those that live, each with the role it has now. */
export async function sessionsAlive(db: Db, hashes: readonly string[]): Promise<Map<string, CrewRole>> {
  const rows = await db.rows(
    `SELECT session.token_hash, account.role FROM session JOIN account ON account.id = session.account_id
     WHERE session.token_hash IN (:hashes) AND session.expires_at > CURRENT_TIMESTAMP(3) AND ${LIVES}
     UNION ALL
     SELECT access_token.token_hash, access_token.role FROM access_token JOIN account ON account.id = access_token.account_id
     WHERE access_token.token_hash IN (:hashes) AND ${LIVES} AND (account.role = 'lead' OR account.role = access_token.role)`,
    { hashes: hashes.map((one) => Buffer.from(one, 'hex')) },
  );
  return new Map(rows.map((row) => [(row['token_hash'] as Buffer).toString('hex'), row['role'] as CrewRole]));
}

export const endSession = (db: Db, hash: string): Promise<number> =>
  db.change('DELETE FROM session WHERE token_hash = :hash', { hash: Buffer.from(hash, 'hex') });

export const deleteOwnSession = (db: Db, account: string, id: string): Promise<number> =>
  db.change('DELETE FROM session WHERE account_id = :account AND id = :id', { account, id });

export async function listSessions(
  db: Db,
  account: string,
  here: string | undefined,
): Promise<DeviceSession[]> {
  const rows = await db.rows('SELECT * FROM session WHERE account_id = :account ORDER BY seen_at DESC', {
    account,
  });
  return rows.map((row) => ({
    id: String(row['id']),
    device: String(row['device']),
    createdAt: (row['created_at'] as Date).toISOString(),
    seenAt: (row['seen_at'] as Date).toISOString(),
    here: (row['token_hash'] as Buffer).toString('hex') === here,
  }));
}

export async function insertInvitation(
  db: Db,
  { role, job, by, days }: { role: CrewRole; job: string | undefined; by: string; days: number },
): Promise<{ token: string; expires: string }> {
  const token = newToken();
  const expires = new Date(Date.now() + days * 24 * 60 * 60_000);
  await db.change(
    `INSERT INTO invitation (token_hash, role, job_id, invited_by, days, expires_at)
     VALUES (:hash, :role, :job, :by, :days, :expires)`,
    { hash: hashOf(token), role, job: job ?? null, by, days, expires },
  );
  return { token, expires: expires.toISOString() };
}

/** Uses an invitation up. @returns what it invites to; undefined where it is unknown, used or too late */
export async function useInvitation(
  db: Db,
  token: string,
): Promise<{ role: CrewRole; job: string | undefined; days: number } | undefined> {
  const own = hashOf(token);
  const used = await db.change(
    'UPDATE invitation SET used_at = CURRENT_TIMESTAMP(3) WHERE token_hash = :own AND used_at IS NULL AND expires_at > CURRENT_TIMESTAMP(3)',
    { own },
  );
  if (used === 0) return undefined;
  const [row] = await db.rows('SELECT role, job_id, days FROM invitation WHERE token_hash = :own', { own });
  return {
    role: row!['role'] as CrewRole,
    job: (row!['job_id'] as string | null) ?? undefined,
    days: Number(row!['days']),
  };
}
