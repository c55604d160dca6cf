import { message, wordOf, type Words } from '../messages/index.ts';
import { returnPieceKey, type PieceKey } from '../base/index.ts';
import { ownTrim, type Stretch } from '../joinery/index.ts';
import { springOf } from '../saw/index.ts';
import { bullnosePieces } from '../trade/index.ts';
import {
  allowanceReason,
  backerReason,
  crownReason,
  rakeDrafts,
  rakeKeys,
  rakeOf,
  testDrafts,
} from './crown-drafts.ts';
import { cutEnd, type PieceDraft, type DraftEnd } from './draft.ts';
import {
  closingOf,
  hangingOf,
  measuredClosing,
  stretchAllowance,
  stretchId,
  waitsForMeasure,
  type JobLayout,
  type RunLayout,
  type SpliceChoices,
} from './layout.ts';
import { cornerMate, firstTurnKey, isHalfTurn, keyOfPiece, transitionKey } from './piece-keys.ts';

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

/** The pieces of each segment for given splices, left to right. */
function spansBySegment(runLayout: RunLayout, choices: SpliceChoices): PieceSpan[][] {
  const spans = runLayout.run.segments.map((): PieceSpan[] => []);
  runLayout.stretches.forEach((stretch, index) => {
    const id = stretchId(runLayout, index);
    spans[stretch.segment]!.push(...spansOf({ stretch, id, used: choices.get(id) ?? [] }));
  });
  return spans;
}

/** Pieces of one trim along the walls of one room. */
export function draftRun(
  layout: JobLayout,
  roomIndex: number,
  runIndex: number,
  choices: SpliceChoices,
): PieceDraft[] {
  const runLayout = layout.rooms[roomIndex]!.runs[runIndex]!;
  const { run } = runLayout;
  const { frame } = run;
  const { room, profile, rules } = frame;
  const scarf = rules.scarfAngle;
  const bySegment = spansBySegment(runLayout, choices);
  const ids = bySegment.map((spans, segment) =>
    rakeOf(run, segment)
      ? rakeKeys(run, segment)
      : spans.map((_, k) => keyOfPiece(frame, run.segments[segment]!, k, spans.length)),
  );
  const { glued: gluedIn } = hangingOf(runLayout);
  const closing = closingOf(runLayout);
  const drafts: PieceDraft[] = [];
  // A strip behind crown goes up before any trim on the walls, so that crown is nailed into it.
  const hidden = frame.behind !== undefined;
  const layer = layerOf(runLayout) - (hidden ? 0.25 : 0);
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
      const glued = gluedIn.has(segment);
      if (glued) after.push(...[leftMate, rightMate].filter((one) => one !== undefined));
      const closes = wholeStretch && stretch === closing;
      // It is measured after both that it closes between hang.
      const waits = closes && waitsForMeasure(runLayout, stretch);
      const measured = closes && measuredClosing(runLayout, stretch) !== undefined;
      if (closes) after.push(...[leftMate, rightMate].filter((one) => one !== undefined));
      const reason = [
        ...(first
          ? [message('piece.left-end', { reason: joined.leftCut.reason })]
          : [spliceReason(placeBefore!, 'left')]),
        ...(last
          ? [message('piece.right-end', { reason: joined.rightCut.reason })]
          : [spliceReason(placeAfter!, 'right')]),
        ...(waits
          ? [message('piece.held-until-its-neighbors-hang-and')]
          : measured
            ? [message('piece.as-measured-between-its-neighbors')]
            : allowanceReason(allowance, glued, closes)),
        ...(hidden
          ? backerReason(room.walls[wallIndex]!, frame.unit)
          : crownReason(frame, glued, closes, wallIndex)),
      ];
      drafts.push({
        id,
        roomIndex,
        trimId: ownTrim(frame),
        wallId,
        profile,
        sawnAs: profile.use,
        depth: frame.depth,
        role: hidden ? 'backer' : 'wall',
        from,
        to,
        near: to - from + allowance,
        allowance,
        ...(waits ? { held: { until: 'measured' as const, predicted: to - from, allowance } } : {}),
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

const splicePlace = (span: PieceSpan): { leftOver: boolean; centre: number; onStud: boolean } | undefined =>
  span.toPoint === span.division.stretch.places.length + 1
    ? span.division.stretch.pinnedAfter
    : span.division.stretch.places[span.toPoint - 1];

function spliceReason(place: { leftOver: boolean; onStud: boolean }, end: 'left' | 'right'): Words {
  const over = place.leftOver === (end === 'right');
  return message('piece.spliced', {
    end: wordOf(end),
    where: place.onStud ? message('piece.on-a-stud') : message('piece.off-the-studs'),
    lap: over ? message('piece.lies-over-being-nearer-the-entry') : message('piece.lies-under'),
  });
}

/** Trims lying on others go up after them. */
const layerOf = ({ run }: RunLayout): number => {
  const depthOf = (id: string | undefined): number => {
    const trim = run.frame.room.trims.find((one) => one.id === id);
    return trim ? 1 + depthOf(trim.standsOn) : 0;
  };
  return 10 * (1 + depthOf(run.frame.trim.standsOn));
};

/**
 * The pieces that turn the end of another back to the wall: one triangle, or a wedge and a triangle where it turns in two
 * halves. Their backs have no length, so they are cut from the waste beside their piece.
 */
function returnDrafts(main: PieceDraft, side: 'left' | 'right'): PieceDraft[] {
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
  const ends = (outer: DraftEnd, inner: DraftEnd): Pick<PieceDraft, 'left' | 'right'> =>
    side === 'left' ? { left: outer, right: inner } : { left: inner, right: outer };
  const turn: PieceDraft = {
    ...common,
    id: wedge,
    ...ends({ joint: 'return', angle, mate: last }, { joint: 'return', angle, mate: main.id }),
    reason: [message('piece.turns-the-end-half-way-back')],
    after: [main.id],
  };
  const back: PieceDraft = {
    ...common,
    id: last,
    ...ends({ joint: 'square', angle: 0 }, { joint: 'return', angle, mate: half ? wedge : main.id }),
    reason: [message('piece.turns-the-end-back-to-the')],
    after: [half ? wedge : main.id],
  };
  return half ? [turn, back] : [back];
}

function transitionDrafts(
  { run }: RunLayout,
  roomIndex: number,
  ids: readonly (readonly PieceKey[])[],
  layer: number,
): PieceDraft[] {
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
    return Array.from({ length: pieces }, (_, k): PieceDraft => {
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
        reason: [
          message('piece.turns-the-bullnose-of-radius-in', { radius: form.radius, pieces: pieces + 1 }),
        ],
        after: [before, after],
        walk: [joint.wallIndex, Infinity],
        layer,
        source: { kind: 'blank' },
      };
    });
  });
}
