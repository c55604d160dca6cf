import { numbersFrom } from '../base/random.ts';
import { fitDecreasing } from '../primal/construct.ts';
import { buildModel, type CutModel } from '../model/build-model.ts';
import { usedLength, itemList, type Pattern } from '../model/integer-solution.ts';
import type { CutProblem, CutStick, StickKind } from '../model/problem.ts';

/** What is asked about a plan: whether what is bought suffices although pieces are spoilt. */
interface MiscutQuestion {
  /** Share of pieces that are spoilt when they are cut, 0 to 1. */
  readonly rate: number;
  /** How often the cutting is played through. */
  readonly runs: number;
  readonly seed: number;
  /** Sticks bought on top of the plan, by kind. */
  readonly spares: Readonly<Record<string, number>>;
  /** Asked between runs with the share of the question that is done: what was played until then is answered from. */
  readonly stop?: (done: number) => boolean;
}

interface SecondTripRisk {
  readonly runs: number;
  /** Share of the runs in which what was bought did not suffice. */
  readonly risk: number;
  /** Pieces spoilt in a run, on average. */
  readonly spoilt: number;
  /** The same with one more stick of a kind for sale, in the order of the problem. */
  readonly withOneMore: readonly { readonly stick: string; readonly risk: number }[];
}

/** Sticks that are planned anew together for what was spoilt. */
const AMONG = 10;
/** Plain runs that are played through however long they take: of fewer nothing can be said. */
const LEAST_RUNS = 25;
/** Share of the work that the plain runs are. */
const PLAIN = 0.5;
/** Failed runs that are played again with one stick more; of more of them a part speaks for all. */
const SAMPLE = 200;

/** A stick that has been opened: what is on it, left to right, and where the last piece ends. */
interface Opened {
  readonly kind: number;
  list: number[];
  end: number;
}

/** A stick that is still to be opened: what is planned on it, and what of it is to spare. */
interface Unopened {
  readonly kind: number;
  readonly list: readonly number[];
  readonly room: number;
}

/** The cutting of a plan, played through piece by piece. */
class Play {
  private readonly model: CutModel;
  private readonly plan: readonly Unopened[];
  private readonly kinds: readonly StickKind[];

  constructor(
    model: CutModel,
    plan: readonly { readonly kind: number; readonly list: readonly number[] }[],
    kinds: readonly StickKind[],
  ) {
    this.model = model;
    this.kinds = kinds;
    this.plan = plan.map(({ kind, list }) => this.unopened(kind, list));
  }

  private unopened(kind: number, list: readonly number[]): Unopened {
    return { kind, list, room: this.kinds[kind]!.length - usedLength(this.model, list) };
  }

  /** Near end of a piece laid behind what is on a stick; undefined where it does not fit. */
  private endBehind(stick: Opened, item: number): number | undefined {
    const { lead, tail, gap } = this.model.clear;
    const { length, cls } = this.model.items[item]!;
    const last = stick.list.at(-1);
    const start = last === undefined ? lead[cls]! : stick.end + gap(this.model.items[last]!.cls, cls);
    const end = start + length;
    return end + tail[cls]! <= this.kinds[stick.kind]!.length ? end : undefined;
  }

  /**
   * Plays once.
   * @param isSpoilt asked for every piece that is cut
   * @param spares   sticks on top, by kind
   * @returns whether everything was got out of what was there
   */
  suffices(isSpoilt: () => boolean, spares: readonly number[]): boolean {
    const opened: Opened[] = [];
    let open = [...this.plan];
    const extra = [...spares];
    const lost: number[] = [];
    const cut = (stick: Opened, item: number): void => {
      stick.end = this.endBehind(stick, item) ?? stick.end;
      stick.list.push(item);
      if (isSpoilt()) lost.push(item);
    };
    for (;;) {
      const stick = open.shift();
      if (stick) {
        const begun: Opened = { kind: stick.kind, list: [], end: 0 };
        opened.push(begun);
        for (const item of stick.list) cut(begun, item);
      }
      this.makeGood(lost, opened, cut);
      if (lost.length > 0 && open.length > 0) open = this.planAnew(lost, open, extra) ?? open;
      if (open.length > 0) continue;
      if (lost.length === 0) return true;
      // Only spare sticks are left: what does not go on them asks for a second trip.
      const more = this.planAnew(lost, [], extra);
      if (!more) return false;
      open = more;
    }
  }

  /** Cuts spoilt pieces again from what is left of opened sticks, the tightest that holds them. */
  private makeGood(
    lost: number[],
    opened: readonly Opened[],
    cut: (stick: Opened, item: number) => void,
  ): void {
    const { items } = this.model;
    for (let tried = 0; tried < lost.length;) {
      lost.sort((a, b) => items[b]!.length - items[a]!.length);
      const item = lost[tried]!;
      let best: Opened | undefined;
      let least = Infinity;
      for (const stick of opened) {
        const end = this.endBehind(stick, item);
        const left = this.kinds[stick.kind]!.length - (end ?? 0);
        if (end === undefined || left >= least) continue;
        [best, least] = [stick, left];
      }
      if (!best) {
        tried++;
        continue;
      }
      lost.splice(tried, 1);
      cut(best, item);
      tried = 0;
    }
  }

