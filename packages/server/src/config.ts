/** Everything the server takes from its environment. */
export interface Config {
  readonly port: number;
  readonly host: string;
  /** Further names that it answers to: of a proxy in front of it, or in the site's network. */
  readonly names: readonly string[];
  /** Address of a proxy in front, whose word on HTTPS and on who asks is taken; undefined takes nobody's. */
  readonly proxy: string | undefined;
  /** Files of a certificate and its key, to be reached over HTTPS without a proxy. */
  readonly certificate: { readonly cert: string; readonly key: string } | undefined;
  readonly database: DatabaseConfig;
  /** Folder of the built page; undefined serves the API alone. */
  readonly webFolder: string | undefined;
  readonly migrations: string;
  /** Folder that backups are made in, and how many stay there; undefined makes none. */
  readonly backups: { readonly folder: string; readonly keep: number } | undefined;
  readonly seedDemo: boolean;
  /** Where the database keeps its data, if on this machine: nothing is changed while that disk is nearly full. */
  readonly dataFolder: string | undefined;
  /** Requests that one address, and one session, may send a minute; undefined sets no limit. */
  readonly limits: { readonly perAddress: number; readonly perSession: number } | undefined;
  /** Addresses of suppliers that may be asked, as `https://yard.example`; undefined allows those on this machine. */
  readonly suppliers: readonly string[] | undefined;
  /** Local port that measuring devices send to; 0 takes any free one, undefined listens to none. */
  readonly devicePort: number | undefined;
  /** Local port of the stand-ins for suppliers; 0 takes any free one, undefined starts none. */
  readonly supplierPort: number | undefined;
}

export interface DatabaseConfig {
  readonly host: string;
  readonly port: number;
  readonly user: string;
  readonly password: string;
  readonly database: string;
  /** Further nodes of a cluster, which hold the same and are reached the same way. */
  readonly others?: readonly { readonly host: string; readonly port: number }[];
}

/** A setting that cannot be what it says; shown as one line, without a stack. */
export class ConfigError extends Error {}

type Env = Readonly<Record<string, string | undefined>>;

const MOST = 65_535;

/** A port by its variable. Throws ConfigError for what is none. */
function portOf(env: Env, name: string, fallback: number): number {
  const text = env[name]?.trim() ?? '';
  if (text === '') return fallback;
  if (!/^\d{1,5}$/.test(text) || Number(text) > MOST)
    throw new ConfigError(`${name} is "${text}": it must be a port, a whole number from 0 to ${MOST}`);
  return Number(text);
}

const portOrNone = (env: Env, name: string, fallback: number): number | undefined =>
  env[name] === 'no' ? undefined : portOf(env, name, fallback);

function backupsOf(env: Env): Config['backups'] {
  const folder = env['LONGMITER_BACKUPS']?.trim() ?? '';
  if (folder === '' || folder === 'no') return undefined;
  const keep = env['LONGMITER_BACKUPS_KEPT']?.trim() ?? '14';
  if (!/^[1-9]\d{0,3}$/.test(keep))
    throw new ConfigError(`LONGMITER_BACKUPS_KEPT is "${keep}": it must be a whole number from 1 to 9999`);
  return { folder, keep: Number(keep) };
}

/** The nodes of `LONGMITER_DB_HOST`, as `10.0.0.1,10.0.0.2:3307`; one without a port is at LONGMITER_DB_PORT. */
function nodesOf(env: Env): { host: string; port: number }[] {
  const usual = portOf(env, 'LONGMITER_DB_PORT', 3306);
  return (env['LONGMITER_DB_HOST']?.trim() || '127.0.0.1').split(',').map((one) => {
    const [, host = '', port] = /^\s*([^\s:]+)(?::(\d{1,5}))?\s*$/.exec(one) ?? [];
    if (host === '' || (port !== undefined && Number(port) > MOST))
      throw new ConfigError(
        `LONGMITER_DB_HOST has "${one.trim()}": each must be a host, or a host and its port, as 10.0.0.1:3306`,
      );
    return { host, port: port === undefined ? usual : Number(port) };
  });
}

/** A crew of ten behind one address, with a page and a tablet each, sends far less. */
const REQUESTS = 12_000;

function limitsOf(env: Env): Config['limits'] {
  const text = env['LONGMITER_REQUESTS']?.trim() ?? '';
  if (text === 'no') return undefined;
  if (text !== '' && !/^[1-9]\d{0,6}$/.test(text))
    throw new ConfigError(
      `LONGMITER_REQUESTS is "${text}": it must be a whole number of requests a minute from one address, or "no"`,
    );
  const perAddress = text === '' ? REQUESTS : Number(text);
  return { perAddress, perSession: Math.ceil(perAddress / 4) };
}

function suppliersOf(env: Env): Config['suppliers'] {
  const text = env['LONGMITER_SUPPLIERS']?.trim() ?? '';
  if (text === '') return undefined;
  return text.split(',').map((one) => {
    const origin = URL.canParse(one.trim()) ? new URL(one.trim()) : undefined;
    if (!origin || !/^https?:$/.test(origin.protocol))
      throw new ConfigError(
        `LONGMITER_SUPPLIERS has "${one.trim()}": each must be an address such as https://yard.example`,
      );
    return origin.origin;
  });
}

function certificateOf(env: Env): Config['certificate'] {
  const [cert, key] = [env['LONGMITER_CERT']?.trim() ?? '', env['LONGMITER_KEY']?.trim() ?? ''];
  if (cert === '' && key === '') return undefined;
  if (cert === '' || key === '')
    throw new ConfigError(
      'LONGMITER_CERT and LONGMITER_KEY go together: the files of a certificate and its key',
    );
  return { cert, key };
}

/** Throws ConfigError for a variable that is no value of its kind. */
export function readConfig(env: Env): Config {
  const [first, ...others] = nodesOf(env);
  return {
    port: portOf(env, 'LONGMITER_PORT', 4100),
    host: env['LONGMITER_HOST'] ?? '127.0.0.1',
    certificate: certificateOf(env),
    proxy: env['LONGMITER_PROXY']?.trim() || undefined,
    names: (env['LONGMITER_NAMES'] ?? '')
      .split(',')
      .map((one) => one.trim())
      .filter((one) => one !== ''),
    database: {
      ...first!,
      ...(others.length > 0 ? { others } : {}),
      user: env['LONGMITER_DB_USER'] ?? 'app',
      password: env['LONGMITER_DB_PASSWORD'] ?? '',
      database: env['LONGMITER_DB_NAME'] ?? 'longmiter',
    },
    webFolder: env['LONGMITER_WEB'],
    migrations: env['LONGMITER_MIGRATIONS'] ?? 'packages/server/migrations',
    backups: backupsOf(env),
    dataFolder: env['LONGMITER_DATA_FOLDER']?.trim() || undefined,
    limits: limitsOf(env),
    suppliers: suppliersOf(env),
    seedDemo: env['LONGMITER_SEED'] !== 'no',
    devicePort: portOrNone(env, 'LONGMITER_DEVICE_PORT', 4101),
    supplierPort: portOrNone(env, 'LONGMITER_SUPPLIER_PORT', 4102),
  };
}
