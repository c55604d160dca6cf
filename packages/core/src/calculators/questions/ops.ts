import { faultText, message, packed, type Message } from '../../messages/index.ts';
import { z } from 'zod';
import { ok, type Result } from '../../base/index.ts';
import { checkShape } from '../../job/index.ts';
import * as trade from '../../trade/index.ts';

/**
 * The calculator questions of the open `calc` format: for each `op` its fields and their ranges, and the function that
 * answers. What no corner, saw or board can be gets a reason, not a number.
 */

const length = z.number().gt(0, faultText('calc.must-be-greater-than-0'));
const size = z.number().min(0, faultText('calc.must-not-be-negative'));
const any = z.number();
const wallAngle = z
  .number()
  .gt(0, faultText('calc.must-be-greater-than-0'))
  .lt(360, faultText('calc.must-be-less-than-360'));
const inside = z
  .number()
  .gt(0, faultText('calc.must-be-greater-than-0'))
  .lt(180, faultText('calc.must-be-less-than-180-only'));
const acute = z
  .number()
  .gt(0, faultText('calc.must-be-greater-than-0'))
  .lt(90, faultText('calc.must-be-less-than-90'));
const slope = z
  .number()
  .gt(-90, faultText('calc.must-be-more-than-90'))
  .lt(90, faultText('calc.must-be-less-than-90'));
const turn = z
  .number()
  .gt(0, faultText('calc.must-be-greater-than-0'))
  .lt(180, faultText('calc.must-be-less-than-180'));
const pieces = z
  .number()
  .int(faultText('calc.must-be-a-whole-number'))
  .min(0, faultText('calc.must-not-be-negative'))
  .max(100, faultText('calc.must-be-at-most-100'));
const side = z.enum(['inside', 'outside']);
const whichPiece = z.enum(['left', 'right']);
const rakeEnd = z.enum(['low', 'high']);
const point = z.tuple([any, any]);
const units = z.enum(['in', 'mm']).optional();

/** One question: the shape of its fields and the answer to good ones. */
interface Op {
  readonly schema: z.ZodType;
  readonly answer: (input: never) => object;
}

/** Ties a schema to a function of exactly its fields; every question also takes `op` and `units`. */
const op = <S extends z.ZodRawShape>(shape: S, answer: (input: z.infer<z.ZodObject<S>>) => object): Op => ({
  schema: z.strictObject({ op: z.string(), units, ...shape }),
  answer,
});

/** As op, with a check of several fields together. */
const checked = <S extends z.ZodRawShape>(
  shape: S,
  check: (input: z.infer<z.ZodObject<S>>) => readonly [path: string, message: Message] | undefined,
  answer: (input: z.infer<z.ZodObject<S>>) => object,
): Op => ({
  schema: z.strictObject({ op: z.string(), units, ...shape }).superRefine((input, context) => {
    const fault = check(input as z.infer<z.ZodObject<S>>);
    if (fault) context.addIssue({ code: 'custom', path: [fault[0]], message: packed(fault[1]) });
  }),
  answer,
});

const vec = ([x, y]: readonly [number, number]) => ({ x, y });

/** Two sides of a triangle and the third: whether they can meet at all. */
const triangle = (p: number, q: number, d: number, name: string): readonly [string, Message] | undefined =>
  d >= p + q
    ? [name, message('calc.is-too-long-for-these-legs', { p: p + q })]
    : d <= Math.abs(p - q)
      ? [name, message('calc.is-too-short-for-these-legs', { p: Math.abs(p - q) })]
      : undefined;

const flatEnd = z
  .strictObject({
    kind: z.enum([
      'insideMiter',
      'outsideMiter',
      'buttSquare',
      'buttFitted',
      'cope',
      'buttMate',
      'casing',
      'return',
      'scarfOver',
      'scarfUnder',
    ]),
    A: wallAngle.optional(),
    mateT: length.optional(),
    s: size.lt(90, faultText('calc.must-be-less-than-90')).optional(),
  })
  .superRefine((end, context) => {
    const needsA = ['insideMiter', 'outsideMiter', 'buttSquare', 'buttFitted', 'cope', 'buttMate'].includes(
      end.kind,
    );
    if (needsA && end.A === undefined)
      context.addIssue({
        code: 'custom',
        path: ['A'],
        message: faultText('calc.is-missing-this-end-meets-a'),
      });
    if (end.A !== undefined && end.kind === 'outsideMiter' && end.A < 180)
      context.addIssue({
        code: 'custom',
        path: ['A'],
        message: faultText('calc.must-be-more-than-180-at'),
      });
    if (end.A !== undefined && needsA && end.kind !== 'outsideMiter' && end.A >= 180)
      context.addIssue({
        code: 'custom',
        path: ['A'],
        message: faultText('calc.must-be-less-than-180-at'),
      });
  });

