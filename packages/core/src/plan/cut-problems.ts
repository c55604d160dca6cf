import type { CutProblem, CutSolution, SpliceWall, Blank, StickKind } from '../cutting/index.ts';
import type { Unit } from '../measure/index.ts';
import type { JobFile, Profile } from '../job/index.ts';
import {
  draftOpenings,
  draftRun,
  stretchAllowance,
  stretchId,
  type Draft,
  type JobLayout,
  type SpliceChoices,
} from '../pieces/index.ts';
import { projectionOf } from '../joinery/index.ts';

/** Whole cutting units in one unit of the job: 1/64 in, 0.1 mm. */
export const unitsPer = (unit: Unit): number => (unit === 'in' ? 64 : 10);

/** Whole cents (or finer, when a price has more decimals) in one unit of money. */
export function centsPer(job: JobFile, splicePrice: number): number {
  const amounts = [...job.stock.map((item) => item.price), splicePrice];
  const whole = (scale: number): boolean =>
    amounts.every((amount) => Math.abs(amount * scale - Math.round(amount * scale)) < 1e-6);
  return [100, 1000].find(whole) ?? 10_000;
}

/** Distance between near and far line of pieces of a profile cut for a wall. */
const depthOnStick = (profile: Profile): number =>
  profile.use === 'crown'
    ? projectionOf(profile)
    : profile.use === 'casing' || profile.use === 'back-band'
      ? profile.width
      : profile.thickness;

/** The sticks of a profile: what is for sale, and each offcut of the rack by itself. */
function stickKinds(job: JobFile, profile: string, units: number, cents: number): StickKind[] {
  const floor = (length: number): number => Math.floor(length * units + 1e-6);
  const forSale = job.stock.flatMap((item, index): StickKind[] =>
    item.profile === profile
      ? [
          {
            id: `buy-${index}`,
            length: floor(item.length),
            price: Math.round(item.price * cents),
            count: item.count,
            rack: false,
          },
        ]
      : [],
  );
  const rack = (job.rack ?? []).flatMap((item, index): StickKind[] =>
    item.profile === profile
      ? [{ id: `rack-${index}`, length: floor(item.length), price: 0, count: 1, rack: true }]
      : [],
  );
  return [...forSale, ...rack];
}

/** All drafts of a job for given splices, rooms in order, each room's trims in the order they are laid out. */
export const draftJob = (layout: JobLayout, choices: SpliceChoices): Draft[] =>
  layout.rooms.flatMap((room, roomIndex) => [
    ...draftOpenings(layout, roomIndex),
    ...room.runs.flatMap((_, runIndex) => draftRun(layout, roomIndex, runIndex, choices)),
  ]);

/** What one stretch is for the optimiser: a wall that may be divided, lengths in cutting units from its left end. */
function spliceWalls(layout: JobLayout, profile: string, units: number, cents: number): SpliceWall[] {
  const { rules } = layout;
  return layout.rooms.flatMap((room, roomIndex) =>
    room.runs.flatMap((runLayout, runIndex) =>
      runLayout.run.frame.profile.id !== profile
        ? []
        : runLayout.stretches.map((stretch, index): SpliceWall => ({
            id: stretchId(roomIndex, runIndex, index),
            group: room.room.id,
            near: (stretch.to - stretch.from) * units,
            wholeExtra: stretchAllowance(runLayout, stretch) * units,
            left: stretch.leftAngle,
            right: stretch.rightAngle,
            qty: 1,
            angle: runLayout.run.frame.rules.scarfAngle,
            points: stretch.places.map((place) => ({
              at: (place.at - stretch.from) * units,
              leftOver: place.leftOver,
            })),
            max: stretch.maxSplices,
            penalty: Math.round(rules.splicePrice * cents),
            minPiece: rules.minPiece * units,
            apart: stretch.apart * units,
            when: runLayout.run.frame.rules.splices === 'saving' ? 'allowed' : 'needed',
          })),
    ),
  );
}

export interface ProfileProblem {
  readonly profile: Profile;
  readonly problem: CutProblem;
}

/** One cutting problem for each profile that the job uses. */
export function cutProblems(layout: JobLayout): ProfileProblem[] {
  const { job, rules, kerf } = layout;
  const units = unitsPer(job.unit);
  const cents = centsPer(job, rules.splicePrice);
  const drafts = draftJob(layout, new Map()).filter((draft) => draft.source?.kind === 'blank');
  return job.profiles.flatMap((profile): ProfileProblem[] => {
    const blanks = drafts
      .filter((draft) => draft.profile.id === profile.id)
      .map((draft): Blank => ({
        id: draft.id,
        group: layout.rooms[draft.roomIndex]!.room.id,
        near: draft.near * units,
        left: draft.left.angle,
        right: draft.right.angle,
        qty: 1,
        depth: draft.depth * units,
      }));
    const walls = spliceWalls(layout, profile.id, units, cents);
    if (blanks.length === 0 && walls.length === 0) return [];
    const problem: CutProblem = {
      name: profile.id,
      depth: depthOnWall(layout, profile) * units,
      kerf: kerf * units,
      endTrim: rules.endTrim * units,
      minOffcut: rules.minReusable * units,
      sticks: stickKinds(job, profile.id, units, cents),
      blanks,
      walls,
    };
    return [{ profile, problem }];
  });
}

/** Depth of the wall pieces of a profile; a run's own frame knows best. */
const depthOnWall = (layout: JobLayout, profile: Profile): number =>
  layout.rooms.flatMap((room) => room.runs).find((one) => one.run.frame.profile.id === profile.id)?.run.frame
    .depth ?? depthOnStick(profile);

/** The places that a cut plan divides each stretch at. */
export function choicesOf(solutions: readonly CutSolution[]): SpliceChoices {
  const used = new Map<string, number[]>();
  for (const solution of solutions)
    for (const stick of solution.sticks)
      for (const placed of stick.placed)
        if (placed.kind === 'wall' && placed.fromPoint > 0)
          used.set(placed.id, [...(used.get(placed.id) ?? []), placed.fromPoint - 1]);
  return new Map([...used].map(([id, places]) => [id, places.sort((a, b) => a - b)]));
}
