import { partDimensions } from '../model/parts.ts';
import type { CutProblem, CutStick } from '../model/problem.ts';

/**
 * Tilts of all cut planes of a stick, left to right: degrees by which the far line leads the near line to the right. The
 * two ends of one parting have the same tilt when the saw cuts both without being swung.
 */
function tiltsOf(figures: ReturnType<typeof partDimensions>, stick: CutStick): number[] {
  return stick.placed.flatMap((placed) => {
    const { left, right } = figures(placed);
    return [left, -right];
  });
}

/** How often the saw is set anew while sticks are cut one after another. */
export function sawChanges(problem: CutProblem, sticks: readonly CutStick[]): number {
  const figures = partDimensions(problem);
  const tilts = sticks.flatMap((stick) => tiltsOf(figures, stick));
  return tilts.filter((tilt, index) => index > 0 && tilt !== tilts[index - 1]).length;
}

/**
 * The same sticks in an order that sets the saw anew less often: each next one begins as the last one ended. Those with blocks that
 * others are tried with come before all.
 */
export function fewSawChanges(problem: CutProblem, sticks: readonly CutStick[]): CutStick[] {
  const figures = partDimensions(problem);
  const ends = sticks.map((stick) => {
    const tilts = tiltsOf(figures, stick);
    return { stick, first: tilts[0]!, last: tilts.at(-1)! };
  });
  const order: CutStick[] = [];
  // Sticks of one kind stay together, the longest first: that is how they are fetched and cut.
  const lengths = new Map(problem.sticks.map((kind) => [kind.id, kind.length]));
  const kinds = [...new Set(sticks.map((stick) => stick.stick))].sort(
    (a, b) => lengths.get(b)! - lengths.get(a)!,
  );
  const tried = new Set(problem.blanks.flatMap(({ id, first }) => (first ? [id] : [])));
  const isTried = ({ placed }: CutStick): boolean =>
    placed.some((one) => one.kind === 'blank' && tried.has(one.id));
  let tilt = 0;
  const take = (some: typeof ends): void => {
    for (let own = some; own.length > 0;) {
      const next = own.find((one) => one.first === tilt) ?? own[0]!;
      order.push(next.stick);
      tilt = next.last;
      own = own.filter((one) => one !== next);
    }
  };
  for (const early of [true, false])
    for (const kind of kinds)
      take(ends.filter(({ stick }) => stick.stick === kind && isTried(stick) === early));
  return order;
}
