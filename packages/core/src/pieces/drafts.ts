import {
  atanDeg,
  bendPieceKey,
  cosDeg,
  openingPieceKey,
  returnPieceKey,
  tanDeg,
  testPieceKey,
  turnPieceKey,
  wallPieceKey,
  type PieceKey,
  type StretchPart,
} from '../base/index.ts';
import type { Vec3 } from '../geometry/index.ts';
import {
  bendPlane,
  crownOrder,
  endNameOf,
  placeOfSegment,
  type EndCut,
  type EndJoint,
  type Stretch,
  type TrimFrame,
} from '../joinery/index.ts';
import { loopOf, type Profile } from '../job/index.ts';
import { bullnosePieces } from '../trade/index.ts';
import type { Box, OpeningPart, PartPlace, PartRole } from '../openings/index.ts';
import { dropOf, springOf } from '../saw/index.ts';
import {
  firstSegment,
  stretchAllowance,
  stretchId,
  type JobLayout,
  type RunLayout,
  type SpliceChoices,
} from './layout.ts';

/** One end of a drafted piece. */
export interface DraftEnd {
  readonly joint: EndJoint;
  readonly angle: number;
  readonly mate?: PieceKey;
  readonly over?: boolean;
  readonly snip?: number;
  /** Outward normal of a cut that is not plumb, in the piece's own axes. */
  readonly plane?: Vec3;
}

/** A piece with its ends and mates, before labels and order. Ids are final. */
export interface Draft {
  readonly id: PieceKey;
  readonly roomIndex: number;
  readonly trimId: string;
  readonly wallId?: string;
  readonly openingId?: string;
  readonly profile: Profile;
  readonly sawnAs: Profile['use'];
  readonly depth: number;
  readonly role: 'wall' | 'transition' | 'test' | PartRole;
  /** Around an opening: which face of the wall, and where it stands there. */
  readonly side?: 'other';
  readonly place?: PartPlace;
  /** What it is ripped to where that is not its profile's width, and its widths at its own ends. */
  readonly width?: number;
  readonly taper?: OpeningPart['taper'];
  readonly notches?: OpeningPart['notches'];
  readonly held?: OpeningPart['held'];
  /** What it covers of its room's wall. */
  readonly box?: Box;
  /** Crown hung at another spring than its profile's; degrees it climbs to the right. */
  readonly spring?: number;
  readonly slope?: number;
  /** A small piece of a return: the piece whose end it turns back. */
  readonly returnOf?: PieceKey;
  readonly from?: number;
  readonly to?: number;
  readonly near: number;
  readonly allowance: number;
  readonly left: DraftEnd;
  readonly right: DraftEnd;
  readonly reason: readonly string[];
  /** Ids of pieces that must hang before this one. */
  readonly after: readonly PieceKey[];
  /** Where it comes in a walk round the room: wall index and position. */
  readonly walk: readonly [wall: number, at: number];
  /** Larger: hung later, whatever its neighbours (layers, heads after legs). */
  readonly layer: number;
  /** What the optimiser knows it by: a blank of its own, or a part of a stretch; undefined when it is cut from waste. */
  readonly source:
    | { readonly kind: 'blank' }
    | { readonly kind: 'stretch'; readonly id: string; readonly fromPoint: number; readonly toPoint: number }
    | undefined;
}

interface Division {
  readonly stretch: Stretch;
  readonly id: string;
  /** Indices of used places, left to right. */
  readonly used: readonly number[];
}

interface PieceSpan {
  readonly division: Division;
  /** Points of the stretch: 0 its left end, places + 1 its right end. */
  readonly fromPoint: number;
  readonly toPoint: number;
}

const spansOf = (division: Division): PieceSpan[] => {
  const points = [0, ...division.used.map((place) => place + 1), division.stretch.places.length + 1];
  return points.slice(1).map((toPoint, k) => ({ division, fromPoint: points[k]!, toPoint }));
};

const pointAt = (stretch: Stretch, point: number): number =>
  point === 0
    ? stretch.from
    : point === stretch.places.length + 1
      ? stretch.to
      : stretch.places[point - 1]!.at;

