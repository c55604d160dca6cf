import { message, lengthFigure, wordOf, type Words } from '../messages/index.ts';
import { atanDeg, bendPieceKey, cosDeg, tanDeg, testPieceKey, type PieceKey } from '../base/index.ts';
import { loopOf, type Wall } from '../job/index.ts';
import { type Unit } from '../measure/index.ts';
import { bendPlane, crownOrder, placeOfSegment, type Rake, type TrimFrame } from '../joinery/index.ts';
import { dropOf } from '../saw/index.ts';
import { cutEnd, type PieceDraft, type DraftEnd } from './draft.ts';
import type { RunLayout } from './layout.ts';
import { cornerMate, keyOfPiece } from './piece-keys.ts';

/** What is drafted for crown beside its level pieces: pieces that climb and those that turn to them, the blocks of a test pair. */

const size = (value: number): number => Number(value.toFixed(4));

/** Why a piece is cut longer or shorter than its place. */
export function allowanceReason(allowance: number, glued: boolean, closes: boolean): Words[] {
  if (allowance === 0) return [];
  if (glued) return [message('piece.cut-shy-it-is-glued-in', { allowance: size(-allowance) })];
  return closes
    ? [message('piece.cut-longer-it-closes-the-run', { allowance: size(allowance) })]
    : [message('piece.cut-longer-to-spring-in', { allowance: size(allowance) })];
}

/** How the crew's school hangs a piece of crown, and where its lower edge runs. */
export function crownReason(frame: TrimFrame, glued: boolean, closes: boolean, wallIndex: number): Words[] {
  if (!frame.atCeiling) return [];
  const { crownOrder: school, looseEnd } = frame.rules;
  const drop = frame.slopes?.drops.get(wallIndex);
  const loose =
    looseEnd[school === 'foam' ? 'polyurethane' : (frame.profile.material ?? '*')] ?? looseEnd['*'] ?? 0;
  return [
    ...(drop === undefined ? [] : [message('piece.its-wall-edge-runs-below-the', { drop: size(drop) })]),
    ...(school === undefined || closes || glued || loose === 0
      ? []
      : [message('piece.leave-its-last-loose-until-its', { loose: lengthFigure(loose, frame.unit) })]),
  ];
}

/** How the strip behind crown is fixed. */
export const backerReason = ({ substrate }: Pick<Wall, 'substrate'>, unit: Unit): Words[] => [
  substrate === undefined
    ? message('piece.hidden-behind-crown-a-screw-into')
    : message('piece.hidden-behind-crown-a-screw-every', {
        spacing: lengthFigure(unit === 'in' ? 16 : 400, unit),
        nailing:
          substrate === 'masonry'
            ? message('piece.into-plugs-crown-is-nailed-into')
            : message('piece.crown-is-nailed-into-it'),
      }),
];

/** The climb of a segment's wall, where crown follows a slope there. */
export const rakeOf = ({ frame, segments }: RunLayout['run'], segment: number): Rake | undefined =>
  frame.slopes?.rakes.get(segments[segment]!.segment.wallIndex);

/** Keys of what hangs on a climbing wall, left to right: a turn piece where it meets level crown, the long piece between. */
export function rakeKeys(run: RunLayout['run'], segment: number): PieceKey[] {
  const rake = rakeOf(run, segment)!;
  const joined = run.segments[segment]!;
  const place = placeOfSegment(run.frame, joined.segment);
  return [
    ...(rake.left ? [bendPieceKey(place, 'left')] : []),
    keyOfPiece(run.frame, joined, 0, 1),
    ...(rake.right ? [bendPieceKey(place, 'right')] : []),
  ];
}

/**
 * Crown on a climbing wall: at each end that meets level crown a small level piece turns the corner and is bent to the slope, and
 * the long piece climbs between them. Positions are level; lengths run along the pieces.
 * Source: crown, section 6.
 */
