import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths.mjs';

const dist = join(root, 'packages', 'web', 'dist');

function newest(path) {
  const info = statSync(path);
  if (!info.isDirectory()) return info.mtimeMs;
  return Math.max(
    0,
    ...readdirSync(path)
      .filter((name) => name !== 'dist' && name !== 'node_modules')
      .map((name) => newest(join(path, name))),
  );
}

/** Builds the page unless nothing changed since the last build. */
export async function buildWeb() {
  const built = join(dist, 'index.html');
  const sources = Math.max(
    newest(join(root, 'packages', 'web')),
    newest(join(root, 'packages', 'core', 'src')),
  );
  if (existsSync(built) && statSync(built).mtimeMs > sources) return dist;
  process.stderr.write('Building the page…\n');
  const { build } = await import('vite');
  await build({ root: join(root, 'packages', 'web'), logLevel: 'warn' });
  return dist;
}
