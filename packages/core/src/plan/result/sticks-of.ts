import { SAME_LENGTH, stickRef, type PieceKey } from '../../base/index.ts';
import { kerfAlong, overTop } from '../../joinery/index.ts';
import type { CutSolution, StickPart } from '@long-miter/optimiser';
import type { JobFile, Profile } from '../../job/index.ts';
import { draftJob, unitsPer, type ProfileProblem } from '../solve/cut-problems.ts';
import type { JobLayout, SpliceChoices } from '../../pieces/index.ts';
import { stickMarks } from './marks.ts';
import type { Piece, PlannedStick } from './plan-file.ts';
import { sawnAs } from './sawn-as.ts';

export interface SolvedProfile extends ProfileProblem {
  readonly solution: CutSolution;
}

/** The sticks of a plan, each with its pieces from left to right and what is left of it after the last cut. */
export function sticksOf(
  layout: JobLayout,
  choices: SpliceChoices,
  pieces: readonly Piece[],
  solved: readonly SolvedProfile[],
): PlannedStick[] {
  const units = unitsPer(layout.job.unit);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const pieceFor = pieceKeys(layout, choices);
  return solved.flatMap(({ profile, solution, sticks }) => {
    const byKind = new Map(sticks.map((one) => [one.kind.id, one]));
    return solution.sticks.map((stick): PlannedStick => {
      const { source, ref, item, length, label, kind, cut } = byKind.get(stick.stick)!;
      const placed = stick.placed.map((one) => {
        const piece = pieceFor(one)!;
        return { piece, start: one.start / units + overTop(byId.get(piece)?.left.plane, profile) };
      });
      // What has been cut lies where it was cut, whatever stands beside it now.
      const cuts = cut
        ? cut.pieces
            .filter((piece) => placed.some((one) => one.piece === piece.id))
            .map((piece) => ({ piece: piece.id, start: piece.start }))
        : placed;
      const last = byId.get(cuts.at(-1)!.piece)!;
      const end = endOf({ cuts }, byId, profile);
      const marks = stickMarks(cuts, length - layout.rules.endTrim - end, {
        pieceOf: (id) => byId.get(id)!,
        profileOf: (piece) => sawnAs(piece, profile),
        kerf: layout.kerf,
        unit: layout.job.unit,
      });
      const longer = marks.reduce((sum, mark) => sum + mark.length - mark.exact, 0);
      return {
        id: stickRef(
          profile.id,
          cuts.map((one) => one.piece),
        ),
        profile: profile.id,
        source,
        stock: ref,
        item,
        ...(cut === undefined ? {} : { cut: cut.id }),
        ...(label === undefined ? {} : { label }),
        length,
        price: kind.price,
        cuts,
        margin: cuts.length * layout.rules.cutMargin,
        marked: marks.map((mark) => mark.length),
        leftover: cut
          ? cut.leftover
          : Math.max(0, length - end - longer - kerfAlong(layout.kerf, last.right.angle)),
      };
    });
  });
}

/** Where the last piece of a stick ends, with all that its end reaches. */
function endOf(
  { cuts }: Pick<PlannedStick, 'cuts'>,
  byId: ReadonlyMap<string, Piece>,
  profile: Pick<Profile, 'width' | 'use'>,
): number {
  const { piece, start } = cuts.at(-1)!;
  const { near, right } = byId.get(piece)!;
  return start + near + Math.max(0, right.reach) + overTop(right.plane, profile);
}

/** Sticks that are still to be cut and have less to spare than their margin: somebody has filled them by hand. */
export function tightSticks(
  { rules, job }: JobLayout,
  pieces: readonly Piece[],
  sticks: readonly PlannedStick[],
): { readonly stick: PlannedStick; readonly spare: number }[] {
  const byId = new Map<string, Piece>(pieces.map((piece) => [piece.id, piece]));
  const profiles = new Map(job.profiles.map((profile) => [profile.id, profile]));
  return sticks.flatMap((stick) => {
    if (stick.cut !== undefined) return [];
    const spare = stick.length - rules.endTrim - endOf(stick, byId, profiles.get(stick.profile)!);
    return spare < stick.margin - SAME_LENGTH ? [{ stick, spare: Math.max(0, spare) }] : [];
  });
}

const partName = (stretch: string, fromPoint: number): string => `${stretch}|${fromPoint}`;

/** Which piece of the job a blank or a part of a stretch is, for given splices. */
export function pieceKeys(
  layout: JobLayout,
  choices: SpliceChoices,
): (placed: StickPart) => PieceKey | undefined {
  const byPart = new Map(
    draftJob(layout, choices).flatMap((draft) =>
      draft.source === undefined
        ? []
        : draft.source.kind === 'blank'
          ? [[draft.id as string, draft.id] as const]
          : [[partName(draft.source.id, draft.source.fromPoint), draft.id] as const],
    ),
  );
  return (placed) => byPart.get(placed.kind === 'blank' ? placed.id : partName(placed.id, placed.fromPoint));
}

/** What to buy: sticks for sale by profile, length and price. */
export function buyList(
  job: JobFile,
  sticks: readonly PlannedStick[],
): { profile: string; length: number; count: number; price: number }[] {
  const lines = new Map<string, { profile: string; length: number; count: number; price: number }>();
  for (const { source, profile, length, price } of sticks) {
    if (source !== 'buy') continue;
    const key = JSON.stringify([profile, length, price]);
    const line = lines.get(key) ?? { profile, length, count: 0, price };
    line.count++;
    lines.set(key, line);
  }
  const at = new Map(job.profiles.map((profile, index) => [profile.id, index]));
  return [...lines.values()].sort((a, b) => at.get(a.profile)! - at.get(b.profile)! || a.length - b.length);
}
