import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, connect } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { ensureMariaDb } from './install.mjs';

/** A private MariaDB on loopback: its own data folder, its own port, durable settings. */

const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** A port that is free just now on loopback. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

const answers = (socket) =>
  new Promise((resolve) => {
    const probe = connect(socket);
    probe.on('connect', () => (probe.destroy(), resolve(true)));
    probe.on('error', () => resolve(false));
  });

const alive = (pid) => {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
};

const readNumber = (file) => (existsSync(file) ? Number(readFileSync(file, 'utf8').trim()) : NaN);

/** Socket paths are limited to 107 bytes, so the socket lives in the temporary folder, named after the data folder. */
const socketOf = (folder) =>
  join(tmpdir(), `long-miter-${createHash('sha256').update(folder).digest('hex').slice(0, 12)}.sock`);

/** Programs called from a shell may find the data folder held by a database whose starter was killed: that one is stopped. */
async function stopOrphan(folder, socket) {
  if (!(await answers(socket))) return;
  const starter = readNumber(join(folder, 'starter.pid'));
  if (alive(starter))
    throw new Error(
      `Long Miter already runs on this data (process ${starter}); stop it first or set LONGMITER_DATA to another folder`,
    );
  const pid = readNumber(join(folder, 'db', 'db.pid'));
  if (!alive(pid)) throw new Error(`another database answers at ${socket}`);
  process.kill(pid, 'SIGTERM');
  for (let i = 0; i < 200 && alive(pid); i++) await sleep(50);
}

function initialise(folder, user) {
  if (existsSync(join(folder, 'db', 'mysql'))) return;
  // Made aside and moved into place: one that was broken off must not look like one that is whole.
  const data = join(folder, 'db.new');
  rmSync(data, { recursive: true, force: true });
  mkdirSync(data, { recursive: true });
  const made = spawnSync(
    'mariadb-install-db',
    ['--no-defaults', `--user=${user}`, `--datadir=${data}`, '--innodb-log-file-size=32M', '--skip-test-db'],
    { encoding: 'utf8' },
  );
  if (made.status !== 0)
    throw new Error(
      `the database folder could not be made: ${made.stderr || made.stdout || made.error?.message}`,
    );
  rmSync(join(folder, 'db'), { recursive: true, force: true });
  renameSync(data, join(folder, 'db'));
}

/** The application's own login: made once, kept beside the data, readable by its owner only. */
function passwordOf(folder) {
  const file = join(folder, 'password');
  if (!existsSync(file)) writeFileSync(file, randomBytes(24).toString('hex'), { mode: 0o600 });
  return readFileSync(file, 'utf8').trim();
}

function grant(socket, user, password) {
  const sql = `
    CREATE DATABASE IF NOT EXISTS longmiter CHARACTER SET utf8mb4;
    CREATE USER IF NOT EXISTS 'app'@'127.0.0.1';
    ALTER USER 'app'@'127.0.0.1' IDENTIFIED BY '${password}';
    GRANT ALL ON \`longmiter%\`.* TO 'app'@'127.0.0.1';`;
  const done = spawnSync('mariadb', ['--no-defaults', `--socket=${socket}`, `--user=${user}`], {
    input: sql,
    encoding: 'utf8',
  });
  if (done.status !== 0) throw new Error(`the database login could not be made: ${done.stderr}`);
}

/** Starts the database's process and waits until it answers. */
function launch(folder, user, socket, port) {
  const data = join(folder, 'db');
  const child = spawn(
    'mariadbd',
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${data}`,
      '--innodb-log-file-size=32M',
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      `--socket=${socket}`,
      `--pid-file=${join(data, 'db.pid')}`,
      `--log-error=${join(data, 'error.log')}`,
      '--skip-name-resolve',
      '--skip-log-bin',
      '--character-set-server=utf8mb4',
      '--default-time-zone=+00:00',
      '--sql-mode=STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION',
      '--innodb-flush-log-at-trx-commit=1',
      '--innodb-buffer-pool-size=128M',
      '--innodb-snapshot-isolation=ON',
    ],
    // Detached: Ctrl-C reaches only the starter, which stops the server first and the database last.
    { stdio: 'ignore', detached: true },
  );
  const running = { child, ended: false, exited: undefined };
  running.exited = new Promise((resolve) => {
    const end = (code) => {
      running.ended = true;
      resolve(code);
    };
    child.on('exit', end);
    child.on('error', end);
  });
  return running;
}

const envOf = (port, password) => ({
  LONGMITER_DB_HOST: '127.0.0.1',
  LONGMITER_DB_PORT: String(port),
  LONGMITER_DB_USER: 'app',
  LONGMITER_DB_PASSWORD: password,
  LONGMITER_DB_NAME: 'longmiter',
});

/** How to reach the database that runs on a folder for a starter; undefined where none does. */
export async function runningMariaDb(folder) {
  if (!(await answers(socketOf(folder))) || !alive(readNumber(join(folder, 'starter.pid')))) return undefined;
  const port = readNumber(join(folder, 'db.port'));
  return Number.isNaN(port) ? undefined : { env: envOf(port, passwordOf(folder)) };
}

/**
 * Starts MariaDB on a folder (made when new) and waits until it answers. Whoever stops it before then passes `stopped`, which
 * says whether to give up.
 * @returns how to reach it, its process, a promise of its end, and ways to start it again on the same port and to stop it
 */
export async function startMariaDb(folder, { stopped = () => false } = {}) {
  ensureMariaDb();
  mkdirSync(folder, { recursive: true });
  const user = userInfo().username;
  const socket = socketOf(folder);
  await stopOrphan(folder, socket);
  writeFileSync(join(folder, 'starter.pid'), String(process.pid));
  initialise(folder, user);
  const port = await freePort();
  const password = passwordOf(folder);
  let running;
  /** Until it answers or has ended. */
  const settled = async (one) => {
    for (let i = 0; i < 600 && !one.ended && !(await answers(socket)); i++) await sleep(50);
  };
  const stop = async () => {
    if (!running) return;
    // MariaDB hangs for good when it is told to stop while it is still starting.
    await settled(running);
    if (!running.ended) running.child.kill('SIGTERM');
    const late = setTimeout(() => running.child.kill('SIGKILL'), 60_000);
    await running.exited;
    clearTimeout(late);
  };
  const start = async () => {
    running = launch(folder, user, socket, port);
    await settled(running);
    if (stopped()) {
      await stop();
      throw new Error('Stopped before the database was ready.');
    }
    if (running.ended)
      throw new Error(`MariaDB did not start; the reason is in ${join(folder, 'db', 'error.log')}`);
    grant(socket, user, password);
    writeFileSync(join(folder, 'db.port'), String(port));
  };
  if (stopped()) throw new Error('Stopped before the database was started.');
  await start();
  return {
    env: envOf(port, password),
    get pid() {
      return running.child.pid;
    },
    get exited() {
      return running.exited;
    },
    start,
    stop,
  };
}
