import { existsSync, renameSync, utimesSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { contentOf, keepNewest } from './content.mjs';
import { cache, root } from './paths.mjs';
import { ensureCache } from './install.mjs';

/**
 * Bundles one server-side entry to a single file in the cache, unless the same content was bundled before. Written aside and
 * moved into place, so that two commands at once do not read half a file.
 */
export async function bundle(entry, name) {
  ensureCache();
  const content = contentOf(
    ...new Set(['packages/optimiser/src', 'packages/core/src', 'packages/server/src', dirname(entry)]),
    'package-lock.json',
    'scripts/lib/bundle.mjs',
  );
  const out = join(cache, `${name}-${content}.mjs`);
  if (existsSync(out)) {
    const now = new Date();
    utimesSync(out, now, now);
    return out;
  }
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
    external: [
      'highs',
      'express',
      'mysql2',
      'mysql2/promise',
      'compression',
      'helmet',
      '@node-rs/argon2',
      'express-rate-limit',
      'express-static-gzip',
      'pdfkit',
      'exceljs',
      'papaparse',
      '@tarikjabiri/dxf',
    ],
    absWorkingDir: root,
  });
  renameSync(aside, out);
  keepNewest(cache, (one) => one.startsWith(`${name}-`) && one.endsWith('.mjs'));
  return out;
}