function spliceEnd(scarf: number, leftOver: boolean, thisIsLeft: boolean, mate: PieceKey): DraftEnd {
  const over = leftOver === thisIsLeft;
  if (scarf === 0) return { joint: 'butt', angle: 0, mate };
  return { joint: 'scarf', angle: over ? -scarf : scarf, over, mate };
}

const cutEnd = (cut: EndCut, mate: PieceKey | undefined): DraftEnd => ({
  joint: cut.joint,
  angle: cut.angle,
  ...(cut.snip === undefined ? {} : { snip: cut.snip }),
  ...(cut.plane === undefined ? {} : { plane: cut.plane }),
  ...(mate === undefined ? {} : { mate }),
});

/** Which part of its segment the piece at an index is. */
const partAt = (index: number, count: number): StretchPart =>
  count === 1
    ? { part: 'whole' }
    : index === 0
      ? { part: 'left' }
      : index === count - 1
        ? { part: 'right' }
        : { part: 'middle', number: index };

/** The pieces of each segment for given splices, left to right. */
function spansBySegment(runLayout: RunLayout, choices: SpliceChoices): PieceSpan[][] {
  const spans = runLayout.run.segments.map((): PieceSpan[] => []);
  runLayout.stretches.forEach((stretch, index) => {
    const id = stretchId(runLayout, index);
    spans[stretch.segment]!.push(...spansOf({ stretch, id, used: choices.get(id) ?? [] }));
  });
  return spans;
}

/** The key of the piece at an index of a segment that is made of so many. */
export const keyOfPiece = (
  frame: TrimFrame,
  { segment }: RunLayout['run']['segments'][number],
  index: number,
  count: number,
): PieceKey =>
  wallPieceKey(
    placeOfSegment(frame, segment),
    endNameOf(segment.left),
    endNameOf(segment.right),
    partAt(index, count),
  );

/** Pieces of one trim along the walls of one room. */
export function draftRun(
  layout: JobLayout,
  roomIndex: number,
  runIndex: number,
  choices: SpliceChoices,
): Draft[] {
  const runLayout = layout.rooms[roomIndex]!.runs[runIndex]!;
  const { run } = runLayout;
  const { frame } = run;
  const { room, trim, profile, rules } = frame;
  const scarf = rules.scarfAngle;
  const bySegment = spansBySegment(runLayout, choices);
  const ids = bySegment.map((spans, segment) =>
    rakeOf(run, segment)
      ? rakeKeys(run, segment)
      : spans.map((_, k) => keyOfPiece(frame, run.segments[segment]!, k, spans.length)),
  );
  const hanging = crownOrder(run, firstSegment(run));
  const drafts: Draft[] = [];
  const layer = layerOf(runLayout);
  run.segments.forEach((joined, segment) => {
    const wallIndex = joined.segment.wallIndex;
    const wallId = room.walls[wallIndex]!.id;
    const spans = bySegment[segment]!;
    spans.forEach((span, k) => {
      const id = ids[segment]![k]!;
      const { stretch } = span.division;
      const from = pointAt(stretch, span.fromPoint);
      const to = pointAt(stretch, span.toPoint);
      const first = k === 0;
      const last = k === spans.length - 1;
      const placeBefore = first ? undefined : splicePlace(spans[k - 1]!);
      const placeAfter = last ? undefined : splicePlace(span);
      const leftMate = first
        ? cornerMate(run, ids, segment, 'left', firstTurnKey(id, 'left', joined.leftCut.angle))
        : ids[segment]![k - 1]!;
      const rightMate = last
        ? cornerMate(run, ids, segment, 'right', firstTurnKey(id, 'right', joined.rightCut.angle))
        : ids[segment]![k + 1]!;
      const left = placeBefore
        ? spliceEnd(scarf, placeBefore.leftOver, false, leftMate!)
        : cutEnd(joined.leftCut, leftMate);
      const right = placeAfter
        ? spliceEnd(scarf, placeAfter.leftOver, true, rightMate!)
        : cutEnd(joined.rightCut, rightMate);
      const wholeStretch = span.fromPoint === 0 && span.toPoint === stretch.places.length + 1;
      const allowance = wholeStretch ? stretchAllowance(runLayout, stretch) : 0;
      const after = [left, right].flatMap((end) =>
        end.mate !== undefined && end.over === true ? [end.mate] : [],
      );
      if (first && joined.leftCut.fitted && leftMate) after.push(leftMate);
      if (last && joined.rightCut.fitted && rightMate) after.push(rightMate);
      const glued = hanging.glued.has(segment);
      if (glued) after.push(...[leftMate, rightMate].filter((one) => one !== undefined));
      const closes = hanging.closing === segment && last;
      const reason = [
        ...(first ? [`left: ${joined.leftCut.reason}`] : [spliceReason(placeBefore!, 'left')]),
        ...(last ? [`right: ${joined.rightCut.reason}`] : [spliceReason(placeAfter!, 'right')]),
        ...allowanceReason(allowance, glued, closes),
        ...crownReason(frame, glued, closes, wallIndex),
      ];
      drafts.push({
        id,
        roomIndex,
        trimId: trim.id,
        wallId,
        profile,
        sawnAs: profile.use,
        depth: frame.depth,
        role: 'wall',
        from,
        to,
        near: to - from + allowance,
        allowance,
        left,
        right,
        reason,
        after,
        walk: [wallIndex, from],
        layer,
        source: { kind: 'stretch', id: span.division.id, fromPoint: span.fromPoint, toPoint: span.toPoint },
      });
      const main = drafts.at(-1)!;
      for (const side of ['left', 'right'] as const)
        if (main[side].joint === 'return') drafts.push(...returnDrafts(main, side));
    });
  });
  return [
    ...testDrafts(runLayout, roomIndex, layer),
    ...drafts,
    ...run.segments.flatMap((_, segment) => rakeDrafts(runLayout, roomIndex, segment, ids, layer)),
    ...transitionDrafts(runLayout, roomIndex, ids, layer),
  ].map((draft) => (frame.trim.seatDown === 'other' ? { ...draft, spring: springOf(profile) } : draft));
}

