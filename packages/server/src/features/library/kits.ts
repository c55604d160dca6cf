import { libraryKitsAnswer, libraryKitSchema, type LibraryKit } from '@long-miter/core';
import { fromJson } from '../../db/columns.ts';
import type { Db } from '../../db/pool.ts';
import { invalid } from '../../http/problem.ts';
import { route, type Route } from '../../http/route.ts';

async function listKits(db: Db): Promise<LibraryKit[]> {
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

/** Kits of the Library, for any job. */
export const kitRoutes: readonly Route[] = [
  route({
    method: 'GET',
    path: '/kits',
    role: 'read',
    about: 'Kits of the Library: how openings are dressed, with the profiles of their parts',
    answer: libraryKitsAnswer,
    handle: ({ db }) => listKits(db),
  }),
  route({
    method: 'PUT',
    path: '/kits/:kit',
    role: 'lead',
    about: 'Keeps a kit in the Library, as it is now',
    body: libraryKitSchema,
    answer: libraryKitsAnswer,
    handle: async ({ db, note }, { params, body }) => {
      if (body.id !== params['kit']) throw invalid([{ at: '/id', text: 'is not the id in the address' }]);
      await keepKit(db, body);
      note({ about: body.name });
      return listKits(db);
    },
  }),
  route({
    method: 'DELETE',
    path: '/kits/:kit',
    role: 'lead',
    about: 'Takes a kit out of the Library; openings keep theirs',
    answer: undefined,
    handle: async ({ db }, { params }) =>
      void (await db.change('DELETE FROM library_kit WHERE id = :id', { id: params['kit']! })),
  }),
];
