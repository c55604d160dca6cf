import { SAME_LENGTH } from '../../base/index.ts';
import { secondTripRisk, type CutStick } from '@long-miter/optimiser';
import type { JobFile } from '../../job/index.ts';
import { layOutJob } from '../../pieces/index.ts';
import { cutProblems } from '../solve/cut-problems.ts';
import type { PlanFile } from '../result/plan-file.ts';
import { fixedSticks, pinOf } from '../solve/stick-pins.ts';

/** What an order has on top of the plan: so many sticks of a profile and length. */
export interface SpareSticks {
  readonly profile: string;
  readonly length: number;
  readonly spare: number;
}

interface SecondTripQuestion {
  /** Pieces spoilt of a hundred that are cut. */
  readonly miscuts: number;
  readonly runs: number;
  readonly seed: number;
  readonly spares: readonly SpareSticks[];
  /** Asked between runs with the share of all the work that is done, 0 to 1. */
  readonly stop?: (done: number) => boolean;
}

/** How likely what was bought does not suffice, and what one stick more would do about it. */
export interface SecondTripAnswer {
  readonly runs: number;
  /** Share of the jobs played through that needed more than was bought. */
  readonly risk: number;
  /** Pieces spoilt in a job, on average. */
  readonly spoilt: number;
  /** The same with one more stick, the one that helps most first; what does not help is left out. */
  readonly oneMore: readonly { readonly profile: string; readonly length: number; readonly risk: number }[];
}

/**
 * Whether an order suffices although pieces are spoilt, for what is still to be cut of a plan. Profiles are spoilt
 * independently of one another.
 */
export function secondTripOf(
  job: JobFile,
  plan: PlanFile,
  { miscuts, runs, seed, spares, stop }: SecondTripQuestion,
): SecondTripAnswer {
  const layout = layOutJob(job);
  const open = plan.sticks.filter((stick) => !stick.cut);
  const pins = open.map((stick) => pinOf(plan, stick));
  const problems = cutProblems(layout);
  const all = open.reduce((sum, stick) => sum + stick.cuts.length, 0);
  let before = 0;
  const answers = problems.flatMap((item, index) => {
    const { profile } = item;
    // A piece of the rack that has been cut from is not there any more.
    const gone = new Set(
      item.sticks.flatMap((one) =>
        one.source === 'rack' &&
        plan.sticks.some((stick) => stick.cut && stick.profile === profile.id && stick.item === one.item)
          ? [one.kind.id]
          : [],
      ),
    );
    const problem = { ...item.problem, sticks: item.problem.sticks.filter((kind) => !gone.has(kind.id)) };
    const sticks = fixedSticks(layout, item, pins).map(({ stick, parts }): CutStick => ({
      stick,
      placed: parts.map((part) =>
        part.kind === 'blank' ? { ...part, start: 0 } : { ...part, copy: 0, start: 0 },
      ),
    }));
    if (sticks.length === 0) return [];
    const spareOf = Object.fromEntries(
      item.sticks.map((one) => {
        const line = spares.find(
          (spare) => spare.profile === profile.id && Math.abs(spare.length - one.length) < SAME_LENGTH,
        );
        return [one.kind.id, one.source === 'buy' ? (line?.spare ?? 0) : 0];
      }),
    );
    const own = sticks.reduce((sum, stick) => sum + stick.placed.length, 0) / all;
    const begun = before;
    before += own;
    const answer = secondTripRisk(problem, sticks, {
      rate: miscuts / 100,
      runs,
      seed: seed + index * 104_729,
      spares: spareOf,
      ...(stop ? { stop: (done: number) => stop(begun + done * own) } : {}),
    });
    return [{ profile: profile.id, sticks: item.sticks, answer }];
  });
  const good = (without?: string): number =>
    answers.reduce((all, one) => (one.profile === without ? all : all * (1 - one.answer.risk)), 1);
  const risk = 1 - good();
  const oneMore = answers.flatMap(({ profile, sticks, answer }) =>
    answer.withOneMore.map((more) => ({
      profile,
      length: sticks.find((one) => one.kind.id === more.stick)!.length,
      risk: 1 - good(profile) * (1 - more.risk),
    })),
  );
  return {
    runs: Math.min(...answers.map((one) => one.answer.runs), runs),
    risk,
    spoilt: answers.reduce((sum, one) => sum + one.answer.spoilt, 0),
    // Of sticks that help as much the shorter is the cheaper one.
    oneMore: oneMore
      .filter((one) => one.risk < risk - 1e-9)
      .sort((a, b) => a.risk - b.risk || a.length - b.length),
  };
}
