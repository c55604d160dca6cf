import { fromJson } from './columns.ts';
import type { Db } from './pool.ts';

/** Changes that were applied, by the id their sender gave them. */
interface Command {
  readonly id: string;
  readonly route: string;
  readonly device: string;
  readonly status: number;
  readonly answer: unknown;
}

export async function findCommand(db: Db, id: string): Promise<Omit<Command, 'device'> | undefined> {
  const [row] = await db.rows('SELECT route, status, answer FROM command WHERE id = :id', { id });
  return (
    row && {
      id,
      route: String(row['route']),
      status: Number(row['status']),
      answer: row['answer'] === null ? undefined : fromJson(row['answer']),
    }
  );
}

export const keepCommand = (db: Db, command: Command): Promise<number> =>
  db.change(
    'INSERT INTO command (id, route, device, status, answer) VALUES (:id, :route, :device, :status, :answer)',
    { ...command, answer: command.answer === undefined ? null : JSON.stringify(command.answer) },
  );

/** Days after which no page can still be repeating a change. */
const KEPT_DAYS = 60;
export const forgetOldCommands = (db: Db): Promise<number> =>
  db.change('DELETE FROM command WHERE applied_at < CURRENT_TIMESTAMP(3) - INTERVAL :days DAY LIMIT 50000', {
    days: KEPT_DAYS,
  });
