import { createWriteStream, existsSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { ConfigError, readConfig } from '../config.ts';
import { Database } from '../db/pool.ts';
import { BackupFault, readBackup, writeBackup } from '../backup/backup.ts';

/** `npm run backup -- FILE` and `npm run restore -- FILE`, on the database that the environment names. */

async function main(): Promise<void> {
  const [what, file, more] = process.argv.slice(2);
  if ((what !== 'backup' && what !== 'restore') || file === undefined || more !== undefined)
    throw new BackupFault('usage: npm run backup -- FILE, or npm run restore -- FILE');
  const { database: config, migrations } = readConfig(process.env);
  const database = new Database(config);
  try {
    if (what === 'restore') {
      if (!existsSync(file)) throw new BackupFault(`there is no file ${file}`);
      process.stdout.write(
        `${await readBackup(database.pool, migrations, file)} rows restored from ${file}\n`,
      );
    } else {
      if (existsSync(file)) throw new BackupFault(`${file} is there already: name another`);
      const rows = await writeBackup(database.pool, createWriteStream(file, { mode: 0o600 })).catch(
        async (error: unknown) => {
          await rm(file, { force: true });
          throw error;
        },
      );
      process.stdout.write(`${rows} rows saved in ${file}\n`);
    }
  } finally {
    await database.end();
  }
}

main().catch((error: unknown) => {
  const expected = error instanceof BackupFault || error instanceof ConfigError;
  process.stderr.write(`${expected ? error.message : ((error as Error).stack ?? String(error))}\n`);
  process.exitCode = expected ? 2 : 1;
});
