import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { withLock } from './lock.mjs';
import { cache, root } from './paths.mjs';

/** Installs only what is missing. All output goes to standard error: headless commands print answers on standard output. */

const run = (command, args, options = {}) =>
  spawnSync(command, args, { cwd: root, stdio: ['ignore', 2, 2], ...options });

const found = (program) =>
  spawnSync('sh', ['-c', `command -v ${program}`], { encoding: 'utf8' }).stdout.trim();

const modules = join(root, 'node_modules');
const stamp = join(modules, '.installed-lock');

const readJson = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
};

/** Whether what the lock file asks for is there, whoever installed it: each package in its version, with its own description. */
function isInstalled() {
  const wanted = readJson(join(root, 'package-lock.json'))?.packages ?? {};
  const there = readJson(join(modules, '.package-lock.json'))?.packages;
  if (!there) return false;
  return Object.entries(wanted).every(([path, { version, optional, link }]) => {
    if (!path.startsWith('node_modules/')) return true;
    if (link) return existsSync(join(root, path));
    // Packages for other machines are not installed here.
    if (optional && !there[path]) return true;
    return there[path]?.version === version && readJson(join(root, path, 'package.json')) !== undefined;
  });
}

/** npm packages, when one that the lock file names is not there, or another version of it, or damaged. */
export function ensurePackages({ anew = false } = {}) {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const isStamped = () => {
    try {
      return readFileSync(stamp, 'utf8') === lock;
    } catch {
      return false;
    }
  };
  // Whoever only looks holds nobody up and waits for nobody: an install takes the stamp away before anything else.
  if (!anew && isStamped() && isInstalled()) return;
  withLock(join(cache, 'install.lock'), 'installing npm packages', () => {
    if (!anew && isInstalled()) {
      if (!isStamped()) writeFileSync(stamp, lock);
      return;
    }
    process.stderr.write('Installing npm packages (about two minutes the first time)…\n');
    // An install that is broken off must not look like one that was finished.
    rmSync(stamp, { force: true });
    const { status } = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
    if (status !== 0) throw new Error('npm packages could not be installed; see the lines above');
    writeFileSync(stamp, lock);
  });
}

/**
 * Does what needs the packages; where one of them turns out to be damaged inside, installs them anew and runs this command
 * again from the start, once.
 */
export async function withPackages(job) {
  ensurePackages();
  try {
    return await job();
  } catch (error) {
    const damaged =
      /ERR_MODULE_NOT_FOUND|MODULE_NOT_FOUND|ERR_INVALID_PACKAGE/.test(error.code ?? '') ||
      /Cannot find (module|package)|Could not resolve|Failed to resolve/i.test(error.message ?? '');
    if (!damaged || process.env.LONGMITER_HEALED) throw error;
    process.stderr.write(`An installed package is damaged (${error.message.split('\n')[0]}).\n`);
    ensurePackages({ anew: true });
    const again = spawnSync(process.execPath, process.argv.slice(1), {
      stdio: 'inherit',
      env: { ...process.env, LONGMITER_HEALED: '1' },
    });
    process.exit(again.status ?? 1);
  }
}

/** Debian packages that provide a program which is not there yet. */
function ensureDebian(program, packages) {
  return (
    found(program) ||
    withLock(join(cache, 'debian.lock'), 'installing packages', () => install(program, packages))
  );
}

function install(program, packages) {
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

/**
 * Debian's Chromium for tests: its build without windows, which takes a quarter less of the machine; the whole one where that
 * cannot be had. @returns its path
 */
export function ensureChromium() {
  const shell = 'chromium-headless-shell';
  try {
    return ensureDebian(shell, [shell]);
  } catch {
    return ensureDebian('chromium', ['chromium']);
  }
}

/** The cache folder, made when it is not there. */
export function ensureCache() {
  mkdirSync(cache, { recursive: true });
  return cache;
}
