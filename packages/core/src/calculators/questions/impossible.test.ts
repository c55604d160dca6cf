import { plainText } from '../../measure/index.ts';
import { describe, expect, test } from '@jest/globals';
import { calculate } from './index.ts';

/** What no corner, saw or board can be gets a reason, not a number. */

const reason = (question: unknown): string => {
  const answer = calculate(question);
  return answer.ok
    ? `answered ${JSON.stringify(answer.value)}`
    : answer.issues.map((issue) => `${issue.at}: ${plainText(issue.text)}`).join('; ');
};
const end = (kind: string, A?: number) => ({ kind, ...(A === undefined ? {} : { A }) });

describe('questions without an answer', () => {
  const cases: [string, object, RegExp][] = [
    ['a wall angle of 0', { op: 'crown.cut', A: 0, spring: 38 }, /^\/A: must be greater than 0/],
    ['a wall angle of 360', { op: 'crown.cut', A: 360, spring: 38 }, /^\/A: must be less than 360/],
    ['crown flat on the wall', { op: 'crown.cut', A: 90, spring: 0 }, /^\/spring: must be greater than 0/],
    ['crown flat on the ceiling', { op: 'crown.size', w: 3, spring: 90 }, /^\/spring: must be less than 90/],
    ['crown with nothing to size it by', { op: 'crown.size', w: 3 }, /^\/spring: is missing/],
    [
      'faces more than 180 apart',
      { op: 'corner.convert', reading: 'faces', value: 190, side: 'inside' },
      /^\/value: must be at most 180/,
    ],
    [
      'a protractor figure without its side',
      { op: 'corner.convert', reading: 'faces', value: 128.5 },
      /^\/side: is missing/,
    ],
    [
      'an outside corner taped across',
      { op: 'corner.tape', p: 12, q: 12, d: 17, method: 'across', side: 'outside' },
      /cannot be taped across/,
    ],
    [
      'legs that cannot meet',
      { op: 'corner.tape', p: 12, q: 12, d: 24, method: 'across', side: 'inside' },
      /^\/d: is too long/,
    ],
    [
      'a distance shorter than the legs differ',
      { op: 'corner.tape', p: 12, q: 20, d: 7, method: 'across', side: 'inside' },
      /^\/d: is too short/,
    ],
    [
      'a wall shorter than its ends',
      { op: 'flat.piece', wall: 1, t: 0.75, left: end('insideMiter', 60), right: end('insideMiter', 60) },
      /^\/wall: is too short for these ends/,
    ],
    [
      'a miter without its corner',
      { op: 'flat.piece', wall: 60, t: 0.75, left: end('insideMiter'), right: end('casing') },
      /^\/left\/A: is missing/,
    ],
    [
      'an inside miter at an outside corner',
      { op: 'flat.piece', wall: 60, t: 0.75, left: end('insideMiter', 270), right: end('casing') },
      /^\/left\/A: must be less than 180/,
    ],
    ['a cope at an outside corner', { op: 'flat.cope', A: 270, t: 0.5 }, /^\/A: must be less than 180/],
    [
      'a scarf outside its run',
      { op: 'flat.scarf', run: 100, joint: 100, s: 45, t: 0.5, lap: 'leftOver' },
      /^\/joint: must lie inside the run/,
    ],
    [
      'a scarf of 90',
      { op: 'flat.scarf', run: 100, joint: 50, s: 90, t: 0.5, lap: 'leftOver' },
      /^\/s: must be less than 90/,
    ],
    ['no thickness', { op: 'flat.cope', A: 90, t: 0 }, /^\/t: must be greater than 0/],
    [
      'a diagonal longer than the sides',
      { op: 'casing.quad', left: 30, top: 40, right: 30, bottom: 40, diag: 80, r: 0, c: 2 },
      /^\/diag: is too long/,
    ],
    ['a width without a height', { op: 'casing.unequal', W: 30, cLeg: 2, cHead: 3 }, /^\/H: is missing/],
    [
      'a width past the end of the jamb',
      { op: 'casing.taper', d1: 1, d2: 2, L: 40, x: 41 },
      /^\/x: is past the end/,
    ],
    [
      'half a transition piece',
      { op: 'bullnose.pieces', R: 1, turn: 90, N: 1.5, t: 0.5 },
      /^\/N: must be a whole number/,
    ],
    ['a turn right back', { op: 'bullnose.twoPiece', R: 1, turn: 180 }, /^\/turn: must be less than 180/],
    [
      'a corner that is none',
      { op: 'fit.corner', A: 180, t: 1, cutLeft: 0, cutRight: 0 },
      /^\/A: must not be 180/,
    ],
    [
      'a cut beyond 90',
      { op: 'fit.corner', A: 90, t: 1, cutLeft: 89.9, cutRight: 45, sawError: 0.2 },
      /^\/sawError: makes a cut of 90° or more/,
    ],
    ['a bend that is none', { op: 'rake.unequal', slope: 0, h1: 3, h2: 4 }, /^\/slope: must not be 0/],
    [
      'two walls',
      { op: 'room.closure', lengths: [1, 2], angles: [90, 90] },
      /^\/lengths: a room has at least three walls/,
    ],
    [
      'angles missing',
      { op: 'room.closure', lengths: [1, 2, 3], angles: [60, 60, 60, 60] },
      /^\/angles: must be as many as the walls: 3/,
    ],
    [
      'a viewer inside the wall',
      { op: 'scarf.lap', joint: 9, s: 45, t: 1, gap: 0.1, viewer: [3, 0.5] },
      /^\/viewer: must stand in the room/,
    ],
    [
      'a wall of one point',
      { op: 'scarf.lapRoom', wallLeft: [1, 1], wallRight: [1, 1], viewer: [3, 3], joint: 1 },
      /^\/wallRight: must be another point/,
    ],
    [
      'a fraction of half a mark',
      { op: 'tape.fraction', value: 3, den: 0.5 },
      /^\/den: must be a whole number/,
    ],
    [
      'an unknown field',
      { op: 'tape.burn', reading: 3, mark: 1, colour: 'red' },
      /^\/colour: is not a known key/,
    ],
    ['a missing field', { op: 'tape.burn', reading: 3 }, /^\/mark: is missing/],
    ['text for a number', { op: 'tape.burn', reading: '3', mark: 1 }, /^\/reading: must be a number/],
    ['an unknown question', { op: 'crown.paint' }, /^\/op: "crown.paint" is no op/],
    ['a name every object has', { op: 'constructor' }, /^\/op: "constructor" is no op/],
  ];
  test.each(cases)('%s', (_name, question, why) => expect(reason(question)).toMatch(why));
  test.each([[null], [5], ['crown.cut'], [[]], [{}]])('%j is no question', (question) =>
    expect(reason(question)).toMatch(/^\/op: is missing/),
  );
});

test('the rules of thumb differ from the exact figures as the trade knows', () => {
  const value = (question: object): Record<string, number> => {
    const answer = calculate(question);
    if (!answer.ok) throw new Error(JSON.stringify(answer.issues[0]));
    return answer.value as Record<string, number>;
  };
  // "35 and 30" belong to a spring of 45, not of 38.
  expect(value({ op: 'crown.cut', A: 90, spring: 45 })).toMatchObject({
    miter: expect.closeTo(35.264, 3),
    bevel: expect.closeTo(30, 9),
  });
  // "0.83 of the radius" is right at 90 only.
  expect(value({ op: 'bullnose.pieces', R: 1, turn: 90, N: 1, t: 0 })['transitionBack']).toBeCloseTo(
    0.828,
    3,
  );
  expect(value({ op: 'bullnose.pieces', R: 1, turn: 45, N: 1, t: 0 })['transitionBack']).toBeCloseTo(
    0.398,
    3,
  );
  // Half the wall angle is the saw's setting at 90 alone.
  expect(value({ op: 'corner.convert', reading: 'room', value: 95 })).toMatchObject({
    halfAngle: 47.5,
    sawMiter: 42.5,
  });
});
