import { describe, expect, test } from '@jest/globals';
import { checkJobFile, upgradeJob } from './index.ts';

/** A job file as version 1 wrote it, and what version 2 makes of it. */
const OLD = {
  format: 'longmiter-job',
  version: 1,
  name: 'Old',
  unit: 'in',
  saw: {
    maxMiterLeft: 50,
    maxMiterRight: 60,
    maxBevelLeft: 48,
    maxBevelRight: 48,
    standingHeight: 6.5,
    flatWidth: 12,
    kerf: 0.125,
    calibration: 0.4,
    fineness: 0.5,
  },
  profiles: [],
  stock: [],
  rooms: [],
};
const NEW = {
  format: 'longmiter-job',
  version: 2,
  name: 'Old',
  unit: 'in',
  saws: [
    {
      id: 'saw',
      maxMiterLeft: 50,
      maxMiterRight: 60,
      maxBevelLeft: 48,
      maxBevelRight: 48,
      standingHeight: 6.5,
      flatWidth: 12,
      kerf: 0.125,
      calibration: { left: 0.4, right: 0.4 },
      fineness: { miter: 0.5, bevel: 0.5 },
    },
  ],
  saw: 'saw',
  // It was planned without a margin and stays so.
  houseRules: { cutMargin: 0, headMode: 'pre-cut' },
  profiles: [],
  stock: [],
  rooms: [],
};

describe('a job file of version 1', () => {
  test('becomes one of version 2: its saw one of several, its calibration on both sides', () =>
    expect(upgradeJob(OLD)).toEqual(NEW));
  test('is read, and one of version 2 stays as it is', () => {
    expect(checkJobFile(OLD)).toEqual({ ok: true, value: NEW });
    expect(checkJobFile(NEW)).toEqual({ ok: true, value: NEW });
  });
  test('lines of stock and rack get ids that no other line has', () => {
    const profiles = [
      { id: 'b', name: 'B', use: 'base', width: 5, thickness: 1, material: 'mdf', finish: 'paint' },
    ];
    const line = { profile: 'b', length: 96, price: 1 };
    const read = checkJobFile({
      ...OLD,
      profiles,
      stock: [line, { ...line, id: 's1' }, line],
      rack: [{ profile: 'b', length: 40 }],
    });
    expect(read.ok && read.value.stock.map((item) => item.id)).toEqual(['s2', 's1', 's3']);
    expect(read.ok && read.value.rack!.map((item) => item.id)).toEqual(['r1']);
  });
  test('what is none is left to the check', () => {
    expect(upgradeJob(null)).toBeNull();
    expect(upgradeJob([1])).toEqual([1]);
    const broken = checkJobFile({ ...OLD, saw: 3, rooms: 'none' });
    expect(!broken.ok && broken.issues.map((issue) => issue.at)).toEqual(
      expect.arrayContaining(['/saw', '/rooms']),
    );
  });
});

describe('readings of a corner', () => {
  const room = (corner: object) => ({
    ...NEW,
    rooms: [
      {
        id: 'r',
        name: 'R',
        closed: false,
        walls: [
          { id: 'a', length: 50, corner },
          { id: 'b', length: 50 },
        ],
        trims: [],
      },
    ],
  });
  const square = { as: 'wall-angle', degrees: 90 };
  const other = { as: 'wall-angle', degrees: 91 };
  test('the one in use need not be repeated', () => {
    const read = checkJobFile(
      room({ readings: [{ reading: square }, { reading: other, method: 'bridged' }], use: 1 }),
    );
    expect(read.ok && read.value.rooms[0]!.walls[0]!.corner!.reading).toEqual(other);
  });
  test('one that is said to be in use and is not is a fault', () => {
    const at = (corner: object): string => {
      const read = checkJobFile(room(corner));
      return read.ok ? 'good' : read.issues[0].at;
    };
    expect(at({ reading: square, readings: [{ reading: other }], use: 0 })).toBe(
      '/rooms/0/walls/0/corner/use',
    );
    expect(at({ reading: square, readings: [{ reading: square }], use: 3 })).toBe(
      '/rooms/0/walls/0/corner/use',
    );
    expect(at({ reading: square, readings: [{ reading: square }], use: 0 })).toBe('good');
  });
});
