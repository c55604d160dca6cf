import type { CrewSaw, Saw, Unit } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

export async function listSaws(db: Db): Promise<CrewSaw[]> {
  return (await db.rows('SELECT unit, saw, kept_at FROM crew_saw ORDER BY id')).map((row) => ({
    unit: row['unit'] as Unit,
    saw: fromJson<Saw>(row['saw']),
    keptAt: (row['kept_at'] as Date).toISOString(),
  }));
}

export const keepSaw = (db: Db, { unit, saw }: Omit<CrewSaw, 'keptAt'>): Promise<number> =>
  db.change(
    `INSERT INTO crew_saw (id, unit, saw) VALUES (:id, :unit, :saw)
     ON DUPLICATE KEY UPDATE unit = VALUES(unit), saw = VALUES(saw), kept_at = CURRENT_TIMESTAMP(3)`,
    { id: saw.id, unit, saw: JSON.stringify(saw) },
  );

export const dropSaw = (db: Db, id: string): Promise<number> =>
  db.change('DELETE FROM crew_saw WHERE id = :id', { id });
