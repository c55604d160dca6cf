import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startMariaDb } from '../../../../scripts/lib/mariadb.mjs';

/** A MariaDB of the tests' own: fresh folder, free port; beside whatever else runs. */
export default async function startDatabase() {
  const folder = mkdtempSync(join(tmpdir(), 'lm-test-'));
  const database = await startMariaDb(folder);
  Object.assign(process.env, database.env, { LONGMITER_TEST_FOLDER: folder });
  globalThis.longMiterTestDatabase = database;
}
