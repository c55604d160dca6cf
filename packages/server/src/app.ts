import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Pool } from 'mysql2/promise';
import type { DeviceListener } from './features/devices/listener.ts';
import { deviceRoutes } from './features/devices/routes.ts';
import { jobRoutes } from './features/jobs/routes.ts';
import { rackRoutes } from './features/rack/routes.ts';
import { ruleRoutes } from './features/rules/routes.ts';
import { supplierRoutes } from './features/suppliers/routes.ts';
import { SupplierStandIn } from './features/suppliers/stand-in.ts';
import { errorHandler, unknownAddress } from './http/error-handler.ts';

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
  frameAncestors: ["'none'"],
};

/** The whole server without its port: API under /api, the built page for everything else. */
export function createApp(
  pool: Pool,
  webFolder: string | undefined,
  devices: DeviceListener,
  suppliers = new SupplierStandIn(),
): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: { useDefaults: false, directives: POLICY },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.get('/api/health', async (_request, response) => {
    await pool.query('SELECT 1');
    response.json({ ok: true });
  });
  app.use(
    '/api',
    express.json({ limit: '6mb', strict: false }),
    jobRoutes(pool),
    deviceRoutes(devices),
    ruleRoutes(pool),
    rackRoutes(pool),
    supplierRoutes(pool, suppliers),
    unknownAddress,
  );
  if (webFolder !== undefined) {
    // Built assets carry a hash in their name and never change; the page itself is asked for again each time.
    app.use(
      '/assets',
      express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
    app.use(express.static(webFolder, { index: false }));
    app.get('/{*page}', (_request, response) => response.sendFile(join(webFolder, 'index.html')));
  }
  app.use(errorHandler);
  return app;
}
