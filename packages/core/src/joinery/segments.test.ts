import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { completeHouseRules, type JobFile, type Opening, type Room } from '../job/index.ts';
import { joinTrim, segmentsOfWall, trimFrame, type JoinedSegment, type Segment } from './index.ts';

/** One wall of 200 in a room 96 high, with whatever stands in it. Casing 2 1/4, reveal 3/16: 2 7/16 on each side of a jamb. */
const C = 2.4375;

function jobWith(
  openings: Opening[],
  change: {
    use?: 'base' | 'chair-rail' | 'crown';
    height?: number;
    rest?: Partial<Room['walls'][number]>;
  } = {},
): JobFile {
  const job = simpleJob([{ length: 200 }], { closed: false, room: { ceilingHeight: 96 } });
  job.profiles[0] = {
    ...job.profiles[0]!,
    use: change.use ?? 'base',
    ...(change.use === 'crown' ? { springAngle: 45, width: 4 } : {}),
  };
  job.rooms[0]!.trims[0] = {
    id: 'base',
    profile: 'base',
    on: 'walls',
    ...(change.height === undefined ? {} : { height: change.height }),
  };
  job.rooms[0]!.walls[0] = { ...job.rooms[0]!.walls[0]!, ...change.rest, openings };
  return job;
}
const frameOf = (job: JobFile) =>
  trimFrame(job, completeHouseRules(job.houseRules, job.unit), job.rooms[0]!, job.rooms[0]!.trims[0]!);
const spans = (job: JobFile): [number, number][] =>
  segmentsOfWall(job, frameOf(job), 0).map((one: Segment) => [one.from, one.to]);
const ends = (job: JobFile): JoinedSegment[] => [...joinTrim(job, frameOf(job), () => false).segments];
const opening = (change: Partial<Opening> = {}): Opening => ({
  id: 'o',
  kind: 'door',
  at: 80,
  width: 32,
  headHeight: 80,
  casing: 'casing',
  ...change,
});

describe('what interrupts base', () => {
  test('a door, from casing to casing', () =>
    expect(spans(jobWith([opening()]))).toEqual([
      [0, 80 - C],
      [112 + C, 200],
    ]));
  test('an opening without casing, from jamb to jamb', () =>
    expect(spans(jobWith([opening({ casing: null })]))).toEqual([
      [0, 80],
      [112, 200],
    ]));
  test('not a window above it', () =>
    expect(spans(jobWith([opening({ kind: 'window', sillHeight: 30 })]))).toEqual([[0, 200]]));
  test('a window down to its top', () =>
    expect(spans(jobWith([opening({ kind: 'window', sillHeight: 5 })]))).toHaveLength(2));
  test('a window that just touches it does not', () =>
    expect(spans(jobWith([opening({ kind: 'window', sillHeight: 5.25 })]))).toHaveLength(1));
  test('the casing below a picture-framed window does', () =>
    expect(spans(jobWith([opening({ kind: 'window', sillHeight: 7, picture: true })]))).toHaveLength(2));
  test('a door whose casing reaches the corner leaves nothing on that side', () =>
    expect(spans(jobWith([opening({ at: 2 })]))).toEqual([[34 + C, 200]]));
  test('two doors whose casings overlap leave nothing between them', () =>
    expect(spans(jobWith([opening(), opening({ id: 'p', at: 116, width: 30 })]))).toEqual([
      [0, 80 - C],
      [146 + C, 200],
    ]));
  test('something built in on the floor, not something hung above', () => {
    const thing = (low: number) => ({ interruptions: [{ id: 'i', at: 40, width: 20, low, high: 60 }] });
    expect(spans(jobWith([], { rest: thing(0) }))).toEqual([
      [0, 40],
      [60, 200],
    ]);
    expect(spans(jobWith([], { rest: thing(20) }))).toEqual([[0, 200]]);
  });
});

describe('what interrupts other trims', () => {
  test('a rail at 34: the door and the window beside it', () => {
    const window = opening({ id: 'w', kind: 'window', at: 20, width: 30, sillHeight: 30 });
    expect(spans(jobWith([window, opening()], { use: 'chair-rail', height: 34 }))).toEqual([
      [0, 20 - C],
      [50 + C, 80 - C],
      [112 + C, 200],
    ]);
  });
  test('crown: only what reaches the ceiling', () => {
    expect(spans(jobWith([opening()], { use: 'crown' }))).toEqual([[0, 200]]);
    expect(
      spans(
        jobWith([], {
          use: 'crown',
          rest: { interruptions: [{ id: 'i', at: 40, width: 20, low: 0, high: 96 }] },
        }),
      ),
    ).toEqual([
      [0, 40],
      [60, 200],
    ]);
  });
  test('crown is as long as the wall at the ceiling', () =>
    expect(spans(jobWith([], { use: 'crown', rest: { ceilingLength: 201.5 } }))).toEqual([[0, 201.5]]));
});