const size = (value: number): number => Number(value.toFixed(4));

function allowanceReason(allowance: number, glued: boolean, closes: boolean): string[] {
  if (allowance === 0) return [];
  if (glued) return [`cut ${size(-allowance)} shy: it is glued in between two that hang`];
  return closes
    ? [`cut ${size(allowance)} longer: it closes the run and is pressed in`]
    : [`cut ${size(allowance)} longer to spring in`];
}

/** How the crew's school hangs a piece of crown, and where its lower edge runs. */
function crownReason(frame: TrimFrame, glued: boolean, closes: boolean, wallIndex: number): string[] {
  if (!frame.atCeiling) return [];
  const { crownOrder: school, closing } = frame.rules;
  const drop = frame.slopes?.drops.get(wallIndex);
  const inch = closing < 1;
  return [
    ...(drop === undefined
      ? []
      : [`its wall edge runs ${size(drop)} below the ceiling line, measured plumb`]),
    ...(school === undefined || closes || glued
      ? []
      : [
          `leave its last ${school === 'foam' ? (inch ? '18 in' : '450 mm') : inch ? '10 in' : '250 mm'} loose until its neighbour is up`,
        ]),
  ];
}

/** The climb of a segment's wall, where crown follows a slope there. */
const rakeOf = ({ frame, segments }: RunLayout['run'], segment: number) =>
  frame.slopes?.rakes.get(segments[segment]!.segment.wallIndex);

/** Keys of what hangs on a climbing wall, left to right: a turn piece where it meets level crown, the long piece between. */
function rakeKeys(run: RunLayout['run'], segment: number): PieceKey[] {
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
function rakeDrafts(
  { run }: RunLayout,
  roomIndex: number,
  segment: number,
  ids: readonly (readonly PieceKey[])[],
  layer: number,
): Draft[] {
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
  const turn = (side: 'left' | 'right', near: number, mate: PieceKey | undefined): Draft => {
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
        'level crown turned round the corner; glued to the level piece on the bench, then bent to the slope',
        'cut it off a longer piece and hold the waste',
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
        `climbs ${size(Math.abs(rake.rise))}° to the ${rake.rise > 0 ? 'right' : 'left'} between its turn pieces`,
        ...crownReason(frame, false, false, wallIndex),
      ],
      // After its turn pieces, which wait for the same neighbours.
      after: mates,
      walk: [wallIndex, joined.to],
    },
  ];
}

