import { spawn, spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { ensureMariaDb } from './install.mjs';
import { cache } from './paths.mjs';

/** A Galera cluster of MariaDB nodes on loopback, for the proof that two servers work past one machine. */

const PROVIDER = '/usr/lib/galera/libgalera_smm.so';

/** Debian keeps the scripts that send a whole copy to a node in a package whose service is not wanted here: it is only unpacked. */
const SCRIPTS = join(cache, 'mariadb-server');

/** Whether nodes can be started here; tries to install what is missing. */
export function ensureGalera() {
  ensureMariaDb();
  const there = () =>
    existsSync(PROVIDER) && existsSync(join(SCRIPTS, 'usr', 'bin', 'wsrep_sst_mariabackup'));
  if (there()) return true;
  const quiet = { stdio: 'ignore', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  spawnSync('apt-get', ['update'], quiet);
  spawnSync(
    'apt-get',
    ['install', '-y', '--no-install-recommends', 'galera-4', 'mariadb-backup', 'socat'],
    quiet,
  );
  const folder = mkdtempSync(join(tmpdir(), 'lm-deb-'));
  spawnSync('apt-get', ['download', 'mariadb-server'], { ...quiet, cwd: folder });
  const file = readdirSync(folder).find((one) => one.endsWith('.deb'));
  if (file) spawnSync('dpkg', ['-x', join(folder, file), SCRIPTS], quiet);
  rmSync(folder, { recursive: true, force: true });
  return there();
}

const isFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.on('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** Ports below those that the system gives to others of its own accord. */
async function freePorts(count) {
  const found = [];
  for (let port = 21_000 + (process.pid % 5000); found.length < count; port++)
    if (await isFree(port)) found.push(port);
  return found;
}

const PASSWORD = 'only-on-loopback';

/** @param count nodes; an odd number keeps going when one is lost */
export async function startCluster(count) {
  const folder = mkdtempSync(join(tmpdir(), 'lm-cl-'));
  const user = userInfo().username;
  const ports = await freePorts(count * 4);
  const addresses = Array.from({ length: count }, (_, k) => `127.0.0.1:${ports[k * 4 + 1]}`).join(',');
  const nodes = Array.from({ length: count }, (_, k) => {
    const [port, gossip, ist, sst] = ports.slice(k * 4, k * 4 + 4);
    const data = join(folder, `d${k}`);
    const config = join(folder, `n${k}.cnf`);
    const socket = join(folder, `n${k}.sock`);
    writeFileSync(
      config,
      `[mysqld]
user=${user}
datadir=${data}
port=${port}
bind-address=127.0.0.1
socket=${socket}
pid-file=${join(folder, `n${k}.pid`)}
log-error=${join(folder, `n${k}.log`)}
skip-name-resolve
character-set-server=utf8mb4
default-time-zone=+00:00
sql-mode=STRICT_ALL_TABLES,ONLY_FULL_GROUP_BY,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO,NO_ENGINE_SUBSTITUTION
innodb-flush-log-at-trx-commit=1
innodb-buffer-pool-size=64M
innodb-log-file-size=32M
innodb-snapshot-isolation=ON
binlog_format=ROW
innodb_autoinc_lock_mode=2
wsrep_on=ON
wsrep_provider=${PROVIDER}
wsrep_cluster_name=long-miter-proof
wsrep_node_name=n${k}
wsrep_cluster_address=gcomm://${addresses}
wsrep_node_address=127.0.0.1
wsrep_provider_options="gmcast.listen_addr=tcp://127.0.0.1:${gossip};ist.recv_addr=127.0.0.1:${ist};gcache.size=64M;gcache.recover=yes"
wsrep_sst_receive_address=127.0.0.1:${sst}
wsrep_sst_method=mariabackup
wsrep_sst_auth=root:
`,
    );
    return { k, port, data, config, socket, child: undefined };
  });

  const ask = (node, sql) =>
    spawnSync('mariadb', ['--no-defaults', `--socket=${node.socket}`, `--user=${user}`, '-N', '-e', sql], {
      encoding: 'utf8',
    });
  const status = (node, name) => ask(node, `SHOW STATUS LIKE '${name}'`).stdout.split('\t')[1]?.trim();
  const launch = (node, more = []) => {
    node.child = spawn('mariadbd', [`--defaults-file=${node.config}`, ...more], {
      stdio: 'ignore',
      env: { ...process.env, PATH: `${join(SCRIPTS, 'usr', 'bin')}:${process.env.PATH}` },
    });
    node.gone = new Promise((resolve) => node.child.on('exit', resolve));
    node.child.on('error', () => undefined);
  };
  const synced = async (node, seconds = 90) => {
    for (let n = 0; n < seconds * 10; n++) {
      if (status(node, 'wsrep_local_state_comment') === 'Synced') return;
      if (node.child.exitCode !== null) break;
      await sleep(100);
    }
    throw new Error(
      `node ${node.k} did not join: ${readFileSync(join(folder, `n${node.k}.log`), 'utf8').slice(-1500)}`,
    );
  };
  const end = async (node) => {
    if (!node.child || node.child.exitCode !== null || node.child.signalCode !== null) return;
    node.child.kill('SIGTERM');
    const late = setTimeout(() => node.child.kill('SIGKILL'), 20_000);
    await node.gone;
    clearTimeout(late);
  };

  const [first] = nodes;
  mkdirSync(first.data);
  const made = spawnSync(
    'mariadb-install-db',
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${first.data}`,
      '--innodb-log-file-size=32M',
      '--skip-test-db',
    ],
    { encoding: 'utf8' },
  );
  if (made.status !== 0) throw new Error(made.stderr);
  launch(first, ['--wsrep-new-cluster']);
  await synced(first);
  ask(
    first,
    `CREATE DATABASE longmiter CHARACTER SET utf8mb4; CREATE USER 'app'@'127.0.0.1' IDENTIFIED BY '${PASSWORD}'; GRANT ALL ON longmiter.* TO 'app'@'127.0.0.1';`,
  );
  for (const node of nodes.slice(1)) {
    mkdirSync(node.data);
    launch(node);
    await synced(node);
  }

  return {
    nodes,
    folder,
    env: {
      LONGMITER_DB_HOST: nodes.map((node) => `127.0.0.1:${node.port}`).join(','),
      LONGMITER_DB_USER: 'app',
      LONGMITER_DB_PASSWORD: PASSWORD,
      LONGMITER_DB_NAME: 'longmiter',
    },
    size: (k) => Number(status(nodes[k], 'wsrep_cluster_size')),
    ask: (k, sql) => ask(nodes[k], sql).stdout,
    kill: async (k) => {
      nodes[k].child.kill('SIGKILL');
      await nodes[k].gone;
    },
    /** Starts a killed node again; what it has missed is sent to it. */
    rejoin: async (k) => {
      launch(nodes[k]);
      await synced(nodes[k]);
    },
    stop: async () => {
      for (const node of [...nodes].reverse()) await end(node);
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
