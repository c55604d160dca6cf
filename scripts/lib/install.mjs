import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { cache, root } from './paths.mjs';

/** Installs only what is missing. All output goes to standard error: headless commands print answers on standard output. */

const run = (command, args, options = {}) =>
  spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2], ...options });

const found = (program) =>
  spawnSync('sh', ['-c', `command -v ${program}`], { encoding: 'utf8' }).stdout.trim();

/** npm packages, whenever the lock file differs from the one last installed. */
export function ensurePackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.installed-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  process.stderr.write('Installing npm packages (about two minutes the first time)…\n');
  const { status } = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  if (status !== 0) throw new Error('npm packages could not be installed; see the lines above');
  writeFileSync(stamp, lock);
}

/** Debian packages that provide a program which is not there yet. */
function ensureDebian(program, packages) {
  const path = found(program);
  if (path) return path;
  process.stderr.write(`Installing ${packages.join(', ')} from Debian's packages…\n`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => run([...sudo, 'apt-get'][0], [...sudo, 'apt-get', ...args].slice(1), { env });
  apt('update', '-qq');
  const { status } = apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
  if (status !== 0 || !found(program))
    throw new Error(`${packages.join(', ')} could not be installed; install it by hand and start again`);
  return found(program);
}

export const ensureMariaDb = () => ensureDebian('mariadbd', ['mariadb-server-core', 'mariadb-client-core']);
export const ensureChromium = () => ensureDebian('chromium', ['chromium']);

/** The cache folder, made when it is not there. */
export function ensureCache() {
  mkdirSync(cache, { recursive: true });
  return cache;
}