/** The two blocks that a glued corner is tried with before long pieces are cut; they stay on the rack for the next job. */
function testDrafts({ run }: RunLayout, roomIndex: number, layer: number): Draft[] {
  const { frame } = run;
  const { testPiece } = frame.rules;
  // A tray is tried with the blocks of its room.
  if (loopOf(frame.trim) !== undefined) return [];
  if (crownOrder(run, 0).glued.size === 0 || testPiece === 0) return [];
  const half = 45;
  return (['left', 'right'] as const).map((side): Draft => {
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
      reason: ['test pair of an inside corner: cut first, tried in the corners, kept on the rack'],
      after: [],
      walk: [-1, side === 'left' ? 0 : 1],
      layer: layer - 0.5,
      source: { kind: 'blank' },
    };
  });
}

const splicePlace = (span: PieceSpan): { leftOver: boolean; centre: number; onStud: boolean } | undefined =>
  span.toPoint === span.division.stretch.places.length + 1
    ? span.division.stretch.pinnedAfter
    : span.division.stretch.places[span.toPoint - 1];

function spliceReason(place: { leftOver: boolean; onStud: boolean }, end: 'left' | 'right'): string {
  const over = place.leftOver === (end === 'right');
  return `${end}: spliced ${place.onStud ? 'on a stud' : 'off the studs'}; ${over ? 'lies over, being nearer the entry' : 'lies under'}`;
}

/** Trims lying on others go up after them. */
const layerOf = ({ run }: RunLayout): number => {
  const depthOf = (id: string | undefined): number => {
    const trim = run.frame.room.trims.find((one) => one.id === id);
    return trim ? 1 + depthOf(trim.standsOn) : 0;
  };
  return 10 * (1 + depthOf(run.frame.trim.standsOn));
};

function cornerMate(
  run: RunLayout['run'],
  ids: readonly (readonly PieceKey[])[],
  segment: number,
  side: 'left' | 'right',
  returnKey: PieceKey,
): PieceKey | undefined {
  const joined = run.segments[segment]!;
  const cut = side === 'left' ? joined.leftCut : joined.rightCut;
  if (cut.joint === 'return') return returnKey;
  const other = side === 'left' ? joined.leftMate : joined.rightMate;
  if (other === undefined) return undefined;
  if (cut.joint === 'transition') {
    const wallIndex = side === 'left' ? run.segments[other]!.segment.wallIndex : joined.segment.wallIndex;
    return transitionKey(run, wallIndex, side === 'left' ? run.frame.rules.transitionPieces : 1);
  }
  return side === 'left' ? ids[other]!.at(-1) : ids[other]![0];
}

const transitionKey = ({ frame }: RunLayout['run'], wallIndex: number, n: number): PieceKey =>
  turnPieceKey({ room: frame.room.id, trim: frame.trim.id, wall: frame.room.walls[wallIndex]!.id }, n);

/** The key of what meets a returned end: the return itself, or the wedge between two half turns. */
const firstTurnKey = (key: PieceKey, side: 'left' | 'right', angle: number): PieceKey =>
  returnPieceKey(key, side, isHalfTurn(angle) ? 'turn' : 'return');

const isHalfTurn = (angle: number): boolean => angle > -45;

/**
 * The pieces that turn the end of another back to the wall: one triangle, or a wedge and a triangle where it turns in two
 * halves. Their backs have no length, so they are cut from the waste beside their piece.
 */
function returnDrafts(main: Draft, side: 'left' | 'right'): Draft[] {
  const { angle } = main[side];
  const half = isHalfTurn(angle);
  const wedge = returnPieceKey(main.id, side, 'turn');
  const last = returnPieceKey(main.id, side, 'return');
  const at = side === 'left' ? main.from! : main.to!;
  const common = {
    ...main,
    role: 'return' as const,
    from: at,
    to: at,
    near: 0,
    allowance: 0,
    walk: [main.walk[0], at] as const,
    source: undefined,
    returnOf: main.id,
  };
  const ends = (outer: DraftEnd, inner: DraftEnd): Pick<Draft, 'left' | 'right'> =>
    side === 'left' ? { left: outer, right: inner } : { left: inner, right: outer };
  const turn: Draft = {
    ...common,
    id: wedge,
    ...ends({ joint: 'return', angle, mate: last }, { joint: 'return', angle, mate: main.id }),
    reason: ['turns the end half way back; cut from the waste beside its piece'],
    after: [main.id],
  };
  const back: Draft = {
    ...common,
    id: last,
    ...ends({ joint: 'square', angle: 0 }, { joint: 'return', angle, mate: half ? wedge : main.id }),
    reason: ['turns the end back to the wall; cut from the waste beside its piece'],
    after: [half ? wedge : main.id],
  };
  return half ? [turn, back] : [back];
}

