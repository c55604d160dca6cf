import type { JobHub } from './http/context.ts';
import type { Route } from './http/route.ts';
import { changeRoutes } from './features/changes/routes.ts';
import { crewRoutes, type BackupService } from './features/crew/routes.ts';
import { deviceRoutes } from './features/devices/routes.ts';
import type { DeviceListener } from './features/devices/listener.ts';
import { documentRoutes } from './features/documents/routes.ts';
import { jobRoutes } from './features/jobs/routes.ts';
import { libraryRoutes } from './features/library/routes.ts';
import { rackRoutes } from './features/rack/routes.ts';
import { ruleRoutes } from './features/rules/routes.ts';
import { sawRoutes } from './features/saws/routes.ts';
import { settingsRoutes } from './features/settings/routes.ts';
import { shopRoutes } from './features/shop/routes.ts';
import { supplierRoutes } from './features/suppliers/routes.ts';
import type { SupplierStandIn } from './features/suppliers/stand-in.ts';

/** Where only the table is wanted. */
const NO_KEEPING: BackupService = {
  backup: () => Promise.resolve(),
  restore: () => Promise.reject(new Error('nothing is kept here')),
};

/** The table of every route: method, address, what goes in and out, and the role it needs. */
export const routeTable = (
  hub: JobHub,
  devices: DeviceListener,
  suppliers: SupplierStandIn,
  firstCode?: string,
  demo = false,
  keeping: BackupService = NO_KEEPING,
): readonly Route[] => [
  ...jobRoutes(hub),
  ...settingsRoutes,
  ...rackRoutes,
  ...ruleRoutes,
  ...sawRoutes,
  ...libraryRoutes,
  ...shopRoutes,
  ...documentRoutes,
  ...supplierRoutes(suppliers),
  ...deviceRoutes(devices),
  ...changeRoutes,
  ...crewRoutes(firstCode, demo, keeping),
];
