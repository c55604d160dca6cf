import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { bundle } from './lib/bundle.mjs';
import { buildWeb } from './lib/build-web.mjs';
import { withPackages } from './lib/install.mjs';
import { root } from './lib/paths.mjs';

/**
 * `npm run serve`: one server process on a MariaDB that runs elsewhere (LONGMITER_DB_HOST and its like). As many as wanted share one
 * database; whoever keeps them running starts them again. See docs/company.md.
 */
if (!process.env.LONGMITER_DB_HOST) {
  process.stderr.write('LONGMITER_DB_HOST says where the MariaDB is; `npm start` brings its own.\n');
  process.exit(78);
}
const [main, web] = await withPackages(async () => [
  await bundle('packages/server/src/main.ts', 'server'),
  await buildWeb(),
]);
const server = spawn(process.execPath, [main], {
  stdio: 'inherit',
  env: {
    LONGMITER_SEED: 'no',
    ...process.env,
    LONGMITER_WEB: web,
    LONGMITER_MIGRATIONS: join(root, 'packages', 'server', 'migrations'),
  },
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => server.kill('SIGTERM'));
server.on('error', (error) => {
  process.stderr.write(`The server could not be started: ${error.message}\n`);
  process.exitCode = 1;
});
server.on('exit', (code) => {
  process.exitCode = code ?? 1;
});
