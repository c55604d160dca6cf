import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, test } from '@jest/globals';
import { simpleJob } from '../../test/helpers/jobs.ts';
import type { JobFile, Wall } from '../job/index.ts';
import { layOutJob } from '../pieces/index.ts';
import type { Stretch } from './index.ts';

/** A wall of 400 between two side walls, seen from the entry in the facing wall; sticks of 192 at most. */
function jobWith(
  wall: Partial<Wall>,
  change: Partial<JobFile> = {},
  entry = { wall: 'w1', at: 100 },
): JobFile {
  const job = simpleJob([{ length: 400 }, { length: 150 }, { length: 400 }, { length: 150 }], {
    room: { entry },
    job: change,
  });
  job.rooms[0]!.walls[2] = { ...job.rooms[0]!.walls[2]!, ...wall };
  return job;
}
const stretchesOf = (job: JobFile): Stretch[] => {
  const [layout] = layOutJob(job).rooms[0]!.runs;
  return layout!.stretches.filter((one) => layout!.run.segments[one.segment]!.segment.wallIndex === 2);
};
const studs = { first: 8, spacing: 16 };

describe('places for splices', () => {
  test('are studs that keep the house distance from corners', () => {
    const [stretch] = stretchesOf(jobWith({ studs }));
    expect(stretch!.needed).toBe(true);
    expect(stretch!.relaxed).toBe('no');
    for (const place of stretch!.places) {
      expect((place.centre - 8) % 16).toBeCloseTo(0, 9);
      expect(place.centre).toBeGreaterThanOrEqual(24);
      expect(place.centre).toBeLessThanOrEqual(400 - 24);
      expect(place.onStud).toBe(true);
    }
    expect(stretch!.places).toHaveLength(23);
  });
  test('the near lines meet half a lap from the stud, on the side of the piece that lies over', () => {
    for (const place of stretchesOf(jobWith({ studs }))[0]!.places)
      expect(place.centre - place.at).toBeCloseTo(place.leftOver ? 0.3125 : -0.3125, 9);
  });
  test('left of the viewer the right piece lies over, right of him the left one', () => {
    // The entry at 100 along wall 1 is at 300 along the facing wall 3.
    for (const place of stretchesOf(jobWith({ studs }))[0]!.places)
      expect(place.leftOver).toBe(place.centre >= 300);
  });
  test('without a viewpoint the left piece lies over', () => {
    const places = stretchesOf(jobWith({ studs }, { houseRules: { viewFromEntry: false } }))[0]!.places;
    expect(places.every((place) => place.leftOver)).toBe(true);
  });
  test('a wall without studs may be spliced anywhere within the distances', () => {
    const [stretch] = stretchesOf(jobWith({}));
    expect(stretch!.relaxed).toBe('no');
    expect(stretch!.places.length).toBeGreaterThan(8);
    expect(stretch!.places.every((place) => place.centre >= 24 && place.centre <= 376)).toBe(true);
  });
  test('a stretch that fits a stick is not divided, unless the house rules save by it', () => {
    const short = (rules: JobFile['houseRules']) =>
      layOutJob(simpleJob([{ length: 180 }], { closed: false, job: { houseRules: rules ?? {} } })).rooms[0]!
        .runs[0]!.stretches[0]!;
    expect(short({}).places).toEqual([]);
    expect(short({ splices: 'saving' }).places.length).toBeGreaterThan(0);
    expect(short({ splices: 'saving' }).needed).toBe(false);
  });
});

describe('the score of a place, with its notes', () => {
  const at = (job: JobFile, centre: number) =>
    stretchesOf(job)[0]!.places.find((place) => Math.abs(place.centre - centre) < 1e-6)!;
  test('80 has nothing for or against it', () => {
    // Seen from a side wall, wall 3 does not face the viewer.
    const side = jobWith({ studs }, {}, { wall: 'w2', at: 20 });
    expect(at(side, 200)).toMatchObject({ score: 80, notes: [] });
  });
  test('the wall that faces the entry, a window above it, the pipes', () => {
    expect(inWords(at(jobWith({ studs }), 200))).toMatchObject({
      score: 60,
      notes: ['−20 in the wall that faces the entry'],
    });
    const window = { id: 'n', kind: 'window' as const, at: 190, width: 30, headHeight: 80, sillHeight: 40 };
    expect(inWords(at(jobWith({ studs, openings: [window] }), 200).notes)).toContain('−15 below a window');
    expect(inWords(at(jobWith({ studs, points: [{ kind: 'pipe', at: 201 }] }), 200).notes)).toContain(
      '+10 behind the pipes',
    );
  });
  test('a window opposite throws light along it', () => {
    const job = jobWith({ studs });
    job.rooms[0]!.walls[0]!.openings = [
      { id: 'n', kind: 'window', at: 190, width: 30, headHeight: 80, sillHeight: 40 },
    ];
    expect(inWords(at(job, 200).notes)).toContain('−15 opposite a window, in raking light');
  });
});

describe('pinned splices', () => {
  const pinned = (): JobFile => {
    const job = jobWith({ studs });
    job.rooms[0]!.trims[0]!.splices = [
      { wall: 'w3', at: 150 },
      { wall: 'w3', at: 290 },
    ];
    return job;
  };
  test('divide the wall exactly there and leave nothing to choose', () => {
    const stretches = stretchesOf(pinned());
    expect(stretches.map((one) => [one.from, one.to])).toEqual([
      [0, 150.3125],
      [150.3125, 290.3125],
      [290.3125, 400],
    ]);
    expect(stretches.map((one) => one.places.length)).toEqual([0, 0, 0]);
    expect(stretches[0]!.rightAngle).toBe(45);
    expect(stretches[1]!.leftAngle).toBe(-45);
  });
});
