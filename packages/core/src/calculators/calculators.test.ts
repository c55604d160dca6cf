import { inWords } from '../../test/helpers/in-words.ts';
import { plainText } from '../measure/index.ts';
import { drawingPoints } from '../geometry/index.ts';
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import {
  benchSheets,
  fieldsAsked,
  jointSeen,
  judgePractice,
  practiceRound,
  PRACTICE_KINDS,
  startTexts,
  workSheet,
  type Answer,
  type Sheet,
  type JointCut,
} from './index.ts';

const sheetOf = (key: string): Sheet => {
  const found = benchSheets.find((sheet) => sheet.key === key);
  if (!found) throw new Error(`no sheet ${key}`);
  return found;
};

function answerOf(key: string, texts: Record<string, string>, unit: 'in' | 'mm' = 'in'): Answer {
  const answer = workSheet(sheetOf(key), texts, unit);
  if (!answer.ok) throw new Error(JSON.stringify(answer.issues));
  return answer.value;
}

/** The figure shown under a label. */
const figure = (answer: Answer, label: string): number | string => {
  const { value } = answer.outcomes.find((one) => plainText(one.label) === label)!;
  return typeof value === 'number' ? value : plainText(value);
};

/** Figures of the trade, worked apart from this code: tables of the geometry notes and plain trigonometry. */
const known: [key: string, texts: Record<string, string>, label: string, expected: number][] = [
  ['corner', { scale: 'faces', value: '128.75', side: 'outside' }, 'set the saw to', 25.625],
  ['corner', { scale: 'room', value: '87.3' }, 'set the saw to', 46.35],
  ['corner', { scale: 'half', value: '30', side: 'inside' }, 'set the saw to', 60],
  ['tape-angle', { p: '12', q: '16', d: '20' }, 'wall angle in the room', 90],
  ['tape-angle', { p: '24', q: '24', d: '33.941125', e: '1/16' }, 'sure to about ±', 0.2984],
  ['square', { x: '1/4', y: '24' }, 'wall angle', 90.5968],
  ['hollow', { A: '90', d: '1/16', l: '6' }, 'out by', 0.5968],
  ['unequal', { A: '90', t1: '1', t2: '1/2' }, 'left piece', 26.5651],
  ['lean', { A: '90', tilt: '1', h: '5 1/4' }, 'top edge shorter by', 0.0916],
  ['curve', { R: '60', turn: '90', N: '6' }, 'each piece, back', 15.6631],
  ['fit', { A: '91', t: '3/4' }, 'gap at the face', 0.0185],
  ['fit', { A: '89', t: '3/4' }, 'hidden at the back', 0.0185],
  ['fit', { A: '270', cutLeft: '44', cutRight: '44' }, 'gap at the face', 0.0364],
  ['saw-limit', { A: '60' }, 'wedge block', 10],
  ['wedge', { wanted: '60', wedge: '90' }, 'swing left', 30],
  ['piece', { wall: '120', t: '5/8', leftKind: 'insideMiter', rightKind: 'outsideMiter', rightA: '270' }, 'square-ended stock', 120.625],
  ['cope', { A: '135', t: '1', mateT: '1' }, 'finished back stops short by', 1.4142],
  ['cope', { A: '150' }, 'wood left at the tip', 30],
  ['scarf', { s: '30', t: '1' }, 'overlap', 0.5774],
  ['spring-fit', { span: '120', over: '1/16' }, 'it bows out by', 1.677],
  ['round', { R: '3/4', turn: '90', N: '1', t: '5/8' }, 'little piece, back', 0.6213],
  ['round', { R: '3/4', turn: '90', N: '1', t: '5/8' }, 'they stop short of the sharp corner by', 0.4393],
  ['cove', { R: '3/4', A: '90' }, 'unrelieved, the trim stands off both walls by', 0.2197],
  ['crown-round', { R: '3/4', spring: '38' }, 'little piece at the ceiling', 2.47],
  ['crown', { by: 'ceiling', spring: '52' }, 'drop on the wall', 2.8565],
  ['crown-length', { wall: '144', AL: '90', AR: '90' }, 'ceiling edge', 139.536],
  ['casing', { HL: '80 1/2', HR: '80 3/4' }, 'left corner, both cut', 44.765],
  ['casing-unequal', { cLeg: '2.5', cHead: '4.5' }, 'legs cut at', 60.945],
  ['quad', {}, 'top left, cut', 90 - 90.2985 / 2],
  ['stool', { W: '36', r: '3/16', c: '2 1/2', horn: '3/4' }, 'length', 42.875],
  ['taper', { d1: '1/2', d2: '1', L: '60', x: '30' }, 'wide at 30 in', 0.75],
  ['rake', { slopeLeft: '0', slopeRight: '37', h: '5.25' }, 'top edge shorter by', 1.7566],
  ['plumb', { slope: '30', h: '6' }, 'height of the plumb cut', 6.9282],
  ['crown-rake', { slope: '18.4349' }, 'transition piece at the wall, at least', 2.695],
]; // prettier-ignore

