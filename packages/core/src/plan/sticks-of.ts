import { kerfAlong } from '../joinery/index.ts';
import type { CutSolution } from '../cutting/index.ts';
import type { JobFile } from '../job/index.ts';
import { draftJob, unitsPer, type ProfileProblem } from './cut-problems.ts';
import type { JobLayout, SpliceChoices } from '../pieces/index.ts';
import type { Piece, PlannedStick } from './plan-file.ts';

export interface SolvedProfile extends ProfileProblem {
  readonly solution: CutSolution;
}

const stockOf = (job: JobFile, stick: string): { length: number; price: number; source: 'buy' | 'rack' } => {
  const index = Number(stick.slice(stick.indexOf('-') + 1));
  if (stick.startsWith('rack')) return { length: job.rack![index]!.length, price: 0, source: 'rack' };
  return { length: job.stock[index]!.length, price: job.stock[index]!.price, source: 'buy' };
};

/** The sticks of a plan, each with its pieces from left to right and what is left of it after the last cut. */
export function sticksOf(
  layout: JobLayout,
  choices: SpliceChoices,
  pieces: readonly Piece[],
  solved: readonly SolvedProfile[],
): PlannedStick[] {
  const { job } = layout;
  const units = unitsPer(job.unit);
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const byStretch = new Map(
    draftJob(layout, choices).flatMap((draft) =>
      draft.source?.kind === 'stretch'
        ? [[`${draft.source.id}|${draft.source.fromPoint}`, draft.id] as const]
        : [],
    ),
  );
  return solved.flatMap(({ profile, solution }) =>
    solution.sticks.map((stick, index): PlannedStick => {
      const { length, price, source } = stockOf(job, stick.stick);
      const cuts = stick.placed.map((placed) => ({
        piece: placed.kind === 'blank' ? placed.id : byStretch.get(`${placed.id}|${placed.fromPoint}`)!,
        start: placed.start / units,
      }));
      const last = cuts.at(-1)!;
      const piece = byId.get(last.piece)!;
      const end = last.start + piece.near + Math.max(0, piece.right.reach);
      const leftover = Math.max(0, length - end - kerfAlong(layout.kerf, piece.right.angle));
      return { id: `${profile.id}-${index + 1}`, profile: profile.id, source, length, price, cuts, leftover };
    }),
  );
}

/** What to buy: sticks for sale by profile and length. */
export function buyList(
  job: JobFile,
  sticks: readonly PlannedStick[],
): { profile: string; length: number; count: number; price: number }[] {
  const lines = new Map<string, { profile: string; length: number; count: number; price: number }>();
  for (const stick of sticks) {
    if (stick.source !== 'buy') continue;
    const key = `${stick.profile}|${stick.length}|${stick.price}`;
    const line = lines.get(key) ?? {
      profile: stick.profile,
      length: stick.length,
      count: 0,
      price: stick.price,
    };
    line.count++;
    lines.set(key, line);
  }
  const at = new Map(job.profiles.map((profile, index) => [profile.id, index]));
  return [...lines.values()].sort((a, b) => at.get(a.profile)! - at.get(b.profile)! || a.length - b.length);
}
