import { join } from 'node:path';
import compression from 'compression';
import staticGzip from 'express-static-gzip';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { message, type JobEvent } from '@long-miter/core';
import type { Database } from './db/pool.ts';
import type { DeviceListener } from './features/devices/listener.ts';
import { followShops } from './features/shop/follow.ts';
import { SupplierStandIn } from './features/suppliers/stand-in.ts';
import { errorHandler, unknownAddress } from './http/error-handler.ts';
import { Hub } from './http/hub.ts';
import type { Disk } from './http/disk.ts';
import { guard } from './http/guard.ts';
import { limitRequests, type Limits } from './http/limits.ts';
import { keepChange } from './db/change-log.ts';
import { HttpProblem, invalid } from './http/problem.ts';
import { BackupFault, writeBackup } from './backup/backup.ts';
import { restoreFrom, type Restoring } from './backup/restore.ts';
import { mount } from './http/mount.ts';
import { openApi } from './openapi.ts';
import { routeTable } from './routes.ts';

/** Nothing may come from or go to another machine; the solver is WebAssembly, styles of the components are inline. */
const POLICY = {
  defaultSrc: ["'self'"],
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  styleSrc: ["'self'", "'unsafe-inline'"],
  imgSrc: ["'self'", 'data:'],
  fontSrc: ["'self'"],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  objectSrc: ["'none'"],
  baseUri: ["'self'"],
  formAction: ["'self'"],
  frameAncestors: ["'none'"],
};

interface AppOptions {
  /** Further names that it answers to. */
  readonly names?: readonly string[];
  /** Lets the first lead in. */
  readonly firstCode?: string | undefined;
  /** Whose headers on HTTPS and on who asks are believed. */
  readonly proxy?: string | undefined;
  /** It has a certificate of its own. */
  readonly secure?: boolean;
  /** Where the data lies: nothing is changed while it is nearly full. */
  readonly disk?: Disk;
  /** What one sender may ask for; without it as much as he likes. */
  readonly limits?: Limits | undefined;
  /** Whether one may look at it as anybody of the demo's crew. */
  readonly demo?: boolean;
  /** How a backup is put in the place of what is there; without it it cannot be from the page. */
  readonly restoring?: Omit<Restoring, 'database'> | undefined;
}

/** The whole server without its port: API under /api, the built page for everything else. */
export function createApp(
  database: Database,
  webFolder: string | undefined,
  devices: DeviceListener,
  suppliers = new SupplierStandIn(),
  { names = [], firstCode, proxy, secure = false, disk, limits, demo = false, restoring }: AppOptions = {},
): Express {
  const app = express();
  const hub = new Hub<JobEvent>();
  followShops(database, hub);
  app.disable('x-powered-by');
  if (proxy !== undefined) app.set('trust proxy', proxy);
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: POLICY },
      strictTransportSecurity: false,
    }),
  );
  // Browsers are told to stay with HTTPS only where it is there.
  app.use((request, response, next) => {
    if ((proxy !== undefined || secure) && request.secure)
      response.set('Strict-Transport-Security', 'max-age=15552000');
    next();
  });
  app.use(guard(names));
  if (limits) app.use('/api', ...limitRequests(limits));
  app.use(compression());
  // Answers whatever the database does: a starter or a proxy must be told, not kept waiting.
  app.get('/api/health', async (_request, response) => {
    const ok = await database.answers();
    response.status(ok ? 200 : 503).json({ ok });
  });
  let described: object | undefined;
  app.get('/api/openapi.json', (_request, response) => void response.json((described ??= openApi())));
  app.use(
    '/api',
    express.json({ limit: '6mb', strict: false }),
    mount(
      routeTable(hub, devices, suppliers, firstCode, demo, {
        backup: (response) => writeBackup(database.pool, response),
        restore: async (request, { actor }) => {
          if (!restoring) throw new HttpProblem('unavailable', message('server.no-folder-for-backups'));
          try {
            const done = await restoreFrom(request, { database, ...restoring });
            await keepChange(database, actor, { act: 'POST /backup', about: `${done.rows} rows` });
            return done;
          } catch (error) {
            if (error instanceof BackupFault) throw invalid([{ at: '', text: error.message }]);
            throw error;
          }
        },
      }),
      database,
      hub,
      disk,
    ),
    unknownAddress,
  );
  if (webFolder !== undefined) {
    // Built assets carry a hash in their name and never change; the page itself is asked for again each time.
    app.use(
      '/assets',
      staticGzip(join(webFolder, 'assets'), {
        // The builder has put both beside each file: nothing is compressed while somebody waits.
        enableBrotli: true,
        orderPreference: ['br', 'gz'],
        index: false,
        serveStatic: { immutable: true, maxAge: '1y' },
      }),
      unknownAddress,
    );
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*page}', (_request, response) =>
      // Named from its root: the folder itself may lie under one whose name begins with a dot.
      response.sendFile('index.html', { root: webFolder, headers: { 'Cache-Control': 'no-cache' } }),
    );
  }
  app.use(unknownAddress);
  app.use(errorHandler);
  return app;
}
