import { fork } from 'node:child_process';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { buildWeb } from './lib/build-web.mjs';
import { withPackages } from './lib/install.mjs';
import { startMariaDb } from './lib/mariadb.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm start`: installs what is missing, starts a private MariaDB, migrates, seeds the demo once, builds, serves and prints
 * the address. A server or database that ends by itself is started again. Ctrl-C, or the end of the terminal, stops the server
 * first and the database last. With LONGMITER_DB_HOST set, that MariaDB is used instead.
 */

const data = process.env.LONGMITER_DATA ?? join(root, '.data');

/** The server says by this code that starting it again cannot help: a wrong setting, a taken port. */
const HOPELESS = 78;
/** Pauses before another start, in milliseconds; they grow while it does not become ready. */
const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 30_000;
/** So many ends before it was ever ready: something is wrong that a person must see. */
const MOST_FAILS = 5;

// A closed terminal or a full disk must not end the starter before it has stopped the others.
process.stdout.on('error', () => undefined);
process.stderr.on('error', () => undefined);
const say = (text) => process.stderr.write(`${text}\n`);
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

let database;
let server;
let stopping;

/** Stops the server, then the database, whatever state they are in; once. */
function stop(code) {
  stopping ??= (async () => {
    if (server && server.exitCode === null && server.signalCode === null) {
      const gone = new Promise((resolve) => server.on('exit', resolve));
      server.kill('SIGTERM');
      const late = setTimeout(() => server.kill('SIGKILL'), 10_000);
      await gone;
      clearTimeout(late);
    }
    // One that is just being started stops by itself as soon as it can.
    await starting?.catch(() => undefined);
    await database?.stop();
    process.exit(code);
  })();
  return stopping;
}
let starting;

for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));

/** Starts something again and again, with growing pauses, until it is stopped or never becomes ready. */
async function keepRunning(name, start) {
  let fails = 0;
  let next = FIRST_PAUSE;
  while (!stopping) {
    const { ready, code } = await start();
    if (stopping) return;
    if (code === HOPELESS) return void stop(1);
    fails = ready ? 0 : fails + 1;
    if (fails >= MOST_FAILS) {
      say(
        `The ${name} ended ${MOST_FAILS} times before it was ready. Nothing acknowledged is lost; see the lines above.`,
      );
      return void stop(1);
    }
    say(`The ${name} ended unexpectedly. Nothing acknowledged is lost; it is started again.`);
    await pause(next);
    next = ready ? FIRST_PAUSE : Math.min(next * 2, LONGEST_PAUSE);
  }
}

/** Runs the server until it ends. */
const runServer = (main, web) => () =>
  new Promise((resolve) => {
    let ready = false;
    server = fork(main, {
      cwd: root,
      // Its own process group, so that Ctrl-C is for this starter alone to pass on.
      detached: true,
      env: {
        ...process.env,
        ...database?.env,
        LONGMITER_WEB: web,
        ...(database ? { LONGMITER_DATA_FOLDER: data } : {}),
        LONGMITER_BACKUPS: process.env.LONGMITER_BACKUPS ?? join(data, 'backups'),
        LONGMITER_MIGRATIONS: join(root, 'packages', 'server', 'migrations'),
      },
    });
    server.on('message', (message) => {
      ready ||= message?.listening !== undefined;
    });
    server.on('error', (error) => say(`The server could not be started: ${error.message}`));
    server.on('exit', (code) => resolve({ ready, code }));
  });

/** Waits for the end of the database, and starts it again on its port. */
const runDatabase = () => {
  let first = true;
  return async () => {
    let ready = true;
    if (!first) {
      starting = database.start();
      ready = await starting.then(
        () => true,
        (error) => (say(error.message), false),
      );
    }
    first = false;
    if (ready) await database.exited;
    return { ready, code: undefined };
  };
};

try {
  const [main, web] = await withPackages(async () => [
    await bundle('packages/server/src/main.ts', 'server'),
    await buildWeb(),
  ]);
  if (!process.env.LONGMITER_DB_HOST && !stopping) {
    starting = startMariaDb(data, { stopped: () => stopping !== undefined });
    database = await starting;
    void keepRunning('database', runDatabase());
  }
  if (!stopping) await keepRunning('server', runServer(main, web));
} catch (error) {
  if (!stopping) say(error.message);
  await stop(1);
}