const room = {
  lengths: z.array(length).min(3, faultText('calc.a-room-has-at-least-three')).max(500),
  angles: z.array(wallAngle).min(3).max(500),
};
const sameCount = ({
  lengths,
  angles,
}: {
  lengths: number[];
  angles: number[];
}): readonly [string, Message] | undefined =>
  lengths.length === angles.length
    ? undefined
    : ['angles', message('calc.must-be-as-many-as-the', { length: lengths.length })];

const MAX_FACES: Readonly<Record<trade.CornerScale, number>> = {
  room: 360,
  faces: 180,
  deflection: 180,
  half: 90,
  saw: 90,
};

const ops: Readonly<Record<string, Op>> = {
  'corner.convert': checked(
    { reading: z.enum(['room', 'faces', 'deflection', 'half', 'saw']), value: size, side: side.optional() },
    ({ reading, value, side: way }) => {
      const most = MAX_FACES[reading];
      if (
        value > most ||
        (value === most && (reading === 'room' || reading === 'deflection' || reading === 'saw'))
      )
        return [
          'value',
          message('calc.must-be', {
            choice:
              reading === 'faces' || reading === 'half' ? message('calc.at-most') : message('calc.less-than'),
            most,
          }),
        ];
      if (value === 0 && reading !== 'deflection' && reading !== 'saw')
        return ['value', message('calc.must-be-greater-than-0')];
      return reading !== 'room' && way === undefined && convertNeedsSide(reading, value)
        ? ['side', message('calc.is-missing-say-whether-the-corner')]
        : undefined;
    },
    ({ reading, value, side: way }) => trade.convertCorner(reading, value, way),
  ),
  'corner.tape': checked(
    { p: length, q: length, d: length, method: z.enum(['across', 'extension']), side },
    ({ p, q, d, method, side: way }) =>
      method === 'across' && way === 'outside'
        ? ['method', message('calc.an-outside-corner-cannot-be-taped')]
        : triangle(p, q, d, 'd'),
    ({ p, q, d, method, side: way }) => trade.tapedCorner(p, q, d, method, way),
  ),
  'corner.tapeError': checked(
    { leg: length, angle: inside, dd: any },
    ({ leg, angle, dd }) => {
      const across = trade.tapeError(leg, angle, 0).across + dd;
      return across <= 0 || across >= 2 * leg
        ? ['dd', message('calc.leaves-no-triangle-with-these-legs')]
        : undefined;
    },
    ({ leg, angle, dd }) => trade.tapeError(leg, angle, dd),
  ),
  'flat.piece': checked(
    { wall: length, t: size, left: flatEnd, right: flatEnd },
    ({ wall, t, left, right }) => {
      const { back, front } = trade.flatPiece(wall, t, left, right);
      return back <= 0 || front <= 0 ? ['wall', message('calc.is-too-short-for-these-ends')] : undefined;
    },
    ({ wall, t, left, right }) => trade.flatPiece(wall, t, left, right),
  ),
  'flat.cope': op({ A: inside, t: length, mateT: length.optional() }, ({ A, t, mateT }) =>
    trade.copeFigures(A, t, mateT),
  ),
  'flat.unequal': op(
    {
      A: wallAngle.refine((A) => A !== 180, faultText('calc.must-not-be-180-there-is')),
      t1: length,
      t2: length,
    },
    ({ A, t1, t2 }) => trade.unequalMiter(A, t1, t2),
  ),
  'flat.return': op({ t: length, end: length }, ({ t, end }) => trade.returnFigures(t, end)),
  'flat.scarf': checked(
    {
      run: length,
      joint: length,
      s: size.lt(90, faultText('calc.must-be-less-than-90')),
      t: length,
      lap: z.enum(['leftOver', 'rightOver']),
    },
    ({ run, joint }) => (joint >= run ? ['joint', message('calc.must-lie-inside-the-run')] : undefined),
    ({ run, joint, s, t, lap }) => trade.scarfFigures(run, joint, s, t, lap),
  ),
  'flat.lean': op({ A: wallAngle, tilt: slope, h: length }, ({ A, tilt, h }) =>
    trade.leaningMiter(A, tilt, h),
  ),
  'flat.saw': op(
    {
      A: wallAngle,
      piece: whichPiece,
      setup: z.enum(['stand', 'standUpsideDown', 'flatTopToFence', 'flatBottomToFence']),
    },
    ({ A, piece, setup }) => trade.flatSetting(A, piece, setup),
  ),
  'saw.wedge': op({ wanted: any, wedge: any }, ({ wanted, wedge }) => trade.wedgeSetting(wanted, wedge)),
  'saw.minWedge': op({ wanted: any, max: size }, ({ wanted, max }) => trade.smallestWedge(wanted, max)),
  'saw.plan': op(
    {
      A: wallAngle,
      height: length,
      caps: z.strictObject({ miterMax: size, bevelMax: size, standHeight: size, flatWidth: size }),
    },
    ({ A, height, caps }) => trade.planCut(A, height, caps),
  ),
  'casing.square': op({ W: length, H: length, r: size, c: length }, ({ W, H, r, c }) =>
    trade.squareCasing(W, H, r, c),
  ),
  'casing.unequal': checked(
    {
      W: length.optional(),
      H: length.optional(),
      r: size.optional(),
      cLeg: length,
      cHead: length,
      alpha: inside.optional(),
    },
    ({ W, H, alpha }) =>
      (W === undefined) !== (H === undefined)
        ? [W === undefined ? 'W' : 'H', message('calc.is-missing-width-and-height-go')]
        : W === undefined && alpha === undefined
          ? ['alpha', message('calc.is-missing-give-the-angle-or')]
          : undefined,
    ({ W, H, r, cLeg, cHead, alpha }) =>
      W !== undefined && H !== undefined && (alpha === undefined || alpha === 90)
        ? trade.unequalCasingLengths(W, H, r ?? 0, cLeg, cHead)
        : trade.unequalCasing(cLeg, cHead, alpha),
  ),
  'casing.outOfLevel': op({ W: length, HL: length, HR: length, r: size, c: length }, ({ W, HL, HR, r, c }) =>
    trade.outOfLevelCasing(W, HL, HR, r, c),
  ),
  'casing.quad': checked(
    { left: length, top: length, right: length, bottom: length, diag: length, r: size, c: length },
    ({ left, top, right, bottom, diag }) =>
      triangle(left, top, diag, 'diag') ?? triangle(bottom, right, diag, 'diag'),
    ({ left, top, right, bottom, diag, r, c }) => trade.quadCasing(left, top, right, bottom, diag, r, c),
  ),
  'casing.butt': op(
    { W: length, HL: length, HR: length, r: size, c: length, overhang: size },
    ({ W, HL, HR, r, c, overhang }) => trade.buttCasing(W, HL, HR, r, c, overhang),
  ),
  'casing.frame': op({ W: length, H: length, r: size, c: length }, ({ W, H, r, c }) =>
    trade.pictureFrame(W, H, r, c),
  ),
  'casing.stool': op(
    {
      W: length,
      r: size,
      c: length,
      horn: size,
      jambDepth: length,
      casingT: length,
      nose: size,
      apronT: size,
    },
    (input) => trade.stoolFigures(input),
  ),
  'casing.taper': checked(
    { d1: size, d2: size, L: length, x: size },
    ({ L, x }) => (x > L ? ['x', message('calc.is-past-the-end-of-the', { L })] : undefined),
    ({ d1, d2, L, x }) => trade.taperFigures(d1, d2, L, x),
  ),
  'bullnose.pieces': op({ R: length, turn, N: pieces, t: size }, ({ R, turn: by, N, t }) =>
    trade.bullnosePieces(R, by, N, t),
  ),
  'bullnose.twoPiece': op({ R: length, turn }, ({ R, turn: by }) => trade.bullnoseTwoPiece(R, by)),
  'cove.relief': op({ R: length, A: inside }, ({ R, A }) => trade.coveRelief(R, A)),
  'bullnose.crown': op(
    { R: length, turn, N: pieces, w: length, spring: acute },
    ({ R, turn: by, N, w, spring }) => trade.bullnoseCrown(R, by, N, w, spring),
  ),
  'crown.size': checked(
    {
      w: length.optional(),
      spring: acute.optional(),
      drop: length.optional(),
      projection: length.optional(),
    },
    ({ w, spring, drop, projection }) =>
      (w !== undefined && spring !== undefined) || (drop !== undefined && projection !== undefined)
        ? undefined
        : ['spring', message('calc.is-missing-give-width-and-spring')],
    ({ w, spring, drop, projection }) =>
      w !== undefined && spring !== undefined
        ? trade.crownSize(w, spring)
        : trade.crownFromSizes(drop!, projection!),
  ),
  'crown.cut': op({ A: wallAngle, spring: acute }, ({ A, spring }) => trade.crownCut(A, spring)),
  'crown.setup': op(
    {
      A: wallAngle,
      spring: acute,
      piece: whichPiece,
      setup: z.enum(['flatCeilingToFence', 'flatWallToFence', 'nested']),
    },
    ({ A, spring, piece, setup }) => trade.crownSetting(A, spring, piece, setup),
  ),
  'crown.length': op(
    { wall: length, w: length, spring: acute, AL: wallAngle, AR: wallAngle },
    ({ wall, w, spring, AL, AR }) => trade.crownLength(wall, w, spring, AL, AR),
  ),
  'rake.wall': op({ slopeLeft: slope, slopeRight: slope, h: length }, ({ slopeLeft, slopeRight, h }) =>
    trade.rakeOnWall(slopeLeft, slopeRight, h),
  ),
  'rake.crownOnWall': op(
    { slopeLeft: slope, slopeRight: slope, spring: acute, w: length },
    ({ slopeLeft, slopeRight, spring, w }) => trade.rakeCrownOnWall(slopeLeft, slopeRight, spring, w),
  ),
  'rake.unequal': op(
    {
      slope: slope.refine((phi) => phi !== 0, faultText('calc.must-not-be-0-there-is')),
      h1: length,
      h2: length,
    },
    ({ slope: phi, h1, h2 }) => trade.rakeUnequal(phi, h1, h2),
  ),
  'rake.transition': op(
    { A: inside, slope: acute, spring: acute, w: length, end: rakeEnd },
    ({ A, slope: phi, spring, w, end }) => trade.rakeTransition(A, phi, spring, w, end),
  ),
  'rake.plumb': op({ slope: acute, h: length }, ({ slope: phi, h }) => trade.rakePlumb(phi, h)),
  'rake.direct': op(
    { A: inside, slope: acute, ceilingSpring: acute, end: rakeEnd },
    ({ A, slope: phi, ceilingSpring, end }) => trade.rakeDirect(A, phi, ceilingSpring, end),
  ),
  'rake.mismatch': op(
    { slope: acute, spring: acute, w: length, end: rakeEnd },
    ({ slope: phi, spring, w, end }) => trade.rakeMismatch(phi, spring, w, end),
  ),
  'fit.corner': checked(
    {
      A: wallAngle.refine((A) => A !== 180, faultText('calc.must-not-be-180-there-is')),
      t: length,
      cutLeft: size.lt(90, faultText('calc.must-be-less-than-90')),
      cutRight: size.lt(90, faultText('calc.must-be-less-than-90')),
      sawError: any.optional(),
      backBevel: any.optional(),
    },
    ({ cutLeft, cutRight, sawError = 0, backBevel = 0 }) =>
      Math.max(cutLeft, cutRight) + Math.abs(sawError) + Math.abs(backBevel) >= 90
        ? ['sawError', message('calc.makes-a-cut-of-90-deg')]
        : undefined,
    ({ A, t, cutLeft, cutRight, sawError, backBevel }) =>
      trade.jointFit(A, t, cutLeft, cutRight, sawError, backBevel),
  ),
  'fit.bevelShift': op(
    { A: wallAngle, d: size, l: length, kind: z.enum(['hollow', 'proud']) },
    ({ A, d, l, kind }) => trade.bevelShift(A, d, l, kind),
  ),
  'room.closure': checked(room, sameCount, ({ lengths, angles }) => trade.roomClosure(lengths, angles)),
  'room.compass': checked(room, sameCount, ({ lengths, angles }) => trade.compassRule(lengths, angles)),
  'room.leastSquares': checked(
    { ...room, sigmaLength: length, sigmaAngle: length },
    sameCount,
    ({ lengths, angles, sigmaLength, sigmaAngle }) =>
      trade.leastSquares(lengths, angles, sigmaLength, sigmaAngle),
  ),
  'room.lengthBlunder': checked(room, sameCount, ({ lengths, angles }) =>
    trade.lengthBlunder(lengths, angles),
  ),
  'room.angleBlunder': checked(room, sameCount, ({ lengths, angles }) => trade.angleBlunder(lengths, angles)),
  'tape.burn': op({ reading: any, mark: size }, ({ reading, mark }) => trade.burnedTape(reading, mark)),
  'tape.fraction': op(
    {
      value: any,
      den: z
        .number()
        .int(faultText('calc.must-be-a-whole-number'))
        .min(1, faultText('calc.must-be-at-least-1'))
        .max(1024, faultText('calc.must-be-at-most-1024')),
    },
    ({ value, den }) => trade.tapeFraction(value, den),
  ),
  'tape.mm': op({ value: any, from: z.enum(['in', 'mm']) }, ({ value, from }) => trade.tapeMm(value, from)),
  'spring.bow': op({ span: length, over: length }, ({ span, over }) => trade.springBow(span, over)),
  'spring.overFromBow': op({ span: length, bow: size }, ({ span, bow }) => trade.overFromBow(span, bow)),
  'scarf.lap': checked(
    {
      joint: any,
      s: size.lt(90, faultText('calc.must-be-less-than-90')),
      t: length,
      gap: size,
      viewer: point,
    },
    ({ t, viewer }) =>
      viewer[1] <= t ? ['viewer', message('calc.must-stand-in-the-room-farther')] : undefined,
    ({ joint, s, t, gap, viewer }) => trade.scarfLap(joint, s, t, gap, viewer),
  ),
  'scarf.lapRoom': checked(
    { wallLeft: point, wallRight: point, viewer: point, joint: any },
    ({ wallLeft, wallRight }) =>
      wallLeft[0] === wallRight[0] && wallLeft[1] === wallRight[1]
        ? ['wallRight', message('calc.must-be-another-point-than-wallleft')]
        : undefined,
    ({ wallLeft, wallRight, viewer, joint }) =>
      trade.scarfLapRoom(vec(wallLeft), vec(wallRight), vec(viewer), joint),
  ),
};

