import { existsSync, readdirSync, renameSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { cache, root } from './paths.mjs';
import { ensureCache } from './install.mjs';

/** Newest change below a folder, in milliseconds. */
function newest(folder) {
  let latest = 0;
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    latest = Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs);
  }
  return latest;
}

/**
 * Bundles one server-side entry to a single file in the cache, unless nothing changed since it was made. Written aside and
 * moved into place, so that two commands at once do not read half a file.
 */
export async function bundle(entry, name) {
  ensureCache();
  const out = join(cache, `${name}.mjs`);
  const sources = ['core', 'server'].map((one) => newest(join(root, 'packages', one, 'src')));
  if (existsSync(out) && statSync(out).mtimeMs > Math.max(...sources)) return out;
  const { build } = await import('esbuild');
  const aside = `${out}.${process.pid}.tmp`;
  await build({
    entryPoints: [join(root, entry)],
    outfile: aside,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: false,
    logLevel: 'warning',
    external: ['highs', 'express', 'mysql2', 'mysql2/promise', 'compression', 'helmet'],
    absWorkingDir: root,
  });
  renameSync(aside, out);
  return out;
}
