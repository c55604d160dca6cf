import { inWords } from '../../test/helpers/in-words.ts';
import { describe, expect, it } from '@jest/globals';
import { checkPlan } from '../../test/helpers/check-plan.ts';
import { simpleJob } from '../../test/helpers/jobs.ts';
import { clock } from '../../../optimiser/test/helpers/solver.ts';
import { endWord } from '../lists/index.ts';
import { checkJobFile, type HouseRulesInput, type JobFile } from '../job/index.ts';
import { compareRules, planJob, planQuickly, spliceWorth, underRules, type Piece } from './index.ts';

const box = (job: Partial<JobFile> = {}, room: Partial<JobFile['rooms'][number]> = {}): JobFile =>
  simpleJob([{ length: 120 }, { length: 100 }, { length: 120 }, { length: 100 }], {
    room: { entry: { wall: 'w1', at: 20 }, ...room },
    job,
  });

/** Two rooms alike but for their ids. */
function twins(own: HouseRulesInput | undefined): JobFile {
  const job = box();
  const room = job.rooms[0]!;
  return underRules({ ...job, rooms: [room, { ...room, id: 'other', name: 'Other' }] }, own ?? {}, 'other');
}

const inside = (pieces: readonly Piece[], room: string): string[] =>
  pieces.filter((piece) => piece.room === room).flatMap((piece) => [piece.left.joint, piece.right.joint]);

describe("a room's own rules", () => {
  it('hold in that room and nowhere else', () => {
    const { pieces } = planQuickly(twins({ insideCorner: 'miter' }));
    expect(new Set(inside(pieces, 'other'))).toEqual(new Set(['miter']));
    expect(new Set(inside(pieces, 'room'))).toEqual(new Set(['cope', 'through']));
  });
  it('lie over those of the job: what a room leaves out it takes from there', () => {
    const job = { ...twins({ scarfAngle: 30 }), houseRules: { insideCorner: 'miter' as const } };
    expect(new Set(inside(planQuickly(job).pieces, 'other'))).toEqual(new Set(['miter']));
  });
  it('change only their own room, and the comparison says which pieces', () => {
    const job = twins(undefined);
    const last = [...compareRules(job, underRules(job, { insideCorner: 'miter' }, 'other'))].at(-1)!;
    expect(last.changed).toBe(4);
    expect(new Set(last.changes.map((one) => one.room))).toEqual(new Set(['Other']));
  });
  it('are given back by an empty set', () => {
    expect(underRules(twins({ insideCorner: 'miter' }), {}, 'other').rooms[1]).not.toHaveProperty(
      'houseRules',
    );
  });
  it('cannot be about money, the saw or the numbers: those are one for the job', () => {
    for (const key of ['splicePrice', 'endTrim', 'minPiece', 'minReusable']) {
      const checked = checkJobFile({ ...box({}, { houseRules: { [key]: 1 } }) });
      expect(!checked.ok && checked.issues[0].at).toBe(`/rooms/0/houseRules/${key}`);
    }
  });
  it('reach the cut plan: one wall scarfed at 30, its twin at 45', () => {
    const long = simpleJob([{ length: 300 }], { closed: false });
    const room = long.rooms[0]!;
    const job = underRules({ ...long, rooms: [room, { ...room, id: 'b' }] }, { scarfAngle: 30 }, 'b');
    const planned = planJob(job, { solver: undefined, seconds: 1, clock });
    if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
    const angles = planned.value.pieces
      .filter((piece) => piece.right.joint === 'scarf')
      .map((piece) => [piece.room, Math.abs(piece.right.angle)]);
    expect(angles).toEqual([
      ['room', 45],
      ['b', 30],
    ]);
  });
});

describe('numbers on the pieces', () => {
  it('follow the order of installation where the rule says so', () => {
    const { pieces } = planQuickly(box({ houseRules: { numbering: 'installation' } }));
    expect(pieces.map((piece) => Number(piece.label.split('-')[1]))).toEqual(
      pieces.map((piece) => piece.order),
    );
    expect(new Set(pieces.map((piece) => piece.label)).size).toBe(pieces.length);
    const read = planQuickly(box()).pieces.map((piece) => piece.label);
    expect(read).toEqual(['1-01', '1-02', '1-03', '1-04']);
  });
});

describe('furniture', () => {
  it('makes a splice behind it worth more, and says so', () => {
    const wall = { length: 300 };
    const bare = simpleJob([wall, { length: 100 }, wall, { length: 100 }]);
    const room = bare.rooms[0]!;
    const behind = {
      ...room,
      walls: room.walls.map((one) =>
        one.id === 'w1' ? { ...one, furniture: [{ at: 100, width: 50, name: 'bookcase' }] } : one,
      ),
    };
    const at = (which: typeof room, centre: number) => {
      const quick = planQuickly({ ...bare, rooms: [which] });
      const piece = quick.pieces.find((one) => one.wall === 'w1')!;
      return spliceWorth(piece, which, quick, centre)!;
    };
    expect(inWords(at(behind, 120).notes)).toContain('+15 behind the bookcase');
    expect(inWords(at(behind, 170).notes)).not.toContain('+15 behind the bookcase');
    // Nothing for or against it: 80; hidden 15 more; 10 in from a corner 25 less.
    expect(at(room, 120).score).toBe(80);
    expect(at(behind, 120).score).toBe(95);
    expect(at(room, 10).score).toBe(55);
  });
});

