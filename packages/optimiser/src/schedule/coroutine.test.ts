import { beforeAll, describe, expect, test } from '@jest/globals';
import { readBench, readProblem } from '../../test/helpers/bench.ts';
import { clock, testSolver } from '../../test/helpers/solver.ts';
import { verify } from '../../test/fixtures/check-solution.mjs';
import {
  runSequential,
  runParallel,
  MessagePeer,
  optimiseCoroutine,
  primalWorker,
  agedMessage,
  writeCutSolution,
  type CutSolution,
  type PeerMessage,
  type LinearSolver,
  type PeerReport,
} from '../index.ts';

/** Two sides of one search, here in one thread: what counts is what they tell one another, and when. */

let solver: LinearSolver;
/** The same without integer programmes: what is told does not wait for them. */
let quick: LinearSolver;
beforeAll(async () => {
  solver = await testSolver();
  const none = new Float64Array(0);
  quick = {
    create: (rows) => {
      const program = solver.create(rows);
      return {
        addColumns: (columns) => program.addColumns(columns),
        setBounds: (column, lower, upper) => program.setBounds(column, lower, upper),
        solve: (seconds) => program.solve(seconds),
        solveInteger: () => ({
          status: 'failed',
          objective: NaN,
          columns: none,
          duals: none,
          bound: -Infinity,
        }),
        dispose: () => program.dispose(),
      };
    },
  };
});

const problemOf = (name: string) => {
  const found = readProblem(readBench(`${name}`));
  return found;
};

/** A peer beside that answers after so many steps of the event loop; `told` keeps what it was told. */
function laneThatTakes(pause: () => Promise<void>, told: PeerMessage['kind'][] = []): MessagePeer {
  const answer = primalWorker(solver, clock);
  let queue: Promise<void> = Promise.resolve();
  const coroutine: MessagePeer = new MessagePeer((one) => {
    told.push(one.kind);
    queue = queue.then(pause).then(() => coroutine.hear(answer(one)));
  });
  return coroutine;
}

const soon = (): Promise<void> => Promise.resolve();
const later = (): Promise<void> => new Promise((done) => setTimeout(done, 30));

const standing = { plan: undefined, bound: 7, ground: { by: 'length', figure: 7 } } as const;
const begin = (seconds: number): PeerMessage => ({
  kind: 'begin',
  beginning: { problem: problemOf('scarf-1').problem, patterns: [], standing, seconds },
});
const goOn: PeerMessage = { kind: 'go-on', standing, turns: 1 };
const report = (bound: number): PeerReport => ({ standing: { ...standing, bound } });

describe('two sides', () => {
  test('come to the same plan, whichever is the quicker', async () => {
    const { problem } = problemOf('house-m-base2');
    const run = async (pause: () => Promise<void>): Promise<[CutSolution, PeerMessage['kind'][]]> => {
      const told: PeerMessage['kind'][] = [];
      const solved = await runParallel(
        optimiseCoroutine(problem, quick, { seconds: 1e6, clock, units: 4 }),
        laneThatTakes(pause, told),
      );
      if (!solved.ok) throw new Error(solved.issues[0].code);
      return [solved.value, told];
    };
    const [one, told] = await run(soon);
    expect(told).toEqual(['begin', 'go-on']);
    expect(await run(later)).toEqual([one, told]);
  }, 90_000);

  test('go on alone where the other is gone, before it begins or on the way', async () => {
    const { problem, file } = problemOf('house-m-base2');
    for (const reports of [0, 1]) {
      let left = reports;
      const answer = primalWorker(solver, clock);
      const coroutine: MessagePeer = new MessagePeer((told) => {
        void Promise.resolve().then(() => (left-- > 0 ? coroutine.hear(answer(told)) : coroutine.lost()));
      });
      const solved = await runParallel(optimiseCoroutine(problem, quick, { seconds: 2, clock }), coroutine);
      if (!solved.ok) throw new Error(solved.issues[0].code);
      expect(solved.value.cost).toBeLessThan(65_700);
      expect(solved.value.lowerBound).toBeLessThanOrEqual(65_310);
      const written = writeCutSolution(file, problem, solved.value);
      expect(verify(readBench('house-m-base2'), written).cost).toBe(solved.value.cost);
    }
  }, 30_000);

  test('a coroutine that proves its plan meanwhile has the last word', async () => {
    const { problem } = problemOf('house-m-crown');
    const alike = runSequential(optimiseCoroutine(problem, solver, { seconds: 20, clock }));
    const both = await runParallel(
      optimiseCoroutine(problem, solver, { seconds: 20, clock }),
      laneThatTakes(later),
    );
    expect(both).toEqual(alike);
    expect(both.ok && [both.value.cost, both.value.proven]).toEqual([76_464, true]);
  }, 60_000);
});

describe('messages between them', () => {
  test('what was told is answered by how far the other came with what it was told before', async () => {
    const sent: PeerMessage[] = [];
    const coroutine = new MessagePeer((told) => sent.push(told));
    expect(await coroutine.tell(begin(9))).toBe(standing);
    const heard = coroutine.tell(goOn);
    expect(sent.map((one) => one.kind)).toEqual(['begin']);
    coroutine.hear(report(11));
    expect((await heard)?.bound).toBe(11);
    expect(sent.map((one) => one.kind)).toEqual(['begin', 'go-on']);
  });

  test('a report that an earlier search did not wait for is not taken for one of the next', async () => {
    const coroutine = new MessagePeer(() => undefined);
    await coroutine.tell(begin(9));
    await coroutine.tell(begin(5));
    coroutine.hear(report(11));
    coroutine.hear(report(12));
    expect((await coroutine.tell(goOn))?.bound).toBe(12);
    // Nor one that had come in already.
    coroutine.hear(report(13));
    await coroutine.tell(begin(3));
    const heard = coroutine.tell(goOn);
    coroutine.hear(report(14));
    expect((await heard)?.bound).toBe(14);
  });

  test('a coroutine that has ended, or is lost while it is waited for, is not asked again', async () => {
    const sent: PeerMessage[] = [];
    const coroutine = new MessagePeer((told) => sent.push(told));
    await coroutine.tell(begin(9));
    coroutine.hear({ standing: undefined });
    expect(await coroutine.tell(goOn)).toBeUndefined();
    await coroutine.tell(begin(5));
    const heard = coroutine.tell(goOn);
    coroutine.lost();
    expect(await heard).toBeUndefined();
    expect(await coroutine.tell(begin(4))).toBeUndefined();
    expect(sent.map((one) => one.kind)).toEqual(['begin', 'begin']);
  });

  test('a coroutine that cannot be begun is done without', async () => {
    const coroutine = new MessagePeer(() => {
      throw new Error('no thread can be had');
    });
    expect(await coroutine.tell(begin(9))).toBeUndefined();
    expect(await coroutine.tell(goOn)).toBeUndefined();
  });

  test('time goes by while it is on the way', () => {
    const late = agedMessage(begin(9), 0.5);
    expect(late.kind === 'begin' && late.beginning.seconds).toBe(8.5);
    expect(agedMessage(goOn, 0.5)).toBe(goOn);
  });
});
