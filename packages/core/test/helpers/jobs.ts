import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  checkJobFile,
  coinOf,
  jobFileOf,
  sawOf,
  type JobFile,
  type JobSettings,
  type Room,
  type Saw,
} from '../../src/index.ts';

const fixtures = join(process.cwd(), 'packages/core/test/fixtures');

export const readFixture = (path: string): unknown =>
  JSON.parse(readFileSync(join(fixtures, path), 'utf8')) as unknown;

/** A published scenario job, checked. */
export function scenario(name: string): JobFile {
  const checked = checkJobFile(readFixture(`jobs/${name}.json`));
  if (!checked.ok) throw new Error(JSON.stringify(checked.issues));
  return checked.value;
}

export interface SimpleWall {
  readonly length: number;
  readonly angle?: number;
  readonly doorAt?: number;
}

/** A job of one room with base only: 5/8 thick, casing 2 1/4 by 11/16, reveal 3/16. Doors are 32 wide. */
export function simpleJob(
  walls: readonly SimpleWall[],
  options: { closed?: boolean; room?: Partial<Room>; job?: Partial<JobFile> } = {},
): JobFile {
  const closed = options.closed ?? true;
  return {
    format: 'longmiter-job',
    version: 2,
    name: 'Test',
    unit: 'in',
    profiles: [
      {
        id: 'base',
        name: 'Base',
        use: 'base',
        width: 5.25,
        thickness: 0.625,
        material: 'mdf',
        finish: 'paint',
      },
      {
        id: 'casing',
        name: 'Casing',
        use: 'casing',
        width: 2.25,
        thickness: 0.6875,
        material: 'mdf',
        finish: 'paint',
      },
    ],
    stock: [
      { id: 's1', profile: 'base', length: 120, price: 12 },
      { id: 's2', profile: 'base', length: 192, price: 19.2 },
    ],
    rooms: [
      {
        id: 'room',
        name: 'Room',
        closed,
        walls: walls.map((wall, index) => ({
          id: `w${index + 1}`,
          length: wall.length,
          ...(closed || index < walls.length - 1
            ? { corner: { reading: { as: 'wall-angle' as const, degrees: wall.angle ?? 90 } } }
            : {}),
          ...(wall.doorAt === undefined
            ? {}
            : {
                openings: [
                  {
                    id: `d${index + 1}`,
                    kind: 'door' as const,
                    at: wall.doorAt,
                    width: 32,
                    headHeight: 80.5,
                    casing: 'casing',
                  },
                ],
              }),
        })),
        trims: [{ id: 'base', profile: 'base', on: 'walls' }],
        ...options.room,
      },
    ],
    ...options.job,
  };
}

/** A job with another saw, or with its own changed. */
export function withSaw(job: JobFile, change: Partial<Saw>): JobFile {
  const own: Saw = sawOf(job) ?? {
    id: 'saw',
    maxMiterLeft: 50,
    maxMiterRight: 50,
    maxBevelLeft: 45,
    maxBevelRight: 45,
    standingHeight: 6,
    flatWidth: 10,
    kerf: 0.125,
  };
  return { ...job, saws: [{ ...own, ...change }], saw: own.id };
}

/** A job of these settings with no room yet, as a file. */
export const fileOf = (settings: JobSettings, unit: JobFile['unit'] = 'in'): JobFile =>
  jobFileOf({ name: 'J', unit, coin: coinOf(undefined), vocabulary: undefined, settings, rooms: [] });