export function rakeDrafts(
  { run }: RunLayout,
  roomIndex: number,
  segment: number,
  ids: readonly (readonly PieceKey[])[],
  layer: number,
): PieceDraft[] {
  const rake = rakeOf(run, segment);
  if (!rake) return [];
  const { frame } = run;
  const joined = run.segments[segment]!;
  const { wallIndex } = joined.segment;
  const drop = dropOf(frame.profile);
  const [own] = [ids[segment]!];
  const keyOfRake = own[rake.left ? 1 : 0]!;
  const [leftMate, rightMate] = [
    cornerMate(run, ids, segment, 'left', keyOfRake),
    cornerMate(run, ids, segment, 'right', keyOfRake),
  ];
  const turnLeft = rake.left?.turn ?? 0;
  const turnRight = rake.right?.turn ?? 0;
  const from = joined.from + turnLeft;
  const to = joined.to - turnRight;
  /** A bend in the wall: half of it is cut off each piece, which changes its ceiling edge by what it takes of the drop. */
  const bent = (side: 'left' | 'right', bend: number, mate: PieceKey): DraftEnd => ({
    joint: 'transition',
    angle: atanDeg((drop * tanDeg(bend / 2)) / frame.depth),
    mate,
    plane: bendPlane(side, bend),
  });
  const mates = [leftMate, rightMate].filter((one) => one !== undefined);
  const common = {
    roomIndex,
    trimId: frame.trim.id,
    wallId: frame.room.walls[wallIndex]!.id,
    profile: frame.profile,
    sawnAs: frame.profile.use,
    depth: frame.depth,
    allowance: 0,
    layer,
    source: { kind: 'blank' as const },
  };
  const turn = (side: 'left' | 'right', near: number, mate: PieceKey | undefined): PieceDraft => {
    const key = own[side === 'left' ? 0 : own.length - 1]!;
    const bend = side === 'left' ? rake.rise : -rake.rise;
    const corner = cutEnd(side === 'left' ? joined.leftCut : joined.rightCut, mate);
    const at = side === 'left' ? joined.from : to;
    return {
      ...common,
      id: key,
      role: 'transition',
      from: at,
      to: at + near,
      near,
      slope: 0,
      left: side === 'left' ? corner : bent('left', bend, keyOfRake),
      right: side === 'left' ? bent('right', bend, keyOfRake) : corner,
      reason: [
        message('piece.level-crown-turned-round-the-corner'),
        message('piece.cut-it-off-a-longer-piece'),
      ],
      after: mate ? [mate] : [],
      walk: [wallIndex, at],
    };
  };
  return [
    ...(rake.left ? [turn('left', turnLeft, leftMate)] : []),
    ...(rake.right ? [turn('right', turnRight, rightMate)] : []),
    {
      ...common,
      id: keyOfRake,
      role: 'wall',
      from,
      to,
      near: (to - from) / cosDeg(rake.rise),
      slope: rake.rise,
      left: rake.left ? bent('left', rake.rise, own[0]!) : cutEnd(joined.leftCut, leftMate),
      right: rake.right ? bent('right', -rake.rise, own.at(-1)!) : cutEnd(joined.rightCut, rightMate),
      reason: [
        message('piece.climbs-deg-to-the-between-its', {
          rise: size(Math.abs(rake.rise)),
          side: rake.rise > 0 ? wordOf('right') : wordOf('left'),
        }),
        ...crownReason(frame, false, false, wallIndex),
      ],
      // After its turn pieces, which wait for the same neighbours.
      after: mates,
      walk: [wallIndex, joined.to],
    },
  ];
}

/** The two blocks that a glued corner is tried with before long pieces are cut; they stay on the rack for the next job. */
export function testDrafts({ run }: RunLayout, roomIndex: number, layer: number): PieceDraft[] {
  const { frame } = run;
  const { testPiece } = frame.rules;
  // A tray is tried with the blocks of its room.
  if (loopOf(frame.trim) !== undefined) return [];
  if (crownOrder(run, 0).glued.size === 0 || testPiece === 0) return [];
  const half = 45;
  return (['left', 'right'] as const).map((side): PieceDraft => {
    const key = testPieceKey(frame.room.id, frame.trim.id, side);
    const mate = testPieceKey(frame.room.id, frame.trim.id, side === 'left' ? 'right' : 'left');
    const square: DraftEnd = { joint: 'square', angle: 0 };
    const miter: DraftEnd = { joint: 'miter', angle: half, mate };
    return {
      id: key,
      roomIndex,
      trimId: frame.trim.id,
      profile: frame.profile,
      sawnAs: frame.profile.use,
      depth: frame.depth,
      role: 'test',
      near: testPiece,
      allowance: 0,
      left: side === 'left' ? square : miter,
      right: side === 'left' ? miter : square,
      reason: [message('piece.test-pair-of-an-inside-corner')],
      after: [],
      walk: [-1, side === 'left' ? 0 : 1],
      layer: layer - 0.5,
      source: { kind: 'blank' },
    };
  });
}