describe('ends that meet no other piece', () => {
  test('free at the ends of the chain, square at the casing', () =>
    expect(ends(jobWith([opening()])).map((one) => [one.leftCut.joint, one.rightCut.joint])).toEqual([
      ['free', 'square'],
      ['square', 'free'],
    ]));
  test('returned where there is no casing: the near line stops a thickness short', () => {
    const [left] = ends(jobWith([opening({ casing: null })]));
    expect([left!.rightCut.joint, left!.rightCut.angle, left!.to]).toEqual(['return', -45, 80 - 0.625]);
  });
  test('prouder than the casing by just the tolerance is still square, by more is returned', () => {
    const at = (thickness: number): string => {
      const job = jobWith([opening()]);
      job.profiles[0] = { ...job.profiles[0]!, thickness };
      return ends(job)[0]!.rightCut.joint;
    };
    expect([at(0.6875 + 0.125), at(0.6875 + 0.126)]).toEqual(['square', 'return']);
  });
  test('square against something built in', () => {
    const job = jobWith([], {
      rest: { interruptions: [{ id: 'i', at: 40, width: 20, low: 0, high: 60, name: 'the bookcase' }] },
    });
    expect(inWords(ends(job)[0]!.rightCut)).toMatchObject({
      joint: 'square',
      reason: 'square against the bookcase',
    });
  });
});

describe('trim lying on other trim', () => {
  /** Shoe 1/2 on base 5/8 in a room of three walls with an inside and an outside corner. */
  const shoeJob = (): JobFile => {
    const job = simpleJob([{ length: 100, angle: 90 }, { length: 80, angle: 270 }, { length: 60 }], {
      closed: false,
    });
    job.profiles.push({
      id: 'shoe',
      name: 'Shoe',
      use: 'shoe',
      width: 0.75,
      thickness: 0.5,
      material: 'softwood',
      finish: 'paint',
    });
    job.rooms[0]!.trims.push({ id: 'shoe', profile: 'shoe', on: 'walls', standsOn: 'base' });
    return job;
  };
  test('its near line is shorter at inside corners and longer at outside ones by the standoff', () => {
    const job = shoeJob();
    const frame = trimFrame(job, completeHouseRules({}, 'in'), job.rooms[0]!, job.rooms[0]!.trims[1]!);
    expect(frame.standoff).toBe(0.625);
    expect(joinTrim(job, frame, () => false).segments.map((one) => [one.from, one.to])).toEqual([
      [0, 100 - 0.625],
      [0.625, 80 + 0.625],
      [-0.625, 60],
    ]);
  });
});

describe('bullnose', () => {
  const walls = (toCurve: boolean): JobFile => {
    const back = toCurve ? 0.75 : 0;
    const job = simpleJob([{ length: 44.5 - back, angle: 270 }, { length: 61.25 - back }], { closed: false });
    job.rooms[0]!.walls[0]!.corner!.form = {
      kind: 'bullnose',
      radius: 0.75,
      to: toCurve ? 'curve' : 'corner',
    };
    return job;
  };
  test('measured to the curve or to the sharp corner, the pieces are the same', () => {
    const lengths = (job: JobFile): number[] =>
      ends(job).map((one) => Number((one.to - one.from).toFixed(9)));
    expect(lengths(walls(true))).toEqual(lengths(walls(false)));
    expect(lengths(walls(false))[0]).toBeCloseTo(44.0607, 4);
  });
  test('two pieces by house rule run on to the sharp corner', () => {
    const job = { ...walls(true), houseRules: { bullnose: 'two-piece' as const } };
    expect(ends(job).map((one) => [one.rightCut.joint, one.to])[0]).toEqual(['miter', 44.5]);
  });
});

test('a segment too short for its ends is left out and its neighbour ends square', () => {
  const job = simpleJob([{ length: 80 }, { length: 80 }, { length: 80 }]);
  job.rooms[0]!.walls[0]!.openings = [opening({ at: 3, width: 32 })];
  const run = joinTrim(job, frameOf(job), () => false);
  expect(run.dropped).toHaveLength(1);
  expect(inWords(run.segments.at(-1)!.rightCut)).toMatchObject({
    joint: 'square',
    reason: 'the other wall carries no trim here',
  });
});
