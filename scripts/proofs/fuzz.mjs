import { spawn } from 'node:child_process';
import { startApplication } from '../lib/app.mjs';
import { bundle } from '../lib/bundle.mjs';
import { ensurePackages } from '../lib/install.mjs';

/** `npm run proof:fuzz [-- REQUESTS [SEED]]`: requests that nobody expects to every route of the whole application. */
ensurePackages();
const program = await bundle('packages/server/test/support/fuzz-main.ts', 'fuzz');
const app = await startApplication();
let status;
try {
  if (!(await app.waitFor(() => app.address !== undefined, 240))) throw new Error(app.output);
  const [count = '10000', seed = '20261125'] = process.argv.slice(2);
  status = await new Promise((resolve) =>
    spawn(process.execPath, [program, app.address, count, seed], { stdio: 'inherit' }).on('exit', resolve),
  );
  if (app.starts !== 1) {
    console.log(`the server ended ${app.starts - 1} times`);
    status = 1;
  }
} finally {
  await app.stop();
}
process.exit(status ?? 1);
