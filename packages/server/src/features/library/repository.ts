import type { KeptTrim, LibraryKit, LibraryTrim } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';

export async function listTrims(db: Db): Promise<KeptTrim[]> {
  const rows = await db.rows('SELECT content, kept_at FROM library_trim ORDER BY id');
  return rows
    .map((row) => ({
      ...fromJson<LibraryTrim>(row['content']),
      keptAt: (row['kept_at'] as Date).toISOString(),
    }))
    .sort(
      (a, b) => a.profile.use.localeCompare(b.profile.use) || a.profile.name.localeCompare(b.profile.name),
    );
}

export const keepTrim = (db: Db, trim: LibraryTrim): Promise<number> =>
  db.change(
    `INSERT INTO library_trim (id, content) VALUES (:id, :content)
     ON DUPLICATE KEY UPDATE content = VALUES(content), kept_at = CURRENT_TIMESTAMP(3)`,
    { id: trim.id, content: JSON.stringify(trim) },
  );

export const dropTrim = (db: Db, id: string): Promise<number> =>
  db.change('DELETE FROM library_trim WHERE id = :id', { id });

export async function listKits(db: Db): Promise<LibraryKit[]> {
  return (await db.rows('SELECT content FROM library_kit ORDER BY id'))
    .map((row) => fromJson<LibraryKit>(row['content']))
    .sort((a, b) => a.kind.localeCompare(b.kind) || a.name.localeCompare(b.name));
}

/** Keeps a kit under its id, in place of what was there. */
export const keepKit = (db: Db, kit: LibraryKit): Promise<number> =>
  db.change(
    `INSERT INTO library_kit (id, content) VALUES (:id, :content)
     ON DUPLICATE KEY UPDATE content = VALUES(content), kept_at = CURRENT_TIMESTAMP(3)`,
    { id: kit.id, content: JSON.stringify(kit) },
  );

export const dropKit = (db: Db, id: string): Promise<number> =>
  db.change('DELETE FROM library_kit WHERE id = :id', { id });