/** A wall with a bare opening in it: shoe on base, and a rail on its backer, all end there. */
function withOpening(houseRules: HouseRulesInput): JobFile {
  const job = simpleJob([{ length: 120 }], { closed: false });
  const profile = (id: string, use: 'shoe' | 'backer' | 'chair-rail', width: number, thickness: number) => ({
    ...job.profiles[0]!,
    id,
    name: id,
    use,
    width,
    thickness,
  });
  const room = job.rooms[0]!;
  return {
    ...job,
    houseRules,
    profiles: [
      ...job.profiles,
      profile('shoe', 'shoe', 0.75, 0.5),
      profile('backer', 'backer', 3.5, 0.5),
      profile('rail', 'chair-rail', 2.5, 1),
    ],
    stock: ['base', 'shoe', 'backer', 'rail'].map((id) => ({ profile: id, length: 192, price: 10 })),
    rooms: [
      {
        ...room,
        walls: [
          {
            ...room.walls[0]!,
            openings: [{ id: 'o', kind: 'drywall', at: 70, width: 36, headHeight: 80 }],
          },
        ],
        trims: [
          { id: 'base', profile: 'base', on: 'walls' },
          { id: 'shoe', profile: 'shoe', on: 'walls', standsOn: 'base' },
          { id: 'backer', profile: 'backer', on: 'walls', height: 31 },
          { id: 'rail', profile: 'rail', on: 'walls', height: 31.5, standsOn: 'backer' },
        ],
      },
    ],
  };
}

const planOf = (job: JobFile): readonly Piece[] => {
  const checked = checkJobFile(job);
  if (!checked.ok) throw new Error(JSON.stringify(checked.issues[0]));
  const planned = planJob(checked.value, { solver: undefined, seconds: 1, clock });
  if (!planned.ok) throw new Error(JSON.stringify(planned.issues[0]));
  expect(checkPlan(job, planned.value)).toEqual([]);
  return planned.value.pieces;
};

const fromZero = (pieces: readonly Piece[]): Piece =>
  pieces.find((piece) => piece.role === 'wall' && piece.from === 0)!;

describe('ends of shoe and rail', () => {
  it('shoe is snipped instead of returned where the rule says so: square, full length, no return piece', () => {
    const own = planOf(withOpening({ shoeReturn: 'snipped' })).filter((piece) => piece.trim === 'shoe');
    expect(own.map((piece) => piece.role)).toEqual(['wall', 'wall']);
    // The left one runs from the free end to the jamb at 70; a quarter of its 1/2 in nose comes off.
    expect(fromZero(own)).toMatchObject({ near: 70, right: { joint: 'square', angle: 0, snip: 0.125 } });
    // At the saw and on paper it is said at the end it belongs to.
    expect(inWords(endWord(fromZero(own).right))).toBe('square, snip the nose');
    const returned = planOf(withOpening({})).filter((piece) => piece.trim === 'shoe');
    expect(fromZero(returned)).toMatchObject({ near: 69.5, right: { joint: 'return', angle: -45 } });
  });
  it('a rail dies into its backer in two half turns: same back length, two pieces from the waste', () => {
    const own = planOf(withOpening({ railReturn: 'half-turns' })).filter((piece) => piece.trim === 'rail');
    const main = fromZero(own);
    const [wedge, back] = own.filter((piece) => piece.role === 'return' && piece.id.startsWith(main.id));
    // 1 in thick: the back stops 1 in short of the end of the trim, whether it turns once or twice.
    expect(main).toMatchObject({ near: 69, right: { joint: 'return', angle: -22.5, mate: wedge!.id } });
    expect(main.right.reach).toBeCloseTo(Math.tan(Math.PI / 8), 9);
    expect(wedge).toMatchObject({
      near: 0,
      left: { joint: 'return', angle: -22.5, mate: main.id },
      right: { joint: 'return', angle: -22.5, mate: back!.id },
    });
    expect(back).toMatchObject({ near: 0, left: { angle: -22.5, mate: wedge!.id }, right: { angle: 0 } });
    expect(main.order).toBeLessThan(wedge!.order);
    expect(wedge!.order).toBeLessThan(back!.order);
    expect(inWords(endWord(main.right))).toBe('short, half turn');
    expect(inWords(main.reason).join(' ')).toContain('two half turns to what it lies on');
  });
});
