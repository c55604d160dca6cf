/** Everything the server takes from its environment. */
export interface Config {
  readonly port: number;
  readonly host: string;
  readonly database: {
    readonly host: string;
    readonly port: number;
    readonly user: string;
    readonly password: string;
    readonly database: string;
  };
  /** Folder of the built page; undefined serves the API alone. */
  readonly webFolder: string | undefined;
  readonly migrations: string;
  readonly seedDemo: boolean;
  /** Local port that measuring devices send to; 0 takes any free one, undefined listens to none. */
  readonly devicePort: number | undefined;
  /** Local port of the stand-ins for suppliers; 0 takes any free one, undefined starts none. */
  readonly supplierPort: number | undefined;
}

const number = (text: string | undefined, fallback: number): number =>
  text === undefined || text === '' ? fallback : Number(text);

export function readConfig(env: NodeJS.ProcessEnv): Config {
  return {
    port: number(env['LONGMITER_PORT'], 4100),
    host: env['LONGMITER_HOST'] ?? '127.0.0.1',
    database: {
      host: env['LONGMITER_DB_HOST'] ?? '127.0.0.1',
      port: number(env['LONGMITER_DB_PORT'], 3306),
      user: env['LONGMITER_DB_USER'] ?? 'app',
      password: env['LONGMITER_DB_PASSWORD'] ?? '',
      database: env['LONGMITER_DB_NAME'] ?? 'longmiter',
    },
    webFolder: env['LONGMITER_WEB'],
    migrations: env['LONGMITER_MIGRATIONS'] ?? 'packages/server/migrations',
    seedDemo: env['LONGMITER_SEED'] !== 'no',
    devicePort:
      env['LONGMITER_DEVICE_PORT'] === 'no' ? undefined : number(env['LONGMITER_DEVICE_PORT'], 4101),
    supplierPort:
      env['LONGMITER_SUPPLIER_PORT'] === 'no' ? undefined : number(env['LONGMITER_SUPPLIER_PORT'], 4102),
  };
}
