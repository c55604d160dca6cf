import { randomInt } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { createApp } from './app.ts';
import { ConfigError, readConfig, type Config } from './config.ts';
import { forgetOldCommands } from './db/commands.ts';
import { migrate } from './db/migrate.ts';
import { Database } from './db/pool.ts';
import { seedDemo } from './demo/seed.ts';
import { allowSuppliers } from './features/suppliers/client.ts';
import { nameStandIns } from './features/suppliers/service.ts';
import { SupplierStandIn } from './features/suppliers/stand-in.ts';
import { anyAccount } from './features/crew/accounts.ts';
import { DeviceListener } from './features/devices/listener.ts';
import { contextOf } from './http/context.ts';
import { backupBeforeMigration, scheduleBackups } from './backup/schedule.ts';
import { Disk } from './http/disk.ts';
import { Hub } from './http/hub.ts';

/** Starts the server: migrates, seeds, listens, tells its parent the address, and stops cleanly when asked or orphaned. */

// A log that cannot be written (full disk, closed pipe) must not end the server.
process.stdout.on('error', () => undefined);
process.stderr.on('error', () => undefined);

/** Ends the process with a line that says why; the starter does not try again what cannot get better by itself. */
const HOPELESS = 78;
function giveUp(text: string, code = 1): never {
  process.stderr.write(`${text}\n`);
  process.exit(code);
}

function config(): Config {
  try {
    return readConfig(process.env);
  } catch (error) {
    if (error instanceof ConfigError) giveUp(error.message, HOPELESS);
    throw error;
  }
}

const { port, host: wanted, webFolder, names, proxy, ...settings } = config();
const database = new Database(settings.database);
const own = contextOf(database, new Hub(), { kind: 'device', id: 'server' });
try {
  if (settings.backups) {
    const { folder, keep } = settings.backups;
    const made = await backupBeforeMigration(database.pool, settings.migrations, folder, keep);
    if (made !== undefined)
      process.stdout.write(`Before the database is brought up to date it was saved as ${made}\n`);
  }
  await migrate(database.pool, settings.migrations);
  await forgetOldCommands(database);
  if (settings.seedDemo) await seedDemo(own);
} catch (error) {
  giveUp(`Long Miter cannot use its database: ${(error as Error).message}`);
}

/** Letters and digits that cannot be taken for each other. */
const CODE = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const isLocal = wanted === '127.0.0.1' || wanted === 'localhost' || wanted === '::1';
let closed: boolean;
try {
  closed = await anyAccount(database);
} catch (error) {
  giveUp(`Long Miter cannot use its database: ${(error as Error).message}`);
}
const firstCode = closed ? undefined : Array.from({ length: 8 }, () => CODE[randomInt(CODE.length)]).join('');
// Without an account everything is open: to this machine only.
const host = closed || isLocal ? wanted : '127.0.0.1';

const devices = new DeviceListener();
if (settings.devicePort !== undefined) await devices.listen(settings.devicePort);
allowSuppliers(settings.suppliers);
const suppliers = new SupplierStandIn();
if (settings.supplierPort !== undefined)
  await nameStandIns(own, await suppliers.listen(settings.supplierPort));
const app = createApp(database, webFolder, devices, suppliers, {
  names,
  firstCode,
  proxy,
  secure: settings.certificate !== undefined,
  limits: settings.limits,
  demo: settings.seedDemo,
  disk: new Disk(settings.dataFolder),
  restoring: settings.backups && {
    config: settings.database,
    migrations: settings.migrations,
    backups: settings.backups,
  },
});
function secureServer(files: { cert: string; key: string }) {
  try {
    return createSecureServer({ cert: readFileSync(files.cert), key: readFileSync(files.key) }, app);
  } catch (error) {
    giveUp(`The certificate cannot be used: ${(error as Error).message}`, HOPELESS);
  }
}
const server = settings.certificate ? secureServer(settings.certificate) : createServer(app);
const scheme = settings.certificate ? 'https' : 'http';
// Requests that never come whole are not waited for.
server.headersTimeout = 20_000;
server.requestTimeout = 60_000;
server.on('clientError', (_error, socket) => socket.destroy());
server.on('error', (error: NodeJS.ErrnoException) =>
  giveUp(
    error.code === 'EADDRINUSE'
      ? `Port ${port} is taken; set LONGMITER_PORT to another.`
      : `Long Miter cannot listen on ${host}:${port}: ${error.message}`,
    HOPELESS,
  ),
);
server.listen(port, host, () => {
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  process.send?.({ listening: `${scheme}://${host}:${at}` });
  process.stdout.write(`Long Miter is at ${scheme}://${host}:${at}\n`);
  if (firstCode !== undefined)
    process.stdout.write(
      `Nobody has an account yet, so it is open to this machine${isLocal ? '' : ` only, not to ${wanted}`}. The lead makes the first one at ${scheme}://${host}:${at}/crew with the code ${firstCode}.${isLocal ? '' : ' Start it again after that.'}\n`,
    );
});

const noBackups = settings.backups
  ? scheduleBackups(database.pool, settings.backups.folder, settings.backups.keep, (line) =>
      process.stderr.write(`${line}\n`),
    )
  : () => undefined;
let stopping = false;
const stop = (): void => {
  if (stopping) return;
  stopping = true;
  noBackups();
  devices.close();
  suppliers.close();
  const end = (): void => process.exit(0);
  server.close(() => void database.end().then(end, end));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 1500).unref();
  // A database that no longer answers keeps nobody from stopping.
  setTimeout(end, 5000).unref();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
process.on('SIGHUP', stop);
// The starter holds this channel open; when it is gone nothing is left that could stop us.
process.on('disconnect', stop);
// Nothing a stranger sends ends the server: what nobody waited for is written down and the rest goes on.
process.on('unhandledRejection', (reason) => {
  process.stderr.write(`unhandled: ${(reason as Error)?.stack ?? String(reason)}\n`);
});
process.on('uncaughtException', (error) => {
  process.stderr.write(`uncaught: ${error.stack ?? String(error)}\n`);
});