describe('the Bench', () => {
  it.each(known)('%s with %j: %s', (key, texts, label, expected) => {
    expect(figure(answerOf(key, texts), label)).toBeCloseTo(expected, 3);
  });

  it('has an answer, a drawing and a working for every sheet as it opens, in both systems', () => {
    for (const sheet of benchSheets)
      for (const unit of ['in', 'mm'] as const) {
        const answer = answerOf(sheet.key, startTexts(sheet, unit), unit);
        expect([sheet.key, answer.outcomes.length > 0, answer.working.length > 0]).toEqual([
          sheet.key,
          true,
          true,
        ]);
        const points = answer.drawings.flatMap((drawing) => drawingPoints(drawing.shapes));
        expect(points.length).toBeGreaterThan(3);
        expect(points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
        for (const { value } of answer.outcomes)
          expect(typeof value === 'number' ? Number.isFinite(value) : inWords(value).length > 0).toBe(true);
      }
  });

  it('answers whatever is typed with figures or with reasons, never with a figure that is none', () => {
    const texts = fc.oneof(
      fc.constantFrom('', '0', '-1', '90', '180', '359.99', '1e9', '12 3/8', 'x', '45', '89.999', '1/64'),
      fc.double({ min: 0, max: 400, noNaN: true }).map((value) => value.toFixed(3)),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...benchSheets),
        fc.constantFrom('in' as const, 'mm' as const),
        fc.array(texts, { minLength: 12, maxLength: 12 }),
        fc.nat(1000),
        (sheet, unit, typed, pick) => {
          const start = startTexts(sheet, unit);
          for (const [i, field] of sheet.fields.entries())
            if (field.kind === 'choice')
              start[field.key] = field.options![(pick + i) % field.options!.length]!.value;
            else if ((pick >> (i % 10)) & 1) start[field.key] = typed[i]!;
          const answer = workSheet(sheet, start, unit);
          if (!answer.ok) {
            expect(answer.issues.every((issue) => plainText(issue.text).length > 3)).toBe(true);
            expect(
              answer.issues.every(
                (issue) =>
                  issue.at === '' || fieldsAsked(sheet, start).some((field) => field.key === issue.at),
              ),
            ).toBe(true);
          } else
            for (const one of answer.value.outcomes)
              if (typeof one.value === 'number')
                expect([sheet.key, one.label, Number.isFinite(one.value)]).toEqual([
                  sheet.key,
                  one.label,
                  true,
                ]);
        },
      ),
      { numRuns: 1500 },
    );
  });
});

const miter = (A: number, cut: number): JointCut => ({
  joint: 'miter',
  A,
  t: 0.75,
  cutLeft: cut,
  cutRight: cut,
  sawError: 0,
  undercut: 0,
  relief: 0,
});

