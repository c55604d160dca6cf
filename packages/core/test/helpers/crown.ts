import type { JobFile, Profile, Room, Saw, Trim, Wall } from '../../src/index.ts';

interface CrownJob {
  readonly unit: 'in' | 'mm';
  readonly profile: Partial<Profile> & Pick<Profile, 'width' | 'springAngle' | 'material'>;
  readonly walls: readonly Omit<Wall, 'id'>[];
  readonly closed?: boolean;
  readonly ceiling: number;
  readonly rules: JobFile['houseRules'];
  readonly stock: number;
  readonly trim?: Partial<Trim>;
  readonly saw?: Partial<Saw>;
  readonly room?: Partial<Room>;
}

const LIMITS: Omit<Saw, 'id'> = {
  maxMiterLeft: 60,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 48,
  standingHeight: 200,
  flatWidth: 400,
  kerf: 0.125,
};

/** A job of one room with one crown, as the worked rooms have it. */
export const crownJob = (of: CrownJob): JobFile => ({
  format: 'longmiter-job',
  version: 2,
  name: 'Crown',
  unit: of.unit,
  houseRules: { cutMargin: 0, ...of.rules },
  saws: [{ id: 'saw', ...LIMITS, ...of.saw }],
  saw: 'saw',
  profiles: [{ id: 'crown', name: 'Crown', use: 'crown', thickness: 0.6875, finish: 'paint', ...of.profile }],
  stock: [{ id: 's', profile: 'crown', length: of.stock, price: 10 }],
  rooms: [
    {
      id: 'room',
      name: 'Room',
      closed: of.closed ?? true,
      ceilingHeight: of.ceiling,
      walls: of.walls.map((wall, index) => ({ id: `W${index + 1}`, ...wall })),
      trims: [{ id: 'crown', profile: 'crown', on: 'walls', ...of.trim }],
      ...of.room,
    },
  ],
});

export const corner = (degrees: number): NonNullable<Wall['corner']> => ({
  reading: { as: 'wall-angle', degrees },
});
