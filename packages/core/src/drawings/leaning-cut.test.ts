import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import type { Corner, JobFile, Saw } from '../job/index.ts';
import { planJob, recordOf, type PlanFile } from '../plan/index.ts';
import { settingText } from '../saw/index.ts';
import { cutList, cutSteps } from '../lists/index.ts';

/** Base in a room whose walls lean: what the card says of cut and mark. Figures of the published vector flat.lean (90°, 1°, 5 1/4). */

const saw: Saw = {
  id: 's',
  maxMiterLeft: 50,
  maxMiterRight: 60,
  maxBevelLeft: 48,
  maxBevelRight: 47,
  standingHeight: 6.5,
  flatWidth: 12,
  kerf: 0.125,
};

/** A room of 120 by 96, all its corners square and mitered, the walls at each leaning so. */
function jobWith(lean: Corner['lean'], more: Partial<Saw> = {}): JobFile {
  const job = simpleJob([120, 96, 120, 96].map((length) => ({ length, angle: 90 })));
  return {
    ...job,
    houseRules: { ...job.houseRules, insideCorner: 'miter' },
    saws: [{ ...saw, ...more }],
    saw: 's',
    rooms: job.rooms.map((room) => ({
      ...room,
      walls: room.walls.map((wall) => ({ ...wall, corner: { ...wall.corner!, lean } })),
    })),
  };
}
function planOf(job: JobFile): PlanFile {
  const planned = planJob(job, { solver: undefined, seconds: 1, clock: () => 0 });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  return planned.value;
}

describe('base on leaning walls', () => {
  test('is cut with miter and bevel, and marked along its top, where it is shorter', () => {
    const job = jobWith(1);
    const high = job.profiles[0]!.width;
    const plan = planOf(job);
    const piece = plan.pieces[0]!;
    expect(piece.near).toBeCloseTo(120, 9);
    // tan miter = cos 1°·tan 45°; sin bevel = sin 1°·sin 45°.
    expect(piece.right.angle).toBeCloseTo(44.9956, 3);
    expect(piece.right.saw).toMatchObject({ way: 'standing', swing: 'left', tilt: 'left', keep: 'left' });
    expect(piece.right.saw.bevel).toBeCloseTo(0.7071, 3);
    expect(piece.left.saw).toMatchObject({ way: 'standing', swing: 'right', tilt: 'right', keep: 'right' });
    const steps = cutSteps(job, plan).filter((step) => step.piece.id === piece.id);
    const right = steps.find((step) => step.end === 'right')!;
    expect(inWords(right.mark.edge)).toBe('top back edge');
    // Both ends lose height · sin 1° · tan 45° at the top.
    const exact = 120 - 2 * high * Math.sin(Math.PI / 180);
    expect(right.mark.length).toBe(Math.round(exact * 16) / 16);
    expect(right.mark.text).toBe('119 13/16');
    expect(inWords(right.mark.from)).toBe('the point at the left to the point');
    expect(inWords(settingText(right.saw, job.profiles[0]!))).toContain('top of the blade leans left 0.71°');
    expect(inWords(cutList(job, plan)[0]!.ends)).toBe('long, to the lean → long, to the lean');
    const said = plan.watchOuts.filter((one) => one.code === 'lean');
    expect(said).toHaveLength(4);
    expect(inWords(plainText(said[0]!.text))).toContain('both walls lean 1° into the room');
  });

  test('longer at its top takes that much more of its stick', () => {
    const plan = planOf(jobWith(-3));
    const up = planOf(jobWith(undefined));
    const stick = plan.sticks.find((one) => one.cuts.length === 1)!;
    const piece = plan.pieces.find((one) => one.id === stick.cuts[0]!.piece)!;
    const straight = up.sticks.find((one) => one.cuts.length === 1)!;
    const over = 5.25 * Math.sin((3 * Math.PI) / 180);
    expect(stick.cuts[0]!.start).toBeCloseTo(straight.cuts[0]!.start + over, 2);
    const end = stick.cuts[0]!.start + piece.near + over;
    expect(end).toBeLessThanOrEqual(stick.length);
    expect(stick.leftover).toBeLessThan(stick.length - end);
  });

  test('longer at its top stays cut once it is cut, and is cut anew once its wall is measured anew', () => {
    const job = jobWith(-3);
    const plan = planOf(job);
    const [stick] = plan.sticks;
    const records = [recordOf(plan, stick!, 'c1')];
    const again = (one: JobFile): (string | undefined)[] => {
      const planned = planJob(one, { solver: undefined, seconds: 1, clock: () => 0, records });
      if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
      return planned.value.sticks
        .filter((other) => other.cut === 'c1')
        .flatMap((other) => other.cuts.map((cut) => cut.piece));
    };
    const pieces = stick!.cuts.map((cut) => cut.piece);
    expect(again(job)).toEqual(pieces);
    const walls = job.rooms[0]!.walls.map((wall) => ({ ...wall, length: wall.length + 1 }));
    expect(again({ ...job, rooms: [{ ...job.rooms[0]!, walls }] })).toEqual([]);
  });

  test('with one wall upright has a plane for each piece, and its own words', () => {
    const plan = planOf(jobWith({ right: 2 }));
    const { left, right } = plan.pieces[0]!;
    expect(left.plane).toBeDefined();
    expect(right.plane).toBeDefined();
    expect(plainText(plan.watchOuts.find((one) => one.code === 'lean')!.text)).toContain(
      'the wall on its left stands upright, the one on its right leans 2° into the room',
    );
  });

  test('is said to be beyond a saw whose blade does not lean, and how to do it all the same', () => {
    const plan = planOf(jobWith(1, { maxBevelLeft: 0, maxBevelRight: 0, flatWidth: 3 }));
    expect(plan.pieces[0]!.right.saw.way).toBe('none');
    expect(plan.watchOuts.some((one) => one.code === 'beyond-saw')).toBe(true);
  });

  test('upright walls are cut as ever', () => {
    const plan = planOf(jobWith(0));
    expect(plan.pieces.every((piece) => piece.left.plane === undefined)).toBe(true);
    expect(plan.pieces[0]!.right.saw).toMatchObject({ miter: 45, bevel: 0, tilt: 'none' });
  });
});
