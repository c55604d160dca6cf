import type { CutProblem, CutSolution, SpliceWall, Blank, StickKind } from '@long-miter/optimiser';
import { stockRef, WHOLE_UNIT, type StockRef } from '../../base/index.ts';
import { coinFor, toMinor, type Coin, type Unit } from '../../measure/index.ts';
import { completeHouseRules, type JobFile, type Profile } from '../../job/index.ts';
import {
  draftOpenings,
  draftRun,
  stretchAllowance,
  stretchesOf,
  waitsForMeasure,
  type PieceDraft,
  type JobLayout,
  type SpliceChoices,
} from '../../pieces/index.ts';
import { ownTrim } from '../../joinery/index.ts';
import { depthOfProfile } from '../../saw/index.ts';
import type { CutRecord } from './cut-records.ts';

/** Whole cutting units in one unit of the job: 1/64 in, 0.1 mm. */
export const unitsPer = (unit: Unit): number => (unit === 'in' ? 64 : 10);

/** What a job's money is counted in: its currency's smallest unit, or finer where its prices are. */
export const coinOfJob = (job: Pick<JobFile, 'currency' | 'stock' | 'houseRules' | 'unit'>): Coin =>
  coinFor(job.currency, [
    ...job.stock.map((item) => item.price),
    completeHouseRules(job.houseRules, job.unit).splicePrice,
  ]);

/** A kind of stick with what it is in the job. */
interface JobStick {
  readonly kind: StickKind;
  readonly source: 'buy' | 'rack';
  readonly ref: StockRef;
  /** Id of the line for sale or the piece of the rack. */
  readonly item: string;
  readonly length: number;
  readonly label: string | undefined;
  /** The record of the stick, where it has been cut. */
  readonly cut: CutRecord | undefined;
}

/** So long that whatever was cut from a stick lies on it: a fact needs no room. */
const ENDLESS = 1e9;

/** The sticks of a profile: what is for sale, each offcut of the rack by itself, and those that have been cut. */
function jobSticks(
  job: JobFile,
  profile: string,
  units: number,
  coin: Coin,
  records: readonly CutRecord[],
): JobStick[] {
  const floor = (length: number): number => Math.floor(length * units + WHOLE_UNIT);
  const own = records.filter((record) => record.profile === profile);
  const cutFrom = (source: 'buy' | 'rack', item: string): number =>
    own.filter((record) => record.source === source && record.stock === item).length;
  const forSale = job.stock.flatMap((item, index): JobStick[] => {
    if (item.profile !== profile) return [];
    const name = item.id ?? `#${index}`;
    const ref = stockRef('buy', name);
    return [
      {
        kind: {
          id: ref,
          length: floor(item.length),
          price: toMinor(item.price, coin),
          count: item.count === undefined ? undefined : Math.max(0, item.count - cutFrom('buy', name)),
          rack: false,
        },
        source: 'buy',
        ref,
        item: name,
        length: item.length,
        label: undefined,
        cut: undefined,
      },
    ];
  });
  const rack = (job.rack ?? []).flatMap((item, index): JobStick[] => {
    const name = item.id ?? `#${index}`;
    // What has been cut from a piece of the rack has used it up.
    if (item.profile !== profile || cutFrom('rack', name) > 0) return [];
    const ref = stockRef('rack', name);
    return [
      {
        kind: { id: ref, length: floor(item.length), price: 0, count: 1, rack: true },
        source: 'rack',
        ref,
        item: name,
        length: item.length,
        label: item.label,
        cut: undefined,
      },
    ];
  });
  const cut = own.map((record): JobStick => {
    const ref = stockRef('cut', record.id);
    return {
      kind: { id: ref, length: ENDLESS, price: record.price, count: 1, rack: record.source === 'rack' },
      source: record.source,
      ref,
      item: record.stock,
      length: record.length,
      label: record.label,
      cut: record,
    };
  });
  return [...forSale, ...rack, ...cut];
}

/** All drafts of a job for given splices, rooms in order, each room's trims in the order they are laid out. */
export const draftJob = (layout: JobLayout, choices: SpliceChoices): PieceDraft[] =>
  layout.rooms.flatMap((room, roomIndex) => [
    ...draftOpenings(layout, roomIndex),
    ...room.runs.flatMap((_, runIndex) => draftRun(layout, roomIndex, runIndex, choices)),
  ]);

/** A run that pieces belong to: what is refused together where it cannot be planned. */
export interface RunName {
  readonly room: string;
  readonly trim: string;
}