describe('rules of thumb', () => {
  it('44 into a square corner leaves the back open and each piece 0.0257 in too long', () => {
    const { thumbs } = answerOf('fit', { A: '90', t: '3/4' });
    const rule = thumbs!.find((one) => inWords(one.rule) === '44 inside')!;
    expect(inWords(rule.error)).toContain('the back open 0.036 in');
    expect(inWords(rule.error)).toContain('0.026 in');
  });
  it('83 % of the radius is right for a square turn and 0.324 in too long for half of one', () => {
    expect(inWords(answerOf('round', { R: '3/4', turn: '90' }).thumbs![0]!.error)).toContain(
      'as good as none',
    );
    // 0.83 × 0.75 = 0.6225; 2 × 0.75 × tan 11.25 = 0.2984
    expect(inWords(answerOf('round', { R: '3/4', turn: '45' }).thumbs![0]!.error)).toBe('0.324 in too long');
  });
  it('35/30 is nearly a 45 crown in a square corner, and far out for a 38 crown', () => {
    // Exact 35.264/30: 0.264° × cos 30 between the planes, over 2 × 3 5/8.
    expect(inWords(answerOf('crown', { A: '90', spring: '45' }).thumbs![0]!.error)).toContain(
      'up to 0.029 in',
    );
    // Exact 31.62/33.86: √((3.38 cos 32)² + 3.86²) = 4.8° by the flat rule; over 2 × 3 5/8 some 0.6 in.
    expect(inWords(answerOf('crown', { A: '90', spring: '38' }).thumbs![0]!.error)).toMatch(
      /4\.\d+° out .* up to 0\.6\d* in/,
    );
  });
  it('10 % over buys one stick too few where the pieces do not share', () => {
    // Seven pieces of 74 sum to 518: 3.96 sticks of 144 with 10 % over, but no two of them go on one stick.
    const answer = answerOf('sticks', { lengths: '7 x 74', stick: '144' });
    expect(figure(answer, 'fewest sticks that do')).toBe('7');
    expect(inWords(answer.thumbs![0])).toMatchObject({ says: '4 sticks', exact: '7 sticks' });
  });
});

describe('the joint as cut', () => {
  it('a cope that is undercut less than the corner is wide stands open at the face', () => {
    const cope: JointCut = { ...miter(100, 40), joint: 'cope', cutRight: 0, relief: 0.375 };
    // 0.75 · tan 10 along the wall, seen square to the mate's face: × sin 100
    expect(jointSeen(cope).faceGap).toBeCloseTo(0.75 * 0.17633 * 0.98481, 4);
    expect(jointSeen({ ...cope, undercut: 10 }).faceGap).toBeCloseTo(0, 9);
    // Revealed a degree out, thick and thin parts of the profile want different setbacks.
    expect(jointSeen({ ...cope, undercut: 12, cutLeft: 41 }).faceGap).toBeCloseTo(
      0.375 * (0.869287 - 0.8391) * 0.98481,
      4,
    );
  });
  it('is without gap where the cuts share the turn, and opens the more the farther they are out', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.double({ min: 50, max: 170, noNaN: true }),
          fc.double({ min: 190, max: 310, noNaN: true }),
        ),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (A, off) => {
          const m = Math.abs(180 - A) / 2;
          const right = jointSeen(miter(A, m));
          expect(right.faceGap + right.backGap).toBeLessThan(1e-6);
          const over = A < 180 ? m + off : m - off;
          const more = A < 180 ? m + 2 * off : m - 2 * off;
          fc.pre(over > 0 && more > 0 && more < 80);
          expect(jointSeen(miter(A, over)).faceGap).toBeGreaterThan(0);
          expect(jointSeen(miter(A, more)).faceGap).toBeGreaterThan(jointSeen(miter(A, over)).faceGap);
        },
      ),
    );
  });
});

describe('practice', () => {
  it('sets the same corner for the same seed, of the kind asked for', () => {
    for (const { kind } of PRACTICE_KINDS)
      for (let seed = 1; seed < 40; seed++) {
        const round = practiceRound(seed, 'in', kind);
        expect(round).toEqual(practiceRound(seed, 'in', kind));
        expect([kind, round.kind, round.told.length > 0]).toEqual([kind, kind, true]);
        expect(round.A > 180).toBe(kind === 'outside' || kind === 'wide-outside');
      }
  });
  it('closes for whoever sets half of the turn less what the saw is out, and for nobody three degrees off', () => {
    for (let seed = 1; seed < 60; seed++) {
      const round = practiceRound(seed, 'mm');
      const m = Math.abs(180 - round.A) / 2;
      const play = (off: number) =>
        judgePractice(
          round,
          {
            cutLeft: String(m - round.sawError + off),
            cutRight: String(m - round.sawError + off),
            undercut: String(Math.max(0, round.A - 90) + 1),
          },
          'mm',
        );
      const right = play(0);
      expect(right.ok && right.value.tight).toBe(true);
      for (const off of [-3, 3]) {
        const wrong = play(off);
        // A cope forgives the reveal where the profile is shallow: miters only.
        if (round.joint === 'miter') expect(wrong.ok && !wrong.value.tight).toBe(true);
      }
    }
  });
  it('refuses what is no setting, at its field', () => {
    const round = practiceRound(3, 'in', 'inside');
    expect(judgePractice(round, { cutLeft: 'x', cutRight: '95' }, 'in')).toMatchObject({
      ok: false,
      issues: [{ at: 'cutLeft' }, { at: 'cutRight' }],
    });
  });
});

