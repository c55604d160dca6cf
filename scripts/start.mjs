import { fork } from 'node:child_process';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { buildWeb } from './lib/build-web.mjs';
import { ensurePackages } from './lib/install.mjs';
import { startMariaDb } from './lib/mariadb.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm start`: installs what is missing, starts a private MariaDB, migrates, seeds the demo once, builds, serves and prints
 * the address. Ctrl-C stops the server first and the database last. With LONGMITER_DB_HOST set, that MariaDB is used instead.
 */

const data = process.env.LONGMITER_DATA ?? join(root, '.data');

let database;
let server;
let stopping = false;

async function stop(code) {
  if (stopping) return;
  stopping = true;
  if (server && server.exitCode === null && server.signalCode === null) {
    const gone = new Promise((resolve) => server.on('exit', resolve));
    server.kill('SIGTERM');
    await gone;
  }
  await database?.stop();
  process.exit(code);
}

process.on('SIGINT', () => void stop(0));
process.on('SIGTERM', () => void stop(0));

try {
  ensurePackages();
  const [main, web] = [await bundle('packages/server/src/main.ts', 'server'), await buildWeb()];
  if (!process.env.LONGMITER_DB_HOST) {
    database = await startMariaDb(data);
    void database.exited.then(() => {
      if (stopping) return;
      process.stderr.write(
        'The database ended unexpectedly. Nothing acknowledged is lost; run npm start again.\n',
      );
      void stop(1);
    });
  }
  server = fork(main, {
    cwd: root,
    // Its own process group, so that Ctrl-C is for this starter alone to pass on.
    detached: true,
    env: {
      ...process.env,
      ...database?.env,
      LONGMITER_WEB: web,
      LONGMITER_MIGRATIONS: join(root, 'packages', 'server', 'migrations'),
    },
  });
  server.on('exit', (code) => {
    if (stopping) return;
    process.stderr.write(
      'The server ended unexpectedly. Nothing acknowledged is lost; run npm start again.\n',
    );
    void stop(code || 1);
  });
} catch (error) {
  process.stderr.write(`${error.message}\n`);
  await stop(1);
}