/** What one stretch is for the optimiser: a wall that may be divided, lengths in cutting units from its left end. */
function spliceWalls(
  layout: JobLayout,
  profile: string,
  units: number,
  penalty: number,
  spliceScarce: boolean,
): { wall: SpliceWall; run: RunName }[] {
  const { rules } = layout;
  return stretchesOf(layout).flatMap(({ id, room, layout: runLayout, stretch }) => {
    const { frame } = runLayout.run;
    if (frame.profile.id !== profile) return [];
    const saving = frame.rules.splices === 'saving';
    // A stretch that has a stick of a limited length to itself stays whole, unless no plan is found that way.
    const whole = stretch.scarce && !stretch.needed && !saving && !spliceScarce;
    const wall: SpliceWall = {
      id,
      group: room.room.id,
      // A leaning end that is longer at its top takes that much more of a stick.
      near: (stretch.leftTop + stretch.to - stretch.from + stretch.rightTop) * units,
      wholeExtra: stretchAllowance(runLayout, stretch) * units,
      left: stretch.leftAngle,
      right: stretch.rightAngle,
      qty: 1,
      angle: frame.rules.scarfAngle,
      points: whole
        ? []
        : stretch.places.map((place) => ({
            at: (stretch.leftTop + place.at - stretch.from) * units,
            leftOver: place.leftOver,
          })),
      max: whole ? 0 : stretch.maxSplices,
      penalty,
      minPiece: rules.minPiece * units,
      apart: stretch.apart * units,
      when: saving || stretch.scarce ? 'allowed' : 'needed',
      ...(waitsForMeasure(runLayout, stretch) ? { held: true } : {}),
    };
    return [{ wall, run: { room: room.room.id, trim: ownTrim(frame) } }];
  });
}

export interface ProfileProblem {
  readonly profile: Profile;
  readonly problem: CutProblem;
  readonly sticks: readonly JobStick[];
  /** The run that each blank and wall belongs to, by its id. */
  readonly runOf: ReadonlyMap<string, RunName>;
}

interface ProblemOptions {
  /** Sticks that have been cut. */
  readonly records?: readonly CutRecord[];
  /** Let stretches be spliced that fit a limited length only. */
  readonly spliceScarce?: boolean;
}

/** One cutting problem for each profile that the job uses. */
export function cutProblems(
  layout: JobLayout,
  { records = [], spliceScarce = false }: ProblemOptions = {},
): ProfileProblem[] {
  const { job, rules, kerf } = layout;
  const units = unitsPer(job.unit);
  const coin = coinOfJob(job);
  const drafts = draftJob(layout, new Map()).filter((draft) => draft.source?.kind === 'blank');
  return job.profiles.flatMap((profile): ProfileProblem[] => {
    const runOf = new Map<string, RunName>();
    const blanks = drafts
      .filter((draft) => draft.profile.id === profile.id)
      .map((draft): Blank => {
        const group = layout.rooms[draft.roomIndex]!.room.id;
        runOf.set(draft.id, { room: group, trim: draft.trimId });
        return {
          id: draft.id,
          group,
          near: draft.near * units,
          left: draft.left.angle,
          right: draft.right.angle,
          qty: 1,
          // A leg that is to be ripped is cut from its full stick first.
          depth: (draft.role.startsWith('leg') ? depthOfStock(draft, profile) : draft.depth) * units,
          ...(draft.held ? { held: true } : {}),
          ...(draft.role === 'test' ? { first: true } : {}),
        };
      });
    const walls = spliceWalls(layout, profile.id, units, toMinor(rules.splicePrice, coin), spliceScarce);
    for (const { wall, run } of walls) runOf.set(wall.id, run);
    if (blanks.length === 0 && walls.length === 0) return [];
    const sticks = jobSticks(job, profile.id, units, coin, records);
    const problem: CutProblem = {
      name: profile.id,
      depth: depthOnWall(layout, profile) * units,
      kerf: kerf * units,
      endTrim: rules.endTrim * units,
      cutMargin: Math.ceil(rules.cutMargin * units - WHOLE_UNIT),
      minOffcut: rules.minReusable * units,
      // Sticks that have been cut come in only with what was cut from them.
      sticks: sticks.filter((one) => !one.cut).map((one) => one.kind),
      blanks,
      walls: walls.map((one) => one.wall),
    };
    return [{ profile, problem, sticks, runOf }];
  });
}

/** From near to far line across the whole stick. */
const depthOfStock = (draft: PieceDraft, profile: Profile): number =>
  depthOfProfile({ ...profile, use: draft.sawnAs });

/** Depth of the wall pieces of a profile; a run's own frame knows best. */
const depthOnWall = (layout: JobLayout, profile: Profile): number =>
  layout.rooms.flatMap((room) => room.runs).find((one) => one.run.frame.profile.id === profile.id)?.run.frame
    .depth ?? depthOfProfile(profile);

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