/** A straight corner turns neither way. */
function convertNeedsSide(reading: trade.CornerScale, value: number): boolean {
  const straight = { faces: 180, deflection: 0, half: 90, saw: 0, room: 180 }[reading];
  return value !== straight;
}

/**
 * Answers one calculator question.
 * Issues: no such op, a field missing, unknown or out of its range, fields that cannot go together.
 */
export function calculate(question: unknown): Result<object> {
  const name =
    question !== null && typeof question === 'object' ? (question as { op?: unknown }).op : undefined;
  const found = typeof name === 'string' && Object.hasOwn(ops, name) ? ops[name] : undefined;
  if (!found)
    return {
      ok: false,
      issues: [
        {
          at: '/op',
          text:
            typeof name === 'string'
              ? message('calc.is-no-op-calc-help-lists', { name })
              : message('calc.is-missing-name-one-of-the'),
        },
      ],
    };
  const input = checkShape(found.schema, question);
  if (!input.ok) return input;
  const answer = found.answer(input.value as never);
  const bad = Object.entries(answer).find(
    ([, value]) => typeof value === 'number' && !Number.isFinite(value),
  );
  if (bad)
    return {
      ok: false,
      issues: [{ at: '', text: message('calc.has-no-answer-would-be-without', { bad: bad[0] }) }],
    };
  return ok(answer);
}

/** The fields of every op, for `calc --help`: optional ones in brackets. */
export function describeOps(): string[] {
  return Object.entries(ops).map(([name, { schema }]) => {
    const fields = Object.entries((schema as unknown as { shape: Record<string, z.ZodType> }).shape).filter(
      ([key]) => key !== 'op' && key !== 'units',
    );
    return `${name.padEnd(20)} ${fields.map(([key, type]) => (type.safeParse(undefined).success ? `[${key}]` : key)).join(', ')}`;
  });
}
