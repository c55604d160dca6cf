import { createServer } from 'node:http';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { migrate } from './db/migrate.ts';
import { openPool } from './db/pool.ts';
import { seedDemo } from './demo/seed.ts';
import { nameStandIns } from './features/suppliers/service.ts';
import { SupplierStandIn } from './features/suppliers/stand-in.ts';
import { DeviceListener } from './features/devices/listener.ts';

/** Starts the server: migrates, seeds, listens, tells its parent the address, and stops cleanly when asked or orphaned. */

const config = readConfig(process.env);
const pool = openPool(config.database);
try {
  await migrate(pool, config.migrations);
  if (config.seedDemo) await seedDemo(pool);
} catch (error) {
  process.stderr.write(`Long Miter cannot use its database: ${(error as Error).message}\n`);
  process.exit(1);
}

const devices = new DeviceListener();
if (config.devicePort !== undefined) await devices.listen(config.devicePort);
const suppliers = new SupplierStandIn();
if (config.supplierPort !== undefined) await nameStandIns(pool, await suppliers.listen(config.supplierPort));
const server = createServer(createApp(pool, config.webFolder, devices, suppliers));
server.on('error', (error: NodeJS.ErrnoException) => {
  process.stderr.write(
    error.code === 'EADDRINUSE'
      ? `Port ${config.port} is taken; set LONGMITER_PORT to another.\n`
      : `${error.message}\n`,
  );
  process.exit(1);
});
server.listen(config.port, config.host, () => {
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  process.send?.({ listening: `http://${config.host}:${port}` });
  process.stdout.write(`Long Miter is at http://${config.host}:${port}\n`);
});

let stopping = false;
const stop = (): void => {
  if (stopping) return;
  stopping = true;
  devices.close();
  suppliers.close();
  server.close(() => void pool.end().finally(() => process.exit(0)));
  server.closeIdleConnections();
  setTimeout(() => server.closeAllConnections(), 2000).unref();
};
process.on('SIGTERM', stop);
process.on('SIGINT', stop);
// The starter holds this channel open; when it is gone nothing is left that could stop us.
process.on('disconnect', stop);