describe('what a sheet sends to a job', () => {
  const sends = (key: string, texts: Record<string, string>, unit: 'in' | 'mm' = 'in') =>
    answerOf(key, texts, unit).sends!;
  it('a reading goes as it was read, on the scale it was read on', () => {
    expect(sends('corner', { scale: 'faces', value: '128 3/4', side: 'outside' })[0]).toMatchObject({
      to: 'corner',
      reading: { as: 'protractor', degrees: 128.75, side: 'outside' },
      typed: '128.75',
    });
    expect(sends('corner', { scale: 'deflection', value: '45', side: 'inside' })[0]).toMatchObject({
      reading: { as: 'deflection', degrees: 45, side: 'inside' },
    });
    expect(sends('corner', { scale: 'saw', value: '22.5', side: 'inside' })[0]).toMatchObject({
      reading: { as: 'miter', degrees: 22.5 },
    });
    // Half of the corner has no form of its own in a job: the whole angle between the faces is kept.
    expect(sends('corner', { scale: 'half', value: '30', side: 'inside' })[0]).toMatchObject({
      reading: { as: 'protractor', degrees: 60 },
      typed: '60',
    });
  });
  it('tape readings go as legs; over the extended line as what they come to', () => {
    expect(sends('tape-angle', { p: '12', q: '16', d: '20' })[0]).toMatchObject({
      reading: { as: 'legs', left: 12, right: 16, across: 20, side: 'inside' },
    });
    const [extended] = sends('tape-angle', {
      method: 'extension',
      side: 'outside',
      p: '12',
      q: '16',
      d: '20',
    });
    // 12, 16, 20 is a right angle: the walls turn by 90 outside.
    expect(extended).toMatchObject({
      reading: { as: 'deflection', degrees: expect.closeTo(90), side: 'outside' },
    });
  });
  it('forms, leans, openings, splices and joints go with their figures', () => {
    expect(sends('round', { R: '1 1/4' })[0]).toMatchObject({ form: { kind: 'bullnose', radius: 1.25 } });
    expect(sends('cove', { R: '20' }, 'mm')[0]).toMatchObject({ form: { kind: 'rounded', radius: 20 } });
    expect(sends('lean', { tilt: '-1.5' })[0]).toMatchObject({ to: 'corner-lean', lean: -1.5 });
    expect(sends('casing', { W: '30 1/2', HL: '80', HR: '80 1/4' })[0]).toMatchObject({
      change: { width: 30.5, headLeft: 80, headRight: 80.25 },
    });
    expect(sends('scarf', { joint: '128' })[0]).toMatchObject({ to: 'splice', at: 128 });
    expect(sends('cope', {}).map((one) => one.to === 'joint' && one.pin)).toEqual([
      'through-right',
      'through-left',
    ]);
    expect(sends('fit', { joint: 'miter' })[0]).toMatchObject({ to: 'joint', pin: 'miter' });
  });
});

describe('lists of lengths', () => {
  const read = (lengths: string) => workSheet(sheetOf('sticks'), { lengths }, 'in');
  it('take several of one length, and say what is wrong', () => {
    expect(
      figure(
        answerOf('sticks', { lengths: '2 x 100; 3×44', stick: '144', kerf: '0' }),
        'fewest sticks that do',
      ),
    ).toBe('3');
    for (const [text, reason] of [
      ['', 'write lengths with commas'],
      ['13 x 20', 'takes 1 to 12 pieces here'],
      ['96, tall', 'is not a length'],
      ['150', 'is longer than a stick'],
    ] as const) {
      const answer = read(text);
      expect(inWords(answer.ok ? '' : answer.issues[0].text)).toContain(reason);
      expect(inWords(answer.ok ? '' : answer.issues[0].at)).toBe('lengths');
    }
  });
});
