import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, renameSync, rmSync, utimesSync } from 'node:fs';
import { join } from 'node:path';
import { contentOf, keepNewest } from './content.mjs';
import { cache, root } from './paths.mjs';
import { precompress } from './precompress.mjs';

/** Builds the page unless its content was built before; answers the folder. */
export async function buildWeb() {
  const folder = join(cache, 'web');
  mkdirSync(folder, { recursive: true });
  const dist = join(
    folder,
    contentOf(
      'packages/web',
      'packages/optimiser/src',
      'packages/optimiser/package.json',
      'packages/core/src',
      'packages/core/package.json',
      'package-lock.json',
      'scripts/lib/build-web.mjs',
      'scripts/lib/precompress.mjs',
    ),
  );
  if (existsSync(join(dist, 'index.html'))) {
    const now = new Date();
    utimesSync(dist, now, now);
    return dist;
  }
  process.stderr.write('Building the page…\n');
  const aside = `${dist}.${process.pid}.tmp`;
  // In a process of its own: what the build needs of memory is given back with it, and whoever calls may run under tests,
  // the page is the one that people get all the same.
  if ((await built(aside)) !== 0) {
    rmSync(aside, { recursive: true, force: true });
    throw new Error('the page could not be built; what the builder said stands above');
  }
  await precompress(aside);
  // Moved into place as a whole; another command may have been quicker with the same content.
  try {
    renameSync(aside, dist);
  } catch (error) {
    rmSync(aside, { recursive: true, force: true });
    if (!existsSync(join(dist, 'index.html'))) throw error;
  }
  keepNewest(folder, (name) => !name.endsWith('.tmp'));
  return dist;
}

/** Builds into a folder; answers the builder's exit code. It ends with whoever called it. */
function built(folder) {
  const builder = spawn(
    process.execPath,
    [
      join(root, 'node_modules/vite/bin/vite.js'),
      'build',
      '--logLevel',
      'warn',
      '--outDir',
      folder,
      '--emptyOutDir',
    ],
    {
      cwd: join(root, 'packages', 'web'),
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, NODE_ENV: 'production' },
    },
  );
  const stop = () => builder.kill();
  process.once('exit', stop);
  return new Promise((resolve) => {
    builder.once('error', () => resolve(1));
    builder.once('exit', (code) => {
      process.off('exit', stop);
      resolve(code ?? 1);
    });
  });
}
