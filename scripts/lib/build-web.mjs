import { existsSync, mkdirSync, renameSync, rmSync, utimesSync } from 'node:fs';
import { join } from 'node:path';
import { contentOf, keepNewest } from './content.mjs';
import { cache, root } from './paths.mjs';

/** Builds the page unless its content was built before; answers the folder. */
export async function buildWeb() {
  const folder = join(cache, 'web');
  mkdirSync(folder, { recursive: true });
  const dist = join(
    folder,
    contentOf('packages/web', 'packages/core/src', 'package-lock.json', 'scripts/lib/build-web.mjs'),
  );
  if (existsSync(join(dist, 'index.html'))) {
    const now = new Date();
    utimesSync(dist, now, now);
    return dist;
  }
  process.stderr.write('Building the page…\n');
  // Whoever calls may run under tests: the page is the one that people get all the same.
  const before = process.env.NODE_ENV;
  process.env.NODE_ENV = 'production';
  const { build } = await import('vite');
  const aside = `${dist}.${process.pid}.tmp`;
  await build({
    root: join(root, 'packages', 'web'),
    logLevel: 'warn',
    build: { outDir: aside, emptyOutDir: true },
  });
  if (before === undefined) delete process.env.NODE_ENV;
  else process.env.NODE_ENV = before;
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