function transitionDrafts(
  { run }: RunLayout,
  roomIndex: number,
  ids: readonly (readonly PieceKey[])[],
  layer: number,
): Draft[] {
  const { frame } = run;
  return run.corners.flatMap(({ joint, left, right }) => {
    const form = joint.corner.form;
    if (joint.technique !== 'bullnose' || form?.kind !== 'bullnose') return [];
    const pieces = frame.rules.transitionPieces;
    const { cut, transitionBack } = bullnosePieces(
      form.radius + frame.standoff,
      Math.abs(180 - joint.angle),
      pieces,
      0,
    );
    const before = ids[left]!.at(-1)!;
    const after = ids[right]![0]!;
    return Array.from({ length: pieces }, (_, k): Draft => {
      return {
        id: transitionKey(run, joint.wallIndex, k + 1),
        roomIndex,
        trimId: frame.trim.id,
        wallId: frame.room.walls[joint.wallIndex]!.id,
        profile: frame.profile,
        sawnAs: frame.profile.use,
        depth: frame.depth,
        role: 'transition',
        near: transitionBack,
        allowance: 0,
        left: {
          joint: 'transition',
          angle: -cut,
          mate: k === 0 ? before : transitionKey(run, joint.wallIndex, k),
        },
        right: {
          joint: 'transition',
          angle: -cut,
          mate: k === pieces - 1 ? after : transitionKey(run, joint.wallIndex, k + 2),
        },
        reason: [`turns the bullnose of radius ${form.radius} in ${pieces + 1} equal steps`],
        after: [before, after],
        walk: [joint.wallIndex, Infinity],
        layer,
        source: { kind: 'blank' },
      };
    });
  });
}

/** Pieces around the openings of a room. */
export function draftOpenings(layout: JobLayout, roomIndex: number): Draft[] {
  const { room, openings } = layout.rooms[roomIndex]!;
  return openings.flatMap(({ trimId, wallId, opening, dressed }) => {
    const wall = room.walls.findIndex((one) => one.id === wallId);
    const idOf = (name: string): PieceKey =>
      openingPieceKey(
        { room: room.id, trim: trimId, wall: wallId },
        opening.id,
        dressed.side === 'other' ? `other-${name}` : name,
      );
    const end = (one: OpeningPart['left']): DraftEnd => ({
      joint: one.joint,
      angle: one.angle,
      ...(one.mate === undefined ? {} : { mate: idOf(one.mate) }),
    });
    return dressed.parts.map((part): Draft => ({
      id: idOf(part.key),
      roomIndex,
      trimId,
      wallId,
      openingId: opening.id,
      profile: part.profile,
      sawnAs: part.sawnAs,
      depth: part.depth,
      role: part.role,
      ...(dressed.side === 'other' ? { side: 'other' as const } : {}),
      ...(part.place === undefined ? {} : { place: part.place }),
      ...(part.width === undefined ? {} : { width: part.width }),
      ...(part.taper === undefined ? {} : { taper: part.taper }),
      ...(part.notches === undefined ? {} : { notches: part.notches }),
      ...(part.held === undefined ? {} : { held: part.held }),
      ...(part.box && dressed.side === 'this'
        ? { box: { ...part.box, from: opening.at + part.box.from, to: opening.at + part.box.to } }
        : {}),
      ...(part.role === 'return' ? { returnOf: idOf((part.left.mate ?? part.right.mate)!) } : {}),
      near: part.near,
      allowance: part.allowance,
      left: end(part.left),
      right: end(part.right),
      reason: part.reason,
      after: [],
      walk: [wall, opening.at],
      layer: part.step,
      source: part.near === 0 ? undefined : { kind: 'blank' },
    }));
  });
}
