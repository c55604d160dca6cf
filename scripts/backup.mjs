import { spawnSync } from 'node:child_process';
import { join, resolve } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { withPackages } from './lib/install.mjs';
import { runningMariaDb, startMariaDb } from './lib/mariadb.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm run backup -- FILE` saves everything in one file, whether the application runs or not; `npm run restore -- FILE` fills a new
 * data folder (LONGMITER_DATA) from one. With LONGMITER_DB_HOST set, that MariaDB is used instead.
 */
const data = process.env.LONGMITER_DATA ?? join(root, '.data');
const [what, file] = process.argv.slice(2);
try {
  const main = await withPackages(() => bundle('packages/server/src/headless/backup.ts', 'backup'));
  const running = process.env.LONGMITER_DB_HOST ? { env: {} } : await runningMariaDb(data);
  const own = running ? undefined : await startMariaDb(data);
  const done = spawnSync(process.execPath, [main, what, ...(file === undefined ? [] : [resolve(file)])], {
    stdio: 'inherit',
    env: {
      ...process.env,
      ...(running ?? own).env,
      LONGMITER_MIGRATIONS: join(root, 'packages', 'server', 'migrations'),
    },
  });
  await own?.stop();
  process.exitCode = done.status ?? 1;
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
}