  /**
   * A place for spoilt pieces among sticks not opened yet: on one of them beside what is planned, else some of them planned
   * anew; where none are left, on spare sticks. What finds a place is taken from `lost`, what it takes from `extra`.
   */
  private planAnew(lost: number[], open: readonly Unopened[], extra: number[]): Unopened[] | undefined {
    const sticks = [...open];
    const rest = lost.filter((item) => {
      const { length } = this.model.items[item]!;
      for (const [at, stick] of sticks.entries()) {
        if (stick.room < length) continue;
        const more = this.unopened(stick.kind, [...stick.list, item]);
        if (more.room < 0) continue;
        sticks[at] = more;
        return false;
      }
      return true;
    });
    if (rest.length === 0) {
      lost.length = 0;
      return sticks;
    }
    // The sticks with most room to spare are planned anew with what was spoilt; if nothing is left to be opened, spare ones.
    const among = [...open].sort((a, b) => b.room - a.room).slice(0, AMONG);
    const spare = among.reduce((sum, stick) => sum + Math.max(0, stick.room), 0);
    const wanted = lost.reduce((sum, item) => sum + this.model.items[item]!.length, 0);
    if (open.length > 0 && spare < wanted) return undefined;
    const demand = this.model.items.map(() => 0);
    for (const item of lost) demand[item]!++;
    for (const stick of among) for (const item of stick.list) demand[item]!++;
    const had = this.kinds.map((_, kind) => among.filter((stick) => stick.kind === kind).length);
    const patterns = this.fill(demand, open.length > 0 ? had : extra);
    if (!patterns) return undefined;
    lost.length = 0;
    if (open.length === 0) for (const one of patterns) extra[one.group]!--;
    const others = open.filter((stick) => !among.includes(stick));
    return [...others, ...patterns.map((one) => this.unopened(one.group, itemList(one)))];
  }

  /** First and best fit on what sticks there are. @returns patterns whose group is the kind */
  private fill(demand: readonly number[], there: readonly number[]): Pattern[] | undefined {
    const model: CutModel = {
      ...this.model,
      pools: this.kinds.map((kind, index) => ({
        length: kind.length,
        // What is there is paid for; the shortest that holds a piece is the cheapest.
        price: 0,
        count: there[index]!,
        kinds: [kind],
      })),
      sticks: this.kinds
        .map((kind, pool) => ({
          pool,
          length: kind.length,
          price: 0,
          count: undefined,
          sequencer: this.model.sequencer,
          lead: this.model.clear.lead,
        }))
        .sort((a, b) => b.length - a.length),
    };
    for (const best of [true, false]) {
      const patterns = fitDecreasing(model, demand, 0, best);
      if (patterns) return patterns.map((one) => ({ ...one, group: model.sticks[one.group]!.pool }));
    }
    return undefined;
  }
}

/**
 * How likely it is that a plan's sticks do not suffice because pieces are spoilt: the cutting is played through many times,
 * each piece spoilt at the stated rate, cut again from what is left of opened sticks, from sticks not opened yet (planned
 * anew if need be), from unused pieces of the rack, from spare sticks. A piece that is cut again may be spoilt again. The
 * same question has the same answer. The figure is on the careful side: a spoilt piece is not used for a shorter one.
 */
export function secondTripRisk(
  problem: CutProblem,
  sticks: readonly CutStick[],
  question: MiscutQuestion,
): SecondTripRisk {
  const built = buildModel(problem);
  if (!built.ok) return { runs: 0, risk: 1, spoilt: 0, withOneMore: [] };
  const model = built.value;
  const itemOf = new Map(model.blankIds.flatMap((ids, item) => ids.map((id) => [id, item] as const)));
  for (const net of model.walls)
    for (const arc of net.arcs) itemOf.set(`${net.wall.id}|${arc.from}|${arc.to}`, arc.item);
  const kindIndex = new Map(problem.sticks.map((kind, index) => [kind.id, index]));
  const plan = sticks.map((stick) => ({
    kind: kindIndex.get(stick.stick)!,
    list: stick.placed.flatMap(
      (one) => itemOf.get(one.kind === 'blank' ? one.id : `${one.id}|${one.fromPoint}|${one.toPoint}`) ?? [],
    ),
  }));
  const play = new Play(model, plan, problem.sticks);
  // Pieces of the rack that the plan leaves are there too.
  const there = problem.sticks.map((kind, index) =>
    kind.rack && !plan.some((stick) => stick.kind === index) ? 1 : (question.spares[kind.id] ?? 0),
  );
  let [runs, spoilt] = [0, 0];
  const failed: number[] = [];
  const draws = (run: number): (() => boolean) => {
    const random = numbersFrom(question.seed + run * 7919);
    return () => random() < question.rate;
  };
  for (; runs < question.runs; runs++) {
    if (runs >= LEAST_RUNS && question.stop?.(PLAIN * (runs / question.runs))) break;
    const drawn = draws(runs);
    const isSpoilt = (): boolean => {
      const bad = drawn();
      if (bad) spoilt++;
      return bad;
    };
    if (!play.suffices(isSpoilt, there)) failed.push(runs);
  }
  const risk = runs > 0 ? failed.length / runs : 0;
  const sample = failed.slice(0, SAMPLE);
  const forSale = problem.sticks.filter((kind) => !kind.rack).length;
  let asked = 0;
  const withOneMore = problem.sticks.flatMap((kind, index) => {
    if (kind.rack) return [];
    asked++;
    const more = there.map((count, k) => count + Number(k === index));
    // What sufficed suffices with more.
    let [played, still] = [0, 0];
    for (const run of sample) {
      if (question.stop?.(PLAIN + ((1 - PLAIN) * (asked - 1 + played / sample.length)) / forSale)) break;
      played++;
      if (!play.suffices(draws(run), more)) still++;
    }
    return played > 0 ? [{ stick: kind.id, risk: (risk * still) / played }] : [];
  });
  return {
    runs,
    risk,
    spoilt: runs > 0 ? spoilt / runs : 0,
    withOneMore,
  };
}
